/** Charge: hoses, weighings, trim, winter flooding, components and bottles, against figures worked by hand. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { loadSaturation } from '../../refrigerant/tables';
import { OUNCE, POUND, celsius, fahrenheit, refusalOf, valueOf } from '../../testkit/bench';
import { LIQUID_SHARE, chargeByComponents, lineVolume } from './components';
import { cylinderRoom, fillLimit } from './cylinder';
import { hoseContent, tubeVolume, weighOut } from './hoses';
import { trim } from './trim';
import { weighedIn } from './weighed';
import { winterCharge } from './winter';

const INCH = 0.0254;
const r134a = await loadSaturation('R-134a');
const r290 = await loadSaturation('R-290');
const r404a = await loadSaturation('R-404A');
const r23 = await loadSaturation('R-23');
const r744 = await loadSaturation('R-744');

describe('what hoses keep', () => {
  test('5 ft of hose with 0.19 in bore: 27.9 cm³', () => {
    expect(tubeVolume(0.19 * INCH, 60 * INCH) * 1e6).toBeCloseTo(27.9, 1);
  });

  test('full of R-134a liquid at 25 °C it keeps 33.6 g, of vapour at 5 °C half a gram', () => {
    const liquid = valueOf(hoseContent({ bore: 0.19 * INCH, length: 60 * INCH, count: 1, density: 1206.7 }));
    expect(liquid.mass * 1000).toBeCloseTo(33.64, 1);
    const vapour = valueOf(hoseContent({ bore: 0.19 * INCH, length: 60 * INCH, count: 1, density: 17.13 }));
    expect(vapour.mass * 1000).toBeCloseTo(0.478, 2);
  });

  test('three hoses keep three times as much', () => {
    const one = { bore: 0.004, length: 1, density: 1000 };
    expect(valueOf(hoseContent({ ...one, count: 3 })).mass).toBeCloseTo(3 * Math.PI * 0.002 ** 2 * 1000, 9);
    expect(refusalOf(hoseContent({ ...one, bore: 0, count: 1 }))).toEqual({
      reason: 'notPositive',
      field: 'hose bore',
    });
  });
});

describe('what to weigh', () => {
  const hose = { hoseVolume: 27.9e-6, liquid: 493, vapour: 10 };

  test('70 g of R-290: pulled empty it is 70.3 g, taken off full 83.8 g', () => {
    expect(valueOf(weighOut({ charge: 0.07, ...hose, pulledEmpty: true })).weigh * 1000).toBeCloseTo(
      70.28,
      2,
    );
    expect(valueOf(weighOut({ charge: 0.07, ...hose, pulledEmpty: false })).weigh * 1000).toBeCloseTo(
      83.75,
      2,
    );
  });

  test('a long hose holds more than a small machine, and says so', () => {
    const long = { charge: 0.07, hoseVolume: 150e-6, liquid: 493, vapour: 10, pulledEmpty: true };
    expect(valueOf(weighOut(long)).hoseHoldsMore).toBe(true);
    expect(valueOf(weighOut({ ...long, charge: 0.5 })).hoseHoldsMore).toBe(false);
  });

  test('what is inside is the charge, however the hoses come off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 50, noNaN: true }),
        fc.double({ min: 1e-6, max: 1e-3, noNaN: true }),
        fc.boolean(),
        (charge, hoseVolume, pulledEmpty) => {
          const found = valueOf(weighOut({ charge, hoseVolume, liquid: 1100, vapour: 30, pulledEmpty }));
          expect(found.weigh - found.kept).toBeCloseTo(charge, 9);
        },
      ),
    );
  });
});

describe('by weight', () => {
  test('two bottles: 24 lb 3 oz to 18 lb 9 oz, and 30 lb to 27 lb', () => {
    const went = weighedIn([
      { bottle: 'first', before: 24 * POUND + 3 * OUNCE, after: 18 * POUND + 9 * OUNCE },
      { bottle: 'second', before: 30 * POUND, after: 27 * POUND },
    ]);
    expect(valueOf(went) / POUND).toBeCloseTo(8.625, 9);
  });
  test('nothing moved is zero, not unknown', () => {
    expect(valueOf(weighedIn([{ bottle: 'first', before: 5, after: 5 }]))).toBe(0);
  });
  test('a bottle that grew heavier, or none at all, is refused', () => {
    expect(refusalOf(weighedIn([{ bottle: 'B-26', before: 5, after: 6 }]))).toEqual({
      reason: 'notInOrder',
      first: 'B-26 after',
      second: 'B-26 before',
    });
    expect(refusalOf(weighedIn([]))).toMatchObject({ reason: 'tooFewReadings' });
  });
});

describe('trim', () => {
  const f = (degrees: number): number => (degrees * 5) / 9;
  test.each([
    ['valve, no subcooling: add', 'valve', 20, 0, 0, 'add', 'falls'],
    ['valve, nearly there: slowly', 'valve', 10, 6, 0, 'addSlowly', 'stays'],
    ['valve, both in range: stop', 'valve', 10, 10, 0, 'stop', 'stays'],
    [
      'valve, subcooling right but superheat not: the valve, not the charge',
      'valve',
      20,
      10,
      0,
      'checkValve',
      'stays',
    ],
    ['valve, too much subcooling: too much', 'valve', 10, 20, 0, 'tooMuch', 'stays'],
    ['fixed opening, high superheat: add', 'fixed', 40, 5, 0, 'add', 'falls'],
    ['fixed opening, superheat gone: too much', 'fixed', 2, 5, 0, 'tooMuch', 'falls'],
    ['box still 15 °F warm: wait', 'valve', 20, 0, 15, 'waitForBox', 'falls'],
    ['box 8 °F warm: near enough', 'valve', 20, 0, 8, 'add', 'falls'],
    [
      'valve, superheat and subcooling gone: liquid comes back, never add',
      'valve',
      0,
      0,
      0,
      'flooding',
      'falls',
    ],
    ['the same while the box is warm', 'valve', 0, 0, 20, 'flooding', 'falls'],
    ['valve, starved while liquid backs up: a restriction', 'valve', 30, 16, 0, 'restriction', 'stays'],
    ['fixed opening, starved while liquid backs up: plugged', 'fixed', 40, 20, 0, 'plugged', 'falls'],
    ['fixed opening, both gone: liquid comes back', 'fixed', 0, 0, 0, 'flooding', 'falls'],
    ['box still warm and all looks right: wait', 'valve', 10, 10, 20, 'waitForBox', 'stays'],
  ] as const)('%s', (_, metering, superheat, subcooling, above, advice, effect) => {
    const found = valueOf(
      trim({ metering, superheat: f(superheat), subcooling: f(subcooling), boxAbove: f(above) }),
    );
    expect(found).toMatchObject({ advice, superheat: effect, subcooling: 'rises' });
  });
});

describe('winter', () => {
  test.each([
    // 1 − split ÷ (90 − ambient), by hand; between the rows of evaporating temperature the split is the mean.
    [70, 40, 0],
    [62, 40, 0],
    [50, 40, 0.25],
    [45, 0, 1 - 20 / 45],
    [68, 0, 1 - 20 / 22],
    [40, 10, 1 - 22.5 / 50],
    [-20, -40, 1 - 12.5 / 110],
  ])('%d °F outside, %d °F evaporating: %d of the condenser', (ambient, evaporating, share) => {
    const found = winterCharge({
      table: r404a,
      condenserVolume: 1,
      ambient: fahrenheit(ambient),
      evaporating: fahrenheit(evaporating),
    });
    expect(valueOf(found).share).toBeCloseTo(share, 9);
  });

  test('a gas without liquid at the 90 °F that are held cannot flood a condenser: refused', () => {
    const given = { condenserVolume: 1, ambient: fahrenheit(20), evaporating: fahrenheit(0) };
    expect(refusalOf(winterCharge({ table: r744, ...given }))).toMatchObject({ reason: 'outsideTable' });
  });

  test('5 L of condenser at 0 °F, −20 °F evaporating: 83.3 % of it, R-404A at 1,221 kg/m³', () => {
    const found = valueOf(
      winterCharge({
        table: r404a,
        condenserVolume: 0.005,
        ambient: fahrenheit(0),
        evaporating: fahrenheit(-20),
      }),
    );
    expect(found.share).toBeCloseTo(0.833, 3);
    const cold = r404a.liquidDensity_kg_m3[-18 - r404a.firstTemperature_C] ?? 0;
    expect(found.extra).toBeCloseTo(0.005 * 0.833 * cold, 2);
  });

  test('colder than the table is refused with its range', () => {
    expect(
      refusalOf(
        winterCharge({ table: r404a, condenserVolume: 1, ambient: fahrenheit(-30), evaporating: 260 }),
      ),
    ).toMatchObject({ reason: 'outOfRange', field: 'lowest ambient' });
  });
});

describe('full charge by components', () => {
  test('a 3/8 in line, 0.032 in wall, 50 ft: 0.745 L', () => {
    const volume = valueOf(lineVolume({ outside: 0.375 * INCH, wall: 0.032 * INCH, length: 600 * INCH }));
    expect(volume * 1000).toBeCloseTo(((Math.PI / 4) * 0.311 ** 2 * 600 * 16.387064) / 1000, 3);
    expect(refusalOf(lineVolume({ outside: 0.01, wall: 0.005, length: 1 }))).toMatchObject({
      reason: 'notInOrder',
    });
  });

  test('a 28 mm line with 1 mm wall holds 0.531 L a metre', () => {
    expect(valueOf(lineVolume({ outside: 0.028, wall: 0.001, length: 1 })) * 1000).toBeCloseTo(0.5309, 4);
    expect(valueOf(lineVolume({ outside: 0.028, wall: 0.001, length: 20 })) * 1000).toBeCloseTo(10.619, 3);
  });

  test('liquid line, half a receiver and a condenser of R-134a at 40 °C', () => {
    const at40 = (column: readonly number[]): number => column[40 - r134a.firstTemperature_C] ?? 0;
    const liquid = at40(r134a.liquidDensity_kg_m3);
    const vapour = at40(r134a.vapourDensity_kg_m3);
    const temperature = celsius(40);
    const found = valueOf(
      chargeByComponents(r134a, [
        { name: 'liquid line', volume: 0.001, liquid: LIQUID_SHARE.liquidLine, temperature },
        { name: 'receiver', volume: 0.004, liquid: { low: 0.5, high: 0.5 }, temperature },
        { name: 'condenser', volume: 0.003, liquid: LIQUID_SHARE.condenser, temperature },
      ]),
    );
    const fixed = 0.001 * liquid + 0.004 * (0.5 * liquid + 0.5 * vapour);
    expect(found.low).toBeCloseTo(fixed + 0.003 * (0.1 * liquid + 0.9 * vapour), 9);
    expect(found.high).toBeCloseTo(fixed + 0.003 * (0.25 * liquid + 0.75 * vapour), 9);
    expect(found.charge).toBeCloseTo((found.low + found.high) / 2, 12);
  });

  test('a part without volume, a level beyond full and no parts are refused by name', () => {
    const part = { name: 'receiver', volume: 0.004, liquid: { low: 0.5, high: 1.5 }, temperature: 300 };
    expect(refusalOf(chargeByComponents(r134a, [part]))).toMatchObject({ field: 'liquid in receiver' });
    expect(refusalOf(chargeByComponents(r134a, [{ ...part, volume: 0 }]))).toEqual({
      reason: 'notPositive',
      field: 'volume of receiver',
    });
    expect(refusalOf(chargeByComponents(r134a, []))).toMatchObject({ reason: 'tooFewReadings' });
  });
});

describe('how full may this bottle be?', () => {
  test('0.8 × 23.8 L × 1.206 kg/L = 22.96 kg', () => {
    expect(fillLimit(0.0238, 1206)).toBeCloseTo(22.96, 2);
  });

  const cylinder = { table: r134a, holds: 'R-134a', waterCapacity: 0.0238, tare: 11, adding: 0 };
  // 1,206.7 kg/m³: full of liquid at 77 °F is 28.72 kg.
  test.each([
    ['empty', 11, 'ok', 22.98],
    ['at 74 % fine', 11 + 0.74 * 28.72, 'ok', 1.72],
    ['at 76 % nearly full', 11 + 0.76 * 28.72, 'nearlyFull', 1.15],
    ['at 81 % too full, less than no room', 11 + 0.81 * 28.72, 'tooFull', -0.29],
  ] as const)('%s', (_, gross, state, room) => {
    const found = valueOf(cylinderRoom({ ...cylinder, gross }));
    expect(found.state).toBe(state);
    expect(found.room).toBeCloseTo(room, 1);
    expect(found.stopAt).toBeCloseTo(33.98, 1);
  });

  test('another gas, or less than the tare, is refused', () => {
    expect(refusalOf(cylinderRoom({ ...cylinder, holds: 'R-22', gross: 12 }))).toEqual({
      reason: 'mixedGases',
      held: 'R-22',
      given: 'R-134a',
    });
    expect(refusalOf(cylinderRoom({ ...cylinder, gross: 10 }))).toMatchObject({ reason: 'notInOrder' });
    expect(valueOf(cylinderRoom({ ...cylinder, table: r290, holds: null, gross: 11 })).limit).toBeCloseTo(
      9.4,
      0,
    );
  });

  test('R-744 in an ordinary bottle is refused: 64 bar at 25 °C', () => {
    const refusal = refusalOf(cylinderRoom({ ...cylinder, table: r744, holds: null, gross: 11 }));
    expect(refusal).toMatchObject({ reason: 'beyondBottle', refrigerant: 'R-744' });
    expect((refusal as { pressure: number }).pressure / 1e5).toBeCloseTo(64.3, 0);
  });

  test('what would go beyond 80 % is refused with the room there is', () => {
    // 22.98 kg may be in it, 20 kg are: 2.98 kg fit.
    expect(valueOf(cylinderRoom({ ...cylinder, gross: 31, adding: 2.9 })).state).toBe('ok');
    const beyond = refusalOf(cylinderRoom({ ...cylinder, gross: 31, adding: 3.1 })) as { room: number };
    expect(beyond).toMatchObject({ reason: 'beyondFill', given: 3.1 });
    expect(beyond.room).toBeCloseTo(2.98, 1);
    expect(refusalOf(cylinderRoom({ ...cylinder, gross: 40, adding: 1 }))).toMatchObject({ room: 0 });
  });

  test('a gas that is no liquid at 77 °F has no such limit: refused', () => {
    expect(refusalOf(cylinderRoom({ ...cylinder, table: r23, holds: null, gross: 12 }))).toMatchObject({
      reason: 'outsideTable',
      refrigerant: 'R-23',
    });
  });
});
