/** The packs of the European Union and of Great Britain. Charges in kg or tonnes CO2e (full charge × GWP / 1000). */
import { definePack } from '../pack';
import { cite, figure, ours } from './figures';

const UNION = [
  'AT',
  'BE',
  'BG',
  'CY',
  'CZ',
  'DE',
  'DK',
  'EE',
  'ES',
  'FI',
  'FR',
  'GR',
  'HR',
  'HU',
  'IE',
  'IT',
  'LT',
  'LU',
  'LV',
  'MT',
  'NL',
  'PL',
  'PT',
  'RO',
  'SE',
  'SI',
  'SK',
] as const;

const shared = (
  text: string,
  articles: { scope: string; prevent: string; checks: string; records: string },
) => {
  const from = (value: number, months: number, unit: 'tCO2e' | 'kg') => ({
    atLeast: figure(value, unit, `${text} ${articles.checks}`),
    everyMonths: figure(months, 'months', `${text} ${articles.checks}`),
  });
  const anyLeak = figure(0, 'percent', `${text} ${articles.prevent}`);
  return {
    hfcClause: {
      containsAny: ['HFC' as const],
      co2eAtLeast: figure(5, 'tCO2e', `${text} ${articles.scope}`),
      hermeticCo2eAtLeast: figure(10, 'tCO2e', `${text} ${articles.scope}`),
    },
    hfcMeasure: {
      contains: 'HFC' as const,
      by: 'co2e' as const,
      bands: [from(500, 3, 'tCO2e'), from(50, 6, 'tCO2e'), from(0, 12, 'tCO2e')],
    },
    hfoMeasure: {
      contains: 'HFO' as const,
      by: 'fullCharge' as const,
      bands: [from(100, 3, 'kg'), from(10, 6, 'kg'), from(0, 12, 'kg')],
    },
    always: {
      detectionFactor: {
        fitted: ['part' as const, 'whole' as const],
        factor: figure(2, 'times', `${text} ${articles.checks}`),
      },
      noneUnderWholeDetectionFrom: null,
      checkedDetectionHolds: null,
      needsBeginning: false,
      atAddition: null,
      source: cite(`${text} ${articles.checks}`),
    },
    rest: {
      opens: 'anyLeak' as const,
      onlyWhereNoOther: false,
      threshold: {
        commercialRefrigeration: anyLeak,
        industrialProcess: anyLeak,
        comfortCooling: anyLeak,
        other: anyLeak,
      },
      repairWithin: ours(
        14,
        'days',
        `our planning window for “without undue delay”, ${text} ${articles.prevent}`,
      ),
      shutdown: null,
      partsExtension: null,
      otherExtensions: false,
      weighs: 'kilograms' as const,
      presumedAfter: null,
      firstTestNeeded: false,
      followUp: { monthsAfterRepair: figure(1, 'months', `${text} ${articles.prevent}`) },
      seriesInspections: null,
      detection: null,
      plan: null,
      chronic: null,
      recordsKept: figure(5, 'years', `${text} ${articles.records}`),
      notComputed: ['Leak detection system from 500 t CO2e, checked yearly'],
      interpretations: [
        {
          point: 're-check after a repair',
          reading: 'dates only: the upper bound of one month is computed',
          alternative: 'not before 24 hours of running',
          decidedBy: 'handbook',
        },
      ],
    },
  };
};

const EU_TEXT = 'Regulation (EU) 2024/573';
const euParts = shared(EU_TEXT, { scope: 'art. 5', prevent: 'art. 4', checks: 'art. 5', records: 'art. 7' });

export const eu = definePack({
  ...euParts.rest,
  id: 'eu',
  title: 'Fluorinated greenhouse gases',
  authority: 'European Union',
  holdsIn: UNION.map((code) => ({ code })),
  from: '2024-03-11',
  source: cite(`${EU_TEXT} art. 4–7`),
  covers: [
    euParts.hfcClause,
    {
      containsAny: ['HFO'],
      containsNone: ['HFC'],
      fullChargeAtLeast: figure(1, 'kg', `${EU_TEXT} art. 5`),
      hermeticFullChargeAtLeast: figure(2, 'kg', `${EU_TEXT} art. 5`),
    },
  ],
  alwaysInspections: { ...euParts.always, measures: [euParts.hfcMeasure, euParts.hfoMeasure] },
});

const GB_TEXT = 'retained Regulation (EU) 517/2014';
const gbParts = shared(GB_TEXT, { scope: 'art. 4', prevent: 'art. 3', checks: 'art. 4', records: 'art. 6' });

export const gb = definePack({
  ...gbParts.rest,
  id: 'gb',
  title: 'Fluorinated greenhouse gases, Great Britain',
  authority: 'Great Britain',
  holdsIn: [{ code: 'GB' }],
  from: '2021-01-01',
  source: cite(`${GB_TEXT} art. 3–6`),
  covers: [gbParts.hfcClause],
  alwaysInspections: { ...gbParts.always, measures: [gbParts.hfcMeasure] },
});
