/** A leak repaired at its place: which one, how it was joined again, and what that joint asks. */
import { isFlammable } from '../../../core/refrigerant/refrigerant';
import { dayText } from '../../../core/quantity/day';
import type { MapPart } from '../../../core/circuit/map';
import { type Metal, METALS, jointAdvice } from '../../../core/visit/joints';
import { carrying } from '../../../core/visit/notes/notes';
import { kindForm } from '../../../record/forms';
import { draftOf } from '../../../record/statedDraft';
import { METAL_WORDS, NO_FLAME_ADVICE, PRESS_ADVICE, jointWords } from '../../../words/leaks';
import { Uncertified } from '../../forms/Uncertified';
import { NoteCard } from '../panels/NoteCard';
import { useVisit } from '../visitContext';

export function LeakRepair({ part, onSaved }: { part: MapPart | null; onSaved: () => void }) {
  const { view, leaks, day } = useVisit();
  const open = view.standing.leaks.open();
  // Touched at its place, it is the leak of this place.
  const here = leaks.find(
    (leak) => part !== null && leak.part === part.id && open.some((each) => each.id === leak.id),
  );
  const given = here ?? leaks.find((leak) => open.some((each) => each.id === leak.id));
  return (
    <>
      {open.length === 0 && (
        <p className="mb-3 text-soft">
          No confirmed leak is open. What is repaired without one counts as found and repaired today.
        </p>
      )}
      <Uncertified day={dayText(day)} />
      <NoteCard
        name={`repair ${part?.id ?? ''}`}
        spec={kindForm('leakRepaired')}
        given={given ? { leakId: given.id } : {}}
        first={['leakId', 'joint.way', 'evacuated', 'how']}
        save="Write the repair down"
        onSaved={onSaved}
        below={(values) => (
          <Advice way={values['joint.way']} one={values['joint.one']} other={values['joint.other']} />
        )}
        alter={(entry) => {
          const leakId = entry.kind === 'leakRepaired' ? entry.leakId : null;
          // A leak that was found elsewhere was not repaired here, whatever part was touched.
          const known = leaks.find((leak) => leak.id === leakId)?.part ?? null;
          const fits = part !== null && (known === null || known === part.id);
          return [fits ? carrying(entry, { part: part.id }) : entry];
        }}
      />
    </>
  );
}

function Advice({ way, one, other }: { way: unknown; one: unknown; other: unknown }) {
  const { view } = useVisit();
  const gas = view.standing.present.refrigerant;
  // Until somebody knows what is in it, it is taken as flammable.
  const burns = gas === null || isFlammable(gas.name);
  const joined = draftOf(way).text;
  const metals = [draftOf(one).text, draftOf(other).text];
  const [first, second] = metals.map(
    (text) => METALS.find((each) => each === text) ?? null,
  ) as (Metal | null)[];
  const words =
    joined === 'pressed'
      ? PRESS_ADVICE
      : burns && (joined === 'brazed' || joined === '')
        ? NO_FLAME_ADVICE
        : joined === 'brazed' && first && second
          ? `${METAL_WORDS[first]} to ${METAL_WORDS[second]}: ${jointWords(jointAdvice(first, second))} Wet rag on valves.`
          : joined === 'brazed'
            ? 'Nitrogen flowing, wet rag on valves; the alloy goes by the two metals, under “More”.'
            : null;
  return words && <p className="mb-4 border-l-4 border-green pl-3">{words}</p>;
}
