/** How the valves of a machine stand, whatever visit turned them: each by its id on the drawing, two of one name apart. */
import { cutsOffCompressor } from '../circuit/flow';
import type { CircuitMap } from '../circuit/map';
import { typeSaid } from '../circuit/parts';
import type { Valves } from '../circuit/pieces';
import type { DatedEntry } from '../logbook/order';
import type { Day } from '../quantity/day';
import { notesOf } from './visitRecord';

export interface ValveState {
  valve: string;
  shutOn: Day;
  ofCompressor: boolean;
  /** id on the circuit map, where it was touched there */
  part: string | null;
  /** left shut on purpose, and why */
  leftShut: string | null;
  /** shut, it lets gas through: what is behind it is open to the other side */
  leaksBy: boolean;
}

interface Said {
  part: string | null;
  words: string;
}

/** Whether two notes speak of one valve: by id where both have one, else by the words that somebody wrote. */
const isSame = (a: Said, b: Said): boolean =>
  a.part !== null && b.part !== null ? a.part === b.part : a.words === b.words;

/** Valves that stand shut: the last word on each counts. */
export function shutValves(entries: readonly DatedEntry[]): ValveState[] {
  let shut: (ValveState & Said)[] = [];
  for (const { day, note } of notesOf(entries, 'valve')) {
    const said = { part: note.part ?? null, words: note.valve.trim().toLowerCase() };
    const meant = shut.filter((each) => isSame(each, said));
    // Words that two valves bear open neither: whoever stands there says which.
    const before = meant.length === 1 ? meant[0] : undefined;
    if (meant.length > 1) continue;
    const rest = shut.filter((each) => each !== before);
    if (note.state === 'open') shut = rest;
    else
      shut = [
        ...rest,
        {
          valve: note.valve.trim(),
          shutOn: before?.shutOn ?? day,
          ofCompressor: note.ofCompressor ?? before?.ofCompressor ?? false,
          part: said.part ?? before?.part ?? null,
          leftShut:
            note.state === 'leftShut'
              ? (note.why ?? '')
              : note.holds != null
                ? (before?.leftShut ?? null)
                : null,
          leaksBy: note.holds == null ? (before?.leaksBy ?? false) : note.holds === 'no',
          words: said.words,
        },
      ];
  }
  return shut.map(({ words: _, ...valve }) => valve);
}

/** The part of a map that a valve is: touched there, or the only one of the type that its words name, where they say. */
function partOf({ part, valve }: ValveState, map: CircuitMap): string | null {
  if (part !== null) return part;
  const type = typeSaid(valve);
  const named = map.parts.filter((each) => each.type === type);
  const there = named.filter(
    (each) => each.where !== '' && valve.toLowerCase().includes(each.where.toLowerCase()),
  );
  const meant = there.length > 0 ? there : named;
  return meant.length === 1 ? (meant[0]?.id ?? null) : null;
}

/** How the valves of a map stand, by the ids of its parts. Words that fit two parts are nobody's. */
export function valvesOf(entries: readonly DatedEntry[], map: CircuitMap): Required<Valves> {
  const placed = shutValves(entries).flatMap((valve) => {
    const id = partOf(valve, map);
    return id === null ? [] : [{ id, valve }];
  });
  return {
    shut: new Set(placed.map(({ id }) => id)),
    doesNotHold: new Set(placed.flatMap(({ id, valve }) => (valve.leaksBy ? [id] : []))),
  };
}

/** Ids of the parts of a map that stand shut. */
export const shutParts = (entries: readonly DatedEntry[], map: CircuitMap): ReadonlySet<string> =>
  valvesOf(entries, map).shut;

/** While one of these is shut a compressor must not start: a valve of its own, or one that cuts it off on the drawing. */
export function doNotStart(entries: readonly DatedEntry[], map: CircuitMap): ValveState[] {
  const cutsOff = cutsOffCompressor(map, shutParts(entries, map));
  return shutValves(entries).filter((valve) => {
    const id = partOf(valve, map);
    return valve.ofCompressor || (id !== null && cutsOff.has(id));
  });
}
