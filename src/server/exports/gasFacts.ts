/** What stands beside each movement of gas in a table: refrigerant and full charge of its day, and the rate that it led to. */
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Site } from '../../core/logbook/tables';
import { type Day, dayOf } from '../../core/quantity/day';
import type { ExactGrams } from '../../core/quantity/mass';
import { periodOn } from '../../core/rules/inForce';
import { type JudgedRate, judgedRate } from '../../core/rules/judgedRate';
import type { Packs } from '../../core/rules/packs/shipped';
import { standingFromEntries } from '../../core/rules/standing';

export interface GasFacts {
  /** null: not known */
  refrigerant: string | null;
  fullCharge: ExactGrams | null;
  /** null: gas was only taken out that day */
  rate: JudgedRate | null;
}

export interface Folding {
  appliance: Appliance;
  site: Site;
  /** all entries of the machine, whatever part is taken out: a rate hangs on those before */
  entries: readonly Entry[];
  superseded: ReadonlySet<string>;
  today: Day;
  packs: Packs;
}

/** Of a machine, by the day as text: only days on which gas moved. */
export function gasFacts({
  appliance,
  site,
  entries,
  superseded,
  today,
  packs,
}: Folding): Map<string, GasFacts> {
  const { history, force, additions, ledger } = standingFromEntries(
    appliance,
    site,
    entries,
    today,
    packs,
    superseded,
  );
  const rates = new Map(additions.map((each) => [each.gasDay.day, judgedRate(each, ledger)]));
  const facts = new Map<string, GasFacts>();
  for (const { entry } of history.gas) {
    if (facts.has(entry.on)) continue;
    const day = dayOf(entry.on);
    const { refrigerant, fullCharge } = periodOn(force, day);
    facts.set(entry.on, {
      refrigerant: refrigerant?.name ?? null,
      fullCharge,
      rate: rates.get(day) ?? null,
    });
  }
  return facts;
}
