/**
 * Readings as a series: each with its time, and the phase of the visit in which it was taken. What a change of charge made
 * old is kept and shown, and no longer speaks for what the machine is now.
 */
import type { Entry } from '../../logbook/entry';
import type { DatedEntry } from '../../logbook/order';
import type { Day } from '../../quantity/day';
import { type Phase, readNote } from '../notes/notes';
import { type Quantity, type Stated, isRecorded, siOf } from '../notes/stated';
import type { Step } from '../steps';
import type { ReadingsSoFar } from '../visitRecord';
import { spoiledByGas } from './places';

export interface ReadingTaken {
  name: string;
  /** a figure, or the word of a sign */
  given: Stated<Quantity> | Stated<string>;
  sign: boolean;
  phase: Phase;
  /** where it is not the first part of its kind: the coil of another room */
  part: string | null;
  day: Day;
  /** instant at which it was written, where the entry says one */
  at: string | null;
  entryId: string;
}

const movesGas = ({ kind }: Entry): boolean => kind === 'refrigerantAdded' || kind === 'refrigerantRecovered';

const opens = (entry: Entry): boolean =>
  entry.kind === 'leakRepaired' ||
  entry.kind === 'pressureHold' ||
  entry.kind === 'evacuation' ||
  readNote(entry, 'isolation') !== null;

/** The phase that a reading of this step belongs to, after what these entries did; a person may say another. */
export function phaseAt(entries: readonly DatedEntry[], step: Step | null): Phase {
  if (step === 'prove' || step === 'leaveRight' || step === 'handOver') return 'atEnd';
  if (entries.some(({ entry }) => entry.kind === 'refrigerantAdded')) return 'afterCharge';
  if (step === 'charge' || entries.some(({ entry }) => movesGas(entry) || opens(entry)))
    return 'beforeCharge';
  return 'asFound';
}

/** Every reading of these entries in order; what Arrive said of the box is one of them. */
export function readingSeries(entries: readonly DatedEntry[]): ReadingTaken[] {
  return entries.flatMap(({ entry, day }, index): ReadingTaken[] => {
    const frame = { day, at: entry.at ?? null, entryId: entry.id };
    const note = readNote(entry, 'reading');
    const number = (
      name: string,
      given: Stated<Quantity> | null | undefined,
      phase: Phase,
    ): ReadingTaken[] =>
      isRecorded(given)
        ? [{ name, given: given as Stated<Quantity>, sign: false, phase, part: note?.part ?? null, ...frame }]
        : [];
    const arrival = readNote(entry, 'arrival');
    if (arrival)
      return [...number('box', arrival.box, 'asFound'), ...number('secondBox', arrival.secondBox, 'asFound')];
    const proof = readNote(entry, 'proof');
    if (proof) return number('box', proof.box, 'atEnd');
    if (!note) return [];
    const phase = note.phase ?? phaseAt(entries.slice(0, index), null);
    return [
      ...Object.entries(note.numbers).flatMap(([name, given]) => number(name, given, phase)),
      ...Object.entries(note.signs).flatMap(([name, given]): ReadingTaken[] =>
        isRecorded(given)
          ? [{ name, given: given as Stated<string>, sign: true, phase, part: note.part ?? null, ...frame }]
          : [],
      ),
    ];
  });
}

const latest = (taken: readonly ReadingTaken[]): ReadingsSoFar => {
  const numbers: Record<string, Stated<Quantity>> = {};
  const signs: Record<string, Stated<string>> = {};
  // What another room says is its own: the machine is judged by the first.
  for (const each of taken.filter(({ part }) => part === null))
    if (each.sign) signs[each.name] = each.given as Stated<string>;
    else numbers[each.name] = each.given as Stated<Quantity>;
  return { numbers, signs };
};

/** The latest of each reading, however old. */
export const latestReadings = (entries: readonly DatedEntry[]): ReadingsSoFar =>
  latest(readingSeries(entries));

/** What still speaks for the machine as it is: of each reading the latest, less what gas in or out has made old. */
export function readingsNow(entries: readonly DatedEntry[]): ReadingsSoFar {
  const moved = entries.findLastIndex(({ entry }) => movesGas(entry));
  const since = new Set(entries.slice(moved + 1).map(({ entry }) => entry.id));
  return latest(readingSeries(entries).filter((each) => since.has(each.entryId) || !spoiledByGas(each.name)));
}

/** The last of each phase, for a table of before and after. */
export function readingsOfPhase(series: readonly ReadingTaken[], phase: Phase): ReadingsSoFar {
  return latest(series.filter((each) => each.phase === phase));
}

/** Shorter than this, a thermometer's own lag is what moves, s. */
const LEAST_PULL_DOWN_S = 600;

/** How fast the box falls, K an hour (above 0: colder), between the first and the last of its readings; null where fewer than two stand apart. */
export function pullDown(series: readonly ReadingTaken[]): { kelvinsAnHour: number; seconds: number } | null {
  const boxes = series.flatMap((each) => {
    const si = each.name === 'box' && each.part === null ? siOf(each.given as Stated<Quantity>) : null;
    return si === null || each.at === null ? [] : [{ si, at: Date.parse(each.at) / 1000, phase: each.phase }];
  });
  const last = boxes.at(-1);
  // From where gas had gone in, where it was read then; else from the beginning.
  const first = boxes.find((each) => each.phase === 'afterCharge' || each.phase === 'atEnd') ?? boxes[0];
  if (!first || !last) return null;
  const from = last.at - first.at >= LEAST_PULL_DOWN_S ? first : boxes[0];
  const seconds = from ? last.at - from.at : 0;
  if (!from || seconds < LEAST_PULL_DOWN_S) return null;
  return { kelvinsAnHour: ((from.si - last.si) / seconds) * 3600, seconds };
}
