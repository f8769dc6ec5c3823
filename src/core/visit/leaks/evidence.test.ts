/** A pass is only as good as its conditions. */
import { describe, expect, test } from 'vitest';
import type { Entry } from '../../logbook/entry';
import { type Weakness, VOIDING, conditionsOf, weakIn, weaknessesOf } from './evidence';

const AIR = 101_325;
const psig = (value: number) => ({
  typed: `${String(value)} psig`,
  si: AIR + value * 6894.757293168,
  unit: 'psig',
});
const min = (value: number) => ({ typed: `${String(value)} min`, si: value * 60, unit: 'min' });
const SOUND = {
  section: 'low side',
  valvesOpen: 'all',
  testGas: 'nitrogenTrace' as const,
  atJoint: psig(120),
  minutes: min(15),
  method: 'bubbles' as const,
};
const weak = (rest: object, facts = {}): Weakness[] =>
  weaknessesOf({ ...SOUND, ...rest }, { workingPressure: null, ...facts });

test('a sound test has no weakness', () => {
  expect(weak({})).toEqual([]);
});

test.each<[string, object, Weakness]>([
  ['no section', { section: ' ' }, 'sectionNotSaid'],
  ['no valves', { valvesOpen: null }, 'valvesNotSaid'],
  ['a valve shut between gauge and joint', { valvesShut: 'king valve' }, 'valveShutBetween'],
  ['gas not recorded', { testGas: undefined }, 'gasNotSaid'],
  ['a detector on plain nitrogen', { testGas: 'nitrogen', method: 'detector' }, 'detectorOnPlainNitrogen'],
  ['no pressure', { atJoint: { notDone: 'no gauge there' } }, 'pressureNotSaid'],
  ['no time', { minutes: { unknown: true } }, 'minutesNotSaid'],
  ['four minutes', { minutes: min(4) }, 'minutesTooFew'],
  ['a vacuum alone', { method: 'vacuum', testGas: null, atJoint: null }, 'vacuumAlone'],
  ['no method', { method: null }, 'methodNotSaid'],
])('%s', (_, rest, code) => {
  expect(weak(rest)).toEqual([code]);
});

test('a detector sees a trace, and five minutes are enough to begin with', () => {
  expect(weak({ method: 'detector' })).toEqual([]);
  expect(weak({ minutes: min(5) })).toEqual([]);
});

test.each([
  [119, ['belowWorkingPressure']],
  [120, []],
])('tested at %d psig, running at 120 psig', (given, expected) => {
  expect(weak({ atJoint: psig(given) }, { workingPressure: psig(120).si })).toEqual(expected);
});

test('bubbles say nothing of a part that leaks into its housing', () => {
  expect(weak({}, { hidden: true })).toEqual(['bubblesInsideHousing']);
  expect(weak({ method: 'detector' }, { hidden: true })).toEqual([]);
  expect(VOIDING).toContain('bubblesInsideHousing');
});

describe('wherever a test keeps its conditions', () => {
  const entry = (fact: object): Entry =>
    ({ id: 'e', on: '2026-11-23', by: 'p', applianceId: 'a', ...fact }) as Entry;
  const running = { low: psig(30).si, high: psig(200).si, atmosphere: AIR };

  test('one reading of a series is no test yet, and a reason why there is none has no conditions', () => {
    const reading = entry({
      kind: 'pressureHold',
      tool: 'holdReading',
      section: 'coil',
      pressure: psig(120),
    });
    const skipped = entry({ kind: 'pressureHold', tool: 'holdSkipped', why: 'the valve passes' });
    expect([reading, skipped].map((each) => weakIn(each, running))).toEqual([[], []]);
  });

  test('a hold has read its pressure and time already', () => {
    const hold = entry({
      kind: 'pressureHold',
      tool: 'hold',
      inputs: { start: { typed: '150 psig', si: psig(150).si }, stood: { typed: '2 h', si: 7200 } },
      conditions: { section: 'liquid line', valvesOpen: 'king valve', testGas: 'nitrogen', method: 'gauge' },
    });
    expect(conditionsOf(hold, AIR)?.atJoint).toMatchObject({ typed: '150 psig' });
    // The liquid line runs at 200 psig: 150 is weak there, and would not be on the low side.
    expect(weakIn(hold, running)).toEqual(['belowWorkingPressure']);
    expect(weakIn(hold, { ...running, high: null })).toEqual([]);
  });

  test('a first legal test is judged by its own fields; a second is made with the machine running', () => {
    const legal = {
      kind: 'verificationTest',
      result: 'pass',
      section: 'suction line',
      testGas: 'nitrogen',
      method: 'electronic',
    };
    const first = entry({ ...legal, stage: 'initial', atJoint: { value: 20, unit: 'psig' } });
    expect(weakIn(first, running)).toEqual([
      'valvesNotSaid',
      'detectorOnPlainNitrogen',
      'belowWorkingPressure',
      'minutesNotSaid',
    ]);
    expect(weakIn(entry({ ...legal, stage: 'followUp' }), running)).toEqual([]);
  });

  test('a section named after a hidden part', () => {
    const bubbles = entry({
      kind: 'pressureHold',
      tool: 'jointTest',
      result: 'pass',
      conditions: { ...SOUND, section: 'pressure control' },
    });
    expect(weakIn(bubbles, { ...running, high: null })).toEqual(['bubblesInsideHousing']);
  });
});
