/** The standing pressure test: hand-worked ends, verdicts at their edges, and losses by an integration in small steps. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { toSi } from '../quantity/measure';
import { saturationTemperature } from '../refrigerant/saturation';
import { loadSaturation } from '../refrigerant/tables';
import { ATMOSPHERE, OUNCE, asPsig, celsius, fahrenheit, psig, refusalOf, valueOf } from '../testkit/bench';
import { expectedPressure, judgePressureTest } from './pressureTest';
import type { Gauge, PressureTestReading } from './pressureTestTail';
import { standingTime } from './pressureTestLoss';
import { gasesOf } from './lossAsGas';
import { gasDensity, release, volumeByCharge, volumesInside } from './release';

const PSI = 6894.757293168;
const YEAR = 365 * 86_400;
const r134a = await loadSaturation('R-134a');
const r448a = await loadSaturation('R-448A');
const r744 = await loadSaturation('R-744');
const r410a = await loadSaturation('R-410A');
const gauge: Gauge = { resolution: PSI, temperatureDoubt: 0 };
const noLimits = { design: null, working: null };

describe('expected end pressure', () => {
  test.each([
    // (100 + 14.696) × 499.67/534.67 − 14.696
    ['100 psig at 75 °F, cooled to 40 °F', 100, 75, 40, 1, 92.49],
    // (200 + 14.696) × 559.67/519.67 − 14.696 = 216.5256
    ['200 psig at 60 °F, warmed to 100 °F', 200, 60, 100, 1, 216.53],
    // half of it cooled: 114.696 ÷ (0.5 × 534.67/499.67 + 0.5) − 14.696
    ['only half of the volume cooled', 100, 75, 40, 0.5, 96.12],
    ['nothing changed its temperature', 150, 70, 20, 0, 150],
  ])('%s', (_, start, warm, cold, changedShare, expected) => {
    const found = expectedPressure({
      start: psig(start),
      startTemperature: fahrenheit(warm),
      endTemperature: fahrenheit(cold),
      changedShare,
    });
    expect(asPsig(valueOf(found))).toBeCloseTo(expected, 2);
  });

  test('warmer gas never stands lower, and a larger share only moves it further', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 250, max: 320, noNaN: true }),
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (temperature, warmer, share) => {
          const end = (changedShare: number, endTemperature: number): number =>
            valueOf(
              expectedPressure({ start: 1e6, startTemperature: temperature, endTemperature, changedShare }),
            );
          expect(end(share, temperature + warmer)).toBeGreaterThan(1e6);
          expect(end(1, temperature + warmer)).toBeGreaterThan(end(share, temperature + warmer));
        },
      ),
    );
  });

  test('psig and °F, or bar and °C: the same test has the same end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 110, noNaN: true }),
        fc.double({ min: 0, max: 110, noNaN: true }),
        (pounds, warm, cold) => {
          const us = expectedPressure({
            start: toSi('pressure', pounds, 'psig'),
            startTemperature: toSi('temperature', warm, '°F'),
            endTemperature: toSi('temperature', cold, '°F'),
            changedShare: 1,
          });
          const metric = expectedPressure({
            start: toSi('pressure', (pounds * 6894.757293168) / 1e5, 'bar'),
            startTemperature: toSi('temperature', (warm - 32) / 1.8, '°C'),
            endTemperature: toSi('temperature', (cold - 32) / 1.8, '°C'),
            changedShare: 1,
          });
          expect(valueOf(us) / valueOf(metric)).toBeCloseTo(1, 12);
        },
      ),
    );
  });

  test('a share beyond the whole is refused', () => {
    expect(
      refusalOf(
        expectedPressure({ start: 1e6, startTemperature: 290, endTemperature: 280, changedShare: 1.2 }),
      ),
    ).toMatchObject({ reason: 'outOfRange', field: 'share that changed', to: 1 });
  });
});

const hold = (
  readings: [number, number, number][],
  rest: Partial<Parameters<typeof judgePressureTest>[0]> = {},
) =>
  judgePressureTest({
    readings: readings.map(([minutes, pounds, degrees]): PressureTestReading => ({
      at: minutes * 60,
      pressure: psig(pounds),
      temperature: fahrenheit(degrees),
    })),
    changedShare: 1,
    gauge,
    limits: noLimits,
    matters: null,
    ...rest,
  });

describe('verdict', () => {
  const matters = PSI / 3600;
  test('a fall that temperature explains, long enough for what matters, is holding', () => {
    const found = valueOf(
      hold(
        [
          [0, 100, 75],
          [90, 92.5, 40],
        ],
        { matters },
      ),
    );
    // A 1-psi division: 1 ÷ √12 of one reading; the slope of two over 90 min has √2 of that.
    expect(found.tail.doubt / PSI).toBeCloseTo(1 / Math.sqrt(12), 6);
    const slope = (1.645 * Math.sqrt(2 / 12)) / 1.5;
    expect((found.tail.loss.high * 3600) / PSI).toBeCloseTo(slope, 1);
    expect(found).toMatchObject({ word: 'holding', firm: true, weak: [] });
  });

  test('the same fall without a change of temperature is losing 7.5 psi an hour', () => {
    const found = valueOf(
      hold([
        [0, 100, 75],
        [60, 92.5, 75],
      ]),
    );
    expect(found).toMatchObject({ word: 'losing', firm: true });
    expect(((found.tail.loss.low + found.tail.loss.high) * 1800) / PSI).toBeCloseTo(7.5, 6);
  });

  test('ten minutes cannot show a loss of 1 psi an hour; it says how long, and that does not move as one waits', () => {
    const after = (minutes: number) =>
      valueOf(
        hold(
          [
            [0, 100, 75],
            [minutes, 100, 75],
          ],
          { matters },
        ),
      );
    // 2 × 1.645 × √2 × (1 ÷ √12) psi ÷ 1 psi an hour = 80.6 minutes from the start.
    for (const minutes of [10, 20, 30]) {
      expect(after(minutes)).toMatchObject({ word: 'cannotTell', firm: false });
      expect((after(minutes).neededS ?? 0) / 60 + minutes).toBeCloseTo(80.59, 1);
    }
    expect(after(80.7)).toMatchObject({ word: 'holding', firm: true, neededS: 0 });
  });

  test('a minute without a size is no green word', () => {
    const found = hold([
      [0, 100, 75],
      [1, 100, 75],
    ]);
    expect(valueOf(found)).toMatchObject({ word: 'cannotTell', firm: false, neededS: null });
  });

  test('a doubtful thermometer, or none, widens what cannot be told', () => {
    const fall = (temperatureDoubt: number, temperature: number | null) =>
      valueOf(
        judgePressureTest({
          readings: [0, 3600].map((at, i) => ({ at, pressure: psig(100 - 1.5 * i), temperature })),
          changedShare: 1,
          gauge: { resolution: PSI / 10, temperatureDoubt },
          limits: noLimits,
          matters,
        }),
      );
    expect(fall(0.2, 297).word).toBe('losing');
    expect(fall(10, 297).word).toBe('cannotTell');
    expect(fall(0.2, null)).toMatchObject({ word: 'cannotTell', weak: ['temperatureNotTaken'] });
  });

  test('more pressure than temperature explains is no pass', () => {
    expect(
      valueOf(
        hold(
          [
            [0, 100, 75],
            [60, 104, 75],
          ],
          { matters },
        ),
      ).word,
    ).toBe('risen');
  });

  test('never above the design pressure: refused with both figures', () => {
    expect(
      refusalOf(
        hold(
          [
            [0, 300, 75],
            [60, 300, 75],
          ],
          { limits: { design: psig(250), working: null } },
        ),
      ),
    ).toEqual({ reason: 'aboveDesignPressure', given: psig(300), limit: psig(250) });
  });

  test('a test below the pressure that the section runs at is weak evidence', () => {
    const found = valueOf(
      hold(
        [
          [0, 100, 75],
          [60, 100, 75],
        ],
        { limits: { design: null, working: psig(220) } },
      ),
    );
    expect(found.weak).toEqual(['belowWorkingPressure']);
  });

  test('one reading is no hold', () => {
    expect(refusalOf(hold([[0, 100, 75]]))).toEqual({ reason: 'tooFewReadings', have: 1, need: 2 });
    expect(
      refusalOf(
        hold([
          [10, 100, 75],
          [10, 99, 75],
        ]),
      ),
    ).toMatchObject({ reason: 'notPositive' });
  });
});

describe('loss as gas a year', () => {
  const section = { table: r134a, volume: 0.02, test: psig(150), working: psig(150), atmosphere: ATMOSPHERE };

  test('nitrogen lost: 20 L falling 1 psi an hour at 20 °C', () => {
    const alone = gasesOf({ ...section, testGas: 'nitrogen', table: null });
    // V dp/dt M/(R T) = 0.02 × 1.91521 × 0.0280134/(8.314462 × 293.15) kg/s
    const kilograms = ((0.02 * 1.915210359 * 0.0280134) / (8.314462618 * 293.15)) * YEAR;
    expect(alone.yearlyOf(PSI / 3600).high).toBeCloseTo(kilograms, 7);
    expect(alone.yearlyOf(PSI / 3600).low).toBeCloseTo(kilograms, 7);
    expect(alone.fallOf(kilograms)).toBeCloseTo(PSI / 3600, 9);
  });

  test('as refrigerant at the same pressure: laminar × 17.6 ÷ 12, molecular × √(M of nitrogen ÷ M)', () => {
    const { low, high } = gasesOf({ ...section, testGas: 'nitrogen' }).yearlyOf(PSI / 3600);
    const exact = ((0.02 * 1.915210359 * 0.102032) / (8.314462618 * 293.15)) * YEAR;
    expect(high / exact).toBeCloseTo(17.6 / 12, 6);
    expect(low / exact).toBeCloseTo(Math.sqrt(0.0280134 / 0.102032), 4);
    expect(gasesOf({ ...section, testGas: 'nitrogen' }).fallOf(high)).toBeCloseTo(PSI / 3600, 9);
  });

  test('a higher working pressure drives more through: (p² − pa²) in the ratio', () => {
    const laminar = (working: number) =>
      gasesOf({ ...section, working, testGas: 'nitrogen' }).yearlyOf(1).high;
    const [a, b] = [314.695949, 164.695949];
    expect(laminar(psig(300)) / laminar(psig(150))).toBeCloseTo(
      (a ** 2 - 14.695949 ** 2) / (b ** 2 - 14.695949 ** 2),
      5,
    );
  });

  test('integrated in small steps, the section falls as foretold', () => {
    // A leak of 8 oz a year at work; the nitrogen pressure is stepped down by its own laminar flow.
    const rate = (8 * OUNCE) / YEAR;
    const { fall } = valueOf(standingTime(section, rate, gauge));
    const atTest = fall * section.volume;
    let pressure = section.test;
    for (let second = 0; second < 86_400; second += 10) {
      const flow = (atTest * (pressure ** 2 - ATMOSPHERE ** 2)) / (section.test ** 2 - ATMOSPHERE ** 2);
      pressure -= (flow / section.volume) * 10;
    }
    expect((section.test - pressure) / (fall * 86_400)).toBeCloseTo(1, 2);
    expect(gasesOf({ ...section, testGas: 'nitrogen' }).yearlyOf(fall).high / YEAR).toBeCloseTo(rate, 15);
  });

  test('how long must it stand: 95 % either way, and more volume or a coarser gauge needs longer', () => {
    const rate = (8 * OUNCE) / YEAR;
    const found = valueOf(standingTime(section, rate, gauge));
    expect(found.fall * found.seconds).toBeCloseTo(2 * 1.645 * Math.SQRT2 * found.doubt, 6);
    const bigger = valueOf(standingTime({ ...section, volume: 0.2 }, rate, gauge));
    expect(bigger.seconds / found.seconds).toBeCloseTo(10, 6);
    const finer = valueOf(standingTime(section, rate, { resolution: PSI / 10, temperatureDoubt: 0 }));
    expect(finer.seconds / found.seconds).toBeCloseTo(0.1, 6);
  });

  test('tested far above the pressure at work a leak may be molecular, which falls slower: it must stand longer', () => {
    const rate = (8 * OUNCE) / YEAR;
    const working = psig(15);
    const high = { ...section, test: psig(150), working };
    const { fall } = valueOf(standingTime(high, rate, gauge));
    const q = (rate * 8.314462618 * 293.15) / 0.102032 / high.volume;
    const molecular = (q * (high.test / working)) / Math.sqrt(0.0280134 / 0.102032);
    const laminar =
      ((q * (high.test ** 2 - ATMOSPHERE ** 2)) / (working ** 2 - ATMOSPHERE ** 2)) * (12 / 17.6);
    expect(molecular).toBeLessThan(laminar);
    expect(fall / molecular).toBeCloseTo(1, 5);
  });

  test('a section in vacuum has no such leak: refused', () => {
    expect(refusalOf(standingTime({ ...section, working: 5e4 }, 1, gauge))).toMatchObject({
      reason: 'notAboveAtmosphere',
      field: 'working pressure',
    });
  });
});

describe('gas let go by opening', () => {
  test('2 L of R-134a vapour left at 30 psig and 21 °C: about 28 g', () => {
    const found = valueOf(
      release({ table: r134a, volume: 0.002, left: psig(30), temperature: celsius(21), traceShare: 1 }),
    );
    // Ideal gas: 308,168 Pa × 0.102032 ÷ (8.314 × 294.15) = 12.86 kg/m³. Second virial coefficient of R-134a near
    // 294 K about −0.0006 m³/mol: Z = 1 − 0.0006 × 308,168/(8.314 × 294.15) = 0.924, so 13.9 kg/m³.
    expect(Math.abs(found.density / 13.9 - 1)).toBeLessThan(0.03);
    expect(found.mass).toBeCloseTo(found.density * 0.002, 12);
    expect(found.liquidPresent).toBe(false);
  });

  test('at saturation liquid may be left, and the density is that of the table', () => {
    const dense = gasDensity(r134a, 700_000, celsius(25));
    expect(dense.ok && dense.value.liquidPresent).toBe(true);
    expect(dense.ok && dense.value.density).toBeCloseTo(
      r134a.vapourDensity_kg_m3[25 - r134a.firstTemperature_C] ?? 0,
      6,
    );
  });

  test('from saturation to far above it the density falls without a step, and never below the ideal gas', () => {
    fc.assert(
      fc.property(fc.double({ min: 120_000, max: 1_500_000, noNaN: true }), (pressure) => {
        const boiling = saturationTemperature(r134a, 'dew', pressure);
        if (!boiling.ok) throw new Error('refused');
        const at = (temperature: number): number => {
          const found = gasDensity(r134a, pressure, temperature);
          if (!found.ok) throw new Error('refused');
          return found.value.density;
        };
        expect(at(boiling.value + 1e-6) / at(boiling.value)).toBeCloseTo(1, 5);
        let before = at(boiling.value);
        for (let warmer = 1; warmer < 15; warmer += 1) {
          const now = at(boiling.value + warmer);
          expect(now).toBeLessThan(before);
          expect(now).toBeGreaterThan((pressure * 0.102032) / (8.314462618 * (boiling.value + warmer)));
          before = now;
        }
      }),
      { numRuns: 100 },
    );
  });

  test('far below the table the vapour is ideal', () => {
    const dense = gasDensity(r448a, 5000, celsius(20));
    expect(dense.ok && dense.value.density).toBeCloseTo((5000 * 0.08628345) / (8.314462618 * 293.15), 6);
  });

  test('thin gas above the end of the table is gas: R-744 at 35 °C, R-410A at 75 °C', () => {
    // Second virial coefficients near there: CO2 −115 cm³/mol, R-410A about −200 cm³/mol: Z = 1 + B p ÷ (R T).
    for (const [table, kelvins, pressure, virial] of [
      [r744, 308.15, 1e6, -115e-6],
      [r410a, 348.15, 5e5, -200e-6],
    ] as const) {
      const found = gasDensity(table, pressure, kelvins);
      const ideal = (pressure * table.molarMass_kg_mol) / (8.314462618 * kelvins);
      const compressibility = 1 + (virial * pressure) / (8.314462618 * kelvins);
      if (!found.ok) throw new Error('refused');
      expect(found.value.liquidPresent).toBe(false);
      expect(Math.abs((found.value.density * compressibility) / ideal - 1)).toBeLessThan(0.02);
    }
  });

  test('as dense as at its critical point there is no telling: refused', () => {
    expect(gasDensity(r744, 9e6, 308.15)).toMatchObject({ ok: false });
  });

  test('nitrogen with a tenth of trace lets go about a tenth', () => {
    const input = { table: r134a, volume: 0.01, left: psig(100), temperature: celsius(20) };
    const whole = valueOf(release({ ...input, left: psig(100) * 0.1, traceShare: 1 })).mass;
    expect(valueOf(release({ ...input, traceShare: 0.1 })).mass).toBeCloseTo(whole, 9);
    expect(refusalOf(release({ ...input, traceShare: 2 }))).toMatchObject({ reason: 'outOfRange' });
  });
  test('from one pressure to another: what was let out is the difference, and never less than nothing', () => {
    const input = { table: r134a, volume: 0.01, temperature: celsius(21), traceShare: 1 };
    const all = (left: number) => valueOf(release({ ...input, left })).mass;
    const between = valueOf(release({ ...input, left: psig(30), after: psig(5) })).mass;
    expect(between).toBeCloseTo(all(psig(30)) - all(psig(5)), 12);
    expect(refusalOf(release({ ...input, left: psig(5), after: psig(30) }))).toMatchObject({
      reason: 'outOfRange',
    });
  });
  test('a volume by the charge: 10 kg at 400 kg for each m³ are 25 L, 14 to 40', () => {
    // 7 kg stand in 10 to 28 L, at 700 to 250 kg for each m³.
    expect(volumesInside(null, 7)).toEqual([0.01, 0.028]);
    expect(volumesInside(0.02, 7)).toEqual([0.02]);
    expect(volumesInside(null, null)).toEqual([]);
    const { least, usual, most } = volumeByCharge(10);
    expect([least * 1000, usual * 1000, most * 1000].map((each) => Math.round(each))).toEqual([14, 25, 40]);
  });
});
