/** The register of what should not stay: temporary parts with the day by which they go. */
import { fittedParts, temporaryParts } from '../../core/visit/partsFitted';
import { useWriteDialog } from '../data/addresses/writeDialog';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';
import { dayWords } from '../../words/dates';
import type { MachineView } from '../data/api/machineView';

export function Temporary({ view }: { view: MachineView }) {
  const write = useWriteDialog();
  const parts = temporaryParts(fittedParts(view.standing.history.entries));
  return (
    <Section title="Temporary parts">
      {parts.length === 0 && <p className="text-soft">None is written down.</p>}
      <ul>
        {parts.map((each) => {
          const late = each.removeBy !== null && each.removeBy < view.today;
          return (
            <li
              key={each.entryId}
              className="rule-b flex flex-wrap items-center justify-between gap-2 py-1.5"
            >
              <span>
                <span className="font-semibold">{[each.part, each.place].filter(Boolean).join(', ')}</span>
                <span className={late ? 'block font-semibold text-brick' : 'block text-soft'}>
                  {late && '▲ '}since {dayWords(each.fittedOn)},{' '}
                  {each.removeBy === null
                    ? 'no day set by which it goes'
                    : `goes by ${dayWords(each.removeBy)}`}
                </span>
              </span>
              <ForWriters>
                <Button
                  className="px-3"
                  onClick={() =>
                    write.open({
                      kind: 'partFitted',
                      machineId: view.machine.appliance.id,
                      given: { removes: each.entryId },
                    })
                  }
                >
                  It came out
                </Button>
              </ForWriters>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
