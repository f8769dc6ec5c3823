/** A clock from the moment the gas was let in and shut off; what it says goes into the field when it is read. */
import { Button } from '../../parts/Button';
import { useStopwatch } from './useStopwatch';

export function PressureTestTimer({ onStood }: { onStood: (minutes: string) => void }) {
  const { running, seconds, clock, begin, stop } = useStopwatch('holdSince');
  if (!running)
    return (
      <Button className="mb-4 w-full" onClick={begin}>
        Gas is in and shut off: start the clock
      </Button>
    );
  return (
    <div className="rule-b mb-4 pb-2">
      <p className="text-3xl font-bold" role="timer">
        {clock}
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => onStood((seconds / 60).toFixed(1))}>Take this time</Button>
        <Button weight="quiet" onClick={stop}>
          Stop the clock
        </Button>
      </div>
    </div>
  );
}
