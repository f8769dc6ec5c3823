/** The whole logbook, out and in: export as the open format, load into an empty store, verify the chain. */
import canonicalize from 'canonicalize';
import { z } from 'zod';
import type { verifyAnswer } from '../contract/api';
import { COMPANY_ID, ROW_TABLES, type RowTable, figureId } from '../contract/rows';
import { FORMAT, FORMAT_VERSION, type Logbook } from '../core/logbook/logbook';
import type { Entry } from '../core/logbook/entry';
import type { Revision } from '../core/logbook/tables';
import { type Instrument, instrumentRow } from '../core/visit/instrument';
import type { Clock } from './clock';
import type { Judging } from './judging';
import { CHAIN_START, type Sealable, firstBreak } from './store/seal';
import type { Store } from './store/store';

const LOAD_CHUNK = 400;

export async function exportLogbook(store: Store): Promise<Logbook> {
  const instruments = await store.instruments();
  const company = await store.company();
  const owners = await store.owners();
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    ...(company ? { company } : {}),
    ...(owners.length > 0 ? { owners } : {}),
    sites: await store.sites(),
    spaces: await store.spaces(),
    people: await store.people(),
    appliances: await store.appliances(),
    cylinders: await store.cylinders(),
    entries: await store.allEntries(),
    revisions: await store.allRevisions(),
    // No table of the format: kept beside it, for readings name the instruments that they came from.
    ...(instruments.length > 0 ? { 'x-instruments': instruments } : {}),
  };
}

interface StoredRow {
  table: RowTable;
  id: string;
  row: object;
}

function rowsOf(logbook: Logbook): StoredRow[] {
  const of = (table: RowTable, rows: readonly { id: string }[]): StoredRow[] =>
    rows.map((row) => ({ table, id: row.id, row }));
  return [
    ...(logbook.company ? [{ table: 'company' as const, id: COMPANY_ID, row: logbook.company }] : []),
    ...of('owners', logbook.owners ?? []),
    ...of('sites', logbook.sites),
    ...of('spaces', logbook.spaces ?? []),
    ...of('people', logbook.people),
    ...of('appliances', logbook.appliances),
    ...of('cylinders', logbook.cylinders),
    ...of('instruments', instrumentsOf(logbook)),
  ];
}

const same = (a: object, b: object): boolean => canonicalize(a) === canonicalize(b);

/** Revisions of the file, and one for each row that none of them gives as it stands. */
function revisionsOf(logbook: Logbook, recordedAt: string): Revision[] {
  const given = logbook.revisions ?? [];
  const latest = new Map(given.map((each) => [`${each.table} ${each.id}`, each]));
  const loose = rowsOf(logbook).filter(({ table, id, row }) => {
    const revision = latest.get(`${table} ${id}`);
    return !revision || !same(revision.row, row);
  });
  return [
    ...given,
    ...loose.map(({ table, id, row }) => ({
      table,
      id,
      row: row as Revision['row'],
      recordedAt,
      by: null,
      why: 'as it stood in the file that was loaded',
    })),
  ];
}

/** Links in the order of the chain that they carry; those outside any chain come last, as they stand. */
function inChainOrder(links: readonly Sealable[]): Sealable[] {
  const after = new Map<string, Sealable>();
  for (const link of links) if (link.seal?.previous != null) after.set(link.seal.previous, link);
  const ordered: Sealable[] = [];
  let hash: string | null | undefined = CHAIN_START;
  while (hash != null) {
    const next: Sealable | undefined = after.get(hash);
    if (!next) break;
    ordered.push(next);
    after.delete(hash);
    hash = next.seal?.hash;
  }
  const known = new Set(ordered);
  return [...ordered, ...links.filter((link) => !known.has(link))];
}

/** Loads a logbook that `readLogbook` has read into an empty store, then judges every machine. */
export async function loadLogbook(
  store: Store,
  judging: Judging,
  clock: Clock,
  logbook: Logbook,
): Promise<void> {
  await store.database.write(async () => {
    const rows = rowsOf(logbook).map(({ table, id, row }) => store.putRow(table, id, row));
    for (let start = 0; start < rows.length; start += LOAD_CHUNK)
      await store.batch(rows.slice(start, start + LOAD_CHUNK));
    const revisions = revisionsOf(logbook, new Date(clock.nowMs()).toISOString());
    const links = inChainOrder([...revisions, ...logbook.entries]);
    for (let start = 0; start < links.length;) {
      // Runs of one kind are sealed together: a chain may take turns.
      const isEntry = (link: Sealable | undefined): link is Entry => link !== undefined && 'kind' in link;
      const entries = isEntry(links[start]);
      let end = start;
      while (end < links.length && end - start < LOAD_CHUNK && isEntry(links[end]) === entries) end += 1;
      const run = links.slice(start, end);
      const sealed = entries ? await store.sealed(run as Entry[]) : await store.sealed([], run as Revision[]);
      await store.batch(sealed.statements);
      start = end;
    }
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

/** The chain of entries and revisions, and whether each row still is what its latest revision says. */
export async function verifyChain(store: Store): Promise<z.infer<typeof verifyAnswer>> {
  const links = await store.chain();
  const brokenAt = firstBreak(links);
  const latest = new Map<string, Revision>();
  let entries = 0;
  for (const { sealed } of links) {
    if ('kind' in sealed) entries += 1;
    else latest.set(`${sealed.table} ${sealed.id}`, sealed);
  }
  const alteredRows: { table: string; id: string }[] = [];
  const seen = new Set<string>();
  for (const table of ROW_TABLES)
    for (const { id, row } of await store.rowsOf(table)) {
      const revision = latest.get(`${table} ${id}`);
      seen.add(`${table} ${id}`);
      if (!revision || !same(revision.row, row)) alteredRows.push({ table, id });
    }
  for (const amendment of await store.amendments()) {
    const id = figureId(amendment);
    const { recordedAt: _, ...row } = amendment;
    const revision = latest.get(`figures ${id}`);
    seen.add(`figures ${id}`);
    if (!revision || !same(revision.row, row)) alteredRows.push({ table: 'figures', id });
  }
  for (const { table, id } of latest.values())
    if (!seen.has(`${table} ${id}`)) alteredRows.push({ table, id });
  return {
    entries,
    revisions: links.length - entries,
    intact: brokenAt === null && alteredRows.length === 0,
    brokenAt,
    alteredRows,
  };
}
