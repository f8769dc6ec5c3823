/** Opens an entry form from anywhere: the kind and what is known already stand in the address. */
import { useSearchParams } from 'react-router';
import { ENTRY_KINDS, type EntryKind } from '../../../core/logbook/entry';

const KEYS = ['write', 'on-machine', 'corrects', 'given'] as const;

export interface WriteRequest {
  kind: EntryKind;
  machineId: string;
  corrects: string | null;
  /** values that are known, by field */
  given: Record<string, unknown>;
}

export function useWriteDialog() {
  const [params, setParams] = useSearchParams();
  const without = () =>
    new URLSearchParams([...params].filter(([key]) => !KEYS.some((known) => known === key)));
  const kind = ENTRY_KINDS.find((each) => each === params.get('write'));
  const machineId = params.get('on-machine');
  let given: Record<string, unknown> = {};
  try {
    given = JSON.parse(params.get('given') ?? '{}') as Record<string, unknown>;
  } catch {
    // An address that was cut short: the form opens empty.
  }
  const request: WriteRequest | null =
    kind && machineId ? { kind, machineId, corrects: params.get('corrects'), given } : null;
  return {
    request,
    close: () => setParams(without()),
    open: (next: {
      kind: EntryKind;
      machineId: string;
      corrects?: string;
      given?: Record<string, unknown>;
    }) => {
      const wanted = without();
      wanted.set('write', next.kind);
      wanted.set('on-machine', next.machineId);
      if (next.corrects !== undefined) wanted.set('corrects', next.corrects);
      if (next.given !== undefined) wanted.set('given', JSON.stringify(next.given));
      setParams(wanted);
    },
  };
}
