/**
 * A machine's drawing, from its answers to the map that is walked and drawn. A drawing that was changed is kept whole, with
 * its answers; one that nobody changed follows from the machine's kind and rooms.
 */
import { z } from 'zod';
import type { Piping, PipingPart } from '../logbook/piping';
import type { Day } from '../quantity/day';
import { secondBeside } from './sideBySide';
import { standing } from './takingOut';
import { LAYOUTS, circuitMap } from './layouts';
import type { CircuitMap, MapPart, MapSection } from './map';
import { type PartTypeName, knownType } from './parts';
import { joints, standsOn } from './pieces';

/** so many stand side by side at most */
export const MOST_SIDE_BY_SIDE = 4;
const count = z.number().int().min(1).max(MOST_SIDE_BY_SIDE).optional();
const answersSchema = z.object({
  layout: z.enum(LAYOUTS),
  rooms: z.array(z.string()),
  compressors: count,
  /** in each room */
  coils: count,
});
/**
 * What was answered when a machine was set up: what it is like, the names on the doors of what it cools, how many compressors
 * and coils stand side by side.
 */
export type Answers = z.infer<typeof answersSchema>;

/** The answers of a drawing; null where it came from another program. */
export const answersOf = (drawing: Piping): Answers | null =>
  answersSchema.safeParse(drawing.answers).data ?? null;

/** The drawing that follows from answers alone. */
export function drawingOf(answers: Answers): Piping {
  const { parts, lines, stubs } = circuitMap(answers.layout, answers.rooms);
  const one: Piping = { parts: [...parts], lines: [...lines], stubs: [...stubs], answers };
  const idsOf = (type: PartTypeName): string[] =>
    parts.filter((part) => part.type === type).map(({ id }) => id);
  const more = (drawing: Piping, id: string, wanted = 1): Piping =>
    Array.from({ length: wanted - 1 }).reduce<Piping>((now, _, index) => {
      let part = 0;
      const second = secondBeside(now, id, () => `${id} ${String(index + 2)}.${String((part += 1))}`);
      return second.ok ? second.value : now;
    }, drawing);
  const compressors = idsOf('compressor').reduce((now, id) => more(now, id, answers.compressors), one);
  return idsOf('evaporator').reduce((now, id) => more(now, id, answers.coils), compressors);
}

/** The map of a drawing as it stands on a day. A type that is none of ours is a part of no kind, called by its word. */
export function mapOfDrawing(drawing: Piping, day: Day): CircuitMap {
  const answers = answersOf(drawing);
  const layout = answers ? circuitMap(answers.layout, answers.rooms).sections : [];
  const now = standing(drawing, day);
  const sectionOf = sectionsByPart(now, layout);
  const parts = numbered(now.parts.map((part) => mapPart(part, sectionOf.get(part.id))));
  const kept = layout.map((section): MapSection => ({
    ...section,
    parts: parts.filter((part) => sectionOf.get(part.id) === section),
  }));
  const loose = parts.filter((part) => !sectionOf.has(part.id));
  const places = [...new Set(loose.map((part) => part.where))];
  const free = places.map((where): MapSection => ({
    kind: 'free',
    where,
    prefix: '',
    parts: loose.filter((part) => part.where === where),
  }));
  const sections = [...kept, ...free].filter((section) => section.parts.length > 0);
  return {
    sections,
    parts: sections.flatMap((section) => section.parts),
    lines: now.lines,
    stubs: now.stubs ?? [],
  };
}

/** Parts that are not there on a day: what was said of them is still told by their names. */
export const absentParts = (drawing: Piping, day: Day): MapPart[] =>
  drawing.parts.filter((part) => !standsOn(part, day)).map((part) => mapPart(part, undefined));

function mapPart({ id, type, name, where }: PipingPart, section: MapSection | undefined): MapPart {
  const known = knownType(type);
  const called = name ?? (known === 'other' && type !== 'other' ? type : null);
  return {
    id,
    type: known,
    where: where ?? section?.where ?? '',
    ...(called ? { name: called } : {}),
    ...(section?.parts.some((part) => part.id === id) ? {} : { own: true as const }),
  };
}

/** Where two of a type stand in one place without a name, those of this machine's own bear a number. */
function numbered(parts: readonly MapPart[]): MapPart[] {
  const alike = ({ type, where }: MapPart): string => `${type} ${where}`;
  const seen = new Map<string, number>();
  const count = (part: MapPart): number => {
    const nth = (seen.get(alike(part)) ?? 0) + 1;
    seen.set(alike(part), nth);
    return nth;
  };
  const nameless = parts.filter((part) => part.name === undefined);
  nameless.filter((part) => !part.own).forEach(count);
  const nthOf = new Map(nameless.filter((part) => part.own).map((part) => [part.id, count(part)]));
  return parts.map((part) => {
    const nth = nthOf.get(part.id) ?? 1;
    return nth > 1 ? { ...part, nth } : part;
  });
}

/** In which section of the layout each part stands: its own, else that of what it is joined to. */
function sectionsByPart(drawing: Piping, layout: readonly MapSection[]): Map<string, MapSection> {
  const found = new Map<string, MapSection>();
  const here = new Set(drawing.parts.map(({ id }) => id));
  for (const section of layout) for (const { id } of section.parts) if (here.has(id)) found.set(id, section);
  // Of its own: where it was put, where that is one section alone.
  for (const { id, where } of drawing.parts) {
    const there = layout.filter((section) => section.where === where);
    const [only] = there;
    if (only && there.length === 1 && !found.has(id)) found.set(id, only);
  }
  const all = joints(drawing);
  for (let grew = found.size > 0; grew;) {
    grew = false;
    for (const [one, other] of all)
      for (const [id, beside] of [
        [one, other],
        [other, one],
      ] as const) {
        const section = found.get(beside);
        if (section && !found.has(id)) {
          found.set(id, section);
          grew = true;
        }
      }
  }
  return found;
}
