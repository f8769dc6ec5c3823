/** Valves that were shut, as a list to be opened again: nothing is handed over with one of them unspoken of. */
import { useState } from 'react';
import { shutValves, type ValveState } from '../../../core/visit/valves';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { dayWords } from '../../../words/dates';
import { useVisitWrite } from '../useVisitWrite';
import { useVisit } from '../visitContext';

export function ValvesPanel() {
  const { view, newEntry } = useVisit();
  const deed = useVisitWrite('valve');
  const shut = shutValves(view.standing.history.entries);
  const open = (valve: ValveState) =>
    void deed.save(
      [
        newEntry('readings', {
          tool: 'valve',
          valve: valve.valve,
          part: valve.part,
          state: 'open',
          ofCompressor: valve.ofCompressor,
        }),
      ],
      `${valve.valve}: open again.`,
    );
  if (shut.length === 0) return <p className="mb-1 text-soft">No valve is written down as shut.</p>;
  return (
    <section aria-label="Valves shut, to be opened again" className="mb-3">
      <ApiError error={deed.error} />
      <ul>
        {shut.map((valve) => (
          <ShutValve
            key={valve.part ?? valve.valve}
            valve={valve}
            busy={deed.writing}
            onOpen={() => open(valve)}
          />
        ))}
      </ul>
    </section>
  );
}

function ShutValve({ valve, busy, onOpen }: { valve: ValveState; busy: boolean; onOpen: () => void }) {
  const { newEntry } = useVisit();
  const deed = useVisitWrite(`leave shut ${valve.part ?? valve.valve}`);
  const [leaving, setLeaving] = useState(false);
  const [why, setWhy] = useState('');
  const leave = async () => {
    if (why.trim() === '') return;
    const entry = newEntry('readings', {
      tool: 'valve',
      valve: valve.valve,
      part: valve.part,
      state: 'leftShut',
      ofCompressor: valve.ofCompressor,
      why: why.trim(),
    });
    if (await deed.save([entry], `${valve.valve}: left shut, and said so.`)) setLeaving(false);
  };
  return (
    <li className="rule-b py-2">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <p>
          <span className="font-semibold">{valve.valve}</span>{' '}
          <span className="text-soft">shut since {dayWords(valve.shutOn)}</span>
          {valve.leaksBy && <span className="block text-ochre">◐ does not hold</span>}
          {valve.ofCompressor && <span className="block font-semibold text-brick">▲ Do not start</span>}
          {valve.leftShut !== null && <span className="block text-ochre">◐ left shut: {valve.leftShut}</span>}
        </p>
        <div className="no-print flex gap-2">
          <Button disabled={busy} onClick={onOpen} aria-label={`${valve.valve}: open again`}>
            Open again
          </Button>
          {valve.leftShut === null && (
            <Button weight="quiet" onClick={() => setLeaving(!leaving)}>
              It stays shut…
            </Button>
          )}
        </div>
      </div>
      {leaving && (
        <div className="mt-2 flex flex-wrap items-end gap-2">
          <div className="min-w-56 flex-1">
            <TextField
              label={`Why ${valve.valve} stays shut`}
              value={why}
              onChange={(event) => setWhy(event.target.value)}
            />
          </div>
          <Button className="mb-4" disabled={busy || why.trim() === ''} onClick={() => void leave()}>
            Leave it shut
          </Button>
          <ApiError error={deed.error} />
        </div>
      )}
    </li>
  );
}
