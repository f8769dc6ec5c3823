/** Readings as a series with their figures; a second way: the pressure–temperature chart of the trade for R-134a. */
import { describe, expect, test } from 'vitest';
import { loadSaturation } from '../../refrigerant/tables';
import { ATMOSPHERE, fahrenheit, psig } from '../../testkit/bench';
import { type Fact, added, note, recovered, repaired, standing } from '../../testkit/facts';
import { circuitMap } from '../../circuit/layouts';
import { figuresOf } from './figures';
import { ROUND, partOfPlace, placesAt, placesOf } from './places';
import { latestReadings, phaseAt, pullDown, readingSeries, readingsNow, readingsOfPhase } from './series';
import { readNumber } from '../visitRecord';

const DAY = '2026-11-23';
const entriesOf = (...facts: Fact[]) => standing(facts, DAY, { pounds: null }).history.entries;
const kelvin = (value: number) => ({ typed: `${String(value)} °F`, si: fahrenheit(value), unit: '°F' });
const gauge = (value: number) => ({ typed: `${String(value)} psig`, si: psig(value), unit: 'psig' });
const read = (numbers: object, rest: object = {}) =>
  note('readings', DAY, { tool: 'reading', numbers, signs: {}, ...rest });
const box = (value: number, at: string) => read({ box: kelvin(value) }, { at });

describe('the series', () => {
  test('keeps every reading, with the phase in which it was taken', () => {
    const series = readingSeries(
      entriesOf(
        read({ suction: gauge(4) }),
        repaired(DAY),
        read({ suction: gauge(0) }),
        added(DAY, 'topOff', 3),
        read({ suction: gauge(27) }),
        read({ suction: gauge(28) }, { phase: 'atEnd' }),
      ),
    );
    expect(series.map((each) => [(each.given as { typed: string }).typed, each.phase])).toEqual([
      ['4 psig', 'asFound'],
      ['0 psig', 'beforeCharge'],
      ['27 psig', 'afterCharge'],
      ['28 psig', 'atEnd'],
    ]);
    expect(readNumber(readingsOfPhase(series, 'asFound'), 'suction')).toBe(psig(4));
  });

  test('the step tells the phase where the entries do not', () => {
    const none = entriesOf();
    expect(phaseAt(none, 'read')).toBe('asFound');
    expect(phaseAt(none, 'charge')).toBe('beforeCharge');
    expect(phaseAt(none, 'prove')).toBe('atEnd');
    expect(phaseAt(entriesOf(recovered(DAY, 'repair', 2)), 'read')).toBe('beforeCharge');
    expect(phaseAt(entriesOf(added(DAY, 'topOff', 2)), 'charge')).toBe('afterCharge');
  });

  test('what Arrive said of the box is a reading', () => {
    const entries = entriesOf(note('readings', DAY, { tool: 'arrival', box: kelvin(46) }));
    expect(readNumber(readingsNow(entries), 'box')).toBe(fahrenheit(46));
  });

  test('a suction from before the charge no longer speaks after it; the air and the rated amps do', () => {
    const amps = { typed: '11 A', si: 11, unit: 'A' };
    const entries = entriesOf(
      read({ suction: gauge(4), ambient: kelvin(71), rated: amps }, { signs: { sightGlass: 'bubbles' } }),
      added(DAY, 'topOff', 3),
    );
    expect(Object.keys(readingsNow(entries).numbers).sort()).toEqual(['ambient', 'rated']);
    expect(readingsNow(entries).signs).toEqual({});
    // It is kept all the same.
    expect(readNumber(latestReadings(entries), 'suction')).toBe(psig(4));
  });

  test('not done and unknown are readings too, and no figure', () => {
    const so = readingsNow(entriesOf(read({ head: { notDone: 'no port' } })));
    expect(so.numbers['head']).toEqual({ notDone: 'no port' });
    expect(readNumber(so, 'head')).toBeNull();
  });

  test('the box pulls down 8 °F in 40 minutes: 12 °F an hour', () => {
    const falling = [box(46, '2026-11-23T10:00:00Z'), box(38, '2026-11-23T10:40:00Z')];
    const fall = pullDown(readingSeries(entriesOf(...falling)));
    expect(((fall?.kelvinsAnHour ?? 0) * 9) / 5).toBeCloseTo(12, 9);
    expect(fall?.seconds).toBe(2400);
    // Five minutes say nothing; one reading says nothing.
    const soon = [box(46, '2026-11-23T10:00:00Z'), box(45, '2026-11-23T10:05:00Z')];
    expect(pullDown(readingSeries(entriesOf(...soon)))).toBeNull();
    expect(pullDown(readingSeries(entriesOf(box(46, '2026-11-23T10:00:00Z'))))).toBeNull();
  });
});

describe('figures', async () => {
  const table = await loadSaturation('R-134a');
  const machine = { table, atmosphere: ATMOSPHERE, difference: 10 / 1.8, split: 30 / 1.8, recovered: null };
  const figures = (numbers: object) => figuresOf(latestReadings(entriesOf(read(numbers))), machine);
  const degrees = (kelvins: number | null) => (kelvins ?? NaN) * 1.8;

  // Chart: 4.1 psig at −5 °F, 95 psig at 85 °F.
  test('4 psig with 58 °F in the line; 96 psig with 74 °F: 63 over, 11 under', () => {
    const found = figures({
      suction: gauge(4),
      suctionLine: kelvin(58),
      head: gauge(96),
      liquidLine: kelvin(74),
      ambient: kelvin(71),
      box: kelvin(46),
    });
    expect(degrees(found.superheat)).toBeCloseTo(63, -0.3);
    expect(Math.abs(degrees(found.subcooling) - 11.4)).toBeLessThan(1);
    expect(Math.abs(degrees(found.split) - 14.4)).toBeLessThan(1);
    expect(Math.abs(degrees(found.coilDifference) - 51)).toBeLessThan(1);
    expect(found.marks).toEqual({
      suction: 'low',
      head: 'low',
      suctionLine: 'high',
      liquidLine: 'right',
      split: 'low',
    });
    // For 46 °F less 10 and 2: 34 °F asks 29 psig; 71 + 30 = 101 °F asks 126 psig.
    expect(Math.abs((found.aim?.suction ?? 0) - psig(29))).toBeLessThan(7000);
    expect(Math.abs((found.aim?.head ?? 0) - psig(126))).toBeLessThan(9000);
    expect(found.lacking).toEqual([]);
  });

  test('a gauge read by its degrees stands for its pressure; 63 over and 11 under again', () => {
    const found = figures({
      saturationLow: kelvin(-5),
      suctionLine: kelvin(58),
      saturationHigh: kelvin(85),
      liquidLine: kelvin(74),
    });
    expect(degrees(found.superheat)).toBeCloseTo(63, 0);
    expect(degrees(found.subcooling)).toBeCloseTo(11, 0);
    // What the gauge says itself goes before its degrees.
    const both = figures({ suction: gauge(4), saturationLow: kelvin(30), suctionLine: kelvin(58) });
    expect(degrees(both.superheat)).toBeCloseTo(63, -0.3);
  });

  test('superheat and subcooling read off an instrument count where nothing is computed', () => {
    const apart = (value: number) => ({ typed: `${String(value)} °F`, si: value / 1.8, unit: '°F' });
    const found = figures({ superheat: apart(40), subcooling: apart(1) });
    expect(found.observed).toMatchObject({ superheat: 'high', subcooling: 'none' });
    expect(found.marks).toEqual({ superheat: 'high', subcooling: 'low' });
    expect([found.superheat, found.subcooling]).toEqual([null, null]);
    const computed = figures({ suction: gauge(4), suctionLine: kelvin(58), superheat: apart(8) });
    expect(computed.observed.superheat).toBe('high');
    expect(computed.marks).toMatchObject({ suctionLine: 'high', superheat: 'right' });
  });

  test('a word is a sign; one end of a figure is one where it settles the side, and no figure for a calculation', () => {
    const observed = (numbers: object) => figures(numbers).observed;
    expect(observed({ suction: { felt: 'inVacuum' }, head: { felt: 'veryHigh' } })).toEqual({
      suction: 'vacuum',
      head: 'high',
    });
    const bound = (end: 'below' | 'above', value: number) => ({
      typed: String(value),
      bound: end,
      limit: psig(value),
      unit: 'psig',
    });
    // For a box of 46 °F about 29 psig is asked.
    expect(observed({ suction: bound('below', 10), box: kelvin(46) })).toEqual({ suction: 'low' });
    expect(observed({ suction: bound('below', 50), box: kelvin(46) })).toEqual({});
    expect(observed({ suction: bound('above', 50), box: kelvin(46) })).toEqual({ suction: 'high' });
    expect(observed({ suction: bound('above', 10), box: kelvin(46) })).toEqual({});
    const blind = figures({ suction: bound('below', 10), suctionLine: kelvin(58), box: kelvin(46) });
    expect([blind.superheat, blind.saturatedSuction]).toEqual([null, null]);
    // A range counts by its middle: 4 psig.
    const range = { typed: '3-5 psig', si: psig(4), range: [psig(3), psig(5)], unit: 'psig' };
    expect(degrees(figures({ suction: range, suctionLine: kelvin(58) }).superheat)).toBeCloseTo(63, -0.3);
  });

  test('a reading that lacks what it is held against says which', () => {
    const found = figures({
      head: gauge(96),
      liquidLine: kelvin(74),
      amps: { typed: '6 A', si: 6, unit: 'A' },
    });
    expect(found.lacking).toEqual([
      { reading: 'head', needs: 'ambient' },
      { reading: 'amps', needs: 'rated' },
    ]);
    expect(found.marks).toEqual({ liquidLine: 'right' });
    expect(figures({ suction: gauge(20) }).lacking).toEqual([{ reading: 'suction', needs: 'box' }]);
    expect(figures({ suctionLine: kelvin(50) }).lacking).toEqual([
      { reading: 'suctionLine', needs: 'suction' },
    ]);
  });
});

describe('places', () => {
  test.each(['split', 'capillary', 'twoRooms', 'rack', 'chiller', 'waterCooled', 'milkTank'] as const)(
    'every reading of the round has its part on %s',
    (layout) => {
      const map = circuitMap(layout, []);
      for (const name of ROUND)
        if (!(layout === 'capillary' && name === 'suction'))
          expect(partOfPlace(map, name), name).not.toBeNull();
      // And is reached by a touch on it.
      for (const name of ROUND) {
        const first = partOfPlace(map, name);
        if (first) expect(placesAt(map, first)).toContain(name);
      }
    },
  );
  test('the coil of a second room is read too; a pressure is that of the whole side', () => {
    const map = circuitMap('twoRooms', ['tulips', 'roses']);
    const second = map.parts.find((part) => part.id === 'room2.evaporator');
    expect(second && placesAt(map, second)).toContain('box');
    const series = readingSeries(
      entriesOf(read({ box: kelvin(40) }), read({ box: kelvin(50) }, { part: 'room2.evaporator' })),
    );
    expect(series.map((each) => each.part)).toEqual([null, 'room2.evaporator']);
    expect(readNumber(readingsOfPhase(series, 'asFound'), 'box')).toBe(fahrenheit(40));
  });
  test('a capillary has no turns of a valve, air no water', () => {
    expect(placesOf(circuitMap('capillary', []))).not.toContain('valveTurns');
    expect(placesOf(circuitMap('split', []))).not.toContain('waterIn');
    expect(placesOf(circuitMap('waterCooled', []))).toContain('waterIn');
  });
});
