/** What each figure of a pack is called, by the keys that lead to it, and its value with the unit. */
import { CATEGORIES } from '../core/logbook/fields';
import type { Figure } from '../core/rules/figure';
import type { Pack } from '../core/rules/pack';
import { CATEGORY_WORDS } from './codes';

const FIXED: Record<string, string> = {
  repairWithin: 'Repair within',
  'shutdown.repairWithin': 'Repair within, with a shutdown',
  'partsExtension.afterDelivery': 'Parts: days after they came',
  'partsExtension.cap': 'Parts: at most, from the opening',
  'partsExtension.capWithShutdown': 'Parts: at most, with a shutdown',
  'partsExtension.fromOpening': 'Parts: until, from the opening',
  'followUp.days': 'Second test, after the first passed or normal operation',
  'followUp.monthsAfterRepair': 'Second test, after the repair',
  'seriesInspections.quarterlyFrom': 'After a case: every quarter, from a full charge of',
  'seriesInspections.quarterlyEvery': 'After a case: large machines, every',
  'seriesInspections.yearlyFrom': 'After a case: yearly, from a full charge of',
  'seriesInspections.yearlyEvery': 'After a case: smaller machines, every',
  'seriesInspections.quietQuarters': 'After a case: ends after quarters in a row without exceeding',
  'seriesInspections.quietYears': 'After a case, smaller machines: ends after years without exceeding',
  'seriesInspections.checkedDetectionHolds':
    'After a case: a checked detector of the whole stands for one, within',
  'alwaysInspections.checkedDetectionHolds':
    'Regular inspections: a checked detector of the whole stands for one, within',
  'alwaysInspections.detectionFactor.factor': 'Regular inspections: longer where detection is fitted, by',
  presumedAfter: 'A verified repair is presumed to hold, without an addition for',
  'alwaysInspections.noneUnderWholeDetectionFrom':
    'Regular inspections: none under detection of the whole, from',
  'alwaysInspections.atAddition.atLeast': 'Inspection at an addition, from',
  'alwaysInspections.atAddition.atLeastShare':
    'Inspection at an addition, from a share of the full charge of',
  'detection.fullChargeAtLeast': 'Automatic detection, from a full charge of',
  'detection.dueAfterInstallation': 'Automatic detection, within this of installation',
  'detection.checkEvery': 'Automatic detection, checked every',
  'plan.due.afterRepairDue': 'Plan, after the repair fell due',
  'plan.due.afterOpening': 'Plan, after the detection',
  'plan.carriedOutWithin': 'Plan carried out within',
  'chronic.percent': 'Chronic leaker, share of the full charge in a year',
  recordsKept: 'Records kept',
};

const CLAUSE: Record<string, string> = {
  gwpAbove: 'Covers: GWP above',
  gwpAtLeast: 'Covers: GWP from',
  fullChargeAtLeast: 'Covers: full charge from',
  fullChargeAbove: 'Covers: full charge above',
  hermeticFullChargeAtLeast: 'Covers: full charge from, hermetic',
  co2eAtLeast: 'Covers: CO₂ equivalent from',
  hermeticCo2eAtLeast: 'Covers: CO₂ equivalent from, hermetic',
};

/** Null where a figure has no words yet: a test reads all packs so that none is forgotten. */
export function figureLabel(pack: Pack, path: readonly (string | number)[]): string | null {
  const key = path.join('.');
  if (path[0] === 'threshold') {
    const category = CATEGORIES.find((each) => each === path[1]);
    return category ? `Limit, ${CATEGORY_WORDS[category]}` : null;
  }
  if (path[0] === 'covers') {
    const clause = pack.covers[Number(path[1])];
    const words = CLAUSE[String(path[2])];
    const which = [
      clause?.containsAny && `contains ${clause.containsAny.join(' or ')}`,
      clause?.containsNone && `no ${clause.containsNone.join(' or ')}`,
    ].filter(Boolean);
    return words ? `${words}${which.length > 0 ? ` (${which.join(', ')})` : ''}` : null;
  }
  if (path[1] === 'measures') {
    const measure = pack.alwaysInspections?.measures[Number(path[2])];
    const of = measure?.contains ? `, ${measure.contains}` : '';
    const band = `band ${String(Number(path[4]) + 1)}`;
    return path[5] === 'atLeast'
      ? `Regular inspections${of}: ${band}, from`
      : `Regular inspections${of}: ${band}, every`;
  }
  return FIXED[key] ?? null;
}

const UNIT: Record<Figure['unit'], string> = {
  percent: '%',
  days: 'days',
  months: 'months',
  quarters: 'quarters',
  years: 'years',
  times: 'times',
  lb: 'lb',
  kg: 'kg',
  tCO2e: 't CO₂e',
  GWP: '',
};

export const figureWords = (value: number, unit: Figure['unit']): string =>
  `${String(value)} ${value === 1 ? UNIT[unit].replace(/s$/, '') : UNIT[unit]}`.trim();
