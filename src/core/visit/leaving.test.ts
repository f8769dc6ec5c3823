/** Leaving it right: the checklist, registers, and the small advice of the steps. */
import { describe, expect, test } from 'vitest';
import type { Appliance } from '../logbook/tables';
import { dayOf } from '../quantity/day';
import { exactGrams, grams } from '../quantity/mass';
import { type Fact, added, lb, note, recovered, standing } from '../testkit/facts';
import { cylinderFlows, heldOf } from './cylinders';
import { cautionsOf } from './cautions';
import { feeds } from './feeds';
import { gasOfVisit, recoveredShare } from './gasOfVisit';
import { checkState, corrected } from './instrument';
import { jointAdvice } from './joints';
import { WAY_QUESTIONS, wayUsed } from './waysOfWorking';
import { oilTracesOf, toLookAgain } from './leaks/oilTraces';
import { circuitMap } from '../circuit/layouts';
import { checklist, isTested, testedPlaces, touchedParts } from './touched';

const TODAY = '2026-11-23';
// The scene's own full charge is no work of the visit.
const entriesOf = (...facts: Fact[]) => standing(facts, TODAY, { pounds: null }).history.entries;
const tool = (kind: Parameters<typeof note>[0], name: string, rest: object, on = TODAY) =>
  note(kind, on, { tool: name, ...rest });

describe('the checklist knows what was touched', () => {
  const checks = (...facts: Fact[]) =>
    checklist(entriesOf(...facts), entriesOf(...facts)).map((each) => each.id);

  test('nothing touched asks nothing', () => {
    expect(checks()).toEqual([]);
  });
  test('gas: caps, ports and the label', () => {
    expect(checks(added(TODAY, 'topOff', 2))).toEqual([
      'capsOn',
      'portsClosed',
      'labelWritten',
      'panelsClosed',
    ]);
  });
  test('a vacuum: cores and gauge; a hold: nitrogen', () => {
    expect(checks(note('evacuation', TODAY))).toEqual([
      'capsOn',
      'portsClosed',
      'coresRenewed',
      'gaugeOff',
      'panelsClosed',
    ]);
    expect(checks(note('pressureHold', TODAY))).toContain('nitrogenOut');
    expect(checks(tool('readings', 'raised', { how: 'rest' }))).not.toContain('nitrogenOut');
  });
  test('oil that was not cleaned, a drier that was changed', () => {
    expect(checks(tool('search', 'stain', { place: 'floor', cleaned: 'no' }))).toContain('oilCleaned');
    expect(checks(tool('search', 'stain', { place: 'floor', cleaned: 'yes' }))).not.toContain('oilCleaned');
    expect(checks(tool('partFitted', 'drier', { part: 'Drier', changed: 'yes' }))).toContain('drierDated');
    expect(checks(tool('partFitted', 'drier', { part: 'Drier', changed: { notDone: 'dry' } }))).not.toContain(
      'drierDated',
    );
  });
  test('what was taken off for a while is on the list until it is back', () => {
    const timer = (state: string) =>
      tool('readings', 'disconnected', { what: 'timer', name: 'defrost', state });
    const of = (...facts: Fact[]) =>
      checklist(entriesOf(...facts), entriesOf(...facts)).find((each) => each.check === 'putBack');
    expect(of(timer('off'))).toMatchObject({ id: 'putBack timer defrost', answer: null });
    expect(of(timer('off'), timer('back'))?.answer).toBe('yes');
  });
  test('a test of the whole circuit clears whatever was heated in it', () => {
    const held = (section: string, result = 'pass') =>
      testedPlaces(entriesOf(tool('pressureHold', 'jointTest', { conditions: { section }, result })));
    expect(isTested(held('whole circuit'), 'Capillary')).toBe(true);
    expect(isTested(held('low side, capillary'), 'Capillary')).toBe(true);
    expect(isTested(held('low side'), 'Capillary')).toBe(false);
    expect(isTested(held('whole circuit', 'fail'), 'Capillary')).toBe(false);
  });
  test('the parts that were touched stand on the drawing', () => {
    const map = circuitMap('split', ['box']);
    const psig20 = { typed: '20 psig', si: 239_220, unit: 'psig' };
    const touched = touchedParts(
      entriesOf(
        tool('readings', 'reading', {
          numbers: { suction: psig20, head: { notDone: 'no port' } },
          signs: {},
        }),
        tool('readings', 'valve', { valve: 'King valve', part: 'receiverValve', state: 'shut' }),
        note('leakFound', TODAY, { leakId: 'k1', part: 'flareNut' }),
      ),
      map,
    );
    expect([...touched].sort()).toEqual(['flareNut', 'receiverValve', 'suctionValve']);
  });
  test('each valve by name, answered by opening it or by the word that it stays shut', () => {
    const shut = tool('readings', 'valve', { valve: 'King valve', state: 'shut' });
    const answer = (...facts: Fact[]) => checklist(entriesOf(...facts), entriesOf(...facts))[0]?.answer;
    expect(answer(shut)).toBeNull();
    expect(answer(shut, tool('readings', 'valve', { valve: 'king valve', state: 'open' }))).toBe('yes');
    expect(
      answer(shut, tool('readings', 'valve', { valve: 'King valve', state: 'leftShut', why: 'leaks by' })),
    ).toEqual({
      notDone: 'leaks by',
    });
  });
  test('an answer is kept, also a reason why not', () => {
    const facts = [
      added(TODAY, 'topOff', 2),
      tool('readings', 'checklist', { item: 'labelWritten', answer: { notDone: 'no pen' } }),
    ];
    expect(
      checklist(entriesOf(...facts), entriesOf(...facts)).find((each) => each.id === 'labelWritten')?.answer,
    ).toEqual({
      notDone: 'no pen',
    });
  });
});

test('gas of a visit: what was not weighed is never a figure', () => {
  const {
    added: sum,
    recovered: out,
    released,
  } = gasOfVisit(
    entriesOf(
      added(TODAY, 'topOff', 2),
      added(TODAY, 'topOff', null),
      recovered(TODAY, 'repair', null),
      tool('readings', 'release', { result: { mass: 0.05 } }),
    ),
  );
  expect([grams(sum.weighed), sum.times, sum.notWeighed]).toEqual([907.1847, 2, ['no scale']]);
  expect([grams(out.weighed), out.times]).toEqual([0, 1]);
  expect(released).toBeCloseTo(50, 9);
  expect(gasOfVisit(entriesOf()).released).toBeNull();
});

test('a charge that was weighed out whole says that nothing had leaked; a part of it says nothing', () => {
  const full = exactGrams(lb(10));
  const share = (...facts: Fact[]) => recoveredShare(entriesOf(...facts), full);
  expect(share(recovered(TODAY, 'repair', 9.6))).toBeCloseTo(0.96, 9);
  expect(share(recovered(TODAY, 'repair', 6), recovered(TODAY, 'repair', 3.9))).toBeCloseTo(0.99, 9);
  expect(share(recovered(TODAY, 'repair', 5))).toBeNull();
  expect(share(recovered(TODAY, 'repair', null))).toBeNull();
  expect(share(added(TODAY, 'topOff', 4), recovered(TODAY, 'repair', 10))).toBeNull();
  expect(recoveredShare(entriesOf(recovered(TODAY, 'repair', 9.6)), null)).toBeNull();
});

test('bottles: what went in and out, and unknown where one weight was not taken', () => {
  const entries = entriesOf(
    note('refrigerantRecovered', TODAY, { mass: lb(20), reason: 'repair', cylinderId: 'r' }),
    added(TODAY, 'recharge', 5, { cylinderId: 'r' }),
    added(TODAY, 'topOff', 2, { cylinderId: 'v' }),
    note('refrigerantRecovered', TODAY, { mass: null, massUnknown: 'no scale', cylinderId: 'u' }),
  ).map(({ entry }) => entry);
  const [r, v, u, none] = cylinderFlows(['r', 'v', 'u', 'n'], entries);
  // 15 lb of 453.59237 g
  expect(r && heldOf(r)).toBeCloseTo(6.80388555, 6);
  expect(v).toMatchObject({ takenOut: 907.1847, putIn: 0 });
  expect(v && heldOf(v)).toBeNull();
  expect(u && heldOf(u)).toBeNull();
  expect(none && heldOf(none)).toBe(0);
});

describe('oil stains', () => {
  const oilTrace = (on: string, id: string, rest: object): Fact => ({
    ...tool('search', 'stain', { place: 'below the coil', ...rest }, on),
    id,
  });

  test('a later note changes what it says and keeps what it does not', () => {
    const oilTraces = oilTracesOf(
      entriesOf(
        oilTrace('2026-03-01', 's1', { cause: 'spilled', cleaned: 'yes' }),
        oilTrace('2026-11-01', 's2', { stain: 's1', result: 'cameBack' }),
      ),
    );
    expect(oilTraces).toEqual([
      {
        id: 's1',
        place: 'below the coil',
        seenOn: dayOf('2026-03-01'),
        lastOn: dayOf('2026-11-01'),
        cause: 'spilled',
        cleanedOn: dayOf('2026-03-01'),
        result: 'cameBack',
      },
    ]);
  });
  test('cleaned, it is looked at again; an unknown cause is no cause', () => {
    const [known] = oilTracesOf(
      entriesOf(oilTrace('2026-03-01', 's1', { cleaned: 'yes', cause: { unknown: true } })),
    );
    expect(known && toLookAgain([known])).toHaveLength(1);
    expect(known?.cause).toEqual({ unknown: true });
  });
});

test.each([
  ['copper', 'copper', 'phosphorusCopper', false],
  ['copper', 'brass', 'highSilver', true],
  ['steel', 'copper', 'highSilver', true],
  ['steel', 'steel', 'highSilver', true],
  ['aluminium', 'copper', 'exchangePart', false],
] as const)('%s to %s: %s, flux %s', (one, other, alloy, flux) => {
  expect(jointAdvice(one, other)).toEqual({ alloy, flux });
  expect(jointAdvice(other, one)).toEqual({ alloy, flux });
});

describe('ways of working', () => {
  test('each question has a default and at least one other', () => {
    for (const { waysOfWorking } of Object.values(WAY_QUESTIONS))
      expect(waysOfWorking.length).toBeGreaterThan(1);
    expect(Object.keys(WAY_QUESTIONS)).toHaveLength(8);
  });
  test('the default until the visit names another, with its reason', () => {
    expect(wayUsed(entriesOf(), 'vacuum')).toMatchObject({
      way: 'fiveHundredAndHold',
      isDefault: true,
    });
    const other = tool('readings', 'school', {
      question: 'vacuum',
      school: 'shapeDecides',
      why: 'old wet oil',
    });
    expect(wayUsed(entriesOf(other), 'vacuum')).toEqual({
      way: 'shapeDecides',
      isDefault: false,
      why: 'old wet oil',
    });
    expect(wayUsed(entriesOf(other), 'drier').isDefault).toBe(true);
  });
});

describe('cautions', () => {
  const facts = { kind: 'reachIn' as const, roof: false, hermetic: true, glide: false };
  const at = (step: Parameters<typeof cautionsOf>[0], refrigerant: string, rest: object = {}) =>
    cautionsOf(step, { ...facts, refrigerant, ...rest });

  test.each([
    ['repair', 'R-290', 'flammableHotWork'],
    ['charge', 'R-290', 'flammableAir'],
    ['search', 'R-32', 'flammableAir'],
    ['read', 'R-717', 'toxicGas'],
    ['read', 'R-744', 'carbonDioxide'],
    ['isolate', 'R-448A', 'cylinder80'],
    ['raise', 'R-448A', 'nitrogen'],
    ['charge', 'R-134a', 'criticalCharge'],
  ] as const)('%s with %s: %s', (step, name, code) => {
    expect(at(step, name)).toContain(code);
  });
  test('none of them where it does not belong', () => {
    expect(at('repair', 'R-448A')).not.toContain('flammableHotWork');
    expect(at('repair', 'R-290')).not.toContain('hotWork');
    expect(at('read', 'R-448A')).not.toContain('toxicGas');
    expect(at('arrive', 'R-448A')).not.toContain('lockedRoom');
    expect(at('arrive', 'R-448A', { kind: 'walkIn' })).toContain('lockedRoom');
    expect(at('charge', 'R-448A', { glide: true })).toContain('blendsAsLiquid');
  });
});

describe('instruments', () => {
  const gauge = { id: 'i', name: 'gauge 2', dimension: 'pressure' as const, offset: 2 * 6894.757293168 };
  test('the offset is added to the reading', () => {
    expect(corrected(101_325, gauge)).toBeCloseTo(115_114.514586, 6);
  });
  test.each([
    ['2026-11-23', 'inDate'],
    ['2026-11-24', 'overdue'],
  ])('checked a year before 23 Nov 2026, on %s: %s', (today, state) => {
    expect(checkState({ ...gauge, checkedOn: '2025-11-23' }, dayOf(today)).state).toBe(state);
  });
  test('never checked is said, and an interval of its own counts', () => {
    expect(checkState(gauge, dayOf(TODAY))).toEqual({ state: 'neverChecked' });
    expect(checkState({ ...gauge, checkedOn: '2026-05-31', checkEveryMonths: 6 }, dayOf(TODAY))).toEqual({
      state: 'inDate',
      due: dayOf('2026-11-30'),
    });
  });
});

test('what feeds what is many to many', () => {
  const space = (id: string) => ({ id, siteId: 's', name: id });
  const machine = (id: string, rest: Partial<Appliance>): Appliance => ({
    id,
    siteId: 's',
    name: id,
    kind: 'walkIn',
    category: 'commercialRefrigeration',
    refrigerant: 'R-448A',
    ...rest,
  });
  const one = { ...machine('one', { serves: ['dairy', 'meat'], assembly: 'Chiller 1' }), 'x-tag': 'CU-3' };
  const two = machine('two', { serves: ['meat'] });
  const three = machine('three', { assembly: 'Chiller 1' });
  const elsewhere = machine('elsewhere', { siteId: 't', serves: ['meat'], assembly: 'Chiller 1' });
  const fed = feeds(one, [space('dairy'), space('meat'), space('fish')], [one, two, three, elsewhere]);
  expect(fed.tag).toBe('CU-3');
  expect(fed.spaces.map((each) => [each.space.id, each.alsoCooledBy.map((other) => other.id)])).toEqual([
    ['dairy', []],
    ['meat', ['two']],
  ]);
  expect(fed.circuits.map((each) => each.id)).toEqual(['three']);
});
