/**
 * A thread that folds machines and hands over what it judged, a few lots ahead of whoever stores it: stale ones that it
 * reads from the store itself, or ones that it is given.
 */
import type { Packs } from '../../core/rules/packs/shipped';
import { threadOf } from '../apart';
import type { MachineStanding } from '../store/machineStanding';

export interface StandingTask {
  url: string;
  /** stamps whose machines are read and judged; null: those that are given */
  stale: readonly string[] | null;
  under: string;
  packs: Packs;
  fixedToday: string | null;
  nowMs: number;
}

/** A machine that is given, as texts: those are cheap to hand over. */
export interface GivenMachine {
  appliance: string;
  site: string;
  /** a list of its entries */
  entries: string;
  /** ids of its entries that are superseded in the whole logbook */
  superseded: readonly string[];
}

export type ToThread = { given: GivenMachine[] } | { given: null } | 'stored' | 'stop';
export type FromThread = { judged: MachineStanding[] } | { done: true };

/** So many lots may wait to be stored. */
export const LOTS_AHEAD = 8;
/** So many machines make a lot. */
export const MACHINES_OF_A_LOT = 20;

const WORK = new URL('./standingThreadWork.ts', import.meta.url);

export interface StandingThread {
  /** null: that was all */
  give: (machines: GivenMachine[] | null) => void;
  /** what is there already, without waiting */
  ready: () => MachineStanding[];
  /** all that is still to come */
  judged: () => AsyncGenerator<MachineStanding[]>;
}

export function startStandingThread(task: StandingTask): StandingThread {
  const worker = threadOf(WORK, task);
  const waiting: FromThread[] = [];
  let failed: Error | null = null;
  let wake: () => void = () => undefined;
  worker.on('message', (message: FromThread) => {
    waiting.push(message);
    wake();
  });
  worker.on('error', (error: Error) => {
    failed = error;
    wake();
  });
  const exited = new Promise<void>((resolve) => {
    worker.on('exit', () => {
      if (!failed) waiting.push({ done: true });
      wake();
      resolve();
    });
  });
  const post = (message: ToThread) => worker.postMessage(message);
  return {
    give: (machines) => post({ given: machines }),
    ready: () => {
      const judged: MachineStanding[] = [];
      for (let first = waiting[0]; first && 'judged' in first; first = waiting[0]) {
        judged.push(...first.judged);
        waiting.shift();
        post('stored');
      }
      return judged;
    },
    async *judged() {
      try {
        for (;;) {
          const message = waiting.shift();
          if (message && 'done' in message) return;
          if (message) {
            yield message.judged;
            post('stored');
          } else if (failed) throw failed;
          else await new Promise<void>((resolve) => (wake = resolve));
        }
      } finally {
        // It ends by itself: a thread that is cut off within the driver may take the process with it.
        post('stop');
        await exited;
      }
    },
  };
}
