/** Modules of ours that run in a thread or process of their own, where the loader of TypeScript is not inherited. */
import { type ChildProcess, type ForkOptions, fork } from 'node:child_process';
import { Worker } from 'node:worker_threads';

const START = new URL('./apartStart.mjs', import.meta.url);

export const threadOf = (module: URL, workerData: unknown): Worker =>
  new Worker(START, { workerData, argv: [module.href] });

export const processOf = (module: URL, options: ForkOptions): ChildProcess =>
  fork(START, [module.href], options);
