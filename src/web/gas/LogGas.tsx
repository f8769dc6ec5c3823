/** Logging gas, opened from anywhere by `?log=gas`: first which machine, then how much. */
import { useState } from 'react';
import { useMachine, useMachines, useToday } from '../data/queries';
import { Loaded } from '../parts/Page';
import { Sheet } from '../parts/Sheet';
import { inputShape } from '../parts/Field';
import { GasForm } from './GasForm';
import { recentIds, useLogSheet } from './logSheet';

export function LogGas() {
  const sheet = useLogSheet();
  if (!sheet.open) return null;
  return sheet.machineId === null ? (
    <PickMachine onPick={(machine) => sheet.openFor({ machine })} onClose={sheet.close} />
  ) : (
    <MachineGas key={sheet.machineId} id={sheet.machineId} />
  );
}

function MachineGas({ id }: { id: string }) {
  const sheet = useLogSheet();
  const query = useMachine(id);
  const today = useToday(query.data?.site.timezone);
  if (query.data === undefined || today === null) {
    return (
      <Sheet title="Log gas" onClose={sheet.close}>
        <Loaded query={query}>{() => null}</Loaded>
      </Sheet>
    );
  }
  return (
    <GasForm
      machine={query.data}
      today={today}
      supersedes={sheet.supersedes}
      leakId={sheet.leakId}
      direction={sheet.direction}
      onClose={sheet.close}
    />
  );
}

function PickMachine({ onPick, onClose }: { onPick: (id: string) => void; onClose: () => void }) {
  const machines = useMachines();
  const [text, setText] = useState('');
  return (
    <Sheet title="Log gas" subtitle="Into or out of which machine?" onClose={onClose}>
      <input
        autoFocus
        type="search"
        aria-label="Find a machine by name, site or refrigerant"
        placeholder="Name, site or refrigerant"
        className={inputShape}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Loaded query={machines}>
        {(rows) => {
          const recent = recentIds();
          const wanted = text.toLowerCase().split(/\s+/);
          const found = rows
            .filter(({ appliance, siteName, summary }) => {
              const all = `${appliance.name} ${siteName} ${summary.refrigerant}`.toLowerCase();
              return wanted.every((word) => all.includes(word));
            })
            .sort((a, b) => rank(recent, a.appliance.id) - rank(recent, b.appliance.id));
          return (
            <ul className="mt-3">
              {found.slice(0, 40).map(({ appliance, siteName, summary }) => (
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
              {found.length === 0 && (
                <li className="py-6 text-soft">No machine has that in its name, site or refrigerant.</li>
              )}
              {found.length > 40 && (
                <li className="py-3 text-soft">
                  {String(found.length - 40)} more; type a little more of the name.
                </li>
              )}
            </ul>
          );
        }}
      </Loaded>
    </Sheet>
  );
}

function rank(recent: readonly string[], id: string): number {
  const index = recent.indexOf(id);
  return index === -1 ? recent.length : index;
}
