/** Vacuum: water's boiling point against published points, the pump-down against its closed form, the pump's check. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { celsius, microns, refusalOf, valueOf } from '../../testkit/bench';
import { pumpCheck } from './pumpCheck';
import { pumpDown, speedAt, tubeConductance } from './pumpDown';
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

  test('near what the pump reaches alone it is the closed form V/S × ln((p1 − pu)/(p2 − pu))', () => {
    const found = valueOf(
      pumpDown({
        volume: 0.02,
        from: 1000,
        to: 2.7,
        pump: { speed: 1e-3, ultimate: 2.6664 },
        hoses: { bore: 0.5, length: 0.01, count: 1, coresIn: false },
      }),
    );
    expect(found.seconds).toBeCloseTo(20 * Math.log((1000 - 2.6664) / (2.7 - 2.6664)), 1);
  });

  test('cores and hose each at their own mean pressure: what passes one passes the other', () => {
    const cored = { ...quarterInch, coresIn: true };
    for (const system of [50, 500, 5000]) {
      const taken = speedAt(system, pump, cored) * system;
      const inlet = taken / pump.speed + pump.ultimate;
      // The pressure between core and hose, from the hose; then the core must let the same through.
      let [low, high] = [inlet, system];
      for (let round = 0; round < 80; round += 1) {
        const joint = (low + high) / 2;
        const flow = 2 * tubeConductance(0.19 * 0.0254, 60 * 0.0254, (joint + inlet) / 2) * (joint - inlet);
        if (flow > taken) high = joint;
        else low = joint;
      }
      const throughCore = 2 * tubeConductance(1.6e-3, 15e-3, (system + low) / 2) * (system - low);
      expect(throughCore / taken).toBeCloseTo(1, 5);
    }
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
