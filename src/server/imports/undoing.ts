/** What an undo of an import takes back: what the import wrote, and nothing that others use or changed since, which it names. */
import { v7 as uuidv7 } from 'uuid';
import type { ImportedRow, UndoPreview } from '../../contract/imports';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Cylinder, Site, Space } from '../../core/logbook/tables';
import { rowTitle } from '../../record/rows/rowWords';
import type { Wrote } from '../store/imports';
import type { Store } from '../store/store';
import { isWithdrawn, withdrawn } from '../store/withdrawn';

export interface StoredRow {
  table: RowTable;
  id: string;
  row: object;
}

export interface UndoneRows {
  rows: StoredRow[];
  entries: Entry[];
  stays: UndoPreview['stays'];
}

const keyOf = ({ table, id }: Pick<StoredRow, 'table' | 'id'>): string => `${table} ${id}`;

/** Why the import's rows of each table came, as their revisions say. */
export const broughtBy = (name: string): string => `brought in from ${name}`;

class Undoing {
  private readonly own: ReadonlySet<string>;
  private readonly stays = new Map<string, { row: StoredRow; why: string }>();
  private rows: StoredRow[] = [];

  constructor(
    private readonly store: Store,
    private readonly wrote: Wrote,
    private readonly imported: ImportedRow,
  ) {
    this.own = new Set(wrote.entries);
  }

  private stay(row: StoredRow, why: string): void {
    if (!this.stays.has(keyOf(row))) this.stays.set(keyOf(row), { row, why });
  }

  private going = (table: RowTable, id: string): boolean =>
    this.rows.some((each) => each.table === table && each.id === id) && !this.stays.has(`${table} ${id}`);

  async taken(): Promise<UndoneRows> {
    for (const { table, id } of this.wrote.rows) {
      const row = await this.store.rowOf(table, id);
      if (row && !isWithdrawn(row)) this.rows.push({ table, id, row });
    }
    for (const row of this.rows) {
      const latest = (await this.store.revisionsOf(row.table, row.id)).at(-1);
      if (latest && latest.why !== broughtBy(this.imported.name)) this.stay(row, 'it was changed since');
    }
    const entries = await this.store.entriesById(this.wrote.entries);
    const corrected = new Set(await this.store.supersededAmong(entries.map(({ id }) => id)));
    await this.keepMachinesInUse();
    const takenEntries = entries.filter(
      (entry) => !corrected.has(entry.id) && !this.stays.has(`appliances ${entry.applianceId ?? ''}`),
    );
    await this.keepWhatOthersName(new Set(takenEntries.map(({ id }) => id)));
    const rows = this.rows.filter((row) => !this.stays.has(keyOf(row)));
    return {
      rows,
      entries: takenEntries,
      stays: [
        ...[...this.stays.values()].map(({ row, why }) => ({
          words: rowTitle({ ...row, row: row.row as never }),
          why,
        })),
        ...(corrected.size === 0
          ? []
          : [
              {
                words: `${String(corrected.size)} ${corrected.size === 1 ? 'entry' : 'entries'}`,
                why: 'corrected or voided since',
              },
            ]),
      ],
    };
  }

  /** A machine that others wrote to stays, with what the import says of it. */
  private async keepMachinesInUse(): Promise<void> {
    for (const row of this.rows) {
      if (row.table !== 'appliances') continue;
      const others = (await this.store.entriesBearingOn(row.id)).filter(
        (entry) => !this.own.has(entry.id) && !('x-undone' in entry),
      );
      if (others.length > 0) this.stay(row, 'it has entries that this import did not write');
    }
  }

  /** What a thing that stays, or that others brought, names stays too. */
  private async keepWhatOthersName(taken: ReadonlySet<string>): Promise<void> {
    const named = await this.namedByOthers(taken);
    for (const row of this.rows) if (named.has(keyOf(row))) this.stay(row, 'others use it');
    for (const row of this.rows) {
      if (row.table !== 'sites') continue;
      const machines = await this.store.machinesOfSite(row.id);
      if (machines.some((id) => !this.going('appliances', id)))
        this.stay(row, 'a machine stands there that stays');
    }
    // Owners, cooled spaces and sites of what stays, once it is known what stays.
    for (const { row: stored } of [...this.stays.values()]) {
      const { siteId, ownerId, owners, serves } = stored.row as Partial<Appliance & Site & Space & Cylinder>;
      const keys = [
        `sites ${siteId ?? ''}`,
        `owners ${ownerId ?? ''}`,
        ...(owners ?? []).map((each) => `owners ${each.ownerId ?? ''}`),
        ...(serves ?? []).map((id) => `spaces ${id}`),
      ];
      for (const row of this.rows) if (keys.includes(keyOf(row))) this.stay(row, 'what stays belongs to it');
    }
  }

  /** Rows of this import that rows and entries outside of it name. */
  private async namedByOthers(taken: ReadonlySet<string>): Promise<ReadonlySet<string>> {
    const named = new Set<string>();
    const ids = (table: RowTable): string[] =>
      this.rows.flatMap((row) => (row.table === table ? row.id : []));
    const people = ids('people');
    const cylinders = ids('cylinders');
    if (people.length + cylinders.length > 0)
      for (const { by, cylinderId } of await this.store.namesInEntries(people, cylinders, taken)) {
        named.add(`people ${by}`);
        named.add(`cylinders ${cylinderId ?? ''}`);
      }
    if (ids('owners').length > 0)
      for (const table of ['sites', 'cylinders'] as const)
        for (const { id, row } of await this.store.rowsOf(table)) {
          if (isWithdrawn(row) || this.going(table, id)) continue;
          const { ownerId, owners } = row as Site;
          named.add(`owners ${ownerId ?? ''}`);
          for (const each of owners ?? []) named.add(`owners ${each.ownerId ?? ''}`);
        }
    if (ids('spaces').length > 0)
      for (const { id, row } of await this.store.rowsOf('appliances'))
        if (!isWithdrawn(row) && !this.going('appliances', id))
          for (const space of (row as Appliance).serves ?? []) named.add(`spaces ${space}`);
    return named;
  }
}

export const takenBack = (store: Store, wrote: Wrote, imported: ImportedRow): Promise<UndoneRows> =>
  new Undoing(store, wrote, imported).taken();

export const withdrawnRow = ({ table, id, row }: StoredRow, name: string): StoredRow => ({
  table,
  id,
  row: withdrawn(row, `import of ${name} undone`),
});

export const voidOf = (entry: Entry, { name }: ImportedRow, by: string, recordedAt: string): Entry =>
  ({
    id: uuidv7(),
    kind: 'void',
    on: entry.on,
    by,
    applianceId: entry.applianceId,
    ...(entry.visitId == null ? {} : { visitId: entry.visitId }),
    supersedes: entry.id,
    correctionReason: `import of ${name} undone`,
    recordedAt,
    'x-undone': true,
  }) as Entry;
