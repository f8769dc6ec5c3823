/** The Californian pack: any leak counts from the day it is found. Masses in pounds. */
import { definePack } from '../pack';
import { cite, figure } from './figures';

const ARTICLE = '17 CCR 95385';
const gwp = figure(150, 'GWP', '17 CCR 95381');
const charge = figure(50, 'lb', '17 CCR 95381');
const anyLeak = figure(0, 'percent', '17 CCR 95386');

export const usCa = definePack({
  id: 'us-ca',
  title: 'Refrigerant management, California',
  authority: 'California',
  // A state has no name that a browser knows.
  holdsIn: [{ code: 'US-CA', name: 'United States, California' }],
  from: '2011-01-01',
  source: cite('17 CCR 95380 and following'),
  opens: 'anyLeak',
  onlyWhereNoOther: false,
  covers: [
    { gwpAtLeast: gwp, fullChargeAbove: charge },
    { containsAny: ['CFC', 'HCFC'], fullChargeAbove: charge },
  ],
  threshold: {
    commercialRefrigeration: anyLeak,
    industrialProcess: anyLeak,
    comfortCooling: null,
    other: null,
  },
  repairWithin: figure(14, 'days', '17 CCR 95386'),
  shutdown: {
    repairWithin: figure(45, 'days', '17 CCR 95386'),
    categories: ['commercialRefrigeration', 'industrialProcess', 'comfortCooling', 'other'],
  },
  partsExtension: { fromOpening: figure(45, 'days', '17 CCR 95386') },
  otherExtensions: false,
  weighs: 'pounds',
  presumedAfter: null,
  firstTestNeeded: true,
  followUp: { days: figure(14, 'days', '17 CCR 95386') },
  seriesInspections: null,
  alwaysInspections: {
    measures: [
      {
        contains: null,
        by: 'fullCharge',
        bands: [
          { atLeast: figure(2000, 'lb', ARTICLE), everyMonths: figure(1, 'months', ARTICLE) },
          { atLeast: figure(200, 'lb', ARTICLE), everyMonths: figure(3, 'months', ARTICLE) },
          { atLeast: figure(0, 'lb', ARTICLE), everyMonths: figure(12, 'months', ARTICLE) },
        ],
      },
    ],
    detectionFactor: null,
    noneUnderWholeDetectionFrom: figure(2000, 'lb', ARTICLE),
    checkedDetectionHolds: figure(12, 'months', ARTICLE),
    needsBeginning: false,
    atAddition: { atLeast: figure(5, 'lb', ARTICLE), atLeastShare: figure(1, 'percent', ARTICLE) },
    source: cite(ARTICLE),
  },
  detection: null,
  plan: {
    due: { afterOpening: figure(60, 'days', '17 CCR 95387') },
    carriedOutWithin: figure(6, 'months', '17 CCR 95387'),
    source: cite('17 CCR 95387'),
  },
  chronic: null,
  recordsKept: figure(5, 'years', '17 CCR 95389'),
  notComputed: ['Automatic detection from 2,000 lb', 'Yearly report by 1 March, from 200 lb'],
  interpretations: [
    {
      point: 'repair windows',
      reading: '14 and 45 days for all',
      alternative: 'facilities that report emissions have longer ones',
      decidedBy: 'handbook',
    },
    {
      point: 'a checked detector in place of an inspection',
      reading: 'replaces the regular inspection, never the one at an addition',
      alternative: 'replaces both',
      decidedBy: 'Green Abacus',
    },
  ],
});
