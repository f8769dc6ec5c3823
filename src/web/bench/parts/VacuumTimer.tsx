/** A clock from the moment the pump was shut off, and one field to add a reading at its time. Runs on through a reload. */
import { useEffect, useState } from 'react';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';

const KEY = 'abacus.bench.vacuumSince';

export function VacuumTimer({ unit, onReading }: { unit: string; onReading: (line: string) => void }) {
  const [since, setSince] = useState(() => Number(localStorage.getItem(KEY) ?? 0));
  const [now, setNow] = useState(() => Date.now());
  const [text, setText] = useState('');
  useEffect(() => {
    if (since === 0) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [since]);
  const begin = (at: number) => {
    localStorage.setItem(KEY, String(at));
    setSince(at);
    setNow(at);
  };
  if (since === 0)
    return (
      <Button weight="main" className="mb-4 w-full" onClick={() => begin(Date.now())}>
        Pump is shut off: start the clock
      </Button>
    );
  const seconds = Math.max(0, Math.floor((now - since) / 1000));
  const clock = `${String(Math.floor(seconds / 60))}:${String(seconds % 60).padStart(2, '0')}`;
  const add = () => {
    if (text.trim() === '') return;
    onReading(`${clock} ${text.trim()}`);
    setText('');
  };
  return (
    <form
      className="rule-b mb-4 pb-2"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <p className="text-3xl font-bold" role="timer">
        {clock}
      </p>
      <TextField
        label={`Reading now, in ${unit === 'micron' ? 'microns' : unit}`}
        inputMode="decimal"
        autoComplete="off"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <div className="mb-2 flex flex-wrap gap-2">
        <Button type="submit" weight="main">
          Add this reading
        </Button>
        <Button weight="quiet" onClick={() => begin(0)}>
          Stop the clock
        </Button>
      </div>
    </form>
  );
}
