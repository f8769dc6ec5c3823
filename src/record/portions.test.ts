/** What a gas form begins with in a visit, and what becomes of it: as the last portion, and as what goes back. */
import { describe, expect, it } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { dayOf } from '../core/quantity/day';
import { standing } from '../core/testkit/facts';
import type { Values } from './field';
import { initialValues, madeOf } from './formValues';
import { type GasKind, kindForm } from './forms';
import { placeOf } from './place';
import { portionAfter } from './portions';

const TODAY = '2026-06-02';
const gas = (id: string, kind: string, rest: object): Entry =>
  ({
    id,
    kind,
    on: '2026-06-01',
    by: 'p',
    applianceId: 'm',
    mass: { value: 4, unit: 'lb' },
    ...rest,
  }) as Entry;
const out = (reason: string): Entry => gas('out', 'refrigerantRecovered', { reason });

const first = (kind: GasKind, before: readonly Entry[], corrected: Entry | null = null): Values =>
  initialValues(kindForm(kind), portionAfter(kind, before), corrected, standing([], TODAY));

function made(kind: GasKind, values: Values, corrected: { entry: Entry; values: Values } | null = null) {
  const frame = {
    id: 'new',
    kind,
    on: TODAY,
    by: 'p',
    applianceId: 'm',
    note: '',
    corrected,
    correctionReason: 'a slip',
  };
  return madeOf(kindForm(kind), values, frame, placeOf('lb', { packs: ['us-hfc'] }), dayOf(TODAY));
}

describe('the first portion of a visit', () => {
  it.each([
    ['repair', 'recharge'],
    ['seasonal', 'seasonal'],
    ['retrofit', 'retrofit'],
    ['retire', 'topOff'],
  ])('after gas was taken out for %s', (reason, expected) => {
    expect(first('refrigerantAdded', [out(reason)])).toMatchObject({ reason: expected, mass: '' });
  });

  it('where nothing was taken out hides no loss', () => {
    expect(first('refrigerantAdded', [])).toMatchObject({ reason: 'topOff' });
  });
});

describe('the next portion', () => {
  const before = gas('in', 'refrigerantAdded', { reason: 'recharge', cylinderId: 'B-26', leakId: 'k1' });

  it('keeps reason, bottle and leak, and never the figure', () => {
    const next = first('refrigerantAdded', [out('repair'), before]);
    expect(next).toMatchObject({ reason: 'recharge', cylinderId: 'B-26', leakId: 'k1', mass: '' });
    const { entry, errors } = made('refrigerantAdded', next);
    expect(entry).toBeNull();
    expect(errors).toEqual({ mass: 'Type the amount, such as 12.5, 12 lb 6 oz or 5.4 kg.' });
  });

  it('is weighed until somebody says otherwise', () => {
    const jug = gas('in', 'refrigerantAdded', { reason: 'topOff', mass: null, massUnknown: 'scale flat' });
    expect(first('refrigerantAdded', [jug])['massUnknown']).toEqual({ ticked: false, why: 'scale flat' });
  });

  it('of gas taken out is not told by gas that went in', () => {
    expect(first('refrigerantRecovered', [before])).toMatchObject({ reason: 'repair', cylinderId: '' });
  });
});

describe('gas that nobody weighed', () => {
  const values = { ...first('refrigerantAdded', []), mass: '4 lb' };

  it('needs why, and has no figure though one was typed before', () => {
    const without = made('refrigerantAdded', { ...values, massUnknown: { ticked: true, why: ' ' } });
    expect(without.errors['massUnknown']).toContain('Say why nobody weighed');
    const { entry } = made('refrigerantAdded', { ...values, massUnknown: { ticked: true, why: 'no scale' } });
    expect(entry).toMatchObject({ mass: null, massUnknown: 'no scale' });
  });

  it('is put right by the weight that turned up, and a weight by none', () => {
    const jug = gas('in', 'refrigerantAdded', { reason: 'topOff', mass: null, massUnknown: 'no scale' });
    const begun = first('refrigerantAdded', [], jug);
    const weighed = { ...begun, mass: '3 lb', massUnknown: { ticked: false, why: 'no scale' } };
    const right = made('refrigerantAdded', weighed, { entry: jug, values: begun }).entry;
    expect(right).toMatchObject({ mass: { value: 3, unit: 'lb' }, supersedes: 'in' });
    expect(right).not.toHaveProperty('massUnknown');
    const four = gas('in', 'refrigerantAdded', { reason: 'topOff' });
    const opened = first('refrigerantAdded', [], four);
    const guessed = { ...opened, massUnknown: { ticked: true, why: 'it was a guess' } };
    expect(made('refrigerantAdded', guessed, { entry: four, values: opened }).entry).toMatchObject({
      mass: null,
      massUnknown: 'it was a guess',
    });
  });
});

it('says nowhere gas went that nobody said', () => {
  const values = { ...first('refrigerantRecovered', []), mass: '1 lb' };
  expect(made('refrigerantRecovered', values).entry).not.toHaveProperty('into');
  expect(made('refrigerantRecovered', { ...values, into: 'outdoors' }).entry).toMatchObject({
    into: 'outdoors',
  });
});

it('keeps that gas was moved, which no list offers', () => {
  const moved = gas('in', 'refrigerantAdded', { reason: 'moved', moveId: 'both ends' });
  const begun = first('refrigerantAdded', [], moved);
  const lighter = { ...begun, mass: '3 lb' };
  expect(made('refrigerantAdded', lighter, { entry: moved, values: begun }).entry).toMatchObject({
    reason: 'moved',
    moveId: 'both ends',
  });
});
