/**
 * Every leak of a machine through its states, from suspicion to the second test, with the best evidence there is for it.
 * The rules know only leaks that were found; here stand also what is only suspected, what was put off with its reason, what
 * was dismissed, and verdicts that were withdrawn after an owner may have heard them.
 */
import { type Entry } from '../../logbook/entry';
import { type LeakLabels, labelOf } from '../../logbook/leakLabels';
import type { DatedEntry } from '../../logbook/order';
import type { Day } from '../../quantity/day';
import type { LeakAccount } from '../../rules/leaks';
import { CONFIRMING, type FalseCause, GRADES, type Grade, type Note, readNote } from '../notes/notes';
import { notesOf } from '../visitRecord';

export const LEAK_STATES = [
  'suspected',
  'confirmed',
  'repaired',
  'tested',
  'testedAgain',
  'deferred',
  'dismissed',
  'withdrawn',
] as const;
export type LeakState = (typeof LEAK_STATES)[number];

export interface LeakStory {
  /** id of the leak; of a suspicion, the id of the entry that raised it */
  id: string;
  /** what people call it; a suspicion has none */
  label: string;
  state: LeakState;
  place: string;
  part: string | null;
  since: Day;
  grade: Grade | null;
  /** the latest decision to run on with it */
  deferred: Note<'decision'> | null;
  /** why it is no leak, or no longer told as one */
  because: string | null;
  /** what made a hit false */
  falseCause: FalseCause | null;
  toldOwner: boolean;
  /** repaired while only suspected; nothing has confirmed it since */
  onSuspicion: boolean;
  visitId: string | null;
}

const NO_LABELS: LeakLabels = new Map();

const OF_RULES = {
  found: 'confirmed',
  repaired: 'repaired',
  tested: 'tested',
  verified: 'testedAgain',
} as const;

const better = (a: Grade | null, b: Grade | null): Grade | null =>
  a === null ? b : b === null || GRADES.indexOf(a) >= GRADES.indexOf(b) ? a : b;

const METHOD_GRADE: Partial<Record<string, Grade>> = {
  bubbles: 'bubbles',
  electronic: 'detectorHit',
  ultrasonic: 'audible',
  audible: 'audible',
  dye: 'seen',
  visual: 'seen',
};

/** The best grade that the methods of a note amount to. */
export const gradeOfMethods = (methods: readonly string[]): Grade | null =>
  methods.reduce<Grade | null>((best, method) => better(best, METHOD_GRADE[method] ?? null), null);

/** Of a leak that was found, only files of ours from before the format had the field say so. */
const saidOnSuspicion = (entry: Entry): boolean => 'onSuspicion' in entry && entry.onSuspicion === true;

const placeOf = (entry: Extract<Entry, { kind: 'leakFound' }>): string =>
  [entry.component, entry.location].filter(Boolean).join(', ');

/** Leaks in the order in which they came up. `entries` are the machine's effective ones, in order. */
export function leakStories(
  entries: readonly DatedEntry[],
  leaks: LeakAccount,
  labels: LeakLabels = NO_LABELS,
): LeakStory[] {
  const stories = new Map<string, LeakStory>();
  const evidence = new Map<string, Grade>();
  for (const { note } of notesOf(entries, 'evidence'))
    evidence.set(note.leakId, better(evidence.get(note.leakId) ?? null, note.grade) ?? note.grade);
  for (const { day, entry } of entries) {
    if (entry.kind !== 'leakFound' && entry.kind !== 'leakRepaired') continue;
    const known = stories.get(entry.leakId);
    const found = entry.kind === 'leakFound' ? entry : null;
    // An exchange on suspicion says its place itself: nothing was found that could say it.
    const { 'x-place': placeSaid } = entry as { 'x-place'?: unknown };
    stories.set(entry.leakId, {
      id: entry.leakId,
      label: labelOf(labels, entry.leakId),
      state: 'confirmed',
      place: (found && placeOf(found)) || known?.place || (typeof placeSaid === 'string' ? placeSaid : ''),
      part: entry.part ?? known?.part ?? null,
      since: known?.since ?? day,
      grade: better(known?.grade ?? null, found ? gradeOfMethods(found.methods ?? []) : null),
      deferred: null,
      because: null,
      falseCause: null,
      toldOwner: false,
      onSuspicion: (known?.onSuspicion ?? false) || saidOnSuspicion(entry),
      visitId: known?.visitId ?? entry.visitId ?? null,
    });
  }
  const decisions = new Map(
    notesOf(entries, 'decision').flatMap(({ note }) => (note.leakId ? [[note.leakId, note] as const] : [])),
  );
  for (const story of stories.values()) {
    const state = leaks.byId.get(story.id)?.state ?? 'found';
    const decision = decisions.get(story.id) ?? null;
    story.grade = better(story.grade, evidence.get(story.id) ?? null);
    story.onSuspicion = story.onSuspicion && (story.grade === null || !CONFIRMING.includes(story.grade));
    story.deferred = decision?.choice === 'runOn' ? decision : null;
    story.state = state === 'found' && story.deferred ? 'deferred' : OF_RULES[state];
  }
  const withdrawn: LeakStory[] = [];
  for (const { day, entry, note } of notesOf(entries, 'withdrawal')) {
    // In older files a later leak took over the id of a withdrawn one: what lives by it is told on its own.
    withdrawn.push({
      id: stories.has(note.leakId) ? entry.id : note.leakId,
      label: labelOf(labels, note.leakId),
      state: 'withdrawn',
      place: note.place ?? '',
      part: null,
      since: day,
      grade: null,
      deferred: null,
      because: note.why,
      falseCause: null,
      toldOwner: note.toldOwner === 'yes',
      onSuspicion: false,
      visitId: entry.visitId ?? null,
    });
  }
  return [...stories.values(), ...withdrawn, ...suspicions(entries)].sort((a, b) => a.since - b.since);
}

/** What was exchanged or repaired, as an id on the map or in words. */
const renewedPart = (entry: Entry): string | null =>
  entry.kind === 'leakRepaired'
    ? (entry.part ?? null)
    : entry.kind === 'partFitted' && typeof (entry as { part?: unknown }).part === 'string'
      ? (entry as unknown as { part: string }).part
      : null;

const passes = (entry: Entry): boolean =>
  (entry.kind === 'verificationTest' && entry.result === 'pass') ||
  readNote(entry, 'jointTest')?.result === 'pass';

/** Hits that nothing confirmed, and those that turned out to be none; the last word on a part of a visit counts. */
function suspicions(entries: readonly DatedEntry[]): LeakStory[] {
  const last = new Map<string, LeakStory>();
  const renewed = new Set<string>();
  for (const { day, entry } of entries) {
    const done = renewedPart(entry);
    for (const [key, { place }] of last)
      if (done === key || done?.toLowerCase() === place.toLowerCase()) renewed.add(key);
    // A part that was renewed and then tested is under no suspicion.
    if (passes(entry)) for (const key of renewed) last.delete(key);
    const note = readNote(entry, 'spot');
    if (!note) continue;
    const key = note.part;
    if (note.mark === 'lookedAt' || note.mark === 'leftOut' || note.mark === 'nextLeak') continue;
    renewed.delete(key);
    // With a leak's number it has a story of its own: confirmed, or exchanged on suspicion.
    if (note.mark === 'confirmed' || note.leakId) {
      last.delete(key);
      continue;
    }
    last.set(key, {
      id: entry.id,
      label: '',
      state: note.mark === 'hit' ? 'suspected' : 'dismissed',
      place: note.words ?? note.part,
      part: note.part,
      since: day,
      grade: note.grade ?? null,
      deferred: null,
      because: note.mark === 'false' ? (note.why ?? null) : null,
      falseCause: note.mark === 'false' ? (note.cause ?? null) : null,
      toldOwner: false,
      onSuspicion: false,
      visitId: entry.visitId ?? null,
    });
  }
  return [...last.values()];
}

/** What an owner may be told as found: never what is only suspected. */
export const isFound = ({ state, onSuspicion }: LeakStory): boolean =>
  !onSuspicion && ['confirmed', 'repaired', 'tested', 'testedAgain', 'deferred'].includes(state);
