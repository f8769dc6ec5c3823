/** Runs one task at a time in a worker, with progress; a new run or leaving the page ends the old one. */
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Reply, TaskName, Tasks } from './tasks';

export type Work<T extends TaskName> =
  | { state: 'idle' }
  | { state: 'running'; share: number }
  | { state: 'stopped' }
  | { state: 'failed'; message: string }
  | { state: 'done'; result: Tasks[T]['result'] };

export function useWork<T extends TaskName>(task: T) {
  const worker = useRef<Worker | null>(null);
  const [work, setWork] = useState<Work<T>>({ state: 'idle' });

  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);

  const run = useCallback(
    (input: Tasks[T]['input']) => {
      end();
      const started = new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' });
      worker.current = started;
      setWork({ state: 'running', share: 0 });
      started.onmessage = ({ data }: MessageEvent<Reply<T>>) => {
        if ('share' in data) return setWork({ state: 'running', share: data.share });
        end();
        setWork(
          'error' in data ? { state: 'failed', message: data.error } : { state: 'done', result: data.result },
        );
      };
      started.onerror = (event) => {
        end();
        setWork({
          state: 'failed',
          message: event.message || 'The reckoning could not start. Reload the page.',
        });
      };
      started.postMessage({ task, input });
    },
    [task, end],
  );
  const stop = useCallback(() => {
    end();
    setWork({ state: 'stopped' });
  }, [end]);
  /** Back to nothing, where there is nothing to reckon any more. */
  const clear = useCallback(() => {
    end();
    setWork({ state: 'idle' });
  }, [end]);
  return { work, run, stop, clear };
}
