/** Valves that were shut, as a list to be opened again: nothing is handed over with one of them unspoken of. */
import { useState } from 'react';
import { partType } from '../../../core/visit/circuit/parts';
import { shutValves, type ValveState } from '../../../core/visit/visitRecord';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { CheckField, TextField } from '../../parts/Field';
import { Section } from '../../parts/Page';
import { partWords } from '../../../words/circuit';
import { dayWords } from '../../../words/dates';
import { useVisitWrite } from '../useVisitWrite';
import { useKeptDraft } from '../../data/useKeptDraft';
import { useVisit } from '../visitContext';

const NO_VALVE = { name: '', ofCompressor: false };

export function ValvesPanel() {
  const { view, visitId, map, newEntry } = useVisit();
  const deed = useVisitWrite('valve');
  const shut = shutValves(view.standing.history.entries);
  const {
    draft: typed,
    set,
    forget,
  } = useKeptDraft(`${visitId} ${view.machine.appliance.id} valve`, () => NO_VALVE);
  const { name, ofCompressor } = typed;
  const [tried, setTried] = useState(false);
  const known = map.parts.filter((part) => partType(part.type).valve);
  const state = async (valve: string, next: 'shut' | 'open', compressor: boolean) => {
    const entry = newEntry('readings', { tool: 'valve', valve, state: next, ofCompressor: compressor });
    return deed.save([entry], `${valve}: ${next === 'open' ? 'open again' : 'shut'}.`);
  };
  const add = async () => {
    setTried(true);
    if (name.trim() === '') return;
    if (await state(name.trim(), 'shut', ofCompressor)) {
      forget();
      setTried(false);
    }
  };
  return (
    <Section title="Valves shut, to be opened again">
      {shut.length === 0 && <p className="mb-2 text-soft">None is written down as shut.</p>}
      <ApiError error={deed.error} />
      <ul className="mb-3">
        {shut.map((valve) => (
          <ShutValve
            key={valve.valve}
            valve={valve}
            busy={deed.writing}
            onOpen={() => void state(valve.valve, 'open', valve.ofCompressor)}
          />
        ))}
      </ul>
      <div className="no-print flex flex-wrap items-start gap-x-4">
        <div className="min-w-56 flex-1">
          <TextField
            label="Valve that you shut"
            list="valves-of-the-map"
            value={name}
            onChange={(event) => {
              const part = known.find((each) => partWords(each) === event.target.value);
              set({
                name: event.target.value,
                ofCompressor: part ? (partType(part.type).ofCompressor ?? false) : ofCompressor,
              });
            }}
            error={tried && name.trim() === '' ? 'Name the valve.' : null}
          />
          <datalist id="valves-of-the-map">
            {known.map((part) => (
              <option key={part.id} value={partWords(part)} />
            ))}
          </datalist>
        </div>
        <CheckField
          label="Of the compressor: do not start"
          checked={ofCompressor}
          onChange={(event) => set({ name, ofCompressor: event.target.checked })}
        />
        <Button disabled={deed.writing} onClick={() => void add()}>
          Write it down as shut
        </Button>
      </div>
    </Section>
  );
}

function ShutValve({ valve, busy, onOpen }: { valve: ValveState; busy: boolean; onOpen: () => void }) {
  const { newEntry } = useVisit();
  const deed = useVisitWrite(`leave shut ${valve.valve}`);
  const [leaving, setLeaving] = useState(false);
  const [why, setWhy] = useState('');
  const leave = async () => {
    if (why.trim() === '') return;
    const entry = newEntry('readings', {
      tool: 'valve',
      valve: valve.valve,
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
