/** Picking a machine from all of them: those used last come first. */
import { useState } from 'react';
import { useMachines } from '../data/queries';
import { recentIds } from '../data/recentMachines';
import { inputShape } from './Field';
import { Loaded } from './Page';

const MOST_SHOWN = 40;

export function MachinePicker({ onPick }: { onPick: (id: string) => void }) {
  const machines = useMachines();
  const [text, setText] = useState('');
  return (
    <>
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
              return summary.state !== 'retired' && wanted.every((word) => all.includes(word));
            })
            .sort((a, b) => rank(recent, a.appliance.id) - rank(recent, b.appliance.id));
          return (
            <ul className="mt-3">
              {found.slice(0, MOST_SHOWN).map(({ appliance, siteName, summary }) => (
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
              {found.length > MOST_SHOWN && (
                <li className="py-3 text-soft">
                  {String(found.length - MOST_SHOWN)} more; type a little more of the name.
                </li>
              )}
            </ul>
          );
        }}
      </Loaded>
    </>
  );
}

function rank(recent: readonly string[], id: string): number {
  const index = recent.indexOf(id);
  return index === -1 ? recent.length : index;
}
