/** The judge against what practice says of typical pictures, the data's own order, and a second reckoning of shares. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { loadSaturation } from '../refrigerant/tables';
import { ATMOSPHERE, celsius, fahrenheit, psig } from '../testkit/bench';
import { CAUSES, CAUSE_NAMES, type Cause } from './causes';
import { type Numbers, observe } from './observe';
import { type Observed, READINGS, READING_NAMES } from './readings';
import { chanceOf, judge } from './rank';

const first = (observed: Observed) => judge(observed).ranked[0]?.cause;

describe('pictures that technicians know', () => {
  test.each([
    [
      'suction in vacuum, head barely above ambient saturation, glass empty',
      { suction: 'vacuum', head: 'nearAmbient', sightGlass: 'empty' },
      'lowCharge',
    ],
    ['standing pressure below saturation at ambient', { standing: 'below' }, 'lowCharge'],
    [
      'head high, suction low, drier cold on one side',
      { head: 'high', suction: 'low', drierDrop: 'yes' },
      'liquidLineRestriction',
    ],
    [
      'head high, low subcooling, dirty face',
      { head: 'high', condenserFace: 'dirty', subcooling: 'low' },
      'condenserStarved',
    ],
    [
      'stopped on low pressure, glass clear, solenoid shut',
      { running: 'no', safety: 'lowPressureOpen', sightGlass: 'clear', solenoidCold: 'shut' },
      'pumpedDown',
    ],
    ['suction high, head low', { suction: 'high', head: 'low' }, 'failingCompressor'],
    ['coil iced over, fan stopped', { frost: 'iced', evaporatorFan: 'stopped' }, 'evaporatorStarved'],
    [
      'low superheat, frost to the compressor',
      { superheat: 'low', frost: 'toCompressor', suction: 'high' },
      'valveFlooding',
    ],
    [
      'high subcooling, high head, low superheat',
      { subcooling: 'high', head: 'high', superheat: 'low' },
      'overcharge',
    ],
    ['at rest above saturation, head high', { standing: 'above', head: 'high' }, 'nonCondensables'],
    [
      'all in range',
      { suction: 'normal', head: 'normal', superheat: 'normal', subcooling: 'normal', running: 'yes' },
      'normal',
    ],
    [
      'starved coil, liquid solid at the valve, no drop over the drier',
      { suction: 'low', superheat: 'high', subcooling: 'normal', sightGlass: 'clear', drierDrop: 'no' },
      'valveStarving',
    ],
    [
      'stops on low pressure though suction, superheat and subcooling are in order',
      {
        safety: 'lowPressureOpen',
        suction: 'normal',
        superheat: 'normal',
        subcooling: 'normal',
        solenoidCold: 'open',
      },
      'controlOut',
    ],
  ] satisfies [string, Observed, string][])('%s', (_, observed, cause) => {
    expect(first(observed)).toBe(cause);
  });

  test('a clear glass alone does not rule out an empty machine: line temperatures decide', () => {
    const clear = judge({ sightGlass: 'clear' }).ranked.find((each) => each.cause === 'lowCharge');
    expect(clear?.share).toBeGreaterThan(0.05);
    expect(first({ sightGlass: 'clear', subcooling: 'none', superheat: 'high', suction: 'low' })).toBe(
      'lowCharge',
    );
  });

  test('reasons stand on the side they belong to, the weightiest first', () => {
    const [leading] = judge({ suction: 'low', head: 'nearAmbient', sightGlass: 'clear' }).ranked.filter(
      (each) => each.cause === 'lowCharge',
    );
    expect(leading?.reasonsFor.map((each) => each.reading)).toEqual(['head', 'suction']);
    expect(leading?.reasonsAgainst.map((each) => each.reading)).toEqual(['sightGlass']);
  });
});

describe('the next reading', () => {
  test('between a closed solenoid and an empty machine it is the solenoid or the standing pressure', () => {
    const { next } = judge({
      suction: 'vacuum',
      running: 'no',
      safety: 'lowPressureOpen',
      sightGlass: 'clear',
    });
    expect(['solenoidCold', 'standing']).toContain(next?.reading);
    const shut = next?.answers.find((each) => each.value === 'shut' || each.value === 'saturation');
    expect(shut?.leads).toBe('pumpedDown');
  });

  test('its worth is what a count over all machines gives: the mean fall of doubt', () => {
    const observed: Observed = { suction: 'low' };
    const { ranked, next } = judge(observed);
    if (!next) throw new Error('nothing to read next');
    const doubt = (shares: number[]): number =>
      shares.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
    let after = 0;
    for (const value of Object.keys(READINGS[next.reading].usual)) {
      const joint = ranked.map((each) => each.share * chanceOf(each.cause, next.reading, value));
      const total = joint.reduce((a, b) => a + b, 0);
      after += total * doubt(joint.map((each) => each / total));
    }
    expect(next.bits).toBeCloseTo(doubt(ranked.map((each) => each.share)) - after, 9);
  });

  test('nothing is asked twice, and when all is read nothing is asked', () => {
    fc.assert(
      fc.property(fc.subarray(READING_NAMES), (taken) => {
        const observed = Object.fromEntries(
          taken.map((reading) => [reading, Object.keys(READINGS[reading].usual)[0]]),
        ) as Observed;
        const { next } = judge(observed);
        if (next) expect(taken).not.toContain(next.reading);
        if (taken.length === READING_NAMES.length) expect(next).toBeNull();
      }),
    );
  });
});

describe('the data', () => {
  test('every cause has signs for and against, each once, and shares sum to one', () => {
    expect(CAUSE_NAMES.length).toBeGreaterThanOrEqual(12);
    expect(CAUSE_NAMES.reduce((sum, cause) => sum + CAUSES[cause].share, 0)).toBeCloseTo(1, 9);
    for (const cause of CAUSE_NAMES) {
      const { signs }: Cause = CAUSES[cause];
      expect(
        signs.some((sign) => sign.weight > 0),
        cause,
      ).toBe(true);
      expect(
        signs.some((sign) => sign.weight < 0),
        cause,
      ).toBe(true);
      const keys = signs.map((sign) => `${sign.reading} ${sign.value}`);
      expect(new Set(keys).size, cause).toBe(keys.length);
    }
  });

  test('usual shares and the chances under every cause sum to one', () => {
    for (const reading of READING_NAMES) {
      const values = Object.keys(READINGS[reading].usual);
      expect(Object.values(READINGS[reading].usual).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      for (const cause of CAUSE_NAMES)
        expect(values.reduce((sum, value) => sum + chanceOf(cause, reading, value), 0)).toBeCloseTo(1, 9);
    }
  });

  test('a sign for a cause never makes that cause less likely than a sign against it does', () => {
    for (const cause of CAUSE_NAMES) {
      const { signs }: Cause = CAUSES[cause];
      for (const better of signs.filter((sign) => sign.weight > 0)) {
        for (const worse of signs.filter((sign) => sign.weight < 0 && sign.reading === better.reading)) {
          const shareWith = (value: string): number =>
            judge({ [better.reading]: value }).ranked.find((each) => each.cause === cause)?.share ?? 0;
          expect(shareWith(better.value), `${cause} ${better.reading}`).toBeGreaterThan(
            shareWith(worse.value),
          );
        }
      }
    }
  });
});

describe('numbers into readings', async () => {
  const table = await loadSaturation('R-134a');
  const numbers: Numbers = {
    table,
    atmosphere: ATMOSPHERE,
    suction: null,
    head: null,
    suctionLine: null,
    liquidLine: null,
    box: fahrenheit(36),
    ambient: fahrenheit(90),
    difference: 10 / 1.8,
    split: 30 / 1.8,
    standing: null,
    ampsShare: null,
  };

  test('R-134a walk-in running well: 23 and 171 psig, 36 °F suction line, 110 °F liquid line', () => {
    const { observed, refusals } = observe({
      ...numbers,
      suction: psig(23),
      head: psig(171),
      suctionLine: fahrenheit(36),
      liquidLine: fahrenheit(110),
      ampsShare: 0.9,
    });
    expect(observed).toEqual({
      suction: 'normal',
      head: 'normal',
      superheat: 'normal',
      subcooling: 'normal',
      amps: 'normal',
    });
    expect(refusals).toEqual([]);
  });

  test('nearly empty: in vacuum, head near ambient saturation (104 psig)', () => {
    const { observed } = observe({
      ...numbers,
      suction: psig(-3),
      head: psig(108),
      liquidLine: fahrenheit(93),
    });
    expect(observed).toEqual({ suction: 'vacuum', head: 'nearAmbient', subcooling: 'none' });
  });

  test('what was not read is left out, and what the table cannot place is named', () => {
    expect(observe(numbers).observed).toEqual({});
    const { observed, refusals } = observe({ ...numbers, head: psig(900) });
    expect(observed).toEqual({});
    expect(refusals).toMatchObject([{ reason: 'outsideTable', quantity: 'bubblePressure' }]);
  });

  test('standing pressure is judged at ambient', () => {
    expect(observe({ ...numbers, standing: psig(40) }).observed.standing).toBe('below');
    expect(observe({ ...numbers, standing: psig(104) }).observed.standing).toBe('saturation');
    expect(observe({ ...numbers, ambient: celsius(25), standing: 9e5 }).observed.standing).toBe('above');
  });
});
