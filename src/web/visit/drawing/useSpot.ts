/** The mark that is put on a part under the detector, with what is typed beside it until it is written. */
import { useState } from 'react';
import type { MapPart } from '../../../core/circuit/map';
import type { Grade, SpotMark } from '../../../core/visit/notes/notes';
import { notesOf } from '../../../core/visit/visitRecord';
import { leakDraftOf } from '../../../record/leakDraft';
import { MARK_WORDS, partName, partWords } from '../../../words/circuit';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';
import { METHOD_OF } from './spotDraft';

const FRESH = { why: '', reachable: true, place: '', size: '', used: '' };

export type SpotForm = ReturnType<typeof useSpot>;

export function useSpot(part: MapPart, onClose: () => void) {
  const { view, visitId, record, newEntry } = useVisit();
  const deed = useVisitWrite(`spot ${part.id}`);
  // Opened again it begins with the mark; what was typed under it before is kept.
  const [mark, setMark] = useState<SpotMark | null>(null);
  const { draft, set, forget } = useKeptDraft(
    `${visitId} ${view.machine.appliance.id} spot ${part.id}`,
    () => ({
      ...FRESH,
      leak: leakDraftOf(null, view.names.leaks),
    }),
  );
  const lastMethod = notesOf(record.entries, 'spot').findLast(({ note }) => note.mark === 'lookedAt')?.note
    .method;
  const write = async (chosen: SpotMark, rest: { grade?: Grade; method?: string; cause?: string } = {}) => {
    // The leak was named when the tray opened: a second try names the same.
    set(draft);
    const { id, label } = draft.leak.fresh;
    const why = draft.why.trim() || null;
    const used = rest.method ?? (rest.grade ? draft.used || METHOD_OF[rest.grade] : null);
    const spot = newEntry('search', {
      tool: 'spot',
      part: part.id,
      words: partWords(part),
      mark: chosen,
      grade: rest.grade ?? null,
      method: used,
      cause: rest.cause ?? null,
      why,
      reachable: chosen === 'leftOut' ? draft.reachable : null,
      leakId: chosen === 'confirmed' ? id : null,
    });
    const leak = newEntry('leakFound', {
      leakId: id,
      label,
      part: part.id,
      component: partName(part),
      // The exact place stands beside the room, and does not replace it.
      location: [part.where, draft.place.trim()].filter(Boolean).join(', '),
      methods: [used],
      sizeGuess: draft.size.trim() || null,
      note: why,
    });
    const entries = chosen === 'confirmed' ? [leak, spot] : [spot];
    if (!(await deed.save(entries, `${partName(part)}: ${MARK_WORDS[chosen]}.`))) return;
    forget();
    onClose();
  };
  return {
    ...draft,
    mark,
    setMark,
    deed,
    lastMethod: lastMethod ?? null,
    change: (next: Partial<typeof FRESH>) => set({ ...draft, ...next }),
    write,
  };
}
