/** Leak size in all its views, the present rate, and the money: hand-worked figures and other ways of reckoning. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { loadSaturation } from '../refrigerant/tables';
import { ATMOSPHERE, OUNCE, POUND, microns, psig, refusalOf, valueOf } from '../testkit/bench';
import { type LeakSetting, LEAK_VIEWS, leakSize, sightings } from './leakSize';
import { leakMoney } from './money';

const YEAR = 365 * 86_400;
const r134a = await loadSaturation('R-134a');
const r290 = await loadSaturation('R-290');
const setting: LeakSetting = {
  table: r134a,
  fullCharge: 20 * POUND,
  working: psig(150),
  atmosphere: ATMOSPHERE,
  bubble: 0.002,
  volume: 0.02,
  test: psig(150),
};

describe('one leak in all its views', () => {
  test('10 % of 20 lb a year is 2 lb, 32 oz, 907 g a year', () => {
    const views = valueOf(leakSize(setting, 'share', 0.1 / YEAR));
    expect((views.mass * YEAR) / POUND).toBeCloseTo(2, 9);
    expect((views.mass * YEAR) / OUNCE).toBeCloseTo(32, 9);
    // q = ṁ R T/M = 0.90718/31,536,000 × 8.314462 × 293.15/0.102032
    expect(views.throughput).toBeCloseTo(6.872e-4, 6);
  });

  test('1e−4 mbar·L/s of R-134a under soap: about one 2 mm bubble in 42 seconds', () => {
    const views = valueOf(leakSize(setting, 'throughput', 1e-5));
    // At one atmosphere 1e−5 Pa·m³/s is 9.869e−11 m³/s; a ball of 2 mm is 4.189e−9 m³.
    expect(1 / views.bubbles).toBeCloseTo(42.4, 1);
    expect(views.mass * YEAR * 1000).toBeCloseTo(13.2, 1);
  });

  test('in a hold at the pressure it works at, the fall is q/V × 12/17.6', () => {
    const views = valueOf(leakSize(setting, 'throughput', 1e-4));
    expect(views.hold).toBeCloseTo(((1e-4 / 0.02) * 12) / 17.6, 9);
  });

  test('under vacuum the air drives it: pa²/(pw² − pa²) × 12/18.2', () => {
    const views = valueOf(leakSize(setting, 'throughput', 1e-4));
    const drive = ATMOSPHERE ** 2 / (psig(150) ** 2 - ATMOSPHERE ** 2);
    expect(views.vacuum).toBeCloseTo((1e-4 / 0.02) * drive * (12 / 18.2), 12);
    expect((views.vacuum * 60) / microns(1)).toBeGreaterThan(0.01);
  });

  test('whichever view is given, all the others are the same leak', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -12, max: -5, noNaN: true }),
        fc.constantFrom(...LEAK_VIEWS),
        fc.double({ min: 20, max: 300, noNaN: true }),
        (power, view, working) => {
          const here = { ...setting, working: psig(working) };
          const first = valueOf(leakSize(here, 'mass', 10 ** power));
          const again = valueOf(leakSize(here, view, first[view]));
          for (const each of LEAK_VIEWS) expect(again[each] / first[each]).toBeCloseTo(1, 9);
        },
      ),
    );
  });

  test('more working pressure makes the same hole leak more, seen from one hold', () => {
    const mass = (working: number): number =>
      valueOf(leakSize({ ...setting, working: psig(working) }, 'hold', 1)).mass;
    expect(mass(200)).toBeGreaterThan(mass(100));
  });

  test('no charge, no leak, or work below the atmosphere is refused by name', () => {
    expect(refusalOf(leakSize({ ...setting, fullCharge: 0 }, 'mass', 1))).toMatchObject({
      field: 'full charge',
    });
    expect(refusalOf(leakSize(setting, 'mass', 0))).toMatchObject({ reason: 'notPositive', field: 'leak' });
    expect(refusalOf(leakSize({ ...setting, working: 9e4 }, 'mass', 1))).toMatchObject({
      reason: 'notAboveAtmosphere',
      field: 'working pressure',
    });
  });

  test('what each way of searching could see', () => {
    const sees = (gramsAYear: number) =>
      valueOf(sightings(setting, gramsAYear / 1000 / YEAR, 6894.757 / 86_400)).map((each) => each.sees);
    // Soap: 1e−4 mbar·L/s, 13.2 g of R-134a a year; heated diode: 5 g a year; a psi a day in 20 L: some 3 kg a year.
    expect(sees(4)).toEqual([false, false, false]);
    expect(sees(8)).toEqual([false, true, false]);
    expect(sees(20)).toEqual([true, true, false]);
    expect(sees(20_000)).toEqual([true, true, true]);
  });

  test('a lighter gas loses less mass through the same hole', () => {
    const heavy = valueOf(leakSize(setting, 'throughput', 1e-5)).mass;
    const light = valueOf(leakSize({ ...setting, table: r290 }, 'throughput', 1e-5)).mass;
    expect(light / heavy).toBeCloseTo(0.0440956 / 0.102032, 3);
  });
});

describe('money', () => {
  const costs = {
    refrigerant: 'R-404A',
    fullCharge: 10,
    rate: 0.02,
    workingMinimum: 0.8,
    gasPerKg: 50,
    visit: 300,
    perMonth: 20,
    repair: 1500,
  };

  test('2 kg every 100 days: three visits a year, 7.3 kg, and the repair pays in month 10', () => {
    const found = valueOf(leakMoney(costs));
    expect(found.every).toBeCloseTo(100, 9);
    expect(found.topOffCount).toBe(3);
    expect(found.gas).toBeCloseTo(7.3, 9);
    // 3 × (300 + 100) + 12 × 20
    expect(found.months[12]?.topOffs).toBe(1440);
    expect(found.months[12]?.repair).toBe(1600);
    expect(found.repairPaysIn).toBeNull();
    const dear = valueOf(leakMoney({ ...costs, visit: 600 }));
    // After 304 days three top-offs: 3 × 700 + 200 = 2,300; after 243 days two: 1,400 + 160; after 274: 1,400 + 180.
    expect(dear.repairPaysIn).toBe(10);
  });

  test('R-404A has a GWP of 3,921.6: 7.3 kg a year are 28.6 t CO2e', () => {
    expect(valueOf(leakMoney(costs)).co2e).toBeCloseTo(28.63, 1);
  });

  test('day by day for a year it costs the same', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.001, max: 0.1, noNaN: true }),
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        (rate, workingMinimum) => {
          const portion = (1 - workingMinimum) * 10;
          let missing = 0;
          let money = 12 * 20;
          for (let hour = 0; hour < 365 * 24; hour += 1) {
            missing += rate / 24;
            if (missing >= portion - 1e-9) {
              missing -= portion;
              money += 300 + portion * 50;
            }
          }
          const found = valueOf(leakMoney({ ...costs, rate, workingMinimum }));
          expect(found.months[12]?.topOffs).toBeCloseTo(money, 4);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a negative price and a minimum of nothing are refused by name', () => {
    expect(refusalOf(leakMoney({ ...costs, visit: -1 }))).toMatchObject({ field: 'visit cost' });
    expect(refusalOf(leakMoney({ ...costs, workingMinimum: 0 }))).toMatchObject({ field: 'working minimum' });
  });
});
