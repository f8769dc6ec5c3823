/** Notes in the words of the record: every tool has some, and the four ways to state a fact stay apart on paper. */
import { describe, expect, test } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { NOTES, type NoteName } from '../core/visit/notes/notes';
import { noteProblems } from '../core/visit/notes/noteProblems';
import { correctionForm } from './forms';
import { NO_NAMES } from '../words/names';
import { sentenceOf } from './sentence';

const psig = (value: number) => ({
  typed: `${String(value)} psig`,
  si: 101_325 + value * 6894.757,
  unit: 'psig',
});
const noteOf = (tool: NoteName, rest: object): Entry =>
  ({
    id: 'e',
    kind: NOTES[tool].kind,
    on: '2026-11-23',
    by: 'p',
    applianceId: 'a',
    tool,
    ...rest,
  }) as unknown as Entry;

/** One note of every tool, as its screen would write it. */
const EXAMPLES: Record<NoteName, object> = {
  visitBegun: {},
  arrival: { complaint: 'warm', product: 'atRisk' },
  reading: { numbers: { suction: psig(11) }, signs: { frost: 'iced' } },
  judgement: { verdict: 'short of gas', causes: { lowCharge: 0.74, normal: 0.1 } },
  raised: { how: 'nitrogenTrace', pressure: psig(120) },
  spot: { part: 'drier', words: 'Drier, unit', mark: 'false', cause: 'wind' },
  map: { layout: 'split' },
  stain: { place: 'below the coil', cleaned: 'yes' },
  evidence: { leakId: 'k1', grade: 'bench' },
  withdrawal: { leakId: 'k1', place: 'drier', why: 'soap' },
  decision: { choice: 'runOn', why: 'parts', until: '2026-12-15' },
  isolation: { way: 'pumpDown' },
  valve: { valve: 'king valve', state: 'leftShut', why: 'leaks by' },
  disconnected: { what: 'solenoid', state: 'off' },
  gaugeCheck: { one: psig(30), other: psig(34) },
  heated: { part: 'capillary', what: 'bent' },
  setting: { control: 'low-pressure control', before: { unknown: true }, after: '28 psig' },
  drier: { part: 'Drier', changed: { notDone: 'indicator dry' } },
  preventive: { part: 'rubbed line', preventive: true },
  jointTest: { conditions: { section: 'low side' }, result: 'pass' },
  holdReading: { section: 'low side', pressure: psig(120) },
  holdSkipped: { why: 'the valve passes' },
  vacuum: { ended: 'quick', lowest: { typed: '340 micron', si: 45, unit: 'micron' } },
  vacuumSkipped: { why: 'stayed above atmosphere' },
  weighed: {
    bottles: [
      {
        bottle: 'B-12',
        before: { typed: '24 lb', si: 1, unit: 'lb' },
        after: { typed: '22 lb', si: 1, unit: 'lb' },
      },
    ],
  },
  proof: { superheat: { typed: '9 °F', si: 5, unit: '°F' } },
  school: { question: 'vacuum', school: 'shapeDecides', why: 'old oil' },
  checklist: { item: 'capsOn', answer: 'yes' },
  signed: { name: 'Prue Castellan' },
  picture: { file: 'x.jpg', caption: 'old joint', pair: 'before' },
};

describe('every tool', () => {
  test.each(Object.keys(EXAMPLES) as NoteName[])('%s keeps its promise and has words', (tool) => {
    const note = noteOf(tool, EXAMPLES[tool]);
    expect(noteProblems(note)).toEqual([]);
    // Which drawing the map has is no word of a service record.
    if (tool !== 'map') expect(sentenceOf(note, 'pounds')).not.toBe('');
  });

  test('none is missing from the examples above', () => {
    expect(Object.keys(EXAMPLES).sort()).toEqual(Object.keys(NOTES).sort());
    expect(Object.keys(EXAMPLES).length).toBeGreaterThanOrEqual(25);
  });
});

describe('on paper', () => {
  const words = (tool: NoteName, rest: object) => sentenceOf(noteOf(tool, rest), 'pounds');

  test('zero, not done, unknown, and nothing at all', () => {
    const reading = {
      numbers: {
        suction: psig(0),
        head: { notDone: 'no port' },
        box: { unknown: true },
      },
      signs: {},
    };
    expect(words('reading', reading)).toBe(
      'suction pressure 0 psig, head pressure not done: no port, box unknown',
    );
  });

  test('what was typed stands, with the instrument that it was read on', () => {
    const instrument = { id: 'i', name: 'gauge 2', offset: -13_789, checkedOn: null };
    expect(words('reading', { numbers: { suction: { ...psig(20), instrument } }, signs: {} })).toBe(
      'suction pressure 20 psig on gauge 2, offset put in',
    );
  });

  test.each<[NoteName, string]>([
    ['spot', 'Drier, unit, false hit, wind'],
    ['valve', 'king valve, left shut, leaks by'],
    ['withdrawal', 'leak k1 is no longer told as found, drier, soap'],
    ['judgement', 'short of gas, most likely low charge, 74 %'],
    ['drier', 'changed not done: indicator dry'],
    ['setting', 'low-pressure control, before unknown, after 28 psig'],
    ['decision', 'Run on with it, parts, until 15 Dec 2026'],
    ['weighed', 'B-12 24 lb to 22 lb'],
    ['picture', 'before, old joint'],
  ])('%s', (tool, said) => {
    expect(words(tool, EXAMPLES[tool])).toBe(said);
  });

  test('a full stop that a person wrote does not stand before a comma', () => {
    expect(words('arrival', { complaint: 'Box warm.', since: 'noon' })).toBe('Box warm, since noon');
  });

  test('a part is called as the map calls it', () => {
    const note = noteOf('spot', { part: 'room1.flareNut', mark: 'hit', grade: 'audible' });
    expect(
      sentenceOf(note, 'pounds', {
        ...NO_NAMES,
        parts: new Map([['room1.flareNut', 'Flare nut, bulb room']]),
      }),
    ).toBe('Flare nut, bulb room, hit, heard');
  });

  test('an entry that no visit wrote has the words it always had', () => {
    const gas = { id: 'e', kind: 'normalOperation', on: '2026-11-23', by: 'p', applianceId: 'a' } as Entry;
    expect(sentenceOf(gas, 'pounds')).toBe('');
    expect(correctionForm({ ...gas, kind: 'readings', tool: 'superheat' } as unknown as Entry)).toBeNull();
  });
});

describe('what a calculator or another tool filed', () => {
  test('is said, and what it left out is passed over', () => {
    const entry = (kind: string, rest: object) =>
      ({ id: 'e', kind, applianceId: 'a', on: '2026-06-01', by: 'p', ...rest }) as Entry;
    expect(
      sentenceOf(
        entry('partFitted', {
          part: 'Clamp-on valve',
          place: 'header',
          temporary: true,
          removeBy: '2026-07-01',
        }),
        'pounds',
      ),
    ).toBe('Clamp-on valve, header, only until 1 Jul 2026');
    expect(sentenceOf(entry('partFitted', { part: 'Drier', temporary: false }), 'pounds')).toBe('Drier');
    expect(sentenceOf(entry('handover', { nextPerson: 'Dog.', bring: 'ladder' }), 'pounds')).toBe(
      'Dog, bring ladder',
    );
    expect(sentenceOf(entry('pressureHold', { summary: 'Holding' }), 'pounds')).toBe('Holding');
    expect(sentenceOf(entry('readings', { summary: 7 }), 'pounds')).toBe('');
  });
});
