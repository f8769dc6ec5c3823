/** Saturation against points computed off the grid, against a sixth-order reading of the same rows, and itself. */
import { readdirSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { REFRIGERANT_NAMES, refrigerant } from './refrigerant';
import {
  type SaturationTable,
  hasGlide,
  liquidDensity,
  pressureRange,
  saturatedState,
  saturationPressure,
  saturationTemperature,
  temperatureRange,
  vapourDensity,
} from './saturation';
import { loadSaturation } from './tables';
import check from './samples/saturation-check.json';

const points = check.points as Record<string, number[][]>;
const tables = new Map(
  await Promise.all(REFRIGERANT_NAMES.map(async (name) => [name, await loadSaturation(name)] as const)),
);
const tableOf = (name: string): SaturationTable => {
  const table = tables.get(name);
  if (!table) throw new Error(`no table ${name}`);
  return table;
};
const value = (looked: { ok: true; value: number } | { ok: false }): number => {
  if (!looked.ok) throw new Error(`refused: ${JSON.stringify(looked)}`);
  return looked.value;
};

test('every refrigerant that a machine can hold has a table and five points to test it', () => {
  expect(REFRIGERANT_NAMES.length).toBeGreaterThanOrEqual(41);
  for (const name of REFRIGERANT_NAMES) {
    expect(tableOf(name).name).toBe(name);
    expect(points[name]?.length, name).toBe(5);
  }
  const files = readdirSync(new URL('./tables', import.meta.url)).map((file) => file.replace('.json', ''));
  // A file name bears no brackets.
  expect(files.sort()).toEqual(REFRIGERANT_NAMES.map((name) => name.replace(/[()]/g, '')).sort());
});

test.each(REFRIGERANT_NAMES)('%s agrees with its off-grid points within 0.02 K and 0.3 %%', (name) => {
  const table = tableOf(name);
  for (const [celsius = NaN, bubble = NaN, dew = NaN, liquid = NaN, vapour = NaN] of points[name] ?? []) {
    const temperature = celsius + 273.15;
    for (const [line, pressure] of [
      ['bubble', bubble],
      ['dew', dew],
    ] as const) {
      expect(Math.abs(value(saturationTemperature(table, line, pressure)) - temperature)).toBeLessThan(0.02);
      // The other way: the pressure given for this temperature belongs to one within 0.02 K of it.
      const given = value(saturationPressure(table, line, temperature));
      const slope = (value(saturationPressure(table, line, temperature + 0.4)) - given) / 0.4;
      expect(Math.abs(given - pressure) / slope).toBeLessThan(0.02);
    }
    expect(value(liquidDensity(table, temperature)) / liquid).toBeCloseTo(1, 3);
    expect(value(vapourDensity(table, temperature)) / vapour).toBeCloseTo(1, 3);
  }
});

/** ln of a column read through the six nearest rows: another interpolation than the one under test. */
function sixPoint(rows: readonly number[], position: number, abscissa: (row: number) => number): number {
  const first = Math.min(Math.max(Math.floor(position) - 2, 0), rows.length - 6);
  let sum = 0;
  for (let i = first; i < first + 6; i += 1) {
    let weight = 1;
    for (let j = first; j < first + 6; j += 1) {
      if (i !== j) weight *= (abscissa(position) - abscissa(j)) / (abscissa(i) - abscissa(j));
    }
    sum += weight * Math.log(rows[i] ?? NaN);
  }
  return Math.exp(sum);
}

test.each(REFRIGERANT_NAMES)('%s is as good between all its rows as at the points', (name) => {
  const table = tableOf(name);
  const { from } = temperatureRange(table);
  const reciprocal = (row: number): number => 1 / (from + row);
  for (let row = 0; row < table.bubblePressure_Pa.length - 1; row += 1) {
    const position = row + 0.5;
    const temperature = from + position;
    for (const line of ['bubble', 'dew'] as const) {
      const rows =
        line === 'dew' ? (table.dewPressure_Pa ?? table.bubblePressure_Pa) : table.bubblePressure_Pa;
      const pressure = sixPoint(rows, position, reciprocal);
      expect(Math.abs(value(saturationTemperature(table, line, pressure)) - temperature)).toBeLessThan(0.02);
    }
    const liquid = sixPoint(table.liquidDensity_kg_m3, position, (r) => r);
    const vapour = sixPoint(table.vapourDensity_kg_m3, position, (r) => r);
    expect(Math.abs(value(liquidDensity(table, temperature)) / liquid - 1)).toBeLessThan(0.003);
    expect(Math.abs(value(vapourDensity(table, temperature)) / vapour - 1)).toBeLessThan(0.003);
  }
});

test('pressure to temperature and back agrees to a part in a thousand million, on every table and both lines', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...REFRIGERANT_NAMES),
      fc.constantFrom('bubble' as const, 'dew' as const),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (name, line, share) => {
        const table = tableOf(name);
        const { from, to } = pressureRange(table, line);
        const pressure = from + share * (to - from);
        const back = value(
          saturationPressure(table, line, value(saturationTemperature(table, line, pressure))),
        );
        expect(Math.abs(back / pressure - 1)).toBeLessThan(1e-9);
      },
    ),
    { numRuns: 2000 },
  );
});

test('warmer means higher pressure, thinner liquid and denser vapour', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...REFRIGERANT_NAMES),
      fc.double({ min: 0, max: 0.99, noNaN: true }),
      fc.double({ min: 0.001, max: 0.01, noNaN: true }),
      (name, share, step) => {
        const table = tableOf(name);
        const { from, to } = temperatureRange(table);
        const cold = saturatedState(table, from + share * (to - from));
        const warm = saturatedState(table, from + (share + step) * (to - from));
        if (!cold.ok || !warm.ok) throw new Error('inside the table, yet refused');
        expect(warm.value.bubblePressure).toBeGreaterThan(cold.value.bubblePressure);
        expect(warm.value.dewPressure).toBeGreaterThan(cold.value.dewPressure);
        expect(warm.value.liquidDensity).toBeLessThan(cold.value.liquidDensity);
        expect(warm.value.vapourDensity).toBeGreaterThan(cold.value.vapourDensity);
        expect(cold.value.bubblePressure).toBeGreaterThanOrEqual(cold.value.dewPressure);
      },
    ),
    { numRuns: 1000 },
  );
});

describe('figures that are published elsewhere', () => {
  test.each([
    ['R-134a', 0, 292_800],
    ['R-22', 0, 498_000],
    ['R-290', 0, 474_500],
    ['R-600a', 0, 157_000],
    ['R-744', 0, 3_485_000],
    ['R-717', 0, 429_200],
    ['R-134a', 25, 665_400],
  ])('%s at %d °C stands at %d Pa within 0.1 %%', (name, celsius, pascal) => {
    const pressure = value(saturationPressure(tableOf(name), 'bubble', celsius + 273.15));
    expect(Math.abs(pressure / pascal - 1)).toBeLessThan(0.001);
  });

  test.each([
    ['R-404A', -46.2, -45.5],
    ['R-448A', -46.2, -39.7],
    ['R-449A', -45.9, -39.8],
    ['R-454B', -50.7, -49.5],
  ])('%s boils from %d to %d °C at sea level', (name, bubble, dew) => {
    expect(value(saturationTemperature(tableOf(name), 'bubble', 101_325)) - 273.15).toBeCloseTo(bubble, 0);
    expect(value(saturationTemperature(tableOf(name), 'dew', 101_325)) - 273.15).toBeCloseTo(dew, 0);
  });
});

test('outside its table it refuses and says the range', () => {
  expect(saturationPressure(tableOf('R-744'), 'bubble', 305)).toEqual({
    ok: false,
    refusal: {
      reason: 'outsideTable',
      refrigerant: 'R-744',
      quantity: 'temperature',
      given: 305,
      from: 217.14999999999998,
      to: 301.15,
    },
  });
  const { to } = pressureRange(tableOf('R-448A'), 'dew');
  expect(saturationTemperature(tableOf('R-448A'), 'dew', to * 1.0001).ok).toBe(false);
  expect(saturationTemperature(tableOf('R-448A'), 'dew', Number.NaN).ok).toBe(false);
  expect(liquidDensity(tableOf('R-448A'), 100).ok).toBe(false);
});

test('the ends of every table belong to it', () => {
  for (const name of REFRIGERANT_NAMES) {
    const table = tableOf(name);
    const { from, to } = temperatureRange(table);
    expect(saturatedState(table, from).ok, name).toBe(true);
    expect(saturatedState(table, to).ok, name).toBe(true);
    for (const line of ['bubble', 'dew'] as const) {
      const pressures = pressureRange(table, line);
      expect(value(saturationTemperature(table, line, pressures.from))).toBeCloseTo(from, 9);
      expect(value(saturationTemperature(table, line, pressures.to))).toBeCloseTo(to, 9);
    }
  }
});

test('glide is where a blend boils over a range, and nowhere else', () => {
  expect(hasGlide(tableOf('R-134a'))).toBe(false);
  expect(hasGlide(tableOf('R-448A'))).toBe(true);
  for (const name of REFRIGERANT_NAMES)
    if (refrigerant(name).composition.length === 1) expect(hasGlide(tableOf(name)), name).toBe(false);
});
