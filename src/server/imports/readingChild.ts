/** A process of its own that reads a file: it tells how far it is, and what came of it when it ends. */
import type { ChildProcess } from 'node:child_process';
import { processOf } from '../apart';
import type { FromChild } from './task';

const WORK = new URL('./child.ts', import.meta.url);
const MOST_MEMORY_MB = 2048;

type Progress = Extract<FromChild, { progress: unknown }>['progress'];

/** The answer is null where the process ended without one. */
export function readingChild(onProgress: (progress: Progress) => void): {
  child: ChildProcess;
  answer: Promise<FromChild | null>;
} {
  const child = processOf(WORK, {
    execArgv: [`--max-old-space-size=${String(MOST_MEMORY_MB)}`],
    serialization: 'advanced',
  });
  let answered: FromChild | null = null;
  child.on('message', (message: FromChild) => {
    if ('progress' in message) onProgress(message.progress);
    else answered = message;
  });
  const answer = new Promise<FromChild | null>((resolve) => {
    let ends = 0;
    // The channel may close after the process: what it told last is heard before it is judged.
    const ended = () => {
      ends += 1;
      if (ends === 2) resolve(answered);
    };
    child.on('error', () => {
      ends = 1;
      ended();
    });
    child.on('exit', ended);
    child.on('disconnect', ended);
  });
  return { child, answer };
}
