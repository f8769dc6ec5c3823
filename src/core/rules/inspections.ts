/** Leak inspections: the series after a verified case, the regular ones that need no case, and those at an addition. */
import { type Day, addMonths, dayOf } from '../quantity/day';
import { type ExactGrams, NO_MASS } from '../quantity/mass';
import { type MachineHistory, installedOn, recordFrom } from '../logbook/history';
import { type CaseStanding } from './caseDeadlines';
import { judgement } from './case';
import { type Figure, valueOn } from './figure';
import { type InForce, type PeriodInForce, co2e, co2eAtLeast, massFigureOn, periodOn } from './inForce';
import type { AdditionRate } from './leakRate';
import type { Obligation } from './obligation';
import type { Pack } from './pack';

/** A detector of the whole machine, checked not longer before the due day than a check holds, stands for an inspection. */
function checkedDetectorOn(holds: Figure, due: Day, history: MachineHistory, force: InForce): boolean {
  if (periodOn(force, due).detection !== 'whole') return false;
  const months = valueOn(holds, due);
  return history.detectionChecks.some((check) => check <= due && due <= addMonths(check, months));
}

/** How often the series asks, and how many in a row without an exceedance end it. */
interface SeriesClass {
  everyMonths: number;
  quiet: number;
}

function seriesClass(pack: Pack, periodInForce: PeriodInForce, v: Day): SeriesClass | null {
  const rule = pack.seriesInspections;
  if (!rule || periodInForce.fullCharge === null) return null;
  const quarterly =
    rule.quarterlyCategories.includes(periodInForce.category) &&
    periodInForce.fullCharge >= massFigureOn(rule.quarterlyFrom, v);
  if (quarterly)
    return { everyMonths: valueOn(rule.quarterlyEvery, v), quiet: valueOn(rule.quietQuarters, v) };
  if (periodInForce.fullCharge < massFigureOn(rule.yearlyFrom, v)) return null;
  return { everyMonths: valueOn(rule.yearlyEvery, v), quiet: valueOn(rule.quietYears, v) };
}

/** Number of the inspection that ends a series: the first with enough quiet quarters, or years, before it. */
function lastNumber(v: Day, { everyMonths, quiet }: SeriesClass, exceededOn: readonly Day[]): number {
  for (let number = quiet; ; number += 1) {
    const from = addMonths(v, everyMonths * (number - quiet));
    const to = addMonths(v, everyMonths * number);
    if (!exceededOn.some((day) => day > from && day <= to)) return number;
  }
}

/** The series of each verified case of one pack, in the order of the cases. */
export function seriesInspections(
  cases: readonly CaseStanding[],
  history: MachineHistory,
  force: InForce,
  rates: readonly AdditionRate[],
): Obligation[] {
  return cases.flatMap((standing, index) => {
    const v = standing.followUpPassedOn;
    const { pack, openedOn } = standing.case;
    if (v === null || !pack.seriesInspections) return [];
    const inspectionClass = seriesClass(pack, periodOn(force, v), v);
    if (!inspectionClass) return [];
    const { everyMonths } = inspectionClass;
    const laterV =
      cases.slice(index + 1).find((later) => later.followUpPassedOn !== null)?.followUpPassedOn ?? null;
    const exceededOn = rates
      .filter((rate) => judgement(rate, pack) === true)
      .map((rate) => rate.gasDay.day)
      .filter((day) => day > v && (laterV === null || day <= laterV));
    const endedOn = firstOnOrAfter(
      [...history.retrofits, ...(history.retiredOn === null ? [] : [history.retiredOn])],
      v,
    );
    const last = lastNumber(v, inspectionClass, exceededOn);
    const obligations: Obligation[] = [];
    for (let number = 1; number <= last; number += 1) {
      const due = addMonths(v, everyMonths * number);
      if (checkedDetectorOn(pack.seriesInspections.checkedDetectionHolds, due, history, force)) continue;
      const after = addMonths(v, everyMonths * (number - 1));
      const supersededOn = laterV !== null && due > laterV ? laterV : null;
      const voidOn = earliest(endedOn, supersededOn);
      const done = history.inspections.find((day) => day > after);
      obligations.push({
        pack,
        kind: 'inspection',
        due,
        doneOn: done !== undefined && (voidOn === null || done <= voidOn) ? done : null,
        ended: voidOn !== null,
        caseOpenedOn: openedOn,
        why: { rule: 'series', verifiedOn: v, number, everyMonths },
        source: pack.seriesInspections.source,
      });
    }
    return obligations;
  });
}

const firstOnOrAfter = (days: readonly Day[], from: Day): Day | null =>
  days.reduce<Day | null>(
    (first, day) => (day >= from && (first === null || day < first) ? day : first),
    null,
  );

const earliest = (a: Day | null, b: Day | null): Day | null => (a === null ? b : b === null || a < b ? a : b);

/** Months between regular inspections by full charge, refrigerant and record on a day; null: none is asked. */
export function regularInterval(pack: Pack, periodInForce: PeriodInForce, day: Day): number | null {
  const rule = pack.alwaysInspections;
  if (!rule) return null;
  const charge: ExactGrams = periodInForce.fullCharge ?? NO_MASS;
  if (
    rule.noneUnderWholeDetectionFrom &&
    periodInForce.detection === 'whole' &&
    charge >= massFigureOn(rule.noneUnderWholeDetectionFrom, day)
  ) {
    return null;
  }
  const gas = periodInForce.refrigerant;
  const measure = rule.measures.find(
    (each) => each.contains === null || gas?.kinds.has(each.contains) === true,
  );
  const band = measure?.bands.find(({ atLeast }) =>
    measure.by === 'co2e'
      ? gas !== null && co2eAtLeast(co2e(charge, gas), valueOn(atLeast, day))
      : charge >= massFigureOn(atLeast, day),
  );
  if (!band) return null;
  const fitted = rule.detectionFactor?.fitted.includes(periodInForce.detection) ?? false;
  return (
    valueOn(band.everyMonths, day) *
    (fitted && rule.detectionFactor ? valueOn(rule.detectionFactor.factor, day) : 1)
  );
}

/** The next regular inspection of each pack that asks for them without a case. */
export function regularInspections(history: MachineHistory, force: InForce): Obligation[] {
  const { asOf } = history;
  if (history.retiredOn !== null) return [];
  const periodInForce = periodOn(force, asOf);
  return periodInForce.covering.flatMap((pack): Obligation[] => {
    const rule = pack.alwaysInspections;
    const everyMonths = regularInterval(pack, periodInForce, asOf);
    if (!rule || everyMonths === null) return [];
    const clock = regularClock(pack, history);
    if (!clock) return [];
    const begun = recordFrom(history.appliance);
    const reckoned = addMonths(clock.since, everyMonths);
    // Before its record began nobody can be late here.
    const due = begun !== null && reckoned < begun ? begun : reckoned;
    const holds = rule.checkedDetectionHolds;
    if (holds && checkedDetectorOn(holds, due, history, force)) return [];
    return [
      {
        pack,
        kind: 'inspection',
        due,
        doneOn: null,
        ended: false,
        caseOpenedOn: null,
        why: { rule: 'always', ...clock, everyMonths },
        source: rule.source,
      },
    ];
  });
}

function regularClock(
  pack: Pack,
  history: MachineHistory,
): { since: Day; basis: 'inspection' | 'installed' | 'packFrom' | 'recordFrom' } | null {
  const last = history.inspections.at(-1);
  if (last !== undefined) return { since: last, basis: 'inspection' };
  const installed = installedOn(history.appliance);
  const begun = recordFrom(history.appliance);
  if (installed === null && begun === null && pack.alwaysInspections?.needsBeginning) return null;
  const candidates = [
    { since: pack.from === null ? null : dayOf(pack.from), basis: 'packFrom' as const },
    { since: installed, basis: 'installed' as const },
    { since: begun, basis: 'recordFrom' as const },
  ];
  return candidates.reduce<{ since: Day; basis: (typeof candidates)[number]['basis'] } | null>(
    (latest, { since, basis }) =>
      since !== null && (latest === null || since > latest.since) ? { since, basis } : latest,
    null,
  );
}

/** Inspections that a large addition asks for on its own day. */
export function inspectionsAtAdditions(
  history: MachineHistory,
  force: InForce,
  rates: readonly AdditionRate[],
): Obligation[] {
  const { retiredOn } = history;
  const begun = recordFrom(history.appliance);
  if (!force.packs.some((pack) => pack.alwaysInspections?.atAddition)) return [];
  return rates.flatMap(({ gasDay, periodInForce }) =>
    periodInForce.covering.flatMap((pack): Obligation[] => {
      const rule = pack.alwaysInspections?.atAddition;
      if (!rule || gasDay.unknown || periodInForce.fullCharge === null) return [];
      const { day, net } = gasDay;
      if (begun !== null && day < begun) return [];
      const large =
        net >= massFigureOn(rule.atLeast, day) &&
        net * 100n >= periodInForce.fullCharge * BigInt(valueOn(rule.atLeastShare, day));
      if (!large) return [];
      const done = history.inspections.find((inspected) => inspected >= day);
      return [
        {
          pack,
          kind: 'inspection',
          due: day,
          doneOn: done !== undefined && (retiredOn === null || done <= retiredOn) ? done : null,
          ended: retiredOn !== null,
          caseOpenedOn: null,
          why: { rule: 'atAddition', addedOn: day },
          source: rule.atLeast.source,
        },
      ];
    }),
  );
}
