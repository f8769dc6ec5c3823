/** The company's own rule: steps in on machines that no other pack of the site covers. */
import { definePack } from '../pack';
import { cite, figure } from './figures';

const OWN = "the company's own rule";
const threshold = figure(15, 'percent', OWN);

export const house = definePack({
  id: 'house',
  title: 'House rule',
  authority: 'the company',
  holdsIn: [],
  from: null,
  source: cite(OWN),
  opens: 'percent',
  onlyWhereNoOther: true,
  covers: [],
  threshold: {
    commercialRefrigeration: threshold,
    industrialProcess: threshold,
    comfortCooling: threshold,
    other: threshold,
  },
  repairWithin: figure(30, 'days', OWN),
  shutdown: null,
  partsExtension: null,
  otherExtensions: false,
  weighs: null,
  presumedAfter: figure(12, 'months', OWN),
  firstTestNeeded: true,
  followUp: { days: figure(30, 'days', OWN) },
  seriesInspections: null,
  alwaysInspections: {
    measures: [
      {
        contains: null,
        by: 'fullCharge',
        bands: [{ atLeast: figure(0, 'lb', OWN), everyMonths: figure(12, 'months', OWN) }],
      },
    ],
    detectionFactor: null,
    noneUnderWholeDetectionFrom: null,
    checkedDetectionHolds: null,
    needsBeginning: true,
    atAddition: null,
    source: cite(OWN),
  },
  detection: null,
  plan: null,
  chronic: null,
  recordsKept: figure(3, 'years', OWN),
  notComputed: [],
  interpretations: [],
});
