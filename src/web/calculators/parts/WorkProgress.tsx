/** Long work: how far it is, a button to stop it, and what to do when it was stopped or failed. */
import { Button } from '../../parts/Button';
import type { TaskName } from '../work/tasks';
import type { Work } from '../work/useWork';
import { Refused } from './Answer';

export function WorkProgress({
  work,
  words,
  onStop,
  onAgain,
}: {
  work: Work<TaskName>;
  words: string;
  onStop: () => void;
  onAgain: () => void;
}) {
  if (work.state === 'running') {
    const percent = Math.round(work.share * 100);
    return (
      <div className="my-3">
        <p className="mb-1">
          {words}: {String(percent)} %
        </p>
        <div className="flex items-center gap-3">
          <progress aria-label={words} max={100} value={percent} className="h-4 w-full accent-green" />
          <Button onClick={onStop}>Stop</Button>
        </div>
      </div>
    );
  }
  if (work.state === 'stopped')
    return (
      <div className="my-3 flex flex-wrap items-center gap-3">
        <p>Stopped. Nothing of it was kept.</p>
        <Button onClick={onAgain}>Start again</Button>
      </div>
    );
  if (work.state === 'failed')
    return (
      <>
        <Refused>{work.message}</Refused>
        <Button onClick={onAgain}>Try again</Button>
      </>
    );
  return null;
}
