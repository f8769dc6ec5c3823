/** Step 8: each leak and how it was repaired, what was heated or bent, the drier, parts by date, settings before and after. */
import { type Metal, METALS, jointAdvice } from '../../../core/visit/joints';
import { carrying } from '../../../core/visit/notes';
import { kindForm } from '../../../record/forms';
import { draftOf } from '../../../record/statedDraft';
import { leakDraftOf } from '../../../record/leakDraft';
import { Section } from '../../parts/Page';
import { dayWords } from '../../../words/dates';
import { METAL_WORDS, jointWords } from '../../../words/leaks';
import { LeaksPanel } from '../panels/LeaksPanel';
import { type Form, noteForm } from '../../../record/forms';
import { NoteCard } from '../panels/NoteCard';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';

export function Repair() {
  const { view, leaks } = useVisit();
  const open = view.standing.leaks.open();
  return (
    <>
      <LeaksPanel />
      <Section title="Repair a leak">
        {open.length === 0 && (
          <p className="mb-3 text-soft">
            No confirmed leak is open. What is repaired without one counts as found and repaired today;
            preventive work stands below.
          </p>
        )}
        <NoteCard
          name="repair"
          spec={kindForm('leakRepaired')}
          save="Write the repair down"
          below={(values) => <Advice one={values['joint.one']} other={values['joint.other']} />}
        />
      </Section>
      {leaks.some((leak) => leak.state === 'suspected') && <Exchange />}
      <Section title="Drier">
        <NoteCard name="drier" spec={noteForm('drier')} save="Save the drier" main={false} />
      </Section>
      <Section title="Parts">
        <NoteCard name="part" spec={kindForm('partFitted')} save="Write the part down" main={false} />
        <Labels />
      </Section>
      <Section title="Heated or bent">
        <NoteCard name="heated" spec={noteForm('heated')} save="Put it on the list of tests" main={false} />
      </Section>
      <Section title="Settings of controls">
        <NoteCard name="setting" spec={noteForm('setting')} save="Save the setting" main={false} />
      </Section>
      <Section title="Preventive work">
        <NoteCard name="preventive" spec={noteForm('preventive')} save="Write the work down" main={false} />
      </Section>
    </>
  );
}

function Advice({ one, other }: { one: unknown; other: unknown }) {
  const metals = [draftOf(one).text, draftOf(other).text];
  const [first, second] = metals.map(
    (text) => METALS.find((each) => each === text) ?? null,
  ) as (Metal | null)[];
  if (!first || !second) return null;
  return (
    <p className="mb-4 border-l-4 border-green pl-3">
      <span className="font-semibold">
        {METAL_WORDS[first]} to {METAL_WORDS[second]}:
      </span>{' '}
      {jointWords(jointAdvice(first, second))} Wet rag on valves.
    </p>
  );
}

/** A part that shows no bubbles and is exchanged on suspicion: the law counts it as found and repaired, the owner is not told so. */
function Exchange() {
  const { leaks, view, newEntry } = useVisit();
  const suspected = leaks.filter((leak) => leak.state === 'suspected');
  const { visitId } = useVisit();
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
    <Section title="Exchange a suspected part">
      <NoteCard
        name="exchange"
        spec={spec}
        save="Write the exchange down"
        onSaved={forgetLeak}
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
    </Section>
  );
}

/** What to write on what was fitted today: a part without its date has no age. */
function Labels() {
  const { record, view } = useVisit();
  const named = record.entries.flatMap(({ entry, day }) => {
    if (entry.kind !== 'partFitted') return [];
    const { part, preventive, changed, tool } = entry as unknown as Record<string, unknown>;
    if (typeof part !== 'string' || preventive === true || (tool === 'drier' && changed !== 'yes')) return [];
    return [{ id: entry.id, part, day }];
  });
  if (named.length === 0) return null;
  return (
    <>
      <p className="font-semibold">Write on the part</p>
      <ul className="flex flex-wrap gap-3">
        {named.map((each) => (
          <li key={each.id} className="border-2 border-ink bg-card px-4 py-2 text-center">
            <span className="block text-lg font-bold">{each.part}</span>
            <span className="block">{dayWords(each.day)}</span>
            <span className="block text-soft">{view.standing.present.refrigerant.name}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
