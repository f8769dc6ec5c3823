/** Readings of a pressure test, kept one by one. */
import { describe, expect, test } from 'vitest';
import { type Fact, note, standing } from '../../testkit/facts';
import { psig } from '../../testkit/bench';
import { loadSaturation } from '../../refrigerant/tables';
import { ATMOSPHERE, valueOf } from '../../testkit/bench';
import { pressureTests, judgeTest, resolutionOf, takenOf } from './pressureTests';
import { noteProblems } from '../notes/noteProblems';
import type { Entry } from '../../logbook/entry';

const DAY = '2026-11-23';
const entriesOf = (...facts: Fact[]) => standing(facts, DAY, { pounds: null }).history.entries;
const gauge = (typed: string) => ({ typed: `${typed} psig`, si: psig(Number(typed)), unit: 'psig' });
const reading = (id: string, at: string, typed: string, rest: object = {}): Fact => ({
  ...note('pressureHold', DAY, {
    tool: 'holdReading',
    section: 'low side',
    pressure: gauge(typed),
    at,
    ...rest,
  }),
  id,
});

describe('a test', () => {
  const entries = entriesOf(
    reading('r1', '2026-11-23T14:10:00Z', '122', { testGas: 'nitrogenTrace', design: gauge('150') }),
    reading('r2', '2026-11-23T14:20:00Z', '120.4', { test: 'r1' }),
    reading('q1', '2026-11-23T14:25:00Z', '200', { section: 'high side' }),
  );
  const [low, high] = pressureTests(entries);
  test('is its readings, under the first; another section is another test', () => {
    expect(low?.readings.map((each) => each.pressure.typed)).toEqual(['122 psig', '120.4 psig']);
    expect(low).toMatchObject({ id: 'r1', testGas: 'nitrogenTrace', ended: false });
    expect(high?.section).toBe('high side');
    expect(low && takenOf(low).map((each) => each.at)).toEqual([0, 600]);
  });
  test('its resolution is that of the coarsest figure: 122 is read to one psi', () => {
    expect(low && resolutionOf(low)).toBeCloseTo(6894.757, 2);
  });
  test('it is ended by the result of its section', () => {
    const ended = entriesOf(
      reading('r1', '2026-11-23T14:10:00Z', '122'),
      note('pressureHold', DAY, {
        tool: 'jointTest',
        at: '2026-11-23T15:00:00Z',
        conditions: { section: 'low side' },
        result: 'pass',
      }),
    );
    expect(pressureTests(ended)[0]?.ended).toBe(true);
  });
  test('a reading above the marked design pressure is refused with its field', () => {
    const over = reading('r9', '2026-11-23T14:10:00Z', '160', { design: gauge('150') });
    expect(noteProblems({ ...over, by: 'p', applianceId: 'a' } as Entry)[0]?.path).toEqual(['pressure']);
  });
});

describe('what a series says of a leak', async () => {
  const table = await loadSaturation('R-448A');
  const machine = { table, fullCharge: 10, atmosphere: ATMOSPHERE };
  const hour = (index: number): string => `2026-11-23T${String(8 + index).padStart(2, '0')}:00:00Z`;
  const judged = (
    figures: string[],
    rest: Partial<Parameters<typeof judgeTest>[1]> = {},
    celsius?: number,
  ) => {
    const [test_] = pressureTests(
      entriesOf(
        ...figures.map((typed, i) =>
          reading(`r${String(i)}`, hour(i), typed, {
            ...(i === 0 ? {} : { test: 'r0' }),
            ...(celsius === undefined
              ? {}
              : { temperature: { typed: `${String(celsius)} °C`, si: celsius + 273.15, unit: '°C' } }),
          }),
        ),
      ),
    );
    if (!test_) throw new Error('no test');
    return valueOf(judgeTest(test_, { ...machine, ...rest }));
  };
  test('a fall that goes on is a leak, whatever the charge', () => {
    expect(judged(['200.0', '190.0', '180.0', '170.0'], {}, 20)).toMatchObject({
      word: 'losing',
      firm: true,
    });
  });
  test('without a full charge nobody can say that it holds', () => {
    const found = judged(['200.0', '200.0', '200.0'], { fullCharge: null }, 20);
    expect(found).toMatchObject({ word: 'cannotTell', firm: false, neededS: null });
  });
  test('with one it says how much longer, less the longer it stood', () => {
    const three = judged(['200.0', '200.0', '200.0'], {}, 20);
    const two = judged(['200.0', '200.0'], {}, 20);
    expect(three.word).toBe('cannotTell');
    expect((two.neededS ?? 0) - (three.neededS ?? 0)).toBeCloseTo(3600, 6);
  });
  test('readings without temperatures weaken it, and it says so', () => {
    expect(judged(['200.0', '200.0', '200.0']).weak).toContain('temperatureNotTaken');
  });
});
