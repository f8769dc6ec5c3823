/** Writes what an import planned, all of it or nothing, and takes it back: entries are voided, rows withdrawn, nothing is erased. */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import { v7 as uuidv7 } from 'uuid';
import type { ImportedRow } from '../../contract/imports';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import { deadIds } from '../../core/logbook/order';
import type { Appliance, Revision, Site } from '../../core/logbook/tables';
import type { Clock } from '../clock';
import type { Judging, Put } from '../judging';
import type { Photos } from '../photos';
import { conflict } from '../problem';
import type { RecentMachines } from '../recent';
import { revisionOf } from '../rowRevision';
import type { Database, Statement } from '../store/database';
import type { ImportStore, Wrote } from '../store/imports';
import type { Standings } from '../store/standings';
import type { Store } from '../store/store';
import { visitsAfter } from '../store/visits';
import { isWithdrawn, withdrawn } from '../store/withdrawn';
import type { PlannedRow } from './plan';
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
  progress: (done: number, of: number) => void;
}

interface Stored {
  table: RowTable;
  id: string;
  row: object;
}

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

  async write(writing: Writing): Promise<{ rows: number; entries: number }> {
    await keepPhotosOf(writing.path, this.photos);
    return this.database.write(async () => {
      const known = await this.imports.byId(writing.id);
      if (known) return { rows: known.row.rows, entries: known.row.entries };
      const rows = await this.freshRows(writing.rows);
      const entries = await this.freshEntries(writing.rows);
      const recordedAt = this.now();
      const changing = { by: writing.by, why: `brought in from ${writing.name}` };
      const given = new Map<string, Revision[]>();
      for (const each of writing.revisions) {
        const key = `${each.table} ${each.id}`;
        given.set(key, [...(given.get(key) ?? []), each]);
      }
      const revisions = rows.flatMap((row) => [
        ...(given.get(`${row.table} ${row.id}`) ?? []),
        revisionOf({ ...row, before: null }, changing, this.clock),
      ]);
      const sealed = await this.store.sealed(
        entries.map((entry) => ({ ...entry, recordedAt: entry.recordedAt ?? recordedAt })),
        revisions,
      );
      const judged = await this.judged(rows, sealed.entries, writing.progress);
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
      await this.inOneBatch([
        ...rows.map(({ table, id, row: document }) => this.store.putRow(table, id, document)),
        ...sealed.statements,
        ...visitsAfter(sealed.from, sealed.entries, await this.visitsOf(sealed.entries)),
        ...judged.flatMap((each) => each.statements),
        this.imports.insert(row, wrote),
      ]);
      for (const each of judged) this.judging.remember(each);
      return { rows: rows.length, entries: entries.length };
    });
  }

  /** Null: there is no such import. Taken back twice is taken back once. */
  async undo(id: string, by: string): Promise<ImportedRow | null> {
    const undone = await this.database.write(async () => {
      const found = await this.imports.byId(id);
      if (!found) return null;
      if (found.row.undoneAt !== null) return { row: found.row, sites: [] };
      const entries = await this.voids(found.wrote, found.row, by);
      const rows = await this.rowsBack(found.wrote, found.row, new Set(entries.map(({ id: each }) => each)));
      const sealed = await this.store.sealed(
        entries,
        rows.map((row) =>
          revisionOf({ ...row, before: null }, { by, why: `import of ${found.row.name} undone` }, this.clock),
        ),
      );
      const gone = new Set(rows.flatMap(({ table, id: row }) => (table === 'appliances' ? row : [])));
      const judged = await this.judged(
        [],
        sealed.entries.filter(({ applianceId }) => !gone.has(applianceId ?? '')),
        () => undefined,
      );
      const row = { ...found.row, undoneAt: this.now() };
      await this.inOneBatch([
        ...rows.map(({ table, id: each, row: document }) => this.store.putRow(table, each, document)),
        ...sealed.statements,
        ...[...gone].flatMap((each) => this.standings.remove(each)),
        ...visitsAfter(sealed.from, sealed.entries, await this.visitsOf(sealed.entries)),
        ...judged.flatMap((each) => each.statements),
        this.imports.change(row),
      ]);
      for (const each of judged) this.judging.remember(each);
      return { row, sites: rows.flatMap(({ row: gone }) => (gone as Partial<Appliance>).siteId ?? []) };
    });
    if (!undone) return null;
    // What is due at sites that lost machines is counted anew.
    await this.judging.recountTrips([...new Set(undone.sites)]);
    return undone.row;
  }

  private now = (): string => new Date(this.clock.nowMs()).toISOString();

  private async inOneBatch(statements: readonly Statement[]): Promise<void> {
    await this.database.batch(statements);
    this.recent.clear();
  }

  private async freshRows(planned: readonly PlannedRow[]): Promise<Stored[]> {
    const rows = new Map<string, Stored>();
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
  private async judged(
    rows: readonly Stored[],
    entries: readonly Entry[],
    progress: (done: number, of: number) => void,
  ): Promise<Put[]> {
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
    const puts: Put[] = [];
    let done = 0;
    for (const [id, fresh] of own) {
      const placed = machines.has(id) ? null : await this.store.placed(id);
      const appliance = machines.get(id) ?? placed?.appliance;
      const site =
        placed?.site ??
        (appliance && (sites.get(appliance.siteId) ?? (await this.store.site(appliance.siteId))));
      if (appliance && site) {
        const bearing = [...(await this.store.entriesBearingOn(id)), ...fresh];
        puts.push(await this.judging.put(await this.judging.standingOf(appliance, site, bearing), site));
      }
      progress((done += 1), own.size);
      await turnOfOthers();
    }
    return puts;
  }

  private async visitsOf(entries: readonly Entry[]): Promise<string[]> {
    const corrected = entries.flatMap(({ supersedes }) => supersedes ?? []);
    return (await this.store.entriesById(corrected)).flatMap(({ visitId }) => visitId ?? []);
  }

  /** Voids of what still lives of an import. */
  private async voids(wrote: Wrote, { name }: ImportedRow, by: string): Promise<Entry[]> {
    const written = await this.store.entriesById(wrote.entries);
    const machines = new Set(written.flatMap(({ applianceId }) => applianceId ?? []));
    const dead = new Set<string>();
    for (const machine of machines)
      for (const id of deadIds(await this.store.entriesBearingOn(machine))) dead.add(id);
    return written
      .filter(({ id }) => !dead.has(id))
      .map(
        (entry): Entry =>
          ({
            id: uuidv7(),
            kind: 'void',
            on: entry.on,
            by,
            applianceId: entry.applianceId,
            ...(entry.visitId == null ? {} : { visitId: entry.visitId }),
            supersedes: entry.id,
            correctionReason: `import of ${name} undone`,
            recordedAt: this.now(),
            'x-undone': true,
          }) as Entry,
      );
  }

  /** Rows that the import brought: withdrawn, unless something else hangs on them by now. */
  private async rowsBack(wrote: Wrote, { name }: ImportedRow, voids: ReadonlySet<string>): Promise<Stored[]> {
    const rows: Stored[] = [];
    const own = new Set(wrote.entries);
    const machines = new Set(wrote.rows.flatMap(({ table, id }) => (table === 'appliances' ? id : [])));
    for (const { table, id } of wrote.rows) {
      const row = await this.store.rowOf(table, id);
      if (!row) continue;
      if (table === 'appliances') {
        const others = (await this.store.entriesBearingOn(id)).filter(
          (entry) => !own.has(entry.id) && !voids.has(entry.id),
        );
        if (others.length > 0)
          throw conflict(
            `${(row as Appliance).name} has entries that this import did not write; nothing was undone.`,
            'Void what is wrong in its logbook instead.',
          );
      }
      if (table === 'sites' && (await this.store.machinesOfSite(id)).some((each) => !machines.has(each)))
        continue;
      rows.push({ table, id, row: withdrawn(row, `import of ${name} undone`) });
    }
    return rows;
  }
}
