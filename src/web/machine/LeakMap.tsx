/** The circuit map of a machine with every leak that was ever found on it, and the same as a list. */
import { answersOf } from '../../core/circuit/drawing';
import { pastLeaks } from '../../core/visit/leaks/search';
import { Section } from '../parts/Page';
import { LAYOUT_WORDS, PART_WORDS, partWords } from '../../words/circuit';
import { dayWords } from '../../words/dates';
import { CircuitDrawing } from '../drawing/CircuitDrawing';
import { drawingOfMachine, mapOfMachine } from '../../record/circuitOf';
import type { MachineView } from '../data/api/machineView';

export function LeakMap({ view }: { view: MachineView }) {
  const past = pastLeaks(view.standing.history.entries);
  const answers = answersOf(drawingOfMachine(view));
  const map = mapOfMachine(view);
  const placed = past.filter((leak) => map.parts.some((part) => part.id === leak.part));
  const loose = past.filter((leak) => !placed.includes(leak));
  return (
    <Section
      title="Where it leaked"
      aside={
        <span className="text-soft">
          drawn as: {answers ? LAYOUT_WORDS[answers.layout].toLowerCase() : 'its own piping'}
        </span>
      }
    >
      <div className="grid gap-x-8 md:grid-cols-[minmax(0,26rem)_minmax(0,1fr)]">
        <CircuitDrawing
          map={map}
          label="Circuit map with every leak so far"
          shown={(part) => ({
            leaks: past.filter((leak) => leak.part === part.id).length,
          })}
        />
        <div>
          {past.length === 0 && <p className="text-soft">No leak was ever written down here.</p>}
          <ul>
            {placed.map((leak, index) => {
              const part = map.parts.find((each) => each.id === leak.part);
              return (
                <li key={index} className="rule-b py-1.5">
                  <span aria-hidden="true">◆ </span>
                  {part ? partWords(part) : ''} <span className="text-soft">{dayWords(leak.on)}</span>
                </li>
              );
            })}
          </ul>
          {loose.length > 0 && (
            <>
              <p className="mt-3 font-semibold">Not placed on the map</p>
              <ul>
                {loose.map((leak, index) => (
                  <li key={index} className="rule-b py-1.5">
                    {leak.words || (leak.type ? PART_WORDS[leak.type] : 'place not recorded')}{' '}
                    <span className="text-soft">{dayWords(leak.on)}</span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      </div>
    </Section>
  );
}
