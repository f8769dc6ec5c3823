/** The judge against what practice says of typical pictures, the data's own order, and a second reckoning of shares. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { loadSaturation } from '../refrigerant/tables';
import { ATMOSPHERE, celsius, fahrenheit, psig } from '../testkit/bench';
import { TEXTBOOK } from '../testkit/textbook';
import { CAUSES, CAUSE_NAMES, type Cause, type CauseName } from './causes';
import { type Numbers, observe } from './observe';
import { type Observed, READINGS, READING_NAMES, type Reading } from './readings';
import { chanceOf, diagnose } from './rank';

const first = (observed: Observed) => diagnose(observed).ranked[0]?.cause;

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
    const clear = diagnose({ sightGlass: 'clear' }).ranked.find((each) => each.cause === 'lowCharge');
    expect(clear?.share).toBeGreaterThan(0.05);
    expect(first({ sightGlass: 'clear', subcooling: 'none', superheat: 'high', suction: 'low' })).toBe(
      'lowCharge',
    );
  });

  test('reasons stand on the side they belong to, the weightiest first', () => {
    const [leading] = diagnose({ suction: 'low', head: 'nearAmbient', sightGlass: 'clear' }).ranked.filter(
      (each) => each.cause === 'lowCharge',
    );
    expect(leading?.reasonsFor.map((each) => each.reading)).toEqual(['head', 'suction']);
    expect(leading?.reasonsAgainst.map((each) => each.reading)).toEqual(['sightGlass']);
  });
});

describe('the next reading', () => {
  test('between a closed solenoid and an empty machine it is the solenoid or the standing pressure', () => {
    const { next } = diagnose({
      suction: 'vacuum',
      running: 'no',
      safety: 'lowPressureOpen',
      sightGlass: 'clear',
    });
    expect(['solenoidCold', 'standing']).toContain(next?.reading);
    const stopped = { running: 'no', safety: 'lowPressureOpen' } as const;
    expect(first({ ...stopped, solenoidCold: 'shut' })).toBe('pumpedDown');
    expect(first({ ...stopped, standing: 'below' })).toBe('lowCharge');
  });

  test('its worth is what a count over all machines gives: the mean fall of doubt', () => {
    const observed: Observed = { suction: 'low' };
    const { ranked, next } = diagnose(observed);
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
        const { next } = diagnose(observed);
        if (next) expect(taken).not.toContain(next.reading);
        if (taken.length === READING_NAMES.length) expect(next).toBeNull();
      }),
    );
  });
});

describe('as textbooks draw it', () => {
  const pictures = Object.entries(TEXTBOOK) as [CauseName, Observed][];
  test.each(pictures)('%s stands first with at least half', (cause, observed) => {
    const [leading] = diagnose(observed).ranked;
    expect(leading?.cause).toBe(cause);
    expect(leading?.share).toBeGreaterThanOrEqual(0.5);
  });
  test.each(pictures)('%s with one of six misread: no wrong cause above 80 %%', (cause, observed) => {
    for (const [reading, value] of Object.entries(observed) as [Reading, string][])
      for (const other of Object.keys(READINGS[reading].usual)) {
        if (other === value) continue;
        const [leading] = diagnose({ ...observed, [reading]: other }).ranked;
        if (leading?.cause !== cause) expect(leading?.share, `${reading} ${other}`).toBeLessThanOrEqual(0.8);
      }
  });
});

describe('what gauges alone cannot part', () => {
  test.each([
    [
      'a restriction from a starved valve',
      { suction: 'low', head: 'normal', superheat: 'high', subcooling: 'high' },
      ['liquidLineRestriction', 'valveStarving'],
      'drierDrop',
    ],
    [
      'air from overcharge',
      { suction: 'normal', head: 'high', superheat: 'normal', subcooling: 'high' },
      ['overcharge', 'nonCondensables'],
      'standing',
    ],
  ] satisfies [string, Observed, CauseName[], Reading][])(
    '%s: one of these two, and which reading parts them',
    (_, observed, causes, parts) => {
      const { oneOfTwo, next } = diagnose(observed);
      expect([...(oneOfTwo?.causes ?? [])].sort()).toEqual([...causes].sort());
      expect(oneOfTwo?.parts).toBe(parts);
      expect(next?.reading).toBe(parts);
    },
  );
  test('where one leads clearly it is that one', () => {
    expect(diagnose(TEXTBOOK.lowCharge).oneOfTwo).toBeNull();
  });
});

describe('a machine at rest', () => {
  test('is never judged by signs of running, and says which it left aside', () => {
    const at = diagnose({ running: 'no', suction: 'high', head: 'low', amps: 'low', standing: 'saturation' });
    expect(at.ranked.every(({ share }) => share < 0.25)).toBe(true);
    expect(at.aside).toEqual(['suction', 'head', 'amps']);
    expect(at.ranked).toEqual(diagnose({ running: 'no', standing: 'saturation' }).ranked);
  });
  test('is asked only what can be read at rest', () => {
    const asked = diagnose({ running: 'no' }).next?.reading;
    expect(['standing', 'safety', 'solenoidCold', 'restClimb']).toContain(asked);
  });
  test('how fast its suction climbed parts a compressor that lets back from a restriction', () => {
    const share = (restClimb: 'fast' | 'slow', cause: CauseName) =>
      diagnose({ running: 'no', restClimb }).ranked.find((each) => each.cause === cause)?.share ?? 0;
    expect(first({ running: 'no', restClimb: 'fast' })).toBe('failingCompressor');
    expect(share('slow', 'liquidLineRestriction')).toBeGreaterThan(share('fast', 'liquidLineRestriction'));
  });
});

test('16 oz weighed out of 16: nothing had leaked, so it is a restriction, a valve or the compressor', () => {
  const { ranked } = diagnose({ suction: 'low', superheat: 'high', recovered: 'all' });
  expect(['liquidLineRestriction', 'valveStarving']).toContain(ranked[0]?.cause);
  expect(ranked.find(({ cause }) => cause === 'lowCharge')?.share).toBeLessThan(0.15);
});

test('a high-pressure switch that opened is no low charge', () => {
  const { ranked } = diagnose({ safety: 'highPressureOpen' });
  expect(ranked[0]?.cause).toBe('condenserStarved');
  expect(ranked.find(({ cause }) => cause === 'lowCharge')?.share).toBeLessThan(0.1);
});

test('a cabinet with a capillary is neither blamed for a valve nor asked for its glass', () => {
  const cabinet = { metering: 'capillary', solenoid: false, sightGlass: false, drier: true } as const;
  const { ranked, aside } = diagnose({ suction: 'low', superheat: 'high', sightGlass: 'bubbles' }, cabinet);
  const causes = ranked.map(({ cause }) => cause);
  for (const absent of ['valveStarving', 'valveFlooding', 'pumpedDown']) expect(causes).not.toContain(absent);
  expect(ranked.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  expect(aside).toEqual(['sightGlass']);
  fc.assert(
    fc.property(fc.subarray(READING_NAMES), (taken) => {
      const observed = Object.fromEntries(
        taken.map((reading) => [reading, Object.keys(READINGS[reading].usual)[0]]),
      ) as Observed;
      expect(['sightGlass', 'indicator', 'solenoidCold']).not.toContain(
        diagnose(observed, cabinet).next?.reading,
      );
    }),
  );
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
            diagnose({ [better.reading]: value }).ranked.find((each) => each.cause === cause)?.share ?? 0;
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
    amps: null,
    rated: null,
    atRest: false,
    headHeldAt: null,
    recovered: null,
  };

  test('R-134a walk-in running well: 23 and 171 psig, 36 °F suction line, 110 °F liquid line', () => {
    const { observed, refusals } = observe({
      ...numbers,
      suction: psig(23),
      head: psig(171),
      suctionLine: fahrenheit(36),
      liquidLine: fahrenheit(110),
      amps: 9,
      rated: 10,
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

  test('a number without what it is compared with says nothing, and names what it lacks', () => {
    const { observed, lacking } = observe({
      ...numbers,
      box: null,
      ambient: null,
      suction: psig(2),
      head: psig(0),
      amps: 0.4,
      standing: psig(40),
    });
    expect(observed).toEqual({});
    expect(lacking).toEqual([
      { reading: 'suction', needs: 'box' },
      { reading: 'head', needs: 'ambient' },
      { reading: 'standing', needs: 'ambient' },
      { reading: 'amps', needs: 'rated' },
    ]);
  });

  test('R-404A at 0 psig at rest is empty anywhere, whatever the air', async () => {
    const r404a = await loadSaturation('R-404A');
    const empty = observe({ ...numbers, table: r404a, ambient: null, standing: psig(0) });
    expect(empty).toMatchObject({ observed: { standing: 'below' }, lacking: [] });
  });

  test('a healthy R-600a freezer runs below the atmosphere: −6.6 psig in a box of 0 °F is right', async () => {
    const r600a = await loadSaturation('R-600a');
    const freezer = {
      ...numbers,
      table: r600a,
      box: fahrenheit(0),
      difference: 17.5 / 1.8,
      suction: psig(-6.6),
    };
    expect(observe(freezer).observed).toEqual({ suction: 'normal' });
    expect(observe({ ...freezer, suction: psig(-11) }).observed).toEqual({ suction: 'vacuum' });
    // Without the box nobody can say.
    expect(observe({ ...freezer, box: null })).toMatchObject({
      observed: {},
      lacking: [{ reading: 'suction', needs: 'box' }],
    });
  });

  test('in the cold a head that is held is right; a dirty condenser shows above what is held', () => {
    // R-134a: 104 psig at 90 °F, 171 psig at 120 °F.
    const cold = { ...numbers, ambient: fahrenheit(20) };
    expect(observe({ ...cold, head: psig(100) }).observed.head).toBe('normal');
    expect(observe({ ...cold, head: psig(171) }).observed.head).toBe('high');
    expect(observe({ ...cold, head: psig(100), headHeldAt: fahrenheit(70) }).observed.head).toBe('high');
  });

  test('of a machine at rest the sides that came together are its standing pressure', () => {
    const rest = { ...numbers, atRest: true, suctionLine: fahrenheit(70), liquidLine: fahrenheit(80) };
    expect(observe({ ...rest, suction: psig(102), head: psig(105) })).toMatchObject({
      observed: { standing: 'saturation' },
      lacking: [],
    });
    // Sides apart, as in a pump-down, or read before it stopped: only the standing pressure would tell.
    expect(observe({ ...rest, suction: psig(2), head: psig(104) })).toMatchObject({
      observed: {},
      lacking: [
        { reading: 'suction', needs: 'standing' },
        { reading: 'head', needs: 'standing' },
      ],
    });
    expect(observe({ ...rest, suction: psig(30), head: psig(30) }).observed).toEqual({ standing: 'below' });
  });

  test.each([
    [1, 'all'],
    [0.94, 'all'],
    [0.7, 'part'],
    [0.2, 'little'],
  ] as const)('weighed out, %d of the charge: %s', (recovered, value) => {
    expect(observe({ ...numbers, recovered }).observed).toEqual({ recovered: value });
  });

  test('standing pressure is judged at ambient', () => {
    expect(observe({ ...numbers, standing: psig(40) }).observed.standing).toBe('below');
    expect(observe({ ...numbers, standing: psig(104) }).observed.standing).toBe('saturation');
    expect(observe({ ...numbers, ambient: celsius(25), standing: 9e5 }).observed.standing).toBe('above');
  });
});
