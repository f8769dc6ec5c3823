/** The process that reads a file and plans its import: large or hostile, it holds up nobody, and can be stopped. */
import { readFile } from 'node:fs/promises';
import { writePlan } from './jobs';
import { planFile } from './planFile';
import { FileRefused } from './refused';
import { knownOfStore, openKnown } from './storeKnown';
import { systemClock } from '../clock';
import type { FromChild, ImportTask } from './task';

/** Resolves when it is on its way: who leaves before takes it along. */
const tell = (message: FromChild): Promise<void> =>
  new Promise((resolve) => {
    if (process.send) process.send(message, () => resolve());
    else resolve();
  });
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
    const chainEnd = await known.chainEnd();
    const planned = await planFile(
      await readFile(task.path),
      {
        ...task,
        known: (sheets) => knownOfStore(known, sheets),
        knownMachines: (ids) => knownOfStore(known, [], ids),
        present: known.present,
        remembered: known.remembered,
      },
      (done, of) => {
        if (performance.now() - told < EVERY_MS) return;
        told = performance.now();
        void tell({ progress: { done, of } });
      },
    );
    // Of thousands of rows a plan is too long for a message: it stands in a file, whole before it is told of.
    await writePlan(task.planPath, planned);
    await tell({ planned: { chainEnd } });
  } catch (error) {
    await tell({
      refusal:
        error instanceof FileRefused
          ? error.message
          : `This file could not be read: ${error instanceof Error ? error.message : String(error)}`,
    });
  }
  process.disconnect();
}
