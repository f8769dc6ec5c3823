/** Every visit that this machine had, found for ever, the latest first. */
import { useState } from 'react';
import { Link } from 'react-router';
import { supersededIds } from '../../core/logbook/order';
import { notesOf } from '../../core/visit/visitRecord';
import { useWriter } from '../data/device/writer';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';
import { visitAddress } from '../data/addresses/visitAddress';
import { dateWords } from '../../words/dates';
import type { MachineView } from '../data/api/machineView';

const SHOWN = 6;

export function Visits({ view: { machine, standing } }: { view: MachineView }) {
  const { people } = useWriter();
  const [all, setAll] = useState(false);
  const superseded = supersededIds(machine.entries);
  const signed = new Set(notesOf(standing.history.entries, 'signed').map(({ entry }) => entry.visitId));
  const visits = new Map<string, { days: string[]; by: string; entries: number }>();
  for (const entry of machine.entries) {
    if (entry.visitId == null || superseded.has(entry.id) || entry.applianceId !== machine.appliance.id)
      continue;
    const known = visits.get(entry.visitId) ?? { days: [], by: entry.by, entries: 0 };
    known.days.push(entry.on);
    known.entries += 1;
    visits.set(entry.visitId, known);
  }
  const listed = [...visits].toReversed();
  if (listed.length === 0) return null;
  const shown = all ? listed : listed.slice(0, SHOWN);
  return (
    <Section title="Visits" aside={<span className="text-soft">{listed.length}</span>}>
      <ul>
        {shown.map(([visitId, { days, by, entries }]) => {
          const sorted = days.toSorted();
          const [from = ''] = sorted;
          const to = sorted.at(-1) ?? from;
          return (
            <li key={visitId} className="rule-b">
              <Link
                className="flex min-h-12 flex-wrap items-center gap-x-4 py-1.5"
                to={visitAddress(visitId, machine.appliance.id, signed.has(visitId) ? 'handOver' : 'arrive')}
              >
                <span className="font-semibold text-green underline underline-offset-4">
                  {from === to ? dateWords(from) : `${dateWords(from)} to ${dateWords(to)}`}
                </span>
                <span className="text-soft">
                  {people.find((each) => each.id === by)?.name ?? by} · {entries}{' '}
                  {entries === 1 ? 'entry' : 'entries'} ·{' '}
                  {signed.has(visitId) ? 'handed over' : 'not handed over'}
                </span>
              </Link>
            </li>
          );
        })}
      </ul>
      {shown.length < listed.length && (
        <Button weight="quiet" onClick={() => setAll(true)}>
          Show all {listed.length}
        </Button>
      )}
    </Section>
  );
}
