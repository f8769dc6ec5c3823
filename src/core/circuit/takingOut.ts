/** Parts named, taken out of a drawing from a day on, or struck from it; and the drawing as it stands on a day. */
import type { Piping, PipingLine, PipingPart } from '../logbook/piping';
import type { Day } from '../quantity/day';
import { ok, refused } from '../result';
import { type Changed, freeId, hangs, stubsOf } from './changes';
import { joints, standsOn } from './pieces';

const unless = (drawing: Piping, id: string, change: () => Piping): Changed =>
  drawing.parts.some((part) => part.id === id) ? ok(change()) : refused({ code: 'unknownPart', id });

const withPart = (drawing: Piping, id: string, more: Partial<PipingPart>): Piping => ({
  ...drawing,
  parts: drawing.parts.map((part) => (part.id === id ? { ...part, ...more } : part)),
});

/** Gone from a day on (`YYYY-MM-DD`): it stays in the drawing's history. */
export const takeOut = (drawing: Piping, id: string, until: string): Changed =>
  unless(drawing, id, () => withPart(drawing, id, { until }));

/** What people call it here; an empty name takes the name away. */
export const named = (drawing: Piping, id: string, name: string): Changed =>
  unless(drawing, id, () => withPart(drawing, id, { name: name.trim() || null }));

/** Never was there: out of the drawing and its history; lines run on through its place. A tee stays where lines meet. */
export function strike(drawing: Piping, id: string): Changed {
  const part = drawing.parts.find((each) => each.id === id);
  if (!part) return refused({ code: 'unknownPart', id });
  if (part.type === 'tee' && neighboursOf(drawing, id).length > 2) return refused({ code: 'linesMeet', id });
  return ok(without(drawing, id));
}

const neighboursOf = (drawing: Piping, id: string): string[] =>
  [
    ...new Set(joints(drawing).flatMap(([one, other]) => (one === id ? [other] : other === id ? [one] : []))),
  ].filter((each) => each !== id);

/** Without a part. What it joined stays joined: two parts directly, more of them in a tee that stands in its place. */
function without(drawing: Piping, id: string): Piping {
  const beside = neighboursOf(drawing, id);
  const place =
    beside.length > 2
      ? freeId(drawing.parts, `${id} joint`)
      : (beside.find((each) => !hangs(drawing, each)) ?? beside[0]);
  const inPlace = (each: string): string[] => (each !== id ? [each] : place === undefined ? [] : [place]);
  const lines = drawing.lines.flatMap((line): PipingLine[] => {
    if (!line.through.includes(id)) return [line];
    const through = line.through.flatMap(inPlace).filter((each, at, all) => each !== all[at - 1]);
    return new Set(through).size < 2 ? [] : [{ ...line, through }];
  });
  return {
    ...drawing,
    parts: drawing.parts.flatMap((part): PipingPart[] =>
      part.id !== id
        ? [part]
        : beside.length > 2 && place !== undefined
          ? [{ id: place, type: 'tee', where: part.where }]
          : [],
    ),
    lines,
    stubs: stubsOf(drawing).flatMap(({ part, on }) => {
      const [hung] = inPlace(part);
      const [host] = inPlace(on);
      return hung === undefined || host === undefined || hung === host ? [] : [{ part: hung, on: host }];
    }),
  };
}

/** The drawing as it stands on a day: what is not there yet or is gone is out, and its lines run on. */
export const standing = (drawing: Piping, day: Day): Piping =>
  drawing.parts.filter((part) => !standsOn(part, day)).reduce((left, { id }) => without(left, id), drawing);
