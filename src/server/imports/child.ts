/** The process that reads a file and plans its import: large or hostile, it holds up nobody, and can be stopped. */
import { readFile } from 'node:fs/promises';
import { planFile } from './planFile';
import { FileRefused } from './refused';
import { knownOfStore, openKnown } from './storeKnown';
import { systemClock } from '../clock';
import type { FromChild, ImportTask } from './task';

const tell = (message: FromChild): void => {
  process.send?.(message);
};
const EVERY_MS = 200;

process.once('message', (task: ImportTask) => {
  void work(task);
});

async function work(task: ImportTask): Promise<void> {
  try {
    let told = 0;
    const known = openKnown(
      task.url,
      systemClock(task.fixedToday ?? undefined, () => task.nowMs),
    );
    const planned = await planFile(
      await readFile(task.path),
      {
        ...task,
        known: (sheets) => knownOfStore(known, sheets),
        present: known.present,
        remembered: known.remembered,
      },
      (done, of) => {
        if (performance.now() - told < EVERY_MS) return;
        told = performance.now();
        tell({ progress: { done, of } });
      },
    );
    tell({ planned });
  } catch (error) {
    tell({
      refusal:
        error instanceof FileRefused
          ? error.message
          : `This file could not be read: ${error instanceof Error ? error.message : String(error)}`,
    });
  }
  process.disconnect();
}
