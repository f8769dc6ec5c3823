/**
 * The two federal packs of the United States: ozone-depleting substances, and hydrofluorocarbons and their
 * substitutes. Working summaries for planning; masses in pounds, thresholds in percent of full charge a year.
 */
import { definePack } from '../pack';
import { cite, figure } from './figures';

const interpretations = [
  {
    point: 'presumed repaired',
    reading: 'no addition in the 12 months from the passed follow-up test',
    alternative: 'also when the inspections find no leak; the 12 months may run from the repair',
    decidedBy: 'handbook',
  },
  {
    point: 'yearly inspections',
    reading: 'every 12 months from the follow-up test',
    alternative: 'once per calendar year',
    decidedBy: 'handbook',
  },
  {
    point: 'plan',
    reading: '30 days from the day the repair was due; no relief; void the entry to withdraw it',
    alternative: '30 days from the exceedance where the owner chooses it; relief within 180 days; extensions',
    decidedBy: 'handbook',
  },
  {
    point: 'seasonal variance',
    reading: 'removal first, then addition, within twelve months; gas that goes in first counts as a leak',
    alternative: 'the same',
    decidedBy: 'handbook',
  },
  {
    point: 'extension requests',
    reading: 'whatever is recorded is granted',
    alternative: 'to be filed within the 30 or 120 days',
    decidedBy: 'handbook',
  },
  {
    point: 'mothballing',
    reading: 'the whole machine, taken as evacuated; stops what counts in days only',
    alternative: 'may be of an isolated component',
    decidedBy: 'handbook',
  },
  {
    point: '120 days for a shutdown',
    reading: 'industrial process refrigeration only; recorded at any time while the case runs',
    alternative: 'may not be limited to industrial process refrigeration',
    decidedBy: 'handbook',
  },
  {
    point: 'annualizing over a day or two',
    reading: 'the formula as it stands, absurd as its figure can be',
    alternative: 'none',
    decidedBy: 'handbook',
  },
  {
    point: 'rolling average across a retrofit',
    reading: 'gas of the old refrigerant counts against the new full charge',
    alternative: 'the text is silent',
    decidedBy: 'handbook',
  },
  {
    point: 'full charge lowered in a case',
    reading: 'neither window nor class changes until the next verified second test',
    alternative: 'the text is silent',
    decidedBy: 'handbook',
  },
  {
    point: 'modular chillers',
    reading: 'each independent circuit is a machine of its own',
    alternative: 'the same',
    decidedBy: 'handbook',
  },
  {
    point: 'one pass of the whole machine while a second leak waits for parts',
    reading: 'the leak without a recorded repair stays open',
    alternative: 'tests are per leak',
    decidedBy: 'handbook',
  },
  {
    point: 'a second test while another leak waits for parts',
    reading: 'each leak has its own days; the case shows the earliest',
    alternative: 'tests are per repair',
    decidedBy: 'handbook',
  },
  {
    point: 'inspections while a failed test has taken the second test back',
    reading: 'they begin anew with the new second test',
    alternative: 'they may go on',
    decidedBy: 'handbook',
  },
  {
    point: 'an open leak when the next addition exceeds',
    reading: 'it moves no date of the case; the plan, or the new case after an unrelated leak, covers it',
    alternative: 'leaks are repaired under the plan',
    decidedBy: 'handbook',
  },
];

const shared = (article: string) => ({
  source: cite(article),
  opens: 'percent' as const,
  onlyWhereNoOther: false,
  threshold: {
    commercialRefrigeration: figure(20, 'percent', `${article} (c)(2)`),
    industrialProcess: figure(30, 'percent', `${article} (c)(2)`),
    comfortCooling: figure(10, 'percent', `${article} (c)(2)`),
    other: figure(10, 'percent', `${article} (c)(2)`),
  },
  repairWithin: figure(30, 'days', `${article} (d)`),
  shutdown: {
    repairWithin: figure(120, 'days', `${article} (d)`),
    categories: ['industrialProcess' as const],
  },
  partsExtension: {
    afterDelivery: figure(30, 'days', `${article} (f)`),
    cap: figure(180, 'days', `${article} (f)`),
    capWithShutdown: figure(270, 'days', `${article} (f)`),
  },
  otherExtensions: true,
  weighs: 'pounds' as const,
  presumedAfter: figure(12, 'months', `${article} (d)`),
  firstTestNeeded: true,
  followUp: { days: figure(10, 'days', `${article} (e)`) },
  alwaysInspections: null,
  plan: {
    due: { afterRepairDue: figure(30, 'days', `${article} (h)`) },
    carriedOutWithin: figure(12, 'months', `${article} (h)`),
    source: cite(`${article} (h)`),
  },
  chronic: { percent: figure(125, 'percent', `${article} (j)`), source: cite(`${article} (j)`) },
  recordsKept: figure(3, 'years', `${article} (l)`),
  notComputed: [] as string[],
});

const series = (article: string, yearlyFromPounds: number) => ({
  quarterlyFrom: figure(500, 'lb', `${article} (g)`),
  quarterlyCategories: ['commercialRefrigeration' as const, 'industrialProcess' as const],
  quarterlyEvery: figure(3, 'months', `${article} (g)`),
  yearlyFrom: figure(yearlyFromPounds, 'lb', `${article} (g)`),
  yearlyEvery: figure(12, 'months', `${article} (g)`),
  quietQuarters: figure(4, 'quarters', `${article} (g)`),
  quietYears: figure(1, 'years', `${article} (g)`),
  checkedDetectionHolds: figure(12, 'months', `${article} (g)`),
  source: cite(`${article} (g)`),
});

export const usOds = definePack({
  ...shared('40 CFR 82.157'),
  id: 'us-ods',
  title: 'Ozone-depleting refrigerants',
  authority: 'United States, federal',
  holdsIn: [{ code: 'US' }],
  from: '2019-01-01',
  covers: [{ containsAny: ['CFC', 'HCFC'], fullChargeAtLeast: figure(50, 'lb', '40 CFR 82.157 (a)') }],
  seriesInspections: series('40 CFR 82.157', 50),
  detection: null,
  interpretations,
});

export const usHfc = definePack({
  ...shared('40 CFR 84.106'),
  id: 'us-hfc',
  title: 'HFCs and their substitutes',
  authority: 'United States, federal',
  holdsIn: [{ code: 'US' }],
  from: '2026-01-01',
  covers: [
    {
      containsAny: ['HFC'],
      fullChargeAtLeast: figure(15, 'lb', '40 CFR 84.106 (a)'),
      notLightCommercialAirConditioning: true,
    },
    {
      containsNone: ['CFC', 'HCFC'],
      gwpAbove: figure(53, 'GWP', '40 CFR 84.102'),
      fullChargeAtLeast: figure(15, 'lb', '40 CFR 84.106 (a)'),
      notLightCommercialAirConditioning: true,
    },
  ],
  seriesInspections: series('40 CFR 84.106', 15),
  detection: {
    fullChargeAtLeast: figure(1500, 'lb', '40 CFR 84.108 (a)'),
    categories: ['commercialRefrigeration', 'industrialProcess'],
    installedFrom: '2017-01-01',
    olderInstalledBefore: '2026-01-01',
    olderDue: '2027-01-01',
    dueAfterInstallation: figure(30, 'days', '40 CFR 84.108 (b)'),
    checkEvery: figure(12, 'months', '40 CFR 84.108 (d)'),
    source: cite('40 CFR 84.108'),
  },
  notComputed: [
    'Alarms of automatic detection at 100 ppm, or a loss of 50 lb or 10 % of the full charge, whichever is less',
  ],
  interpretations: [
    ...interpretations,
    {
      point: 'substitutes',
      reading: 'no HFC but a CFC or HCFC in it: not covered',
      alternative: 'appliances with solely an ozone-depleting substance are left out',
      decidedBy: 'handbook',
    },
    {
      point: 'first covered in 2026',
      reading: 'days and windows reach back before the pack begins',
      alternative: "the authority's own start-up practice may differ",
      decidedBy: 'handbook',
    },
  ],
});
