/** What would follow from what comes in: machines that it brings above a limit. */
import type { Entry } from '../core/logbook/entry';
import { entriesByMachine, effectiveOf } from '../core/logbook/order';
import type { Appliance, Site } from '../core/logbook/tables';
import { dayText } from '../core/quantity/day';
import { type Bound, type JudgedRate, judgedRate } from '../core/rules/judgedRate';
import type { Packs } from '../core/rules/packs/shipped';
import { standingFromEntries } from '../core/rules/standing';
import type { KnownRows } from './lookups';
import type { StagedRow } from './understood';

export interface WouldExceed {
  machine: string;
  site: string;
  on: string;
  percent: number;
  /** what the percent is of the whole where something was not weighed */
  bound: Bound;
  limit: number;
}

/** Each machine with its latest addition that exceeds and did not before; and how many machines are touched. */
export function wouldExceed(
  plan: { rows: readonly StagedRow[]; entries: readonly Entry[] },
  known: Pick<KnownRows, 'sites' | 'appliances' | 'entriesOf' | 'todayAt'>,
  packs: Packs,
): { touched: number; would: WouldExceed[] } {
  const fresh = entriesByMachine(plan.entries);
  const rowOf = <Row extends { id: string }>(table: string, rows: readonly Row[]): Map<string, Row> =>
    new Map([
      ...rows.map((row) => [row.id, row] as const),
      ...plan.rows.filter((each) => each.table === table).map(({ id, row }) => [id, row as Row] as const),
    ]);
  const sites = rowOf<Site>('sites', known.sites);
  const machines = rowOf<Appliance>('appliances', known.appliances);
  const would: WouldExceed[] = [];
  for (const [id, entries] of fresh) {
    const machine = machines.get(id);
    const site = machine && sites.get(machine.siteId);
    if (!machine || !site) continue;
    const exceedingOf = (bearing: readonly Entry[]): JudgedRate[] => {
      const effective = effectiveOf(bearing, id);
      const standing = standingFromEntries(machine, site, effective, known.todayAt(site.timezone), packs);
      return standing.additions
        .map((rate) => judgedRate(rate, standing.ledger))
        .filter(({ exceeds, limit }) => exceeds === true && limit !== null);
    };
    const before = known.entriesOf(id);
    const already = new Set(exceedingOf(before).map(({ on }) => on));
    const exceeding = exceedingOf([...before, ...entries])
      .filter(({ on }) => !already.has(on))
      .at(-1);
    const percent = exceeding && (exceeding.percent ?? exceeding.atLeastPercent);
    if (percent != null && exceeding?.limit && percent > exceeding.limit.percent)
      would.push({
        machine: machine.name,
        site: site.name,
        on: dayText(exceeding.on),
        percent,
        bound: exceeding.bound,
        limit: exceeding.limit.percent,
      });
  }
  return { touched: fresh.size, would };
}
