/**
 * Carries out what an import writes or takes back: part by part, so that others get their turn, and whole or not at all, with
 * the machines judged anew that it touches.
 */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import type { RowTable } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Revision, Site } from '../../core/logbook/tables';
import type { PutStanding, StandingKeeper } from '../standings/standings';
import type { RecentMachines } from '../standings/recentMachines';
import { Chain } from '../store/chain';
import type { Database, Statement } from '../store/database';
import type { Standings } from '../store/standings';
import type { Store } from '../store/store';
import { visitsAfter } from '../store/visits';
import { isWithdrawn } from '../store/withdrawn';
import type { StoredRow } from './undoing';

export interface Deed {
  /** as they shall stand; those that are withdrawn are judged no more */
  rows: readonly StoredRow[];
  revisions: readonly Revision[];
  entries: readonly Entry[];
  /** figures and documents, put or removed */
  beside: readonly Statement[];
  /** whether figures change by which every machine is judged */
  changesFigures: boolean;
  /** of the import itself, and what is due at sites that lost machines */
  last: readonly Statement[];
  /** asked again and again: then nothing of it is kept */
  stopped: () => boolean;
  progress: (done: number, of: number) => void;
}

/** Somebody stopped it before it was whole: nothing was written. */
export class WritingStopped extends Error {}

/** So many links are sealed and stored before others get their turn. */
const PART = 500;

function* partsOf(statements: readonly Statement[]): Generator<Statement[]> {
  for (let start = 0; start < statements.length; start += PART) yield statements.slice(start, start + PART);
}

export class CarryingOut {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly standings: Standings,
    private readonly keeper: StandingKeeper,
    private readonly recent: RecentMachines,
  ) {}

  /** Call inside the write queue: the chain's end must not move meanwhile. */
  async carryOut({ rows, revisions, entries, beside, changesFigures, last, ...deed }: Deed): Promise<void> {
    const { sequence } = await this.store.endOfChain();
    const standing = rows.filter(({ row }) => !isWithdrawn(row));
    const gone = new Set(
      rows.flatMap(({ table, id, row }) => (table === 'appliances' && isWithdrawn(row) ? id : [])),
    );
    const puts: PutStanding[] = [];
    await this.inParts(deed, [
      rows.map(({ table, id, row }) => this.store.putRow(table, id, row)),
      beside,
      this.sealedParts([...revisions, ...entries]),
      [...gone].flatMap((id) => this.standings.remove(id)),
      visitsAfter(sequence + revisions.length + 1, entries, await this.visitsOf(entries)),
      this.judgedParts(
        standing,
        entries.filter(({ applianceId }) => !gone.has(applianceId ?? '')),
        (put) => puts.push(put),
      ),
      last,
    ]);
    this.recent.clear();
    if (changesFigures) {
      // By other figures everything is judged anew; nobody waits for that.
      this.keeper.forgetPacks();
      this.keeper.turning.startOverBehind();
    } else for (const put of puts) this.keeper.remember(put);
  }

  /** All of it or nothing, part by part: whoever reads meanwhile gets a turn, and whoever stops it is heard. */
  private async inParts(
    { stopped, progress }: Pick<Deed, 'stopped' | 'progress'>,
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

  /** The standings of every machine that is new or has new entries, each folded once; others get their turn between. */
  private async *judgedParts(
    rows: readonly StoredRow[],
    entries: readonly Entry[],
    tell: (put: PutStanding) => void,
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
      const put = await this.keeper.put(await this.keeper.standingOf(appliance, site, bearing), site);
      tell(put);
      yield put.statements;
    }
  }

  private async visitsOf(entries: readonly Entry[]): Promise<string[]> {
    const corrected = entries.flatMap(({ supersedes }) => supersedes ?? []);
    return (await this.store.entriesById(corrected)).flatMap(({ visitId }) => visitId ?? []);
  }
}
