/**
 * What shut valves part a circuit into, for whoever stands before it: every section is what gas can reach without passing a
 * valve that is shut. Water carries no gas, and what no refrigerant stands in is in no section.
 */
import type { CircuitMap, MapPart } from './map';
import { partType } from './parts';
import { type Valves, piecesOf } from './pieces';

type Shut = Valves['shut'];

/** Sections between the valves that stand shut, in the order of the map; a shut valve belongs to none. */
export function sectionsOf(map: CircuitMap, shut: Shut): MapPart[][] {
  const byId = new Map(map.parts.map((part) => [part.id, part]));
  const gas = {
    parts: map.parts.filter((part) => !partType(part.type).dry),
    lines: map.lines.filter(({ carries }) => carries !== 'water'),
    stubs: map.stubs,
  };
  return piecesOf(gas, { shut }).sections.map((ids) => ids.flatMap((id) => byId.get(id) ?? []));
}

/** The section in which a part stands; null while it is itself a shut valve. */
export const sectionOf = (map: CircuitMap, shut: Shut, partId: string): MapPart[] | null =>
  sectionsOf(map, shut).find((section) => section.some((part) => part.id === partId)) ?? null;

/** Whether a section is all that refrigerant stands in. */
export const isWhole = (map: CircuitMap, section: readonly MapPart[]): boolean =>
  section.length === map.parts.filter((part) => !partType(part.type).dry).length;

export interface Passing {
  /** shut valves of the section's edge that do not hold */
  valves: MapPart[];
  /** what gas comes from or goes to through them, also through a second one that does not hold */
  beyond: MapPart[];
}

/** Where a section is open although its valves are shut, because some do not hold; null where all of them do. */
export function passing(
  map: CircuitMap,
  { shut, doesNotHold }: Required<Valves>,
  partId: string,
): Passing | null {
  const own = sectionOf(map, shut, partId);
  const held = new Set([...shut].filter((id) => !doesNotHold.has(id)));
  const wide = sectionOf(map, held, partId);
  if (!own || !wide) return null;
  const inside = new Set(own.map(({ id }) => id));
  const valves = wide.filter(
    ({ id }) =>
      shut.has(id) &&
      (sectionOf(map, new Set([...shut].filter((each) => each !== id)), id) ?? []).some((part) =>
        inside.has(part.id),
      ),
  );
  const beyond = wide.filter(({ id }) => !inside.has(id) && !shut.has(id));
  return valves.length > 0 && beyond.length > 0 ? { valves, beyond } : null;
}

/** Where a person stands in a section, each place once: `lines, fish room`. */
export const placesIn = (section: readonly MapPart[]): string[] => [
  ...new Set(section.map((part) => part.where)),
];
