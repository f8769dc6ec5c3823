/**
 * What is in force on a day: full charge, refrigerant, category and the like, the site's leak-rate method, and
 * which packs cover. A machine's life is cut into periods in which none of these changes; a day finds the period that is in force.
 */
import { type Day, dayOf } from '../quantity/day';
import type { LeakRateMethod } from '../logbook/fields';
import type { Category, Detection } from '../logbook/fields';
import type { PackId } from '../logbook/packNames';
import type { MachineHistory } from '../logbook/history';
import type { Site } from '../logbook/tables';
import { type ExactGrams, exactGrams } from '../quantity/mass';
import { DECIMALS, scaledDecimal } from '../quantity/decimal';
import { type Refrigerant, refrigerant } from '../refrigerant/refrigerant';
import { type Figure, valueOn } from './figure';
import type { Clause, Pack } from './pack';
import type { Packs } from './packs/shipped';

export interface PeriodInForce {
  from: Day;
  fullCharge: ExactGrams | null;
  /** null: nobody knows it */
  refrigerant: Refrigerant | null;
  category: Category;
  detection: Detection;
  hermetic: boolean;
  lightCommercialAirConditioning: boolean;
  /** packs that cover, in the order of the site */
  covering: readonly Pack[];
}

export interface InForce {
  site: Site;
  /** packs of the site, each once, in the order of the site */
  packs: readonly Pack[];
  periodsInForce: readonly PeriodInForce[];
}

const BEFORE_ALL = -Infinity as Day;

/** A figure of mass as exact grams on a day. */
export function massFigureOn(figure: Figure, day: Day): ExactGrams {
  if (figure.unit !== 'lb' && figure.unit !== 'kg')
    throw new Error(`A mass is in lb or kg, not ${figure.unit}.`);
  return exactGrams({ value: valueOn(figure, day), unit: figure.unit });
}

const CO2E_SCALE = 10n ** BigInt(DECIMALS + 4);
const GRAMS_PER_TONNE = 1_000_000n;

/** CO2 equivalent, as an integer of 10^-44 g: full charge × GWP, exact. */
export const co2e = (fullCharge: ExactGrams, of: Refrigerant): bigint => fullCharge * of.gwpTenThousandths;

export const co2eAtLeast = (value: bigint, tonnes: number): boolean =>
  value * 1_000_000n >= scaledDecimal(tonnes, 6) * GRAMS_PER_TONNE * CO2E_SCALE;

type Facts = Omit<PeriodInForce, 'covering'>;

/** Every figure of a clause counts; the values are those of the day. */
function clauseHolds(
  clause: Clause,
  facts: Facts,
  refrigerant: Refrigerant,
  fullCharge: ExactGrams,
  day: Day,
): boolean {
  const { kinds, gwpTenThousandths } = refrigerant;
  if (clause.containsAny && !clause.containsAny.some((kind) => kinds.has(kind))) return false;
  if (clause.containsNone?.some((kind) => kinds.has(kind))) return false;
  if (clause.notLightCommercialAirConditioning && facts.lightCommercialAirConditioning) return false;
  if (clause.gwpAbove && gwpTenThousandths <= scaledDecimal(valueOn(clause.gwpAbove, day), 4)) return false;
  if (clause.gwpAtLeast && gwpTenThousandths < scaledDecimal(valueOn(clause.gwpAtLeast, day), 4))
    return false;
  if (clause.fullChargeAbove && fullCharge <= massFigureOn(clause.fullChargeAbove, day)) return false;
  const least = (facts.hermetic ? clause.hermeticFullChargeAtLeast : undefined) ?? clause.fullChargeAtLeast;
  if (least && fullCharge < massFigureOn(least, day)) return false;
  const leastCo2e = (facts.hermetic ? clause.hermeticCo2eAtLeast : undefined) ?? clause.co2eAtLeast;
  return !leastCo2e || co2eAtLeast(co2e(fullCharge, refrigerant), valueOn(leastCo2e, day));
}

function covers(pack: Pack, facts: Facts): boolean {
  const { fullCharge, refrigerant: gas, from: day } = facts;
  if (fullCharge === null || gas === null || pack.onlyWhereNoOther) return false;
  if (pack.from !== null && day < dayOf(pack.from)) return false;
  if (pack.threshold[facts.category] === null) return false;
  return pack.covers.some((clause) => clauseHolds(clause, facts, gas, fullCharge, day));
}

function coveringPacks(packs: readonly Pack[], facts: Facts): Pack[] {
  const covering = packs.filter((pack) => covers(pack, facts));
  return covering.length > 0 ? covering : packs.filter((pack) => pack.onlyWhereNoOther);
}

/** Packs of the site, the house rule aside, that would cover were the full charge what `periodInForce` says, from its day on. */
export const coveredAt = (force: InForce, facts: Omit<PeriodInForce, 'covering'>): Pack[] =>
  force.packs.filter((pack) => covers(pack, facts));

/** Days on which a pack begins to speak or one of its figures changes. */
function packBoundaries(packs: readonly Pack[]): Day[] {
  const days = new Set<Day>();
  const visit = (value: unknown): void => {
    if (Array.isArray(value)) value.forEach(visit);
    else if (value !== null && typeof value === 'object') {
      if ('periods' in value)
        (value as Figure).periods.forEach((period) => period.from && days.add(dayOf(period.from)));
      else Object.values(value).forEach(visit);
    }
  };
  for (const pack of packs) {
    if (pack.from !== null) days.add(dayOf(pack.from));
    visit(pack);
  }
  return [...days];
}

const boundariesOf = new WeakMap<Pack, readonly Day[]>();
function boundaries(pack: Pack): readonly Day[] {
  const known = boundariesOf.get(pack) ?? packBoundaries([pack]);
  boundariesOf.set(pack, known);
  return known;
}

const sitePackCache = new WeakMap<Packs, Map<string, readonly Pack[]>>();
function packsOf(site: Site, packs: Packs): readonly Pack[] {
  const cache = sitePackCache.get(packs) ?? new Map<string, readonly Pack[]>();
  sitePackCache.set(packs, cache);
  const key = site.packs.join(' ');
  const known = cache.get(key) ?? [...new Set<PackId>(site.packs)].map((id) => packs[id]);
  cache.set(key, known);
  return known;
}

/** Cuts a machine's life into periods in force. */
export function inForce(history: MachineHistory, site: Site, packs: Packs): InForce {
  const sitePacks = packsOf(site, packs);
  const starts = new Set<Day>([BEFORE_ALL]);
  for (const pack of sitePacks) for (const day of boundaries(pack)) starts.add(day);
  for (const set of history.fullCharges) starts.add(set.day);
  for (const change of history.recordChanges) starts.add(change.day);
  const { appliance } = history;
  let facts: Omit<Facts, 'from'> = {
    fullCharge: null,
    refrigerant: appliance.refrigerant == null ? null : refrigerant(appliance.refrigerant),
    category: appliance.category,
    detection: appliance.automaticDetection ?? 'none',
    hermetic: appliance.hermetic ?? false,
    lightCommercialAirConditioning: appliance.lightCommercialAirConditioning ?? false,
  };
  let charges = 0;
  let changes = 0;
  const periodsInForce = [...starts]
    .sort((a, b) => a - b)
    .map((from): PeriodInForce => {
      for (
        let set = history.fullCharges[charges];
        set && set.day <= from;
        set = history.fullCharges[++charges]
      ) {
        facts = { ...facts, fullCharge: set.grams };
      }
      for (
        let change = history.recordChanges[changes];
        change && change.day <= from;
        change = history.recordChanges[++changes]
      ) {
        facts = changed(facts, change.entry);
      }
      const periodInForce = { ...facts, from };
      return { ...periodInForce, covering: coveringPacks(sitePacks, periodInForce) };
    });
  return { site, packs: sitePacks, periodsInForce };
}

function changed(
  facts: Omit<Facts, 'from'>,
  entry: MachineHistory['recordChanges'][number]['entry'],
): Omit<Facts, 'from'> {
  if (entry.kind === 'retrofitted') return { ...facts, refrigerant: refrigerant(entry.toRefrigerant) };
  return {
    ...facts,
    category: entry.category ?? facts.category,
    detection: entry.automaticDetection ?? facts.detection,
    hermetic: entry.hermetic ?? facts.hermetic,
    lightCommercialAirConditioning:
      entry.lightCommercialAirConditioning ?? facts.lightCommercialAirConditioning,
  };
}

/** What was in force on a day. */
export function periodOn(force: InForce, day: Day): PeriodInForce {
  for (let index = force.periodsInForce.length - 1; index >= 0; index -= 1) {
    const periodInForce = force.periodsInForce[index];
    if (periodInForce && periodInForce.from <= day) return periodInForce;
  }
  throw new Error('The first period begins before all days.');
}

/** The site's leak-rate method on a day: the latest `from` on or before it; before the first, annualizing. */
export function methodOn(site: Site, day: Day): LeakRateMethod {
  let latest: { from: Day; method: LeakRateMethod } | null = null;
  for (const each of site.leakRateMethod ?? []) {
    const from = dayOf(each.from);
    if (from <= day && (latest === null || from >= latest.from)) latest = { from, method: each.method };
  }
  return latest?.method ?? 'annualizing';
}
