/**
 * Rows that are put right: a change is checked, sealed as a revision into the chain of the entries, and stored in one
 * batch; machines whose rates or duties hang on it are judged anew.
 */
import {
  ROW_SCHEMAS,
  type RowChange,
  type RowOf,
  type RowTable,
  changedFields,
  figureId,
  wantsWhy,
} from '../contract/rows';
import { type Problem, problemsOf } from '../core/logbook/problems';
import type { Appliance, Revision } from '../core/logbook/tables';
import { type Amendment, amended } from '../core/rules/amend';
import type { Clock } from './clock';
import type { Judging } from './judging';
import { conflict, invalid } from './problem';
import type { RecentMachines } from './recent';
import type { Database, Statement } from './store/database';
import { nameKey } from './store/keys';
import type { Standings } from './store/standings';
import type { Store } from './store/store';

/** Who changes rows, and why. */
export interface Changing {
  by: string | null;
  why: string | null;
}

interface Checked {
  table: RowTable;
  id: string;
  before: object | null;
  row: object;
}

/** Fields of a site that its machines' rates, days and places in lists hang on. */
const LISTED_OF_SITE = ['packs', 'leakRateMethod', 'timezone', 'name'];

export class Rows {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly standings: Standings,
    private readonly judging: Judging,
    private readonly recent: RecentMachines,
    private readonly clock: Clock,
  ) {}

  /** All of the changes or none. One that says what the row says already changes nothing, and is no error. */
  async change(
    changes: readonly RowChange[],
    changing: Changing,
  ): Promise<{ revisions: Revision[]; machines: string[] }> {
    const done = await this.database.write(async () => {
      const checked = await this.check(changes, changing);
      const fresh = checked.filter(
        ({ before, row }) => before === null || changedFields(before, row).length > 0,
      );
      const sealed = await this.store.sealed(
        [],
        fresh.map((each) => this.revision(each, changing)),
      );
      await this.database.batch([
        ...fresh.map(({ table, id, row }) => this.store.putRow(table, id, row)),
        ...sealed.statements,
        ...fresh.flatMap(({ table, id, before, row }) =>
          table === 'sites' &&
          before !== null &&
          changedFields(before, row).some((field) => LISTED_OF_SITE.includes(field))
            ? [this.judging.staleSite(id)]
            : [],
        ),
      ]);
      this.recent.clear();
      return { fresh, revisions: sealed.revisions };
    });
    const machines = done.fresh.filter(({ table }) => table === 'appliances');
    await this.judging.judgeNow(machines.map(({ id }) => id));
    await this.judging.recountTrips(
      machines.flatMap(({ before, row }) => {
        const left = (before as Appliance | null)?.siteId;
        return left !== undefined && left !== (row as Appliance).siteId ? [left] : [];
      }),
    );
    // Machines of a site follow in the background; what is asked for meanwhile is judged when it is asked for.
    this.judging.startOverBehind();
    return { revisions: done.revisions, machines: machines.map(({ id }) => id) };
  }

  /** A figure of the company's own from a day on. Every standing is stale then; nothing waits for that. */
  async amend(amendment: Amendment): Promise<Amendment> {
    await this.database.write(async () => {
      const pack = (await this.judging.currentPacks())[amendment.pack];
      const changed = amended(pack, amendment);
      if (!changed.ok) {
        throw changed.refusal.reason === 'noSuchFigure'
          ? invalid([{ path: ['figure'], message: 'is no figure of this pack' }])
          : conflict('This figure has another value from that day already; choose another day.');
      }
      const recordedAt = new Date(this.clock.nowMs()).toISOString();
      const { by, reason } = amendment;
      const sealed = await this.store.sealed(
        [],
        [{ table: 'figures', id: figureId(amendment), row: amendment, recordedAt, by, why: reason }],
      );
      await this.database.batch([this.store.insertAmendment(amendment, recordedAt), ...sealed.statements]);
      this.judging.forgetPacks();
    });
    this.judging.startOverBehind();
    return amendment;
  }

  /** Statements and revisions of rows that are new with something else, to be sealed in its batch. */
  added(
    rows: readonly { table: RowTable; id: string; row: object }[],
    changing: Changing,
  ): {
    statements: Statement[];
    revisions: Revision[];
  } {
    return {
      statements: rows.map(({ table, id, row }) => this.store.putRow(table, id, row)),
      revisions: rows.map((each) => this.revision({ ...each, before: null }, changing)),
    };
  }

  /** Rows of a database from before lists went by names get their keys, and its machines their places in the lists. */
  async placeAsTheyStand(): Promise<void> {
    await this.database.write(async () => {
      const unnamed = await this.store.rowsWithoutKey();
      await this.database.batch(unnamed.map(({ table, id, row }) => this.store.putRow(table, id, row)));
      const statements: Statement[] = [];
      for (const id of await this.standings.unplaced()) {
        const placed = await this.store.placed(id);
        if (placed) statements.push(...this.judging.placed(placed.appliance, placed.site));
      }
      await this.database.batch(statements);
    });
  }

  /** Rows of a database from before rows were sealed are sealed once, as they stand. */
  async sealAsTheyStand(): Promise<void> {
    await this.database.write(async () => {
      if (await this.store.hasRevisions()) return;
      const revisions: Revision[] = [];
      for (const table of Object.keys(ROW_SCHEMAS) as RowTable[])
        for (const { id, row } of await this.store.rowsOf(table))
          revisions.push(
            this.revision(
              { table, id, row, before: null },
              { by: null, why: 'as it stood when rows began to be sealed' },
            ),
          );
      for (const { recordedAt, ...amendment } of await this.store.amendments())
        revisions.push({
          table: 'figures',
          id: figureId(amendment),
          row: amendment,
          recordedAt,
          by: amendment.by,
          why: amendment.reason,
        });
      await this.database.batch((await this.store.sealed([], revisions)).statements);
    });
  }

  private revision({ table, id, row }: Checked, { by, why }: Changing): Revision {
    return {
      table,
      id,
      row: row as Revision['row'],
      recordedAt: new Date(this.clock.nowMs()).toISOString(),
      by,
      why: why?.trim() || null,
    };
  }

  private async check(changes: readonly RowChange[], { why }: Changing): Promise<Checked[]> {
    const problems: Problem[] = [];
    const checked: Checked[] = [];
    for (const [index, change] of changes.entries()) {
      const under = changes.length > 1 ? ['changes', index, 'row'] : ['row'];
      const { table, id } = change;
      const read = ROW_SCHEMAS[table].safeParse(change.row, { reportInput: true });
      if (!read.success) {
        problems.push(...problemsOf(read.error, under));
        continue;
      }
      const before = await this.store.rowOf(table, id);
      const row: object = read.data;
      if (table !== 'company' && (row as { id: string }).id !== id)
        problems.push({ path: [...under, 'id'], message: 'must be the id of the row that is changed' });
      if (before !== null && changedFields(before, row).length > 0) await this.notMeanwhile(change);
      if (wantsWhy(table, before, row) && !why?.trim())
        problems.push({
          path: ['why'],
          message: 'is missing; rates, duties or papers hang on it: say why it changes',
        });
      checked.push({ table, id, before, row });
    }
    for (const [index, each] of checked.entries()) {
      const under = changes.length > 1 ? ['changes', index, 'row'] : ['row'];
      for (const problem of await this.rowProblems(each, checked))
        problems.push({ ...problem, path: [...under, ...problem.path] });
    }
    if (problems.length > 0) throw invalid(problems);
    return checked;
  }

  /** What another wrote since this version was read is not written over. */
  private async notMeanwhile({ table, id, after }: RowChange): Promise<void> {
    if (after == null) return;
    const latest = (await this.store.revisionsOf(table, id)).at(-1);
    if (latest && latest.seal?.hash !== after) {
      const by = (await this.store.people()).find((each) => each.id === latest.by)?.name ?? 'somebody';
      throw conflict(
        `This was changed meanwhile by ${by}; nothing was written.`,
        'Look at it as it is now, and change it again if need be.',
      );
    }
  }

  private async rowProblems({ table, id, row }: Checked, all: readonly Checked[]): Promise<Problem[]> {
    const problems: Problem[] = [];
    const wrong = (field: string, message: string) => problems.push({ path: [field], message });
    switch (table) {
      case 'sites': {
        const site = row as RowOf<'sites'>;
        if (
          (await this.store.namesake('sites', id, site.name)) !== null ||
          this.twin('sites', id, site.name, all)
        )
          wrong('name', 'names a site that exists already; choose another name');
        const days = (site.leakRateMethod ?? []).map((each) => each.from);
        if (new Set(days).size < days.length)
          wrong('leakRateMethod', 'changes twice on one day; choose another day');
        break;
      }
      case 'people': {
        const { name } = row as RowOf<'people'>;
        if ((await this.store.namesake('people', id, name)) !== null || this.twin('people', id, name, all))
          wrong('name', 'is the name of somebody here already; add what tells them apart');
        break;
      }
      case 'appliances':
        problems.push(...(await this.machineProblems(row as RowOf<'appliances'>, all)));
        break;
      case 'spaces':
        if (!(await this.siteKnown((row as RowOf<'spaces'>).siteId, all)))
          wrong('siteId', 'names no site; add the site first');
        break;
      case 'cylinders': {
        const { serial } = row as RowOf<'cylinders'>;
        if (
          (await this.store.namesake('cylinders', id, serial)) !== null ||
          this.twin('cylinders', id, serial, all)
        )
          wrong('serial', 'is the serial of another bottle; check which one it is');
        break;
      }
      default:
    }
    return problems;
  }

  private async siteKnown(siteId: string, all: readonly Checked[]): Promise<boolean> {
    return (
      all.some((each) => each.table === 'sites' && each.id === siteId) ||
      (await this.store.site(siteId)) !== null
    );
  }

  /** What a machine's record may not say, whatever its fields: a place that is not there, a name that is taken. */
  async machineProblems(appliance: Appliance, all: readonly Checked[] = []): Promise<Problem[]> {
    const problems: Problem[] = [];
    const wrong = (field: string, message: string) => problems.push({ path: [field], message });
    if (!(await this.siteKnown(appliance.siteId, all))) wrong('siteId', 'names no site; add the site first');
    const taken =
      (await this.store.namesake('appliances', appliance.id, appliance.name, appliance.siteId)) !== null ||
      all.some(
        ({ table, id, row }) =>
          table === 'appliances' &&
          id !== appliance.id &&
          (row as Appliance).siteId === appliance.siteId &&
          nameKey((row as Appliance).name) === nameKey(appliance.name),
      );
    if (taken) wrong('name', 'is taken by another machine of this site; choose a name that tells them apart');
    const spaces = [
      ...(await this.store.spacesOf(appliance.siteId)),
      ...all.flatMap((each) => (each.table === 'spaces' ? [each.row as RowOf<'spaces'>] : [])),
    ].filter((space) => space.siteId === appliance.siteId);
    if ((appliance.serves ?? []).some((served) => !spaces.some((space) => space.id === served)))
      wrong('serves', 'names a cooled space that this site does not have');
    return problems;
  }

  /** Whether another row of the same request has this name. */
  private twin(
    table: 'sites' | 'people' | 'cylinders',
    id: string,
    name: string,
    all: readonly Checked[],
  ): boolean {
    return all.some((each) => {
      const { name: called, serial } = each.row as { name?: string; serial?: string };
      return each.table === table && each.id !== id && nameKey(called ?? serial ?? '') === nameKey(name);
    });
  }
}
