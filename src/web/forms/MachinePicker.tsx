/** Picking a machine from all of them: those used last come first. */
import { useDeferredValue, useState } from 'react';
import type { MachineRow } from '../../contract/machines';
import { useMachines } from '../data/api/queries';
import { recentIds } from '../data/device/recentMachines';
import { SearchInput } from '../parts/SearchInput';
import { Loaded } from '../parts/Page';

const MOST_SHOWN = 40;

export function MachinePicker({ onPick }: { onPick: (id: string) => void }) {
  const [text, setText] = useState('');
  const asked = useDeferredValue(text).trim();
  const [recent] = useState(recentIds);
  const used = useMachines({ ids: recent.join(',') }, recent.length > 0);
  const machines = useMachines({ text: asked, sort: 'name', limit: MOST_SHOWN });
  return (
    <>
      <SearchInput
        autoFocus
        label="Find a machine by name, site or refrigerant"
        placeholder="Name, site or refrigerant"
        value={text}
        onChange={setText}
      />
      <Loaded query={machines}>
        {({ rows, count, more }) => {
          const first = asked === '' ? usedLast(recent, used.data?.rows ?? []) : [];
          const shown = [...first, ...rows.filter((row) => !first.some((each) => same(each, row)))];
          const left = count - rows.length;
          return (
            <ul className="mt-3">
              {shown.map(({ appliance, siteName, summary }) => (
                <li key={appliance.id} className="rule-b">
                  <button
                    type="button"
                    className="min-h-14 w-full cursor-pointer py-2 text-left"
                    onClick={() => onPick(appliance.id)}
                  >
                    <span className="font-semibold">{appliance.name}</span> · {siteName}
                    <span className="block text-soft">{summary.refrigerant}</span>
                  </button>
                </li>
              ))}
              {shown.length === 0 && (
                <li className="py-6 text-soft">No machine has that in its name, site or refrigerant.</li>
              )}
              {left > 0 && (
                <li className="py-3 text-soft">
                  {more ? 'Many' : String(left)} more; type a little more of the name.
                </li>
              )}
            </ul>
          );
        }}
      </Loaded>
    </>
  );
}

const same = (a: MachineRow, b: MachineRow): boolean => a.appliance.id === b.appliance.id;

/** In the order in which they were used; what is retired is not written to any more. */
const usedLast = (ids: readonly string[], rows: readonly MachineRow[]): MachineRow[] =>
  ids.flatMap((id) =>
    rows.filter(({ appliance, summary }) => appliance.id === id && summary.state !== 'retired'),
  );
