/**
 * Superheat, targets, valve, standing check and pressure control. Expected pressures are rows of the saturation tables,
 * read off by eye: R-134a at 0 °C, R-448A and R-22 at whole degrees.
 */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseMeasure } from '../quantity/measure';
import { saturationPressure } from '../refrigerant/saturation';
import { saturationTemperature } from '../refrigerant/saturation';
import { loadSaturation } from '../refrigerant/tables';
import { asPsig, ATMOSPHERE, celsius, fahrenheit, psig, refusalOf, valueOf } from '../testkit/bench';
import { controlForBox, fromCutOut, fromDifferential } from './pressureControl';
import { standingCheck } from './standingCheck';
import { subcooling, superheat } from './superheat';
import { CONDENSER_SPLIT, EVAPORATOR_TD, targets } from './targets';
import { valveAdvice } from './valveAdvice';

const r134a = await loadSaturation('R-134a');
const r448a = await loadSaturation('R-448A');
const r744 = await loadSaturation('R-744');

const row = (table: typeof r134a, column: readonly number[], degrees: number): number => {
  const found = column[degrees - table.firstTemperature_C];
  if (found === undefined) throw new Error('no such row');
  return found;
};

describe('superheat and subcooling', () => {
  test('R-134a boiling at 0 °C with 6 °C in the line has 6 K', () => {
    const suction = row(r134a, r134a.bubblePressure_Pa, 0);
    const state = valueOf(superheat({ table: r134a, suction, lineTemperature: celsius(6) }));
    expect(state.difference).toBeCloseTo(6, 9);
    expect(state).toMatchObject({ line: 'dew', band: 'within', beyondSaturation: false });
  });

  test('a blend: superheat counts from the dew row, subcooling from the bubble row of the same pressure', () => {
    const dew = row(r448a, r448a.dewPressure_Pa ?? [], -8);
    expect(
      valueOf(superheat({ table: r448a, suction: dew, lineTemperature: celsius(-4) })).difference,
    ).toBeCloseTo(4, 9);
    const bubble = row(r448a, r448a.bubblePressure_Pa, 40);
    const liquid = valueOf(subcooling({ table: r448a, liquid: bubble, lineTemperature: celsius(35) }));
    expect(liquid.difference).toBeCloseTo(5, 9);
    expect(liquid).toMatchObject({ line: 'bubble', band: 'within' });
  });

  test('a line colder than saturation means liquid or a wrong reading, and says so', () => {
    const suction = row(r134a, r134a.bubblePressure_Pa, 0);
    const state = valueOf(superheat({ table: r134a, suction, lineTemperature: celsius(-3) }));
    expect(state.difference).toBeCloseTo(-3, 9);
    expect(state.beyondSaturation).toBe(true);
  });

  test('a pressure outside the table is refused with its range', () => {
    expect(refusalOf(superheat({ table: r744, suction: 9e6, lineTemperature: 280 }))).toMatchObject({
      reason: 'outsideTable',
      to: 6_891_817,
    });
  });

  test('the same reading in other units is the same superheat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: -20, max: 80, noNaN: true }),
        (p, f) => {
          const us = parseMeasure('pressure', `${p.toFixed(6)} psig`, 'psig');
          const metric = parseMeasure('pressure', `${((p * 6894.757293168) / 1e5).toFixed(12)} bar`, 'psig');
          const warm = parseMeasure('temperature', `${f.toFixed(6)} °F`, '°C');
          const same = parseMeasure('temperature', `${(((f - 32) * 5) / 9).toFixed(12)}`, '°C');
          if (!us.ok || !metric.ok || !warm.ok || !same.ok) throw new Error('not read');
          const one = valueOf(
            superheat({ table: r448a, suction: us.value.si, lineTemperature: warm.value.si }),
          );
          const two = valueOf(
            superheat({ table: r448a, suction: metric.value.si, lineTemperature: same.value.si }),
          );
          expect(one.difference).toBeCloseTo(two.difference, 5);
        },
      ),
    );
  });
});

describe('what the gauges should read', () => {
  test('walk-in at 36 °F, 90 °F outside: coil 26 °F, condensing 120 °F', () => {
    const found = valueOf(
      targets({
        table: r134a,
        box: fahrenheit(36),
        difference: EVAPORATOR_TD.walkIn,
        airMeasured: false,
        ambient: fahrenheit(90),
        split: CONDENSER_SPLIT.standard,
      }),
    );
    expect(found.evaporating).toBeCloseTo(fahrenheit(26), 9);
    expect(found.condensing).toBeCloseTo(fahrenheit(120), 9);
    // Printed tables of R-134a: 26 °F 22.9 psig, 120 °F 171 psig.
    expect(asPsig(found.suction)).toBeCloseTo(22.9, 0);
    expect(asPsig(found.head)).toBeCloseTo(171, 0);
  });

  test('where the air was measured the coil is 2 °F colder, so the suction is lower', () => {
    const input = { table: r134a, box: fahrenheit(36), difference: 5, ambient: 300, split: 15 };
    const pipe = valueOf(targets({ ...input, airMeasured: false }));
    const air = valueOf(targets({ ...input, airMeasured: true }));
    expect(pipe.evaporating - air.evaporating).toBeCloseTo(10 / 9, 9);
    expect(air.suction).toBeLessThan(pipe.suction);
  });

  test('water-cooled: leaving water at 85 °F condenses at 95 °F', () => {
    const found = valueOf(
      targets({
        table: r448a,
        box: fahrenheit(0),
        difference: EVAPORATOR_TD.reachIn,
        airMeasured: false,
        ambient: fahrenheit(85),
        split: CONDENSER_SPLIT.waterCooled,
      }),
    );
    expect(found.condensing).toBeCloseTo(celsius(35), 9);
    // A blend with glide: both ends by the table's row, and between them the pressure whose dew and bubble point lie evenly about it.
    expect(found.headEnds.bubble).toBeCloseTo(row(r448a, r448a.bubblePressure_Pa, 35), 3);
    expect(found.headEnds.dew).toBeCloseTo(row(r448a, r448a.dewPressure_Pa ?? [], 35), 3);
    const [first, last] = (['bubble', 'dew'] as const).map((line) => {
      const at = saturationTemperature(r448a, line, found.head);
      return at.ok ? at.value : NaN;
    });
    expect(((first ?? 0) + (last ?? 0)) / 2).toBeCloseTo(celsius(35), 6);
    expect(found.evaporating).toBeCloseTo(fahrenheit(-17.5), 9);
  });

  test('a difference of nothing or less, and a head below the suction, are refused by name', () => {
    const given = { table: r448a, box: 275, difference: 5, airMeasured: false, ambient: 303, split: 15 };
    expect(refusalOf(targets({ ...given, difference: -3 }))).toMatchObject({
      reason: 'notPositive',
      field: 'difference to the coil',
    });
    expect(refusalOf(targets({ ...given, split: 0 }))).toMatchObject({ field: 'split' });
    expect(refusalOf(targets({ ...given, box: 300, ambient: 260, split: 10 }))).toEqual({
      reason: 'notInOrder',
      first: 'suction',
      second: 'head',
    });
  });

  test('CO2 on a warm day has no condensing temperature: refused, with the end of the table', () => {
    expect(
      refusalOf(
        targets({
          table: r744,
          box: 260,
          difference: 5,
          airMeasured: false,
          ambient: celsius(25),
          split: 15,
        }),
      ),
    ).toMatchObject({ reason: 'outsideTable', quantity: 'temperature', to: celsius(28) });
  });
});

describe('valve advice', () => {
  const f = (degrees: number): number => (degrees * 5) / 9;
  test.each([
    ['far too high: half a turn open, no more at once', 20, 10, 'open', 2],
    ['a little too high: a quarter turn or two', 12.5, 10, 'open', 2],
    ['within range: leave it', 9, 10, 'leave', 0],
    ['too low: close', 3, 10, 'close', 2],
    ['high, but no liquid at the valve: charge or restriction first', 20, 0, 'liquidFirst', 0],
    ['high, with 3 °F of subcooling: liquid first', 20, 3, 'liquidFirst', 0],
  ] as const)('%s', (_, superheatF, subcoolingF, action, quarterTurns) => {
    expect(valueOf(valveAdvice(f(superheatF), f(subcoolingF)))).toMatchObject({
      action,
      quarterTurns,
      waitMinutes: 10,
    });
  });

  test('no advice carries a superheat from one side of the range past the other', () => {
    fc.assert(
      fc.property(fc.double({ min: -10, max: 60, noNaN: true }), (degrees) => {
        const { expected, action } = valueOf(valveAdvice(f(degrees), null));
        if (action === 'open') expect(expected).toBeGreaterThanOrEqual(f(6));
        if (action === 'close') expect(expected).toBeLessThanOrEqual(f(12));
      }),
    );
  });
});

describe('is there liquid left?', () => {
  const ask = (table: typeof r134a, standing: number, degrees: number) =>
    valueOf(standingCheck({ table, standing, ambient: celsius(degrees), doubt: 1.5, resolution: 7000 }));

  test('R-134a at 25 °C stands at 665.4 kPa while there is liquid', () => {
    expect(ask(r134a, 665_400, 25).verdict).toBe('liquidPresent');
    expect(ask(r134a, 400_000, 25).verdict).toBe('vapourOnly');
    expect(ask(r134a, 400_000, 25).share).toBeCloseTo(0.601, 3);
    expect(ask(r134a, 800_000, 25).verdict).toBe('airOrWrongGas');
  });

  test('a blend at rest may stand anywhere between dew and bubble', () => {
    const dew = row(r448a, r448a.dewPressure_Pa ?? [], 20);
    const bubble = row(r448a, r448a.bubblePressure_Pa, 20);
    for (const standing of [dew, (dew + bubble) / 2, bubble])
      expect(ask(r448a, standing, 20).verdict).toBe('liquidPresent');
  });

  test('two degrees of doubt forgive a small difference, not a large one', () => {
    const pressure = saturationPressure(r134a, 'dew', celsius(24));
    expect(pressure.ok && ask(r134a, pressure.value, 25).verdict).toBe('liquidPresent');
    const cold = saturationPressure(r134a, 'dew', celsius(20));
    expect(cold.ok && ask(r134a, cold.value, 25).verdict).toBe('vapourOnly');
  });

  test('above the critical temperature a standing pressure says nothing, and that is refused', () => {
    expect(
      refusalOf(
        standingCheck({ table: r744, standing: 8e6, ambient: celsius(33), doubt: 1, resolution: 1e4 }),
      ),
    ).toMatchObject({ reason: 'outsideTable' });
  });
});

describe('low-pressure control', () => {
  test('cut-in 31 psig and differential 14 psi cut out at 17 psig, and back', () => {
    const one = valueOf(
      fromDifferential({ cutIn: psig(31), differential: 14 * 6894.757293168, atmosphere: ATMOSPHERE }),
    );
    expect(asPsig(one.cutOut)).toBeCloseTo(17, 9);
    const back = valueOf(fromCutOut({ cutIn: psig(31), cutOut: psig(17), atmosphere: ATMOSPHERE }));
    expect(back.differential / 6894.757293168).toBeCloseTo(14, 9);
    expect(back.warnings).toEqual([]);
  });

  test('R-134a holding 2 to 5 °C with 6 K to the coil: cut-in at 5 °C, cut-out at −4 °C', () => {
    const found = valueOf(
      controlForBox({
        table: r134a,
        boxLow: celsius(2),
        boxHigh: celsius(5),
        difference: 6,
        atmosphere: ATMOSPHERE,
      }),
    );
    expect(found.cutIn).toBeCloseTo(row(r134a, r134a.bubblePressure_Pa, 5), 3);
    expect(found.cutOut).toBeCloseTo(row(r134a, r134a.bubblePressure_Pa, -4), 3);
  });

  test('a cut-out below 0 psig and ends too close together are warned of', () => {
    expect(
      valueOf(fromCutOut({ cutIn: psig(10), cutOut: psig(-2), atmosphere: ATMOSPHERE })).warnings,
    ).toEqual(['belowAtmosphere']);
    expect(
      valueOf(fromCutOut({ cutIn: psig(10), cutOut: psig(7), atmosphere: ATMOSPHERE })).warnings,
    ).toEqual(['tooClose']);
    // The same gauge reading is no vacuum higher up: there the air itself is thinner.
    expect(valueOf(fromCutOut({ cutIn: psig(10), cutOut: psig(-2), atmosphere: 80_000 })).warnings).toEqual(
      [],
    );
  });

  test('ends the wrong way round are refused', () => {
    expect(refusalOf(fromCutOut({ cutIn: psig(10), cutOut: psig(20), atmosphere: ATMOSPHERE }))).toEqual({
      reason: 'notInOrder',
      first: 'cut-out',
      second: 'cut-in',
    });
    expect(
      refusalOf(
        controlForBox({ table: r134a, boxLow: 280, boxHigh: 275, difference: 5, atmosphere: ATMOSPHERE }),
      ),
    ).toMatchObject({ reason: 'notInOrder' });
  });
});

test('every answer carries formula, figures, source and validity', () => {
  const outcome = superheat({ table: r134a, suction: psig(30), lineTemperature: fahrenheit(45) });
  if (!outcome.ok) throw new Error('refused');
  const { working } = outcome.value;
  expect(working.formula).toContain('dew temperature');
  expect(working.figures.map((each) => each.name)).toContain('superheat');
  expect(working.source.length).toBeGreaterThan(10);
  expect(working.validity.length).toBeGreaterThan(10);
});

test('a verdict that rests on less than a kelvin says so for these five, and only for them', async () => {
  const tuned = await loadSaturation('R-401A');
  const dew = (table: typeof tuned, degrees: number): number => {
    const found = saturationPressure(table, 'dew', celsius(degrees));
    if (!found.ok) throw new Error('refused');
    return found.value;
  };
  // 6 °F is 3.33 K, the lower end of the range; 5 K lie 1.67 K from both ends.
  for (const [difference, doubtful] of [
    [3.4, true],
    [5, false],
  ] as const) {
    const suction = dew(tuned, -5);
    const state = valueOf(superheat({ table: tuned, suction, lineTemperature: celsius(-5 + difference) }));
    expect(state.doubtful).toBe(doubtful);
    const sure = superheat({
      table: r134a,
      suction: dew(r134a, -5),
      lineTemperature: celsius(-5 + difference),
    });
    expect(valueOf(sure).doubtful).toBe(false);
  }
  const standing = (pressure: number): boolean =>
    valueOf(
      standingCheck({ table: tuned, standing: pressure, ambient: celsius(20), doubt: 1.5, resolution: 1 }),
    ).doubtful;
  // The edge lies at 18.5 °C: half a kelvin below it is in doubt, three kelvin are not.
  expect(standing(dew(tuned, 18))).toBe(true);
  expect(standing(dew(tuned, 15.5))).toBe(false);
});

test('the five blends with tuned tables say that one kelvin is no firm ground', async () => {
  const tuned = superheat({ table: await loadSaturation('R-438A'), suction: 4e5, lineTemperature: 285 });
  const sure = superheat({ table: r134a, suction: 4e5, lineTemperature: 285 });
  expect(tuned.ok && tuned.value.working.validity).toContain('less than 1 K');
  expect(sure.ok && sure.value.working.validity).not.toContain('less than 1 K');
});
