/** Writes what an import planned, all of it or nothing, and takes it back: entries are voided, rows withdrawn, nothing is erased. */
import type { ImportedRow, UndoPreview } from '../../contract/imports';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Revision } from '../../core/logbook/tables';
import type { Clock } from '../clock';
import type { StandingKeeper } from '../standings/standings';
import { revisionOf } from '../writing/rowRevision';
import type { Database, Statement } from '../store/database';
import type { ImportStore, Wrote } from '../store/imports';
import type { Store } from '../store/store';
import { isWithdrawn } from '../store/withdrawn';
import type { PlannedRow } from './plan';
import { type StoredRow, broughtBy, takenBack, voidOf, withdrawnRow } from './undoing';
import { type BesideRows, besideWrote } from './besideRows';
import type { CarryingOut } from './carryingOut';
import { keepFilesOf } from './zipFiles';

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

interface ImportWritingNeeds {
  database: Database;
  store: Store;
  imports: ImportStore;
  beside: BesideRows;
  carrying: CarryingOut;
  keeper: StandingKeeper;
  /** where photos and documents stand */
  files: string;
  clock: Clock;
}

export class ImportWriting {
  constructor(private readonly needs: ImportWritingNeeds) {}

  chainEnd = async (): Promise<string> => (await this.needs.store.endOfChain()).previous;

  async write(writing: Writing): Promise<{ rows: number; entries: number }> {
    await keepFilesOf(writing.path, writing.rows, this.needs.files);
    return this.needs.database.write(async () => {
      const known = await this.needs.imports.byId(writing.id);
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
      const beside = await this.needs.beside.fresh(writing.rows);
      const revisions = [
        ...rows.flatMap((row) => [
          ...(given.get(`${row.table} ${row.id}`) ?? []),
          revisionOf({ ...row, before: null }, changing, this.needs.clock),
        ]),
        ...this.needs.beside.revisions(beside, { ...changing, recordedAt }),
      ];
      const row: ImportedRow = {
        id: writing.id,
        name: writing.name,
        recordedAt,
        by: writing.by,
        rows: rows.length + beside.figures.length + beside.issued.length,
        entries: entries.length,
        undoneAt: null,
      };
      const wrote: Wrote = {
        entries: entries.map(({ id }) => id),
        rows: rows.map(({ table, id }) => ({ table, id })),
        ...besideWrote(beside),
      };
      await this.needs.carrying.carryOut({
        ...writing,
        rows,
        revisions,
        entries,
        beside: this.needs.beside.put(beside),
        changesFigures: beside.figures.length > 0,
        last: [this.needs.imports.insert(row, wrote)],
      });
      return { rows: row.rows, entries: row.entries };
    });
  }

  async whatUndoTakes(id: string): Promise<UndoPreview | null> {
    const found = await this.needs.imports.byId(id);
    if (!found) return null;
    if (found.row.undoneAt !== null) return { rows: 0, entries: 0, stays: [] };
    const { rows, entries, stays } = await takenBack(this.needs.store, found.wrote, found.row);
    const beside = await this.needs.beside.takenBack(found.wrote);
    return {
      rows: rows.length + beside.figures.length + beside.issued.length,
      entries: entries.length,
      stays: [...stays, ...beside.stays],
    };
  }

  /** Null: there is no such import. Taken back twice is taken back once. */
  async undo(id: string, by: string): Promise<ImportedRow | null> {
    return this.needs.database.write(async () => {
      const found = await this.needs.imports.byId(id);
      if (!found) return null;
      if (found.row.undoneAt !== null) return found.row;
      const taken = await takenBack(this.needs.store, found.wrote, found.row);
      const recordedAt = this.now();
      const voids = taken.entries.map((entry) => voidOf(entry, found.row, by, recordedAt));
      const rows = taken.rows.map((row) => withdrawnRow(row, found.row.name));
      const beside = await this.needs.beside.takenBack(found.wrote);
      const changing = { by, why: `import of ${found.row.name} undone` };
      const revisions = [
        ...rows.map((row) => revisionOf({ ...row, before: null }, changing, this.needs.clock)),
        ...this.needs.beside.withdrawals(beside, { ...changing, recordedAt }),
      ];
      const sites = new Set(taken.rows.flatMap(({ row }) => (row as Partial<Appliance>).siteId ?? []));
      const row = { ...found.row, undoneAt: recordedAt };
      await this.needs.carrying.carryOut({
        rows,
        revisions,
        entries: voids,
        beside: this.needs.beside.remove(beside),
        changesFigures: beside.figures.length > 0,
        last: [...(await this.tripsOf(sites)), this.needs.imports.change(row)],
        stopped: () => false,
        progress: () => undefined,
      });
      return row;
    });
  }

  /** What is due at sites that lost machines, counted anew in the same deed. */
  private async tripsOf(siteIds: ReadonlySet<string>): Promise<Statement[]> {
    const sites = await this.needs.store.sitesById([...siteIds]);
    return sites.map(({ id, timezone }) => this.needs.keeper.trip({ siteId: id, timezone }));
  }

  private now = (): string => new Date(this.needs.clock.nowMs()).toISOString();

  private async freshRows(planned: readonly PlannedRow[]): Promise<StoredRow[]> {
    const rows = new Map<string, StoredRow>();
    for (const { rows: staged } of planned)
      for (const each of staged) {
        const there = await this.needs.store.rowOf(each.table, each.id);
        if (there === null || isWithdrawn(there)) rows.set(`${each.table} ${each.id}`, each);
      }
    return [...rows.values()];
  }

  private async freshEntries(planned: readonly PlannedRow[]): Promise<Entry[]> {
    const entries = planned.flatMap((each) => each.entries);
    const there = new Set(
      (await this.needs.store.entriesById(entries.map(({ id }) => id))).map(({ id }) => id),
    );
    return [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(
      ({ id }) => !there.has(id),
    );
  }
}
