/** A clock from the moment the pump was shut off, and one field to add a reading at its time. Runs on through a reload. */
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { TextField } from '../../parts/Field';
import { useStopwatch } from './useStopwatch';

export function VacuumTimer({ unit, onReading }: { unit: string; onReading: (line: string) => void }) {
  const { running, clock, begin, stop } = useStopwatch('vacuumSince');
  const [text, setText] = useState('');
  if (!running)
    return (
      <Button weight="main" className="mb-4 w-full" onClick={begin}>
        Pump is shut off: start the clock
      </Button>
    );
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
        <Button weight="quiet" onClick={stop}>
          Stop the clock
        </Button>
      </div>
    </form>
  );
}
