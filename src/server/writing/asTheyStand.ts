/** What a database of an older version lacks is made once, when it is opened: keys, places in the lists, seals of rows. */
import { ROW_SCHEMAS, type RowTable, figureId } from '../../contract/rows';
import type { Revision } from '../../core/logbook/tables';
import type { Clock } from '../clock';
import type { StandingKeeper } from '../standings/standings';
import { revisionOf } from './rowRevision';
import type { Database, Statement } from '../store/database';
import type { Standings } from '../store/standings';
import type { Store } from '../store/store';

interface OpenStore {
  database: Database;
  store: Store;
  standings: Standings;
  keeper: StandingKeeper;
  clock: Clock;
}

/** Rows of a database from before lists went by names get their keys, and its machines their places in the lists. */
export async function placeAsTheyStand({ database, store, standings, keeper }: OpenStore): Promise<void> {
  await database.write(async () => {
    const unnamed = await store.rowsWithoutKey();
    await database.batch(unnamed.map(({ table, id, row }) => store.putRow(table, id, row)));
    const statements: Statement[] = [];
    for (const id of await standings.unplaced()) {
      const placed = await store.placed(id);
      if (placed) statements.push(...keeper.placed(placed.appliance, placed.site));
    }
    await database.batch(statements);
  });
}

/** Rows of a database from before rows were sealed are sealed once, as they stand. */
export async function sealAsTheyStand({ database, store, clock }: OpenStore): Promise<void> {
  await database.write(async () => {
    if (await store.hasRevisions()) return;
    const revisions: Revision[] = [];
    for (const table of Object.keys(ROW_SCHEMAS) as RowTable[])
      for (const { id, row } of await store.rowsOf(table))
        revisions.push(
          revisionOf(
            { table, id, row, before: null },
            { by: null, why: 'as it stood when rows began to be sealed' },
            clock,
          ),
        );
    for (const { recordedAt, ...amendment } of await store.amendments())
      revisions.push({
        table: 'figures',
        id: figureId(amendment),
        row: amendment,
        recordedAt,
        by: amendment.by,
        why: amendment.reason,
      });
    await database.batch((await store.sealed([], revisions)).statements);
  });
}
