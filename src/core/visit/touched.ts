/**
 * What this visit touched, and so what must be put right before leaving: a checklist that asks only for what applies. Also
 * which places were tested after heat or bending, since repairs make leaks.
 */
import type { DatedEntry } from '../logbook/order';
import { shutValves, notesOf } from './visitRecord';
import { isRecorded, type Stated } from './stated';

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
  return [
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
