/**
 * Random logbooks of one machine, as unruly as real ones: entries of all kinds that rules read, crowded on few days; cases as
 * they usually go with steps left out; corrections and voids; a change of method.
 */
import fc from 'fast-check';
import { type Logbook, readLogbook } from '../logbook/logbook';
import { PACK_IDS } from '../logbook/packNames';
import { addDays, addMonths, dayOf, dayText } from '../quantity/day';
import type { Row } from './naive';

const FIRST = dayOf('2025-06-01');
const dates = (most = 640) => fc.integer({ min: 0, max: most }).map((n) => dayText(addDays(FIRST, n)));
/** Few days, so that things meet on one day. */
const crowded = fc.integer({ min: 0, max: 63 }).map((n) => dayText(addDays(FIRST, n * 10)));
const leak = fc.constantFrom('k1', 'k2', 'k3');
const pounds = fc.constantFrom(0, 0.5, 1, 2.2, 5, 6, 12, 20, 40, 65, 130);
const mass = pounds.map((value) => ({ value, unit: 'lb' }));
const maybePack = fc.option(fc.constantFrom(...PACK_IDS), { nil: null, freq: 3 });
const weighed = fc.oneof(
  { weight: 8, arbitrary: mass.map((m) => ({ mass: m })) },
  { weight: 2, arbitrary: fc.constant({ mass: null, massUnknown: 'no scale' }) },
);

const kinds = fc.oneof(
  {
    weight: 9,
    arbitrary: fc
      .tuple(
        weighed,
        fc.constantFrom('topOff', 'topOff', 'topOff', 'recharge', 'seasonal', 'commission', 'moved'),
        fc.option(leak),
      )
      .map(([w, reason, leakId]) => ({ kind: 'refrigerantAdded', ...w, reason, leakId })),
  },
  {
    weight: 2,
    arbitrary: fc
      .tuple(weighed, fc.constantFrom('repair', 'seasonal', 'retire', 'moved'))
      .map(([w, reason]) => ({ kind: 'refrigerantRecovered', ...w, reason })),
  },
  { weight: 4, arbitrary: leak.map((leakId) => ({ kind: 'leakFound', leakId })) },
  {
    weight: 5,
    arbitrary: fc
      .tuple(leak, fc.boolean())
      .map(([leakId, evacuated]) => ({ kind: 'leakRepaired', leakId, evacuated })),
  },
  {
    weight: 9,
    arbitrary: fc
      .tuple(
        fc.constantFrom('initial', 'followUp'),
        fc.constantFrom('pass', 'pass', 'pass', 'fail'),
        fc.subarray(['k1', 'k2', 'k3'], { maxLength: 2 }),
      )
      .map(([stage, result, leakIds]) => ({ kind: 'verificationTest', stage, result, leakIds })),
  },
  {
    weight: 2,
    arbitrary: fc.constantFrom('normalOperation', 'mothballed', 'detectionCheck').map((kind) => ({ kind })),
  },
  {
    weight: 3,
    arbitrary: fc
      .boolean()
      .map((allAccessibleInspected) => ({ kind: 'leakInspection', allAccessibleInspected })),
  },
  { weight: 1, arbitrary: maybePack.map((pack) => ({ kind: 'processShutdown', pack })) },
  {
    weight: 2,
    arbitrary: fc
      .tuple(maybePack, fc.option(dates(900)))
      .map(([pack, partsDeliveredOn]) => ({ kind: 'extension', ground: 'parts', partsDeliveredOn, pack })),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(maybePack, dates(900))
      .map(([pack, until]) => ({ kind: 'extension', ground: 'otherRule', until, pack })),
  },
  { weight: 1, arbitrary: maybePack.map((pack) => ({ kind: 'planFiled', plan: 'retrofit', pack })) },
  { weight: 1, arbitrary: maybePack.map((pack) => ({ kind: 'planCompleted', pack })) },
  { weight: 2, arbitrary: maybePack.map((pack) => ({ kind: 'unrelatedLeak', pack })) },
  { weight: 1, arbitrary: fc.constantFrom(2025, 2026).map((year) => ({ kind: 'reportFiled', year })) },
  {
    weight: 1,
    arbitrary: fc
      .constantFrom('R-448A', 'R-22', 'R-408A', 'R-1234yf')
      .map((toRefrigerant) => ({ kind: 'retrofitted', toRefrigerant })),
  },
  {
    weight: 1,
    arbitrary: fc
      .constantFrom(60, 100, 600, 2100)
      .map((value) => ({ kind: 'fullChargeSet', method: 'weighed', mass: { value, unit: 'lb' } })),
  },
  {
    weight: 1,
    arbitrary: fc
      .record({
        category: fc.option(
          fc.constantFrom('commercialRefrigeration', 'industrialProcess', 'comfortCooling'),
        ),
        automaticDetection: fc.constantFrom('none', 'part', 'whole'),
      })
      .map((rest) => ({ kind: 'applianceChanged', ...rest })),
  },
);
export const event = fc.tuple(
  kinds,
  fc.oneof(crowded, crowded, dates()),
  fc.option(fc.integer({ min: 0, max: 23 }), { nil: null, freq: 2 }),
);

/** What happens on a day on which an inspection falls due after the second test, or on the day before or after it. */
const anniversary = fc.record({
  kind: fc.constantFrom(
    { kind: 'refrigerantAdded', mass: { value: 400, unit: 'lb' }, reason: 'topOff' },
    { kind: 'refrigerantAdded', mass: { value: 400, unit: 'lb' }, reason: 'topOff' },
    { kind: 'refrigerantAdded', mass: { value: 1, unit: 'lb' }, reason: 'topOff' },
    { kind: 'leakInspection', allAccessibleInspected: true },
    { kind: 'detectionCheck' },
    { kind: 'applianceChanged', automaticDetection: 'whole' },
    { kind: 'retrofitted', toRefrigerant: 'R-448A' },
    { kind: 'retired' },
  ) as fc.Arbitrary<Record<string, unknown> & { kind: string }>,
  months: fc.constantFrom(0, 3, 6, 9, 12, 15, 24),
  off: fc.constantFrom(-1, 0, 1),
});

/** A case as it usually goes, with steps left out by chance, so that every end of a case is reached. */
const course = fc
  .record({
    start: fc.integer({ min: 0, max: 400 }),
    gaps: fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 5, maxLength: 5 }),
    dropped: fc.option(fc.integer({ min: 0, max: 4 }), { freq: 1, nil: null }),
    evacuated: fc.boolean(),
    next: fc.constantFrom(null, [40, 1], [200, 1], [60, 40], [150, 65], [366, 65], [364, 65]),
    after: fc.constantFrom('unrelatedLeak', 'unrelatedLeak', 'planFiled', 'planCompleted', null),
    reopened: fc.option(fc.integer({ min: 1, max: 60 }), { freq: 1, nil: null }),
    anniversaries: fc.array(anniversary, { maxLength: 3 }),
  })
  .map(({ start, gaps, dropped, evacuated, next, after, reopened, anniversaries }) => {
    let day = start;
    const at = (
      kind: Record<string, unknown> & { kind: string },
      gap: number,
    ): [typeof kind, string, null] => {
      day += gap;
      return [kind, dayText(addDays(FIRST, day)), null];
    };
    const topOffOf = (value: number) => ({
      kind: 'refrigerantAdded',
      mass: { value, unit: 'lb' },
      reason: 'topOff',
    });
    const steps = [
      at(topOffOf(65), 0),
      at({ kind: 'leakFound', leakId: 'k1' }, gaps[0] ?? 0),
      at({ kind: 'leakRepaired', leakId: 'k1', evacuated }, gaps[1] ?? 0),
      at({ kind: 'verificationTest', stage: 'initial', result: 'pass', leakIds: [] }, gaps[2] ?? 0),
      at({ kind: 'verificationTest', stage: 'followUp', result: 'pass', leakIds: [] }, gaps[3] ?? 0),
    ].filter((_, index) => index !== dropped);
    const verified = addDays(FIRST, day);
    const anniversaryDays = anniversaries.map(({ kind, months, off }): (typeof steps)[number] => [
      kind,
      dayText(addDays(addMonths(verified, months), off)),
      null,
    ]);
    if (next) steps.push(at(topOffOf(next[1] ?? 1), next[0] ?? 1));
    if (after === 'planCompleted') steps.push(at({ kind: 'planFiled', plan: 'retire' }, 3));
    if (after)
      steps.push(at({ kind: after, ...(after === 'planFiled' ? { plan: 'retire' } : {}) }, gaps[4] ?? 0));
    // The repair did not hold after all: v is taken back, the case is verified anew, and gas decides once more.
    if (reopened !== null) {
      const test = (stage: string, result: string) => ({
        kind: 'verificationTest',
        stage,
        result,
        leakIds: ['k1'],
      });
      steps.push(
        at(test('followUp', 'fail'), reopened),
        at({ kind: 'leakFound', leakId: 'k2' }, gaps[0] ?? 0),
        at({ kind: 'leakRepaired', leakId: 'k1', evacuated: !evacuated }, gaps[1] ?? 0),
        at(test('initial', 'pass'), gaps[2] ?? 0),
        at({ kind: 'normalOperation' }, gaps[3] ?? 0),
        at({ kind: 'leakRepaired', leakId: 'k2', evacuated }, gaps[4] ?? 0),
        at({ ...test('initial', 'pass'), leakIds: ['k2'] }, 1),
        at({ ...test('followUp', 'pass'), leakIds: [] }, gaps[0] ?? 0),
        at(topOffOf(reopened % 2 === 0 ? 65 : 1), reopened),
      );
    }
    return [...steps, ...anniversaryDays];
  });

export const scene = fc.record({
  packs: fc.uniqueArray(fc.constantFrom(...PACK_IDS), { minLength: 1, maxLength: 4 }),
  refrigerant: fc.constantFrom('R-448A', 'R-448A', 'R-22', 'R-408A', 'R-404A', 'R-1234yf', 'R-290', null),
  category: fc.constantFrom('commercialRefrigeration', 'industrialProcess', 'comfortCooling'),
  charge: fc.option(fc.constantFrom(55, 100, 250, 600, 1600, 2100), { nil: null, freq: 20 }),
  installedOn: fc.option(fc.constantFrom('2018-05-01', '2024-02-29', '2025-08-31', '2026-01-31')),
  recordFrom: fc.option(fc.constantFrom('2025-09-15', '2026-06-01', '2026-12-31')),
  hermetic: fc.boolean(),
  automaticDetection: fc.constantFrom('none', 'none', 'part', 'whole'),
  method: fc.constantFrom('annualizing', 'rolling'),
  changedMethod: fc.boolean(),
  retiredOn: fc.option(dates(), { freq: 1, nil: null }),
  events: fc
    .tuple(fc.array(event, { minLength: 2, maxLength: 30 }), fc.array(course, { maxLength: 2 }), fc.boolean())
    // One in two is a course nearly undisturbed.
    .map(([random, courses, quiet]): [{ kind: string }, string, number | null][] => [
      ...(quiet ? random.slice(0, 4) : random),
      ...courses.flat(),
    ]),
  corrections: fc.array(fc.tuple(fc.nat(60), fc.boolean(), kinds, crowded), { maxLength: 3 }),
});
export type Scene = typeof scene extends fc.Arbitrary<infer Value> ? Value : never;

const id = (index: number) => `e${String(index).padStart(4, '0')}`;

export function logbookOf(s: Scene) {
  const entries: Row[] = s.events.map(([kind, on, hour], index) => ({
    ...kind,
    id: id(index),
    on,
    by: 'p',
    applianceId: 'a',
    at: hour === null ? null : `${on}T${String(hour).padStart(2, '0')}:00:00Z`,
  }));
  if (s.charge !== null)
    entries.push({
      id: 'charge',
      kind: 'fullChargeSet',
      on: '2025-01-01',
      by: 'p',
      applianceId: 'a',
      method: 'weighed',
      mass: { value: s.charge, unit: 'lb' },
    });
  if (s.retiredOn !== null && s.charge === 55)
    entries.push({ id: 'retired', kind: 'retired', on: s.retiredOn, by: 'p', applianceId: 'a' });
  s.corrections.forEach(([target, isVoid, kind, on], index) => {
    const supersedes = entries[target % entries.length]?.id;
    if (supersedes === undefined) return;
    const common = { id: `x${String(index)}`, by: 'p', supersedes, correctionReason: 'test' };
    entries.push(isVoid ? { ...common, kind: 'void', on } : { ...common, ...kind, on, applianceId: 'a' });
  });
  const site = {
    id: 's',
    kind: '',
    on: '',
    name: 's',
    timezone: 'America/Chicago',
    packs: s.packs,
    leakRateMethod: [
      { from: '2020-01-01', method: s.method },
      ...(s.changedMethod
        ? [{ from: '2026-06-01', method: s.method === 'rolling' ? 'annualizing' : 'rolling' }]
        : []),
    ],
  };
  const { refrigerant, category, installedOn, recordFrom, hermetic, automaticDetection } = s;
  const appliance = {
    id: 'a',
    siteId: 's',
    name: 'a',
    kind: 'rack',
    on: '',
    category,
    refrigerant,
    installedOn,
    recordFrom,
    hermetic,
    automaticDetection,
  };
  return { site, appliance, entries };
}

interface Written {
  site: Row;
  appliance: object;
  entries: readonly Row[];
}

/** The same as the app reads it: what it refuses never gets into a logbook. */
function readingOf({ site, appliance, entries }: Written) {
  const { kind: _k, on: _o, ...siteRow } = site;
  const { on: _on, ...applianceRow } = appliance as Row;
  return readLogbook({
    format: 'green-abacus-logbook',
    version: 1,
    sites: [siteRow],
    people: [],
    appliances: [applianceRow],
    cylinders: [],
    entries,
  });
}

export function readableOf(written: Written): Logbook {
  const read = readingOf(written);
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  return read.value;
}

/** Null: the app refuses it. */
export function readOrNull(written: Written): Logbook | null {
  const read = readingOf(written);
  return read.ok ? read.value : null;
}
