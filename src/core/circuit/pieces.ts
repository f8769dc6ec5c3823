/** What shut valves leave of a circuit: its pieces, and which of them a valve joins that does not hold. Handbook 4.11. */
import { type Day, dayOf } from '../quantity/day';

/** As much of a drawing as says what is joined to what. */
export interface Joined {
  parts: readonly { id: string; since?: string | null | undefined; until?: string | null | undefined }[];
  lines: readonly { through: readonly string[] }[];
  stubs?: readonly { part: string; on: string }[] | null | undefined;
}

export interface Valves {
  /** ids of parts that stand shut */
  shut: ReadonlySet<string>;
  /** ids of parts that, shut, let gas through */
  doesNotHold?: ReadonlySet<string>;
}

export interface Pieces {
  /** ids of each piece in the order of the parts; pieces by their first part; a shut part stands in none */
  sections: string[][];
  /** shut parts that do not hold, in the order of the parts, with every two pieces that each joins */
  between: [part: string, one: number, other: number][];
}

/** Whether a part stands on a day; null asks without a day, and all parts stand. */
export const standsOn = (part: Joined['parts'][number], day: Day | null): boolean =>
  day === null ||
  ((part.since == null || dayOf(part.since) <= day) && (part.until == null || day < dayOf(part.until)));

/** Every two parts that are joined without another between them, as `[one, other]`. */
export const joints = ({ lines, stubs }: Joined): (readonly [string, string])[] => [
  ...lines.flatMap(({ through }) => through.slice(1).map((id, at) => [through[at] ?? id, id] as const)),
  ...(stubs ?? []).map(({ part, on }) => [part, on] as const),
];

/**
 * The pieces that are left when the shut parts are taken out. Lines run on through the place of a part that is gone, so
 * it joins what it joined. A compressor that stands parts nothing; a check valve is not told from an open part.
 */
export function piecesOf(
  drawing: Joined,
  { shut, doesNotHold = new Set() }: Valves,
  day: Day | null = null,
): Pieces {
  const here = drawing.parts.filter((part) => standsOn(part, day));
  const standing = new Set(here.map(({ id }) => id));
  const isShut = (id: string): boolean => shut.has(id) && standing.has(id);
  const above = new Map(drawing.parts.map(({ id }) => [id, id]));
  const topOf = (id: string): string => {
    let top = id;
    for (let next = above.get(top); next !== undefined && next !== top; next = above.get(top)) {
      above.set(top, above.get(next) ?? next);
      top = next;
    }
    return top;
  };
  const joined = joints(drawing);
  for (const [one, other] of joined) if (!isShut(one) && !isShut(other)) above.set(topOf(one), topOf(other));

  const sections: string[][] = [];
  const indexOf = new Map<string, number>();
  for (const { id } of here) {
    if (isShut(id)) continue;
    const top = topOf(id);
    const index = indexOf.get(top) ?? sections.length;
    indexOf.set(top, index);
    (sections[index] ??= []).push(id);
  }

  const beside = new Map(
    here.filter(({ id }) => isShut(id) && doesNotHold.has(id)).map(({ id }) => [id, new Set<number>()]),
  );
  const note = (valve: string, neighbour: string): void => {
    const index = indexOf.get(topOf(neighbour));
    if (index !== undefined) beside.get(valve)?.add(index);
  };
  for (const [one, other] of joined) {
    note(one, other);
    note(other, one);
  }
  const between = [...beside].flatMap(([id, found]) => {
    const touched = [...found].sort((a, b) => a - b);
    return touched.flatMap((one, at) =>
      touched.slice(at + 1).map((other): Pieces['between'][number] => [id, one, other]),
    );
  });
  return { sections, between };
}
