/** Facts of a visit: four ways to state one, notes that promise their fields, and a visit that is its entries. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import { note, standing } from '../testkit/facts';
import type { Entry } from '../logbook/entry';
import { readNote } from './notes/notes';
import { noteProblems } from './notes/noteProblems';
import { isRecorded, measuredOf, siOf, valueOf } from './notes/stated';
import { STEPS } from './steps';
import { latestReadings } from './readings/series';
import { circuitMap } from '../circuit/layouts';
import { visitRecord } from './visitRecord';
import { shutParts, shutValves } from './valves';

const TODAY = '2026-11-23';
const psig = (value: number) => ({
  typed: `${String(value)} psig`,
  si: 101_325 + value * 6894.757,
  unit: 'psig',
});
const entriesOf = (...facts: ReturnType<typeof note>[]) => standing(facts, TODAY).history.entries;
const entryOf = (fact: object): Entry =>
  ({ id: 'e', on: TODAY, by: 'p', applianceId: 'a', ...fact }) as Entry;

describe('zero, not done, not recorded and unknown stay apart', () => {
  const zero = { typed: '0 A', si: 0, unit: 'A' };
  test.each([
    ['zero', zero, 0, true],
    ['not done', { notDone: 'no clamp meter' }, null, true],
    ['unknown', { unknown: true as const }, null, true],
    ['not recorded', undefined, null, false],
    ['null, which means the same', null, null, false],
  ])('%s', (_, given, si, recorded) => {
    expect(siOf(given)).toBe(si);
    expect(isRecorded(given)).toBe(recorded);
  });

  test('none of the three turns into a value of a choice', () => {
    expect(valueOf<string>({ notDone: 'why' })).toBeNull();
    expect(valueOf<string>({ unknown: true })).toBeNull();
    expect(valueOf<string>('no')).toBe('no');
  });
});

describe('notes', () => {
  test('a note that lacks a field is refused with its path; an entry of another tool is not judged', () => {
    expect(noteProblems(entryOf({ kind: 'readings', tool: 'decision', choice: 'runOn' }))).toEqual([
      { path: ['why'], message: 'is missing; give a string' },
    ]);
    expect(noteProblems(entryOf({ kind: 'readings', tool: 'decision', choice: 'repairNow' }))).toEqual([]);
    expect(noteProblems(entryOf({ kind: 'readings', tool: 'heated', what: 'bent' }))).toEqual([
      { path: ['part'], message: 'is missing; give a string' },
    ]);
    expect(
      noteProblems(entryOf({ kind: 'readings', tool: 'valve', valve: 'x', state: 'ajar' }))[0]?.path,
    ).toEqual(['state']);
    expect(noteProblems(entryOf({ kind: 'readings', tool: 'superheat', anything: 1 }))).toEqual([]);
    expect(
      noteProblems(entryOf({ kind: 'readings', tool: 'spot', part: 'p', mark: 'hit' }))[0]?.path,
    ).toEqual(['kind']);
  });

  test('not done without a reason is no record', () => {
    expect(
      noteProblems(entryOf({ kind: 'readings', tool: 'arrival', box: { notDone: ' ' } }))[0]?.path[0],
    ).toBe('box');
  });

  test.each([
    [149, 0],
    [150, 0],
    [151, 1],
  ])('%d psig in a section marked for 150 psig: %d problems', (given, count) => {
    const raised = entryOf({
      kind: 'readings',
      tool: 'raised',
      how: 'nitrogen',
      pressure: psig(given),
      design: psig(150),
    });
    expect(noteProblems(raised)).toHaveLength(count);
  });

  test('what another tool wrote under our name is passed over, not guessed at', () => {
    expect(
      readNote(entryOf({ kind: 'readings', tool: 'valve', valve: 7, state: 'shut' }), 'valve'),
    ).toBeNull();
  });
});

describe('a visit is its entries', () => {
  const at = (visitId: string) => ({ visitId });

  test('only its own count, and it is handed over once signed', () => {
    const entries = entriesOf(
      note('readings', '2026-11-01', { tool: 'arrival', ...at('other') }),
      note('readings', '2026-11-20', { tool: 'visitBegun', ...at('v') }),
      note('leakFound', '2026-11-22', { leakId: 'k1', ...at('v') }),
    );
    const record = visitRecord(entries, 'v');
    expect(record.entries).toHaveLength(2);
    expect([record.from, record.to]).toEqual([dayOf('2026-11-20'), dayOf('2026-11-22')]);
    expect(record.handedOver).toBe(false);
    const signed = [
      ...entries,
      ...entriesOf(note('handover', TODAY, { tool: 'signed', name: 'Prue', ...at('v') })),
    ];
    expect(visitRecord(signed, 'v').handedOver).toBe(true);
  });

  test('every step has a name of its own', () => {
    expect(new Set(STEPS).size).toBe(15);
  });

  test('a reading taken again replaces the earlier; one said to be not done stays said', () => {
    const so = latestReadings(
      entriesOf(
        note('readings', TODAY, {
          tool: 'reading',
          numbers: { suction: psig(11), amps: { notDone: 'locked' } },
          signs: {},
        }),
        note('readings', TODAY, {
          tool: 'reading',
          numbers: { suction: psig(14) },
          signs: { frost: 'even' },
        }),
      ),
    );
    expect(measuredOf(so.numbers['suction'])?.typed).toBe('14 psig');
    expect(so.numbers['amps']).toEqual({ notDone: 'locked' });
    expect(so.signs['frost']).toBe('even');
  });

  test('a valve is shut until somebody opens it, in whatever visit, however it is written', () => {
    const valve = (on: string, name: string, state: string, rest: object = {}) =>
      note('readings', on, { tool: 'valve', valve: name, state, ...rest });
    const shut = shutValves(
      entriesOf(
        valve('2026-10-01', 'King valve', 'shut'),
        valve('2026-10-02', 'Suction valve', 'shut', { ofCompressor: true }),
        valve('2026-10-03', 'king valve ', 'open'),
        valve('2026-10-04', 'suction valve', 'leftShut', { why: 'waits for the compressor' }),
      ),
    );
    expect(shut).toEqual([
      {
        valve: 'suction valve',
        shutOn: dayOf('2026-10-02'),
        ofCompressor: true,
        part: null,
        leftShut: 'waits for the compressor',
        leaksBy: false,
      },
    ]);
  });

  test('a shut valve is found on the map by its id, else by the words of the note and where it stands', () => {
    const map = circuitMap('rack', ['meat', 'dairy']);
    const valve = (rest: object) => note('readings', TODAY, { tool: 'valve', state: 'shut', ...rest });
    const shutOf = (rest: object) => [...shutParts(entriesOf(valve(rest)), map)];
    expect(shutOf({ valve: 'the red one', part: 'circuit2.solenoid' })).toEqual(['circuit2.solenoid']);
    expect(shutOf({ valve: 'Solenoid, dairy' })).toEqual(['circuit2.solenoid']);
    // Two of them stand there: nobody said which.
    expect(shutOf({ valve: 'Ball valve, dairy' })).toEqual([]);
    expect(shutOf({ valve: 'king valve' })).toEqual(['receiverValve']);
    expect(shutOf({ valve: 'the tap by the door' })).toEqual([]);
  });
});
