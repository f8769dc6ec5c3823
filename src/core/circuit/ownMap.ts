/**
 * A machine's drawing is its own: the layout is where it begins. Parts are added beside one that is there, named, or left
 * out; every one of them is searched, touched and drawn like those of the layout.
 */
import type { CircuitMap, MapPart, MapSection } from './map';
import { PART_TYPES, type PartTypeName } from './parts';

export interface OwnParts {
  added?:
    | readonly { id: string; type: string; name?: string | null | undefined; beside: string }[]
    | null
    | undefined;
  leftOut?: readonly string[] | null | undefined;
  names?: Readonly<Record<string, string>> | null | undefined;
}

const isPartType = (type: string): type is PartTypeName => type in PART_TYPES;

/** The map of a layout with what this machine has of its own. A part whose type or neighbour is unknown is passed over. */
export function ownMap(map: CircuitMap, own: OwnParts): CircuitMap {
  const gone = new Set(own.leftOut ?? []);
  const names = own.names ?? {};
  const sections = map.sections.map((section): MapSection => {
    const parts: MapPart[] = [...section.parts];
    for (const { id, type, name, beside } of own.added ?? []) {
      const neighbour = parts.find((part) => part.id === beside);
      if (!neighbour || !isPartType(type) || parts.some((part) => part.id === id)) continue;
      const part = { id, type, where: neighbour.where, beside, ...(name ? { name } : {}) };
      parts.splice(parts.indexOf(neighbour) + 1, 0, part);
    }
    return {
      ...section,
      parts: parts
        .filter((part) => !gone.has(part.id))
        .map((part) => (names[part.id] ? { ...part, name: names[part.id] as string } : part)),
    };
  });
  return {
    sections,
    parts: sections.flatMap((section) => section.parts),
    // A pipe runs on through the place of a part that is not there.
    pipes: map.pipes.map((pipe) => ({ ...pipe, through: pipe.through.filter((id) => !gone.has(id)) })),
  };
}
