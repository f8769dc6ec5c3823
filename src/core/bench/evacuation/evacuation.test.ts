/** Vacuum: water's boiling point against published points, fits against curves made by hand, and 300 made-up gauges. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CURVE_KINDS, type CurveKind, vacuumCurve } from '../../testkit/vacuumCurves';
import { celsius, microns, refusalOf, valueOf } from '../../testkit/bench';
import { judgeRise } from './judgeRise';
import { pumpCheck } from './pumpCheck';
import { pumpDown, speedAt, tubeConductance } from './pumpDown';
import type { Rise } from './rise';
import { cleaned } from './samples';
import { FIVE_HUNDRED_AND_HOLD, SHAPE_DECIDES, evacuationVerdict } from './verdict';
import { waterBoils, waterPressure } from './water';

describe('boiling point of water', () => {
  test.each([
    // Published points of the two IAPWS equations, and the boiling point at sea level.
    [230, 8.94735],
    [273.16, 611.657],
    [300, 3536.58941],
    [373.124, 101_325],
  ])('at %d K its saturation pressure is %d Pa', (kelvin, pascal) => {
    expect(waterPressure(kelvin) / pascal).toBeCloseTo(1, 4);
  });

  test('500 microns: near −24 °C over ice; 5,000 microns: near 1.2 °C', () => {
    const ice = valueOf(waterBoils(microns(500), null));
    expect(Math.abs(ice.temperature - celsius(-24))).toBeLessThan(0.6);
    expect(ice.overIce).toBe(true);
    const water = valueOf(waterBoils(microns(5000), null));
    expect(Math.abs(water.temperature - celsius(1.2))).toBeLessThan(0.1);
    expect(water).toMatchObject({ overIce: false, cannotDry: null });
  });

  test('a part colder than that cannot dry, a warmer one can, and out of range is refused', () => {
    expect(valueOf(waterBoils(microns(500), celsius(-30))).cannotDry).toBe(true);
    expect(valueOf(waterBoils(microns(500), celsius(10))).cannotDry).toBe(false);
    expect(refusalOf(waterBoils(2e5, null))).toMatchObject({ reason: 'outOfRange', field: 'vacuum' });
  });

  test('pressure to temperature and back, and warmer always means more pressure', () => {
    fc.assert(
      fc.property(fc.double({ min: 180, max: 370, noNaN: true }), (kelvin) => {
        expect(valueOf(waterBoils(waterPressure(kelvin), null)).temperature).toBeCloseTo(kelvin, 6);
        expect(waterPressure(kelvin + 0.1)).toBeGreaterThan(waterPressure(kelvin));
      }),
    );
  });
});

/** A curve written down directly, with a small unrest that repeats: no generator, no simulation. */
const curve = (pressureAt: (at: number) => number, minutes: number, every: number, unrest = 0.3) =>
  Array.from({ length: Math.floor((minutes * 60) / every) + 1 }, (_, i) => ({
    at: i * every,
    pressure: pressureAt(i * every) + unrest * ([0.8, -1.1, 0.3, 1.2, -0.9, -0.3][i % 6] ?? 0),
  }));

describe('the three explanations', () => {
  const resolution = microns(1);

  test('a straight climb gives back its rate', () => {
    const readings = curve((at) => 60 + 0.08 * at, 40, 10);
    const judged = valueOf(judgeRise({ readings, resolution }));
    expect(judged).toMatchObject({ rise: 'climbing', sure: true });
    expect(judged.fits.climbing.slope).toBeCloseTo(0.08, 2);
    expect(judged.bounds.slope).toBeGreaterThan(0.08);
    expect(judged.leak).toBeGreaterThan(0.95);
  });

  test('moisture gives back its step and its time', () => {
    const readings = curve((at) => 40 + 90 * (1 - Math.exp(-at / 180)), 25, 10);
    const judged = valueOf(judgeRise({ readings, resolution }));
    expect(judged).toMatchObject({ rise: 'levelling', sure: true });
    expect(judged.fits.levelling.step).toBeCloseTo(90, 0);
    expect(judged.fits.levelling.time).toBeCloseTo(180, -1);
  });

  test('both at once are told apart', () => {
    const readings = curve((at) => 40 + 60 * (1 - Math.exp(-at / 90)) + 0.06 * at, 30, 5);
    const judged = valueOf(judgeRise({ readings, resolution }));
    expect(judged).toMatchObject({ rise: 'both', sure: true });
    expect(judged.fits.both.slope).toBeCloseTo(0.06, 2);
    expect(judged.fits.both.step).toBeCloseTo(60, -1);
  });

  test('a flat line is flat, and says how small a leak could hide', () => {
    const judged = valueOf(judgeRise({ readings: curve(() => 55, 15, 10), resolution }));
    expect(judged).toMatchObject({ rise: 'flat', sure: true });
    expect(judged.bounds.slope * 60).toBeLessThan(microns(5));
  });

  test('three minutes of a slow rise are no firm word; it says how long to watch, and that long is firm', () => {
    const rise = (at: number): number => 60 + 0.05 * at;
    const short = valueOf(judgeRise({ readings: curve(rise, 3, 10), resolution }));
    expect(short.sure).toBe(false);
    expect(short.neededS).toBeGreaterThan(180);
    const long = valueOf(
      judgeRise({ readings: curve(rise, ((short.neededS ?? 0) * 1.2) / 60, 10), resolution }),
    );
    expect(long).toMatchObject({ rise: 'climbing', sure: true });
  });

  test('a valve moved at minute five is marked, not fitted', () => {
    const readings = curve(() => 55, 15, 5).map((each) =>
      each.at >= 300 && each.at < 315 ? { ...each, pressure: 240 } : each,
    );
    const judged = valueOf(judgeRise({ readings, resolution }));
    expect(judged.jumps.map((each) => each.at)).toEqual([300, 305, 310]);
    expect(judged).toMatchObject({ rise: 'flat', sure: true });
  });

  test('a step that does not come back is no jump', () => {
    const readings = curve((at) => (at < 300 ? 55 : 180), 15, 5);
    expect(cleaned(readings, resolution).jumps).toEqual([]);
  });

  test('readings out of order, or in microns or millibars, give the same verdict', () => {
    const readings = curve((at) => 60 + 0.08 * at, 40, 10);
    const straight = valueOf(judgeRise({ readings, resolution }));
    const turned = valueOf(judgeRise({ readings: readings.toReversed(), resolution }));
    expect(turned.fits.climbing).toEqual(straight.fits.climbing);
  });

  test('seven readings carry no verdict', () => {
    expect(refusalOf(judgeRise({ readings: curve(() => 55, 1, 10), resolution }))).toEqual({
      reason: 'tooFewReadings',
      have: 7,
      need: 8,
    });
  });

  test('progress rises to the end', () => {
    const shares: number[] = [];
    judgeRise({ readings: curve(() => 55, 15, 10), resolution }, (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  });
});

describe('verdict by the school', () => {
  const resolution = microns(1);
  const judged = (pressureAt: (at: number) => number, minutes: number) =>
    valueOf(judgeRise({ readings: curve(pressureAt, minutes, 10), resolution }));

  test('400 microns, flat for ten minutes: pass', () => {
    expect(
      evacuationVerdict(
        judged(() => microns(400), 10),
        FIVE_HUNDRED_AND_HOLD,
      ).outcome,
    ).toBe('pass');
  });
  test('levelling at 800 microns passes', () => {
    const moist = judged((at) => microns(400 + 400 * (1 - Math.exp(-at / 120))), 20);
    expect(evacuationVerdict(moist, FIVE_HUNDRED_AND_HOLD)).toEqual({ outcome: 'pass', reasons: [] });
  });
  test('a climb past 1,000 fails for both reasons', () => {
    expect(
      evacuationVerdict(
        judged((at) => microns(400 + (30 * at) / 60), 40),
        FIVE_HUNDRED_AND_HOLD,
      ),
    ).toEqual({ outcome: 'fail', reasons: ['endTooHigh', 'leak'] });
  });
  test('five minutes are too short even when flat', () => {
    expect(
      evacuationVerdict(
        judged(() => microns(400), 5),
        FIVE_HUNDRED_AND_HOLD,
      ),
    ).toEqual({
      outcome: 'watchOn',
      reasons: ['tooShort'],
    });
  });
  test('flat at 1,200 fails one school and passes the other', () => {
    const flat = judged(() => microns(1200), 12);
    expect(evacuationVerdict(flat, FIVE_HUNDRED_AND_HOLD).reasons).toEqual(['startTooHigh', 'endTooHigh']);
    expect(evacuationVerdict(flat, SHAPE_DECIDES).outcome).toBe('pass');
  });
});

const KIND_OF: Record<Rise, CurveKind> = {
  flat: 'flat',
  levelling: 'moist',
  climbing: 'leaking',
  both: 'both',
};

test('300 made-up gauges: right in 95 of 100 of those it is sure of, and every kind is met', () => {
  let sure = 0;
  let right = 0;
  const met = new Map<CurveKind, number>();
  for (let seed = 20_001; seed <= 20_300; seed += 1) {
    const made = vacuumCurve(seed);
    met.set(made.kind, (met.get(made.kind) ?? 0) + 1);
    const judged = valueOf(judgeRise(made));
    if (!judged.sure) continue;
    sure += 1;
    if (KIND_OF[judged.rise] === made.kind) right += 1;
  }
  for (const kind of CURVE_KINDS) expect(met.get(kind), kind).toBeGreaterThan(40);
  expect(sure).toBeGreaterThan(200);
  expect(right / sure).toBeGreaterThanOrEqual(0.95);
});

describe('pump-down', () => {
  const quarterInch = { bore: 0.19 * 0.0254, length: 60 * 0.0254, count: 2, coresIn: false };
  const pump = { speed: 2.83e-3, ultimate: microns(20) };

  test('a quarter-inch hose at 1 mbar lets about 0.0116 L/s through', () => {
    // 12.1 × 0.4826³/152.4 × (1 + 192 × 0.4826 + 237 × 0.4826²)/(1 + 236 × 0.4826), by hand
    expect(tubeConductance(0.004826, 1.524, 100) * 1000).toBeCloseTo(0.01156, 4);
  });

  test('without hoses in the way it is the closed form V/S × ln(p1/p2)', () => {
    const found = valueOf(
      pumpDown({
        volume: 0.02,
        from: 1000,
        to: 10,
        pump: { speed: 1e-3, ultimate: 0 },
        hoses: { bore: 0.5, length: 0.01, count: 1, coresIn: false },
      }),
    );
    expect(found.seconds).toBeCloseTo(20 * Math.log(100), 1);
  });

  test('a quarter-inch set with cores takes over half an hour where a wide one takes minutes', () => {
    const input = { volume: 0.03, from: 101_325, to: microns(500), pump };
    const narrow = valueOf(pumpDown({ ...input, hoses: { ...quarterInch, coresIn: true } }));
    const wide = valueOf(
      pumpDown({ ...input, hoses: { bore: 0.0095, length: 0.9, count: 1, coresIn: false } }),
    );
    expect(narrow.seconds / 60).toBeGreaterThan(30);
    expect(wide.seconds / 60).toBeLessThan(10);
    expect(narrow.curve.at(-1)?.pressure).toBeCloseTo(microns(500), 6);
  });

  test('stepped in time by small steps it takes as long', () => {
    const found = valueOf(pumpDown({ volume: 0.01, from: 5000, to: 100, pump, hoses: quarterInch }));
    let pressure = 5000;
    let seconds = 0;
    while (pressure > 100) {
      pressure -= (pressure * speedAt(pressure, pump, quarterInch) * 0.2) / 0.01;
      seconds += 0.2;
    }
    expect(found.seconds / seconds).toBeCloseTo(1, 2);
  });

  test('more volume, longer hoses and a weaker pump never help', () => {
    const base = { volume: 0.02, from: 1e5, to: 100, pump, hoses: quarterInch };
    const time = (change: Partial<typeof base>): number => valueOf(pumpDown({ ...base, ...change })).seconds;
    const now = time({});
    expect(time({ volume: 0.04 })).toBeCloseTo(2 * now, 6);
    expect(time({ hoses: { ...quarterInch, length: 3 } })).toBeGreaterThan(now);
    expect(time({ hoses: { ...quarterInch, count: 1 } })).toBeGreaterThan(now);
    expect(time({ pump: { ...pump, speed: 1e-3 } })).toBeGreaterThan(now);
    expect(time({ hoses: { ...quarterInch, coresIn: true } })).toBeGreaterThan(now);
  });

  test('a goal below what the pump reaches alone is refused', () => {
    expect(
      refusalOf(pumpDown({ volume: 0.02, from: 1e5, to: microns(10), pump, hoses: quarterInch })),
    ).toMatchObject({ reason: 'notInOrder', first: 'ultimate vacuum of the pump' });
  });
});

describe('pump check', () => {
  test.each([
    [30, 2, 'strong', false],
    [99, 9.9, 'strong', false],
    [150, 0, 'weak', false],
    [600, 12, 'cannot', true],
  ] as const)(
    'a pump that reaches %d microns alone, %d h on its oil, for 500',
    (ultimate, oilHours, pump, oilDue) => {
      expect(valueOf(pumpCheck({ ultimate: microns(ultimate), goal: microns(500), oilHours }))).toEqual({
        pump,
        oilDue,
      });
    },
  );
  test('hours below nothing are refused by name', () => {
    expect(refusalOf(pumpCheck({ ultimate: 1, goal: 60, oilHours: -1 }))).toMatchObject({
      field: 'hours on the oil',
    });
  });
});
