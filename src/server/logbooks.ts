/** The whole logbook, out and in: export as the open format, load into an empty store, verify the chain. */
import { z } from 'zod';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../core/logbook/logbook';
import { type Instrument, instrumentRow } from '../core/visit/instrument';
import type { verifyAnswer } from '../contract/api';
import type { Judging } from './judging';
import { firstBreak } from './store/seal';
import type { Store } from './store/store';

const LOAD_CHUNK = 400;

export async function exportLogbook(store: Store): Promise<Logbook> {
  const instruments = await store.instruments();
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    sites: await store.sites(),
    spaces: await store.spaces(),
    people: await store.people(),
    appliances: await store.appliances(),
    cylinders: await store.cylinders(),
    entries: (await store.allEntries()).map((row) => row.entry),
    // No field of the format: kept beside it, for readings name the instruments that they came from.
    ...(instruments.length > 0 ? { 'x-instruments': instruments } : {}),
  };
}

/** Loads a logbook that `readLogbook` has read into an empty store, then judges every machine. */
export async function loadLogbook(store: Store, judging: Judging, logbook: Logbook): Promise<void> {
  await store.database.write(async () => {
    const rows = [
      ...logbook.sites.map(store.insertSite),
      ...(logbook.spaces ?? []).map(store.insertSpace),
      ...logbook.people.map(store.insertPerson),
      ...logbook.appliances.map(store.insertAppliance),
      ...logbook.cylinders.map(store.insertCylinder),
    ];
    const { statements } = await store.sealed(logbook.entries);
    const all = [...rows, ...instrumentsOf(logbook).map(store.putInstrument), ...statements];
    for (let start = 0; start < all.length; start += LOAD_CHUNK)
      await store.batch(all.slice(start, start + LOAD_CHUNK));
  });
  await judging.refresh(true);
}

/** What the export kept beside the format; a file from elsewhere may have none, or something else there. */
function instrumentsOf(logbook: Logbook): Instrument[] {
  const kept = z
    .array(instrumentRow)
    .safeParse((logbook as Logbook & { 'x-instruments'?: unknown })['x-instruments']);
  return kept.success ? kept.data : [];
}

export async function verifyChain(store: Store): Promise<z.infer<typeof verifyAnswer>> {
  const rows = await store.allEntries();
  const brokenAt = firstBreak(rows);
  return { entries: rows.length, intact: brokenAt === null, brokenAt };
}
