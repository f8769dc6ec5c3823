/** Writes what an import planned, all of it or nothing, and takes it back: entries are voided, rows withdrawn, nothing is erased. */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import type { ImportedRow, UndoPreview } from '../../contract/imports';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Revision, Site } from '../../core/logbook/tables';
import type { Clock } from '../clock';
import type { Judging, Put } from '../judging';
import type { Photos } from '../photos';
import type { RecentMachines } from '../recent';
import { revisionOf } from '../rowRevision';
import type { Database, Statement } from '../store/database';
import type { ImportStore, Wrote } from '../store/imports';
import type { Standings } from '../store/standings';
import type { Store } from '../store/store';
import { visitsAfter } from '../store/visits';
import { Chain } from '../store/chain';
import { isWithdrawn } from '../store/withdrawn';
import type { PlannedRow } from './plan';
import { type StoredRow, broughtBy, takenBack, voidOf, withdrawnRow } from './undoing';
import { keepPhotosOf } from './zipPhotos';

export interface Writing {
  id: string;
  by: string;
  name: string;
  rows: readonly PlannedRow[];
  /** history of rows that are new */
  revisions: readonly Revision[];
  /** the file, for what lies beside a logbook in its zip */
  path: string;
  /** asked again and again: then nothing of it is kept */
  stopped: () => boolean;
  progress: (done: number, of: number) => void;
}

function* partsOf(statements: readonly Statement[]): Generator<Statement[]> {
  for (let start = 0; start < statements.length; start += PART) yield statements.slice(start, start + PART);
}

/** Somebody stopped it before it was whole: nothing was written. */
export class WritingStopped extends Error {}

/** So many links are sealed and stored before others get their turn. */
const PART = 500;

export class ImportWriting {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly standings: Standings,
    private readonly imports: ImportStore,
    private readonly judging: Judging,
    private readonly photos: Photos,
    private readonly recent: RecentMachines,
    private readonly clock: Clock,
  ) {}

  chainEnd = async (): Promise<string> => (await this.store.endOfChain()).previous;

  async write(writing: Writing): Promise<{ rows: number; entries: number }> {
    await keepPhotosOf(writing.path, writing.rows, this.photos);
    return this.database.write(async () => {
      const known = await this.imports.byId(writing.id);
      if (known) return { rows: known.row.rows, entries: known.row.entries };
      const rows = await this.freshRows(writing.rows);
      const recordedAt = this.now();
      const entries = (await this.freshEntries(writing.rows)).map((entry) => ({
        ...entry,
        recordedAt: entry.recordedAt ?? recordedAt,
      }));
      const changing = { by: writing.by, why: broughtBy(writing.name) };
      const given = new Map<string, Revision[]>();
      for (const each of writing.revisions) {
        const key = `${each.table} ${each.id}`;
        given.set(key, [...(given.get(key) ?? []), each]);
      }
      const revisions = rows.flatMap((row) => [
        ...(given.get(`${row.table} ${row.id}`) ?? []),
        revisionOf({ ...row, before: null }, changing, this.clock),
      ]);
      const row: ImportedRow = {
        id: writing.id,
        name: writing.name,
        recordedAt,
        by: writing.by,
        rows: rows.length,
        entries: entries.length,
        undoneAt: null,
      };
      const wrote: Wrote = {
        entries: entries.map(({ id }) => id),
        rows: rows.map(({ table, id }) => ({ table, id })),
      };
      const corrected = await this.visitsOf(entries);
      const end = (await this.store.endOfChain()).sequence;
      const puts: Put[] = [];
      await this.inParts(writing, [
        rows.map(({ table, id, row: document }) => this.store.putRow(table, id, document)),
        this.sealedParts([...revisions, ...entries]),
        visitsAfter(end + revisions.length + 1, entries, corrected),
        this.judgedParts(rows, entries, (put) => puts.push(put)),
        [this.imports.insert(row, wrote)],
      ]);
      this.recent.clear();
      for (const each of puts) this.judging.remember(each);
      return { rows: rows.length, entries: entries.length };
    });
  }

  /** All of it or nothing, part by part: whoever reads meanwhile gets a turn, and whoever stops it is heard. */
  private async inParts(
    { stopped, progress }: Pick<Writing, 'stopped' | 'progress'>,
    steps: readonly (readonly Statement[] | AsyncGenerator<Statement[]>)[],
  ): Promise<void> {
    let done = 0;
    const parts = async function* (): AsyncGenerator<Statement[]> {
      for (const step of steps) {
        const of = Array.isArray(step) ? partsOf(step as Statement[]) : (step as AsyncGenerator<Statement[]>);
        for await (const part of of) {
          if (stopped()) throw new WritingStopped();
          // The first part waits for nobody: a transaction is open by then.
          yield part;
          progress((done += 1), 0);
          await turnOfOthers();
        }
      }
    };
    try {
      await this.database.batches(parts());
    } catch (error) {
      // What was to be stored is not: nothing that was judged on the way holds.
      this.recent.clear();
      throw error;
    }
  }

  private async *sealedParts(links: readonly (Revision | Entry)[]): AsyncGenerator<Statement[]> {
    const chain = new Chain(await this.store.endOfChain());
    for (let start = 0; start < links.length; start += PART)
      yield chain.seal(links.slice(start, start + PART));
  }

  async whatUndoTakes(id: string): Promise<UndoPreview | null> {
    const found = await this.imports.byId(id);
    if (!found) return null;
    if (found.row.undoneAt !== null) return { rows: 0, entries: 0, stays: [] };
    const { rows, entries, stays } = await takenBack(this.store, found.wrote, found.row);
    return { rows: rows.length, entries: entries.length, stays };
  }

  /** Null: there is no such import. Taken back twice is taken back once. */
  async undo(id: string, by: string): Promise<ImportedRow | null> {
    return this.database.write(async () => {
      const found = await this.imports.byId(id);
      if (!found) return null;
      if (found.row.undoneAt !== null) return found.row;
      const taken = await takenBack(this.store, found.wrote, found.row);
      const recordedAt = this.now();
      const voids = taken.entries.map((entry) => voidOf(entry, found.row, by, recordedAt));
      const rows = taken.rows.map((row) => withdrawnRow(row, found.row.name));
      const sealed = rows.map((row) =>
        revisionOf({ ...row, before: null }, { by, why: `import of ${found.row.name} undone` }, this.clock),
      );
      const gone = new Set(rows.flatMap(({ table, id: row }) => (table === 'appliances' ? row : [])));
      const sites = new Set(taken.rows.flatMap(({ row }) => (row as Partial<Appliance>).siteId ?? []));
      const row = { ...found.row, undoneAt: recordedAt };
      const end = (await this.store.endOfChain()).sequence;
      const puts: Put[] = [];
      await this.inParts({ stopped: () => false, progress: () => undefined }, [
        rows.map(({ table, id, row: document }) => this.store.putRow(table, id, document)),
        this.sealedParts([...sealed, ...voids]),
        [...gone].flatMap((each) => this.standings.remove(each)),
        visitsAfter(end + sealed.length + 1, voids, await this.visitsOf(voids)),
        this.judgedParts(
          [],
          voids.filter(({ applianceId }) => !gone.has(applianceId ?? '')),
          (put) => puts.push(put),
        ),
        await this.tripsOf(sites),
        [this.imports.change(row)],
      ]);
      this.recent.clear();
      for (const each of puts) this.judging.remember(each);
      return row;
    });
  }

  /** What is due at sites that lost machines, counted anew in the same deed. */
  private async tripsOf(siteIds: ReadonlySet<string>): Promise<Statement[]> {
    const sites = await this.store.sitesById([...siteIds]);
    return sites.map(({ id, timezone }) => this.judging.trip({ siteId: id, timezone }));
  }

  private now = (): string => new Date(this.clock.nowMs()).toISOString();

  private async freshRows(planned: readonly PlannedRow[]): Promise<StoredRow[]> {
    const rows = new Map<string, StoredRow>();
    for (const { rows: staged } of planned)
      for (const each of staged) {
        const there = await this.store.rowOf(each.table, each.id);
        if (there === null || isWithdrawn(there)) rows.set(`${each.table} ${each.id}`, each);
      }
    return [...rows.values()];
  }

  private async freshEntries(planned: readonly PlannedRow[]): Promise<Entry[]> {
    const entries = planned.flatMap((each) => each.entries);
    const there = new Set((await this.store.entriesById(entries.map(({ id }) => id))).map(({ id }) => id));
    return [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(
      ({ id }) => !there.has(id),
    );
  }

  /** The standings of every machine that is new or has new entries, each folded once; others get their turn between. */
  private async *judgedParts(
    rows: readonly StoredRow[],
    entries: readonly Entry[],
    tell: (put: Put) => void,
  ): AsyncGenerator<Statement[]> {
    const staged = <Row>(table: RowTable): Map<string, Row> =>
      new Map(rows.filter((each) => each.table === table).map(({ id, row }) => [id, row as Row]));
    const machines = staged<Appliance>('appliances');
    const sites = staged<Site>('sites');
    const own = new Map<string, Entry[]>([...machines.keys()].map((id) => [id, []]));
    const touchedBy = await this.store.machinesTouchedBy(entries);
    for (const entry of entries)
      for (const id of touchedBy(entry)) {
        const list = own.get(id) ?? [];
        list.push(entry);
        own.set(id, list);
      }
    for (const [id, fresh] of own) {
      const placed = machines.has(id) ? null : await this.store.placed(id);
      const appliance = machines.get(id) ?? placed?.appliance;
      const site =
        placed?.site ??
        (appliance && (sites.get(appliance.siteId) ?? (await this.store.site(appliance.siteId))));
      if (!appliance || !site) continue;
      // What is stored in this deed is not yet there for whoever reads.
      const bearing = [...(await this.store.entriesBearingOn(id)), ...fresh];
      const put = await this.judging.put(await this.judging.standingOf(appliance, site, bearing), site);
      tell(put);
      yield put.statements;
    }
  }

  private async visitsOf(entries: readonly Entry[]): Promise<string[]> {
    const corrected = entries.flatMap(({ supersedes }) => supersedes ?? []);
    return (await this.store.entriesById(corrected)).flatMap(({ visitId }) => visitId ?? []);
  }
}
