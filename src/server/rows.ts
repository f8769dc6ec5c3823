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
import type { Appliance, Revision, Site } from '../core/logbook/tables';
import type { Clock } from './clock';
import type { Judging } from './judging';
import { conflict, invalid } from './problem';
import type { Statement } from './store/sealedStore';
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

/** Fields of a site that its machines' rates and days hang on. */
const JUDGED_OF_SITE = ['packs', 'leakRateMethod', 'timezone'];

export class Rows {
  constructor(
    private readonly store: Store,
    private readonly judging: Judging,
    private readonly clock: Clock,
  ) {}

  /** All of the changes or none. One that says what the row says already changes nothing, and is no error. */
  async change(
    changes: readonly RowChange[],
    changing: Changing,
  ): Promise<{ revisions: Revision[]; machines: string[] }> {
    const done = await this.store.database.write(async () => {
      const checked = await this.check(changes, changing);
      const fresh = checked.filter(
        ({ before, row }) => before === null || changedFields(before, row).length > 0,
      );
      const sealed = await this.store.sealed(
        [],
        fresh.map((each) => this.revision(each, changing)),
      );
      await this.store.batch([
        ...fresh.map(({ table, id, row }) => this.store.putRow(table, id, row)),
        ...sealed.statements,
      ]);
      return { fresh, revisions: sealed.revisions };
    });
    const machines = await this.touchedBy(done.fresh);
    await this.judging.refreshMachines(machines);
    return { revisions: done.revisions, machines };
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

  /** Rows of a database from before rows were sealed are sealed once, as they stand. */
  async sealAsTheyStand(): Promise<void> {
    await this.store.database.write(async () => {
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
      await this.store.batch((await this.store.sealed([], revisions)).statements);
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
    const others = async (of: RowTable) => (await this.store.rowsOf(of)).filter((each) => each.id !== id);
    switch (table) {
      case 'sites': {
        const site = row as RowOf<'sites'>;
        if ((await others('sites')).some((each) => sameName((each.row as Site).name, site.name)))
          wrong('name', 'names a site that exists already; choose another name');
        const days = (site.leakRateMethod ?? []).map((each) => each.from);
        if (new Set(days).size < days.length)
          wrong('leakRateMethod', 'changes twice on one day; choose another day');
        break;
      }
      case 'people': {
        const { name } = row as RowOf<'people'>;
        if ((await others('people')).some((each) => sameName((each.row as { name: string }).name, name)))
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
          (await others('cylinders')).some((each) =>
            sameName((each.row as { serial: string }).serial, serial),
          )
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
    const neighbours = (await this.store.appliances()).filter(
      (each) => each.siteId === appliance.siteId && each.id !== appliance.id,
    );
    if (neighbours.some((each) => sameName(each.name, appliance.name)))
      wrong('name', 'is taken by another machine of this site; choose a name that tells them apart');
    const spaces = [
      ...(await this.store.spaces()),
      ...all.flatMap((each) => (each.table === 'spaces' ? [each.row as RowOf<'spaces'>] : [])),
    ].filter((space) => space.siteId === appliance.siteId);
    if ((appliance.serves ?? []).some((served) => !spaces.some((space) => space.id === served)))
      wrong('serves', 'names a cooled space that this site does not have');
    return problems;
  }

  private async touchedBy(changes: readonly Checked[]): Promise<string[]> {
    const touched = new Set<string>();
    for (const { table, id, before, row } of changes) {
      if (table === 'appliances' && before !== null) touched.add(id);
      if (table !== 'sites' || before === null) continue;
      if (changedFields(before, row).some((field) => JUDGED_OF_SITE.includes(field)))
        for (const each of await this.store.appliances()) if (each.siteId === id) touched.add(each.id);
    }
    return [...touched];
  }
}

const sameName = (a: string, b: string): boolean =>
  a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();
