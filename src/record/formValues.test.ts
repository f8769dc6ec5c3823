/** From what a form holds to the entry that it makes: facts stated in four ways, measures, instruments, and undoing. */
import { describe, expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { supersededIds } from '../core/logbook/order';
import { dayOf } from '../core/quantity/day';
import { standing } from '../core/testkit/facts';
import { type Form, noteForm } from './forms';
import { placedInDay } from './placeInDay';
import { stepFrom, visitAddress, visitOf } from '../web/data/addresses/visitAddress';
import { faultyLabels, initialValues, madeOf } from './formValues';
import { type FormPlace, placeOf } from './place';
import { EMPTY_DRAFT } from './statedDraft';
import { undoing, voidOf } from './voiding';

const TODAY = '2026-11-23';
const frame = {
  id: 'e1',
  kind: 'readings',
  on: TODAY,
  by: 'marit',
  applianceId: 'a',
  note: '',
  corrected: null,
  correctionReason: '',
};
/** 1,600 m up: 83.5 kPa. */
const HIGH: FormPlace = { ...placeOf('lb', { packs: ['us-hfc'], altitudeM: null }), atmosphere: 83_524 };
const made = (spec: Form, values: object, place: FormPlace = HIGH, rest: object = {}) =>
  madeOf(
    spec,
    { ...initialValues(spec, {}, null, standing([], TODAY)), ...values },
    { ...frame, ...rest },
    place,
    dayOf(TODAY),
  );
const typed = (text: string, rest: object = {}) => ({ ...EMPTY_DRAFT, text, ...rest });

describe('facts', () => {
  const arrival = noteForm('arrival');
  const reading = noteForm('reading');

  test('value, not done, unknown and nothing reach the entry as what they are', () => {
    const { entry, errors } = made(arrival, {
      outOfTemperature: typed('48'),
      product: typed('', { how: 'notDone', why: 'room locked' }),
      mayLimp: typed('', { how: 'unknown' }),
      otherBoxWarm: typed('no'),
    });
    expect(errors).toEqual({});
    expect(entry).toMatchObject({
      tool: 'arrival',
      outOfTemperature: { typed: '48 min', unit: 'min' },
      product: { notDone: 'room locked' },
      mayLimp: { unknown: true },
      otherBoxWarm: 'no',
    });
    expect(entry).not.toHaveProperty('complaint');
  });

  test('nested fields stand within their object, also when it stays empty', () => {
    const { entry } = made(reading, { 'numbers.suction': typed('11 psig'), 'signs.frost': typed('iced') });
    expect(entry).toMatchObject({ numbers: { suction: { typed: '11 psig' } }, signs: { frost: 'iced' } });
    expect(made(reading, {}).entry).toMatchObject({ numbers: {}, signs: {} });
  });

  test('a gauge counts from the air of the site', () => {
    const { entry } = made(reading, { 'numbers.suction': typed('10 psig') });
    const { numbers } = entry as unknown as { numbers: { suction: { si: number } } };
    // 10 × 6,894.757 + 83,524
    expect(numbers.suction.si).toBeCloseTo(152_471.57, 1);
  });

  test('the offset of an instrument is put in, and said', () => {
    const instrument = { id: 'i', name: 'gauge 2', dimension: 'pressure' as const, offset: -6894.757 };
    const { entry } = made(
      reading,
      { 'numbers.suction': typed('10 psig', { instrument: 'i' }) },
      { ...HIGH, instruments: [instrument] },
    );
    const { numbers } = entry as unknown as {
      numbers: { suction: { si: number; instrument: { name: string } } };
    };
    expect(numbers.suction.si).toBeCloseTo(152_471.57 - 6894.757, 1);
    expect(numbers.suction.instrument.name).toBe('gauge 2');
  });

  test.each([
    ['a reason that is missing', typed('', { how: 'notDone' }), 'Say why'],
    ['no measure', typed('warm'), ''],
    ['a comma', typed('48,5'), ''],
  ])('%s is an error of its field, and no entry is made', (_, outOfTemperature, words) => {
    const { entry, errors } = made(arrival, { outOfTemperature });
    expect(entry).toBeNull();
    expect(errors['outOfTemperature']).toContain(words);
  });

  test('a pressure above the design pressure is refused at its field', () => {
    const { entry, errors } = made(noteForm('raised'), {
      how: 'nitrogen',
      pressure: typed('160 psig'),
      design: typed('150 psig'),
    });
    expect(entry).toBeNull();
    expect(errors['pressure']).toContain('above the least marked design pressure');
  });

  test('fields that do not apply are not asked', () => {
    const decided = { choice: 'repairNow', why: 'parts are here' };
    expect(made(noteForm('decision'), decided).errors).toEqual({});
    expect(made(noteForm('decision'), { ...decided, choice: 'runOn' }).errors).toHaveProperty('until');
  });
});

describe('undoing', () => {
  const leak = {
    id: 'found',
    kind: 'leakFound',
    on: TODAY,
    by: 'p',
    applianceId: 'a',
    leakId: 'k1',
    seal: { hash: 'h', previous: 'p' },
  } as Entry;
  const corrected = {
    ...leak,
    id: 'corrected',
    supersedes: 'found',
    correctionReason: 'other leak',
    leakId: 'k2',
  } as Entry;

  test('an entry is voided', () => {
    expect(undoing(leak, [leak])).toMatchObject({ kind: 'void', supersedes: 'found' });
  });

  test('a correction brings the earlier entry back, for what it superseded would stay superseded', () => {
    const back = undoing(corrected, [leak]);
    expect(back).toMatchObject({ kind: 'leakFound', leakId: 'k1', supersedes: 'corrected' });
    expect(back).not.toHaveProperty('seal');
    const all = [leak, corrected, back];
    const superseded = supersededIds(all);
    expect(all.filter((each) => !superseded.has(each.id))).toEqual([back]);
  });

  test('a void is undone by writing what it killed again', () => {
    expect(undoing(voidOf(leak, 'p', 'slip'), [leak])).toMatchObject({ kind: 'leakFound', leakId: 'k1' });
  });
});

describe('where a visit stands in the address', () => {
  test('there and back', () => {
    const address = visitAddress('v 1', 'rack/a', 'repair');
    expect(visitOf(address)).toBe('v 1');
    expect(visitOf('/machines/rack-a')).toBeNull();
    expect([stepFrom('repair'), stepFrom('nonsense'), stepFrom(undefined)]).toEqual([
      'repair',
      'before',
      'before',
    ]);
  });

  test('what is written over a visit, or today, has its hour; paper of an earlier day and a correction keep theirs', () => {
    const at = '2026-11-23T10:00:00Z';
    const entry = { id: 'e', on: '2026-11-23' } as Entry;
    const past = { ...entry, on: '2026-11-20' };
    const placed = (each: Entry, visitId: string | null) =>
      placedInDay(each, { visitId, today: '2026-11-23', at });
    expect(placed(past, 'v')).toEqual({ ...past, visitId: 'v', at });
    expect(placed(entry, null)).toEqual({ ...entry, at });
    expect(placed(past, null)).toEqual(past);
    const corrected = { ...past, supersedes: 'x', visitId: 'old' };
    expect(placed(corrected, 'v')).toEqual(corrected);
  });
});

test('a refusal names what is wrong by its label, in the order of the form', () => {
  const spec = noteForm('isolation');
  const values = initialValues(spec, {}, null, standing([], TODAY));
  const place = placeOf('lb', { packs: ['us-hfc'], altitudeM: null });
  const { entry, errors } = madeOf(spec, values, { ...frame, by: null, on: '' }, place, dayOf(TODAY));
  expect(entry).toBeNull();
  expect(faultyLabels(spec, errors)).toEqual(['Way', 'Who is writing', 'Day']);
  const said = madeOf(spec, { ...values, way: 'pumpDown' }, frame, place, dayOf(TODAY));
  expect([faultyLabels(spec, said.errors), said.entry]).toEqual([
    [],
    expect.objectContaining({ way: 'pumpDown' }),
  ]);
});
