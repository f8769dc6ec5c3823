/** Which leak a form speaks of: one that is known, or a new one whose id is made once, with the draft. */
import { v7 as uuidv7 } from 'uuid';
import { type LeakLabels, nextLeakLabel } from '../core/logbook/leakLabels';

/** What a form holds of a leak: which one, and the new one that it would be, made once with the draft. */
export interface LeakDraft {
  id: string;
  fresh: { id: string; label: string };
}

/** Drafts of older forms held the label alone. */
export const leakDraftOf = (value: unknown, labels: LeakLabels): LeakDraft => {
  const kept = value as Partial<LeakDraft> | string | null | undefined;
  const fresh = (typeof kept === 'object' ? kept?.fresh : undefined) ?? {
    id: uuidv7(),
    label: nextLeakLabel(labels),
  };
  const id = typeof kept === 'string' ? kept : (kept?.id ?? '');
  return { id: id === '' ? fresh.id : id, fresh };
};
