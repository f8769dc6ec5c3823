/**
 * Rows that are put right: a change is checked, sealed as a revision into the chain of the entries, and stored in one
 * batch with the machines whose rates or duties hang on it, judged anew: what is refused has written nothing.
 */
import { type Changing, type CheckedRow, revisionOf } from './rowRevision';
import { rowProblems } from './rowProblems';
import {
  ROW_SCHEMAS,
  type RowChange,
  type RowTable,
  changedFields,
  figureId,
  wantsWhy,
} from '../../contract/rows';
import { type Problem, problemsOf } from '../../core/logbook/problems';
import type { Appliance, Revision, Site } from '../../core/logbook/tables';
import { type Amendment, amended } from '../../core/rules/amend';
import type { Clock } from '../clock';
import type { StandingKeeper } from '../standings/standings';
import { conflict, invalid } from '../problem';
import type { RecentMachines } from '../standings/recentMachines';
import type { Database, Statement } from '../store/database';
import type { Store } from '../store/store';

/** Fields of a site that its machines' rates, days and places in lists hang on. */
const LISTED_OF_SITE = ['packs', 'leakRateMethod', 'timezone', 'name'];

export class Rows {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly keeper: StandingKeeper,
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
        fresh.map((each) => revisionOf(each, changing, this.clock)),
      );
      // What is remembered is of the rows as they were.
      this.recent.clear();
      const judged = await this.judgedWith(fresh);
      await this.database.batch([
        ...fresh.map(({ table, id, row }) => this.store.putRow(table, id, row)),
        ...sealed.statements,
        ...fresh.flatMap(({ table, id, before, row }) =>
          table === 'sites' &&
          before !== null &&
          changedFields(before, row).some((field) => LISTED_OF_SITE.includes(field))
            ? [this.keeper.staleSite(id)]
            : [],
        ),
        ...judged,
      ]);
      return { fresh, revisions: sealed.revisions };
    });
    const machines = done.fresh.filter(({ table }) => table === 'appliances');
    // Machines of a site follow in the background; what is asked for meanwhile is judged when it is asked for.
    this.keeper.turning.startOverBehind();
    return { revisions: done.revisions, machines: machines.map(({ id }) => id) };
  }

  /** The changed machines as they are judged from now on, and what is due at sites that they left. */
  private async judgedWith(changed: readonly CheckedRow[]): Promise<Statement[]> {
    const rowOf = <Row>(table: RowTable, id: string): Row | null =>
      (changed.find((each) => each.table === table && each.id === id)?.row as Row | undefined) ?? null;
    const statements: Statement[] = [];
    const left: Statement[] = [];
    for (const { table, id, before, row } of changed) {
      if (table !== 'appliances') continue;
      const appliance = row as Appliance;
      const site = rowOf<Site>('sites', appliance.siteId) ?? (await this.store.site(appliance.siteId));
      if (!site) continue;
      const bearing = await this.store.entriesBearingOn(id);
      const standing = await this.keeper.standingOf(appliance, site, bearing);
      statements.push(...(await this.keeper.put(standing, site)).statements);
      const from = (before as Appliance | null)?.siteId;
      const old = from === undefined || from === site.id ? null : await this.store.site(from);
      if (old) left.push(this.keeper.trip({ siteId: old.id, timezone: old.timezone }));
    }
    return [...statements, ...left];
  }

  /** A figure of the company's own from a day on. Every standing is stale then; nothing waits for that. */
  async amend(amendment: Amendment): Promise<Amendment> {
    await this.database.write(async () => {
      const pack = (await this.keeper.currentPacks())[amendment.pack];
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
      this.keeper.forgetPacks();
    });
    this.keeper.turning.startOverBehind();
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
      revisions: rows.map((each) => revisionOf({ ...each, before: null }, changing, this.clock)),
    };
  }

  private async check(changes: readonly RowChange[], { why }: Changing): Promise<CheckedRow[]> {
    const problems: Problem[] = [];
    const checked: CheckedRow[] = [];
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
      for (const problem of await rowProblems(this.store, each, checked))
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
}
