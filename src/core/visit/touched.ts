/**
 * What this visit touched, and so what must be put right before leaving: a checklist that asks only for what applies. Also
 * which places were tested after heat or bending, since repairs make leaks.
 */
import type { DatedEntry } from '../logbook/order';
import { shutValves } from './valves';
import { notesOf, stillDisconnected } from './visitRecord';
import type { CircuitMap } from '../circuit/map';
import { readNote } from './notes/notes';
import { partOfPlace } from './readings/places';
import { isRecorded, type Stated, valueOf } from './notes/stated';

export const CHECKS = [
  'capsOn',
  'portsClosed',
  'coresRenewed',
  'valveReopened',
  'nitrogenOut',
  'gaugeOff',
  'drierDated',
  'oilCleaned',
  'labelWritten',
  'settingsNoted',
  'panelsClosed',
  'doNotStartOff',
  'putBack',
] as const;
export type Check = (typeof CHECKS)[number];

export interface CheckItem {
  /** the check, with the valve it is about where there is one */
  id: string;
  check: Check;
  about: string | null;
  answer: Stated<'yes'> | null;
}

/** `entries`: those of the visit; `all`: those of the machine, for valves that an earlier visit left shut. */
export function checklist(entries: readonly DatedEntry[], all: readonly DatedEntry[]): CheckItem[] {
  const has = (...kinds: string[]): boolean => entries.some(({ entry }) => kinds.includes(entry.kind));
  const gas = has('refrigerantAdded', 'refrigerantRecovered', 'chargeRun');
  const gauges =
    gas ||
    has('pressureHold', 'evacuation') ||
    notesOf(entries, 'reading').some(
      ({ note }) => isRecorded(note.numbers['suction']) || isRecorded(note.numbers['head']),
    );
  const nitrogen = notesOf(entries, 'raised').some(({ note }) => note.how !== 'rest') || has('pressureHold');
  const oil =
    notesOf(entries, 'stain').some(({ note }) => note.cleaned !== 'yes') ||
    notesOf(entries, 'spot').some(({ note }) => note.cause === 'spilledOil' || note.grade === 'oilOrFrost');
  const shut = shutValves(all);
  const valves = [
    ...shut.map((each) => each.valve),
    ...notesOf(entries, 'valve').map(({ note }) => note.valve.trim()),
  ];
  const named = new Map(valves.map((valve) => [valve.toLowerCase(), valve]));
  const compressorShut = notesOf(entries, 'valve').some(({ note }) => note.ofCompressor === true);
  const wanted: [Check, boolean][] = [
    ['capsOn', gauges],
    ['portsClosed', gauges],
    ['coresRenewed', has('evacuation')],
    ['nitrogenOut', nitrogen],
    ['gaugeOff', has('evacuation')],
    ['drierDated', notesOf(entries, 'drier').some(({ note }) => note.changed === 'yes')],
    ['oilCleaned', oil],
    ['labelWritten', has('refrigerantAdded', 'fullChargeSet', 'retrofitted')],
    ['settingsNoted', notesOf(entries, 'setting').length > 0],
    ['panelsClosed', entries.length > 0],
    ['doNotStartOff', compressorShut],
  ];
  const answers = new Map(notesOf(entries, 'checklist').map(({ note }) => [note.item, note.answer ?? null]));
  const item = (check: Check, about: string | null): CheckItem => {
    const id = about === null ? check : `${check} ${about.toLowerCase()}`;
    return { id, check, about, answer: answers.get(id) ?? null };
  };
  const off = stillDisconnected(entries);
  const taken = new Map(
    notesOf(entries, 'disconnected').map(({ note }) => [`${note.what} ${note.name ?? ''}`.trim(), note]),
  );
  return [
    ...[...taken].map(([id, note]) => {
      const still = off.some((each) => each.what === note.what && each.name === (note.name ?? '').trim());
      return { ...item('putBack', id), ...(still ? {} : { answer: 'yes' as const }) };
    }),
    ...[...named.values()].map((valve) => {
      const state = shut.find((each) => each.valve.toLowerCase() === valve.toLowerCase());
      const reopened = state === undefined ? ('yes' as const) : null;
      const shown = item('valveReopened', valve);
      return {
        ...shown,
        answer: reopened ?? (state?.leftShut ? { notDone: state.leftShut } : null),
      };
    }),
    ...wanted.filter(([, applies]) => applies).map(([check]) => item(check, null)),
  ];
}

/** Ids of the parts that this visit worked on, for the drawing: repaired, shut, read by gauge. */
export function touchedParts(entries: readonly DatedEntry[], map: CircuitMap): ReadonlySet<string> {
  const ids = entries.flatMap(({ entry }): (string | null | undefined)[] => {
    if (entry.kind === 'leakRepaired' || entry.kind === 'leakFound') return [entry.part];
    const valve = readNote(entry, 'valve');
    if (valve) return [valve.part];
    const read = readNote(entry, 'reading');
    if (!read) return [];
    return (['suction', 'head'] as const)
      .filter((name) => valueOf(read.numbers[name]) !== null)
      .map((name) => partOfPlace(map, name)?.id);
  });
  return new Set(ids.filter((id): id is string => typeof id === 'string'));
}

/** Whole, so that whatever was heated in it was tested. */
const WHOLE = ['whole circuit', 'whole machine', 'whole system'];

/** Tested by its own name, or with the whole circuit. */
export const isTested = (tested: ReadonlySet<string>, part: string): boolean =>
  WHOLE.some((whole) => tested.has(whole)) || tested.has(part.trim().toLowerCase());

/** Sections, in small letters, that a hold or a test of this visit names. */
export function testedPlaces(entries: readonly DatedEntry[]): ReadonlySet<string> {
  const tested = new Set<string>();
  const add = (text: string | null | undefined): void => {
    for (const each of (text ?? '').split(/[,;]/))
      if (each.trim() !== '') tested.add(each.trim().toLowerCase());
  };
  for (const { entry } of entries) {
    if (entry.kind === 'verificationTest' && entry.result === 'pass') add(entry.section);
  }
  for (const { note } of notesOf(entries, 'jointTest'))
    if (note.result === 'pass') add(note.conditions.section);
  return tested;
}
