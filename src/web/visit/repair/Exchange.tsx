/** A part exchanged on suspicion. */
import type { MapPart } from '../../../core/circuit/map';
import { carrying } from '../../../core/visit/notes/notes';
import type { Form } from '../../../record/forms';
import { leakDraftOf } from '../../../record/leakDraft';
import { useKeptDraft } from '../../data/device/useKeptDraft';
import { NoteCard } from '../panels/NoteCard';
import { useVisit } from '../visitContext';

/** A part that shows no bubbles and is exchanged on suspicion: the law counts it as found and repaired, the owner is not told so. */
export function Exchange({ part: touched, onSaved }: { part: MapPart | null; onSaved: () => void }) {
  const { leaks, view, visitId, newEntry } = useVisit();
  const suspected = leaks.filter((leak) => leak.state === 'suspected');
  // Made once with the draft: a second try, also after a reload, names the same leak.
  const {
    draft: leak,
    set: keepLeak,
    forget: forgetLeak,
  } = useKeptDraft(
    `${visitId} ${view.machine.appliance.id} exchangeLeak`,
    () => leakDraftOf(null, view.names.leaks).fresh,
  );
  const leakId = leak.id;
  const spec: Form = {
    kind: 'leakRepaired',
    title: 'Exchanged on suspicion',
    about:
      'For a part whose leak cannot be shown in place. In law it counts as found and repaired today; it is told as suspected until the bench proves it.',
    fields: [
      {
        key: 'part',
        label: 'Suspected part',
        type: 'choice',
        choices: suspected.map((leak) => ({ value: leak.part ?? '', words: leak.place })),
      },
      { key: 'how', label: 'What was exchanged', type: 'long' },
      { key: 'evacuated', label: 'Evacuated for it', type: 'check', initial: false },
    ],
    fixed: { leakId, label: leak.label, onSuspicion: true },
  };
  return (
    <>
      {suspected.length === 0 && (
        <p className="mb-3 text-soft">Nothing is suspected: mark a hit at “Search” first.</p>
      )}
      <NoteCard
        name="exchange"
        spec={spec}
        save="Write the exchange down"
        given={suspected.some((each) => each.part === touched?.id) ? { part: touched?.id } : {}}
        onSaved={() => {
          forgetLeak();
          onSaved();
        }}
        alter={(entry) => {
          keepLeak(leak);
          const part = entry.kind === 'leakRepaired' ? (entry.part ?? '') : '';
          const story = suspected.find((leak) => leak.part === part) ?? suspected[0];
          const spot = newEntry('search', {
            tool: 'spot',
            part,
            words: story?.place ?? part,
            mark: 'hit',
            grade: story?.grade ?? null,
            leakId,
          });
          const evidence = story?.grade
            ? newEntry('search', { tool: 'evidence', leakId, grade: story.grade, words: story.place })
            : null;
          return [
            carrying(entry, { 'x-place': story?.place ?? '' }),
            ...[spot, evidence].filter((each) => each !== null),
          ];
        }}
      />
    </>
  );
}
