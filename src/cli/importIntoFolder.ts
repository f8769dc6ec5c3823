/** An import into the database of a data folder; opened only when one is named. */
import { mkdirSync } from 'node:fs';
import { basename, join } from 'node:path';
import { v7 as uuidv7 } from 'uuid';
import type { Logbook } from '../core/logbook/logbook';
import type { Clock } from '../server/clock';
import { chosenRows } from '../server/imports/chosenRows';
import type { PlannedFile } from '../server/imports/planFile';
import { knownOfStore, knownStore } from '../server/imports/storeKnown';
import { loadLogbook } from '../server/exports/logbooks';
import { type Services, openServices } from '../server/services';
import { DATABASE } from '../server/dataFolder';
import { fail } from './exit';
import type { Arguments, Target } from './importTarget';

export async function folderTarget(
  { into, file }: Arguments,
  logbook: Logbook | null,
  clock: Clock,
): Promise<Target> {
  const folder = into ?? '';
  const database = join(folder, DATABASE);
  mkdirSync(folder, { recursive: true });
  const services = await openServices(`file:${database}`, clock);
  if (logbook !== null) {
    if ((await services.store.people()).length > 0 || (await services.store.company()) !== null)
      fail(`${folder} holds a logbook already; leave out --logbook, or name an empty folder.`);
    await loadLogbook(services, logbook);
  }
  const known = knownStore(services.database.db, clock);
  return {
    plan: {
      packs: await services.keeper.currentPacks(),
      known: (sheets) => knownOfStore(known, sheets),
      knownMachines: (ids) => knownOfStore(known, [], ids),
      present: known.present,
      remembered: known.remembered,
    },
    write: (planned) => writeInto(services, planned, file),
    close: services.close,
  };
}

async function writeInto(services: Services, planned: PlannedFile, file: string): Promise<void> {
  await services.importWriting.write({
    id: uuidv7(),
    by: 'not recorded',
    name: basename(file),
    rows: chosenRows(planned, new Set(), true),
    stopped: () => false,
    revisions: planned.revisions,
    path: file,
    progress: () => undefined,
  });
}
