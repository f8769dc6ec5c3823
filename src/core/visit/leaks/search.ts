/**
 * The search of a visit: what was looked at on the circuit map, in which order it is best done, and whether it counts as an
 * inspection. Order and reasons come from this machine's leaks, those of similar machines, and the signs of today.
 */
import type { DatedEntry } from '../../logbook/order';
import type { Day } from '../../quantity/day';
import type { CircuitMap, MapPart } from '../../circuit/map';
import { type PartTypeName, partType, typeSaid } from '../../circuit/parts';
import { type Grade, type SpotMark, readNote } from '../notes/notes';
import { type NoteEntry, notesOf } from '../visitRecord';

export interface Spot {
  part: string;
  mark: SpotMark;
  grade: Grade | null;
  leakId: string | null;
  /** why it was left out, or why a hit was false */
  why: string | null;
  reachable: boolean;
  noted: NoteEntry<'spot'>;
}

/** The last mark of each part. */
export function spotsOf(entries: readonly DatedEntry[]): ReadonlyMap<string, Spot> {
  const spots = new Map<string, Spot>();
  for (const noted of notesOf(entries, 'spot')) {
    const { note } = noted;
    spots.set(note.part, {
      part: note.part,
      mark: note.mark,
      grade: note.grade ?? null,
      leakId: note.leakId ?? null,
      why: note.why ?? null,
      reachable: note.reachable ?? true,
      noted,
    });
  }
  return spots;
}

export interface PastLeak {
  on: Day;
  /** id on the map where the leak was marked on one */
  part: string | null;
  type: PartTypeName | null;
  words: string;
}

/** Where this machine leaked, by the map or by the words of the note. */
export function pastLeaks(entries: readonly DatedEntry[]): PastLeak[] {
  return entries.flatMap(({ day, entry }) => {
    if (entry.kind !== 'leakFound') return [];
    const words = `${entry.component ?? ''} ${entry.location ?? ''}`;
    return [
      {
        on: day,
        part: entry.part ?? null,
        type: typeSaid(entry.component ?? '') ?? typeSaid(words),
        words: [entry.component, entry.location].filter(Boolean).join(', '),
      },
    ];
  });
}

export type OrderReason = 'leakedHere' | 'leakedOnSimilar' | 'oilThere' | 'drainPanHit' | 'leaksReadily';

export interface Proposed {
  part: MapPart;
  score: number;
  reasons: readonly { code: OrderReason; times: number }[];
}

export interface SearchSigns {
  /** ids of parts where oil or corrosion was seen */
  oil: ReadonlySet<string>;
  /** ids of drain pans that gave a hit: gas is heavy, so the coil above is the suspect */
  drainPans: ReadonlySet<string>;
}

const WEIGHT = { leakedHere: 12, oilThere: 10, drainPanHit: 9, similarShare: 8, leaksReadily: 1 } as const;
const COILS: readonly PartTypeName[] = ['evaporator', 'evaporatorBends'];

/** `similar`: how often each type leaked on other machines of the kind. Best first; ties in the order of the map. */
export function searchOrder(
  map: CircuitMap,
  past: readonly PastLeak[],
  similar: Partial<Record<PartTypeName, number>>,
  signs: SearchSigns,
): Proposed[] {
  const all = Object.values(similar).reduce((sum, times) => sum + times, 0);
  return map.parts
    .filter((part) => part.type !== 'drainPan')
    .map((part): Proposed => {
      const here = past.filter((leak) =>
        leak.part === null ? leak.type === part.type : leak.part === part.id,
      ).length;
      const elsewhere = similar[part.type] ?? 0;
      const room = part.id.slice(0, part.id.lastIndexOf('.') + 1);
      const pan = COILS.includes(part.type) && signs.drainPans.has(`${room}drainPan`);
      const oil = signs.oil.has(part.id);
      const { readily } = partType(part.type);
      const reasons: Proposed['reasons'][number][] = [];
      if (here > 0) reasons.push({ code: 'leakedHere', times: here });
      if (oil) reasons.push({ code: 'oilThere', times: 1 });
      if (pan) reasons.push({ code: 'drainPanHit', times: 1 });
      if (elsewhere > 0) reasons.push({ code: 'leakedOnSimilar', times: elsewhere });
      if (readily === 3) reasons.push({ code: 'leaksReadily', times: 1 });
      return {
        part,
        score:
          WEIGHT.leakedHere * Math.min(here, 3) +
          (oil ? WEIGHT.oilThere : 0) +
          (pan ? WEIGHT.drainPanHit : 0) +
          (all > 0 ? (WEIGHT.similarShare * elsewhere) / all : 0) +
          WEIGHT.leaksReadily * readily,
        reasons,
      };
    })
    .sort((a, b) => b.score - a.score);
}

/** Signs of today for the order: oil seen or a hit by oil, and drain pans that gave a hit. */
export function signsOf(spots: ReadonlyMap<string, Spot>): SearchSigns {
  const oil = new Set<string>();
  const drainPans = new Set<string>();
  for (const spot of spots.values()) {
    if (spot.mark !== 'hit') continue;
    if (spot.grade === 'oilOrFrost') oil.add(spot.part);
    if (/drainPan$/.test(spot.part)) drainPans.add(spot.part);
  }
  return { oil, drainPans };
}

export interface SearchState {
  done: readonly MapPart[];
  /** hits that nothing has confirmed or explained */
  open: readonly MapPart[];
  leftOut: readonly { part: MapPart; why: string; reachable: boolean }[];
  notYet: readonly MapPart[];
  leakIds: readonly string[];
  methods: readonly string[];
  /** every part that can be reached was looked at: the search may count as an inspection */
  countsAsInspection: boolean;
}

/** What a search has covered. A part left out for want of time leaves it uncounted; one that nobody can reach does not. */
export function searchState(map: CircuitMap, spots: ReadonlyMap<string, Spot>): SearchState {
  const done: MapPart[] = [];
  const open: MapPart[] = [];
  const notYet: MapPart[] = [];
  const leftOut: SearchState['leftOut'][number][] = [];
  const leakIds = new Set<string>();
  const methods = new Set<string>();
  for (const part of map.parts) {
    const spot = spots.get(part.id);
    if (!spot) notYet.push(part);
    else if (spot.mark === 'leftOut') leftOut.push({ part, why: spot.why ?? '', reachable: spot.reachable });
    else {
      done.push(part);
      if (spot.mark === 'hit') open.push(part);
      if (spot.leakId) leakIds.add(spot.leakId);
      if (spot.noted.note.method) methods.add(spot.noted.note.method);
    }
  }
  return {
    done,
    open,
    leftOut,
    notYet,
    leakIds: [...leakIds],
    methods: [...methods],
    countsAsInspection: done.length > 0 && notYet.length === 0 && leftOut.every((each) => !each.reachable),
  };
}

export interface NextLeak {
  part: string;
  words: string;
  why: string;
  on: Day;
}

/** Places that do not leak yet and will, until work on them is written down. `entries`: the machine's, in order. */
export function nextLeaks(entries: readonly DatedEntry[]): NextLeak[] {
  const waiting = new Map<string, NextLeak>();
  for (const { day, entry } of entries) {
    const spot = readNote(entry, 'spot');
    if (spot?.mark === 'nextLeak')
      waiting.set(spot.part, {
        part: spot.part,
        words: spot.words ?? spot.part,
        why: spot.why ?? '',
        on: day,
      });
    const done = readNote(entry, 'preventive')?.part ?? (entry.kind === 'leakRepaired' ? entry.part : null);
    for (const each of [...waiting.values()])
      if (done && (done === each.part || done.toLowerCase() === each.words.toLowerCase()))
        waiting.delete(each.part);
  }
  return [...waiting.values()];
}
