/** The order of the work: what a step would spoil or lacks, by what a visit has recorded. */
import { describe, expect, test } from 'vitest';
import { type Fact, initialPass, note, repaired, standing } from '../testkit/facts';
import { circuitMap } from '../circuit/layouts';
import { type Guard, guardsOf, unspokenValves } from './guards';
import { leakStories } from './leaks/leakStory';
import type { Step } from './steps';
import { visitRecord } from './visitRecord';

const TODAY = '2026-11-23';
const inVisit = (fact: Fact): Fact => ({ ...fact, visitId: 'v' });
const tool = (kind: Parameters<typeof note>[0], name: string, rest: object = {}, on = TODAY): Fact =>
  inVisit(note(kind, on, { tool: name, ...rest }));
const guards = (step: Step, facts: readonly Fact[]): Guard[] => {
  const at = standing(facts, TODAY);
  const { entries } = at.history;
  return guardsOf({
    step,
    standing: at,
    visit: visitRecord(entries, 'v'),
    leaks: leakStories(entries, at.leaks),
    map: circuitMap('twoRooms', ['tulips', 'roses']),
  });
};
const codes = (step: Step, ...facts: Fact[]): string[] => guards(step, facts).map((each) => each.code);
const reading = (numbers: object, signs: object = {}) => tool('readings', 'reading', { numbers, signs });
const amps = { amps: { typed: '0 A', si: 0, unit: 'A' } };

describe('amps, frost and standing pressure before nitrogen or a top-off', () => {
  test.each<Step>(['raise', 'charge'])('wanted at %s until each is read or said to be not done', (step) => {
    expect(guards(step, [])).toContainEqual({ code: 'readFirst', missing: ['amps', 'frost', 'standing'] });
    expect(guards(step, [reading(amps)])).toContainEqual({
      code: 'readFirst',
      missing: ['frost', 'standing'],
    });
    expect(
      codes(step, reading({ ...amps, standing: { notDone: 'must run' } }, { frost: { unknown: true } })),
    ).not.toContain('readFirst');
  });

  test('at no other step, and not by another visit', () => {
    expect(codes('search')).not.toContain('readFirst');
    const other = { ...reading(amps, { frost: 'even' }), visitId: 'w' };
    expect(guards('raise', [other])).toContainEqual({
      code: 'readFirst',
      missing: ['amps', 'frost', 'standing'],
    });
  });
});

describe('before gas goes in', () => {
  test('a leak search, since a full charge into a leak is recovered twice', () => {
    expect(codes('charge')).toContain('searchBeforeCharge');
    expect(codes('charge', tool('search', 'spot', { part: 'p', mark: 'lookedAt' }))).not.toContain(
      'searchBeforeCharge',
    );
    expect(codes('charge', inVisit(note('leakInspection', TODAY)))).not.toContain('searchBeforeCharge');
  });

  test('the first test of what was repaired', () => {
    expect(guards('charge', [inVisit(repaired(TODAY))])).toContainEqual({
      code: 'firstTestBeforeGas',
      leakIds: ['k1'],
    });
    expect(codes('charge', inVisit(repaired(TODAY)), initialPass(TODAY, 'k1'))).not.toContain(
      'firstTestBeforeGas',
    );
  });

  test('a vacuum of what was opened, or the word that it needs none', () => {
    const opened = inVisit(repaired(TODAY));
    expect(codes('charge', opened)).toContain('vacuumBeforeCharge');
    expect(codes('charge', opened, inVisit(note('evacuation', TODAY)))).not.toContain('vacuumBeforeCharge');
    expect(codes('charge', opened, tool('evacuation', 'vacuumSkipped', { why: 'valved off' }))).not.toContain(
      'vacuumBeforeCharge',
    );
    expect(codes('charge')).not.toContain('vacuumBeforeCharge');
  });
});

test('the drier last before the vacuum, a hold before it, once something was opened', () => {
  const opened = inVisit(repaired(TODAY));
  expect(codes('evacuate')).toEqual([]);
  expect(codes('evacuate', opened)).toEqual(['drierLast', 'holdBeforeVacuum']);
  expect(
    codes(
      'evacuate',
      opened,
      tool('partFitted', 'drier', { part: 'Drier', changed: { notDone: 'indicator dry' } }),
    ),
  ).toEqual(['holdBeforeVacuum']);
  expect(codes('evacuate', opened, inVisit(note('pressureHold', TODAY)))).toEqual(['drierLast']);
});

describe('valves', () => {
  const shut = (rest: object = {}) =>
    tool('readings', 'valve', { valve: 'suction valve', state: 'shut', ...rest });

  test('do not start, at every step, while one of the compressor is shut', () => {
    for (const step of ['before', 'read', 'search', 'repair', 'handOver'] as const)
      expect(codes(step, shut({ ofCompressor: true }))).toContain('doNotStart');
    // The drawing says that it cuts the compressor off, also where nobody did; a king valve does not.
    expect(codes('read', shut())).toContain('doNotStart');
    const king = tool('readings', 'valve', { valve: 'King valve', state: 'shut' });
    expect(codes('read', king)).not.toContain('doNotStart');
    // Two valves of one name: one opened again leaves the other shut.
    const twin = (part: string, state: string) =>
      tool('readings', 'valve', { valve: 'Valve on the line', part, state, ofCompressor: true });
    const both = [twin('dischargeValve', 'shut'), twin('suctionValve', 'shut')];
    expect(codes('read', ...both, twin('dischargeValve', 'open'))).toContain('doNotStart');
    expect(
      codes('read', ...both, twin('dischargeValve', 'open'), twin('suctionValve', 'open')),
    ).not.toContain('doNotStart');
    expect(
      codes(
        'read',
        shut({ ofCompressor: true }),
        tool('readings', 'valve', { valve: 'Suction valve', state: 'open' }),
      ),
    ).not.toContain('doNotStart');
  });

  test('a shut valve that does not hold is told where sections count, until it holds again', () => {
    const leaky = (holds: string) =>
      tool('readings', 'valve', { valve: 'Receiver valve', part: 'receiverValve', state: 'shut', holds });
    expect(codes('evacuate', leaky('no'))).toContain('valveLeaksBy');
    expect(codes('charge', leaky('no'))).not.toContain('valveLeaksBy');
    expect(codes('evacuate', leaky('no'), leaky('yes'))).not.toContain('valveLeaksBy');
  });

  test('a test behind a shut valve, and no handing over while one is unspoken of', () => {
    expect(codes('hold', shut())).toContain('valveShut');
    expect(codes('handOver', shut())).toContain('valveShut');
    const facts = [
      shut(),
      tool('readings', 'valve', { valve: 'suction valve', state: 'leftShut', why: 'part on order' }),
    ];
    expect(codes('handOver', ...facts)).not.toContain('valveShut');
    expect(unspokenValves(standing([shut()], TODAY).history.entries)).toHaveLength(1);
    expect(unspokenValves(standing(facts, TODAY).history.entries)).toHaveLength(0);
  });
});

test('what was heated or bent is tested, by its name', () => {
  const heated = tool('readings', 'heated', { part: 'Capillary', what: 'bent' });
  const tested = tool('pressureHold', 'jointTest', {
    conditions: { section: 'low side; capillary' },
    result: 'pass',
  });
  const failed = tool('pressureHold', 'jointTest', { conditions: { section: 'capillary' }, result: 'fail' });
  expect(guards('prove', [heated])).toContainEqual({ code: 'heatedUntested', parts: ['Capillary'] });
  expect(codes('prove', heated, failed)).toContain('heatedUntested');
  expect(codes('leaveRight', heated, tested)).not.toContain('heatedUntested');
});

test('what got out when a section was opened is recorded, never hidden', () => {
  const opened = tool('readings', 'isolation', { way: 'pumpDown', openedToAir: 'yes' });
  expect(codes('isolate', opened)).toEqual(['releaseNotSaid']);
  expect(codes('handOver', opened)).toContain('releaseNotSaid');
  expect(codes('isolate', opened, tool('readings', 'release', { result: { mass: 0.02 } }))).toEqual([]);
  expect(codes('isolate', tool('readings', 'isolation', { way: 'none', openedToAir: 'no' }))).toEqual([]);
});

describe('arrival', () => {
  const kelvin = (fahrenheit: number) => ({
    typed: `${String(fahrenheit)} °F`,
    si: ((fahrenheit - 32) * 5) / 9 + 273.15,
    unit: '°F',
  });
  test.each([
    [38, 47, false],
    [38, 48, true],
    [50, 38, true],
  ])('thermometers at %d and %d °F: %s', (box, secondBox, warned) => {
    const found = codes(
      'arrive',
      tool('readings', 'arrival', { box: kelvin(box), secondBox: kelvin(secondBox) }),
    );
    expect(found.includes('thermometersDiffer')).toBe(warned);
  });
  test('another warm box on the same unit points to the unit', () => {
    expect(codes('arrive', tool('readings', 'arrival', { otherBoxWarm: 'yes' }))).toEqual(['otherBoxWarm']);
    expect(codes('arrive', tool('readings', 'arrival', { otherBoxWarm: { unknown: true } }))).toEqual([]);
  });
});

describe('parts that should have gone, and parts that come again', () => {
  const part = (on: string, rest: object) => note('partFitted', on, rest);
  test('a temporary one is late the day after it should have gone', () => {
    const valve = (removeBy: string) =>
      part('2026-01-01', { part: 'Clamp-on valve', temporary: true, removeBy });
    expect(codes('before', valve('2026-11-22'))).toEqual(['temporaryLate']);
    expect(codes('before', valve('2026-11-23'))).toEqual([]);
  });
  test('the same part twice within a year asks for the cause', () => {
    expect(codes('repair', part('2026-02-01', { part: 'Fan' }), part('2026-09-01', { part: 'fan' }))).toEqual(
      ['replacedAgain'],
    );
  });
});

test('what was taken off for a while is asked for until it is back', () => {
  const timer = (state: string) => tool('readings', 'disconnected', { what: 'timer', state });
  expect(guards('handOver', [timer('off')])).toEqual([{ code: 'disconnected', what: ['timer'] }]);
  expect(codes('handOver', timer('off'), timer('back'))).toEqual([]);
});

test('the solenoid of one room does not pump down the other', () => {
  const shut = (room: string) =>
    tool('readings', 'valve', { valve: room, part: `${room}.solenoid`, state: 'shut' });
  const down = tool('readings', 'isolation', { way: 'pumpDown' });
  expect(guards('isolate', [shut('room1'), down])).toEqual([{ code: 'stillFed', places: ['roses'] }]);
  expect(codes('isolate', shut('room1'), shut('room2'), down)).toEqual([]);
  expect(codes('isolate', shut('room1'))).toEqual([]);
});

test('handing over: an open leak wants a decision, a suspected one is only named', () => {
  const found = inVisit(note('leakFound', TODAY, { leakId: 'k1', methods: ['bubbles'] }));
  const hit = tool('search', 'spot', { part: 'drier', mark: 'hit', grade: 'detectorHit' });
  expect(codes('handOver', found, hit)).toEqual(['undecidedLeak', 'suspectedLeak']);
  const decided = tool('readings', 'decision', {
    choice: 'runOn',
    leakId: 'k1',
    why: 'parts',
    until: '2026-12-15',
  });
  expect(codes('handOver', found, decided)).toEqual([]);
  // A repair wants a test of some kind, or the reason why none was possible.
  const mended = inVisit(repaired(TODAY));
  expect(codes('handOver', found, mended)).toEqual(['nothingTested']);
  const held = tool('pressureHold', 'holdReading', {
    section: 'coil',
    pressure: { typed: '9 bar', si: 1e6, unit: 'bar' },
  });
  expect(codes('handOver', found, mended, held)).toEqual([]);
  const impossible = tool('pressureHold', 'holdSkipped', { why: 'the valve passes' });
  expect(codes('handOver', found, mended, impossible)).toEqual([]);
});
