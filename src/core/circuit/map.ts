/**
 * What a circuit map is: parts in sections, in the order in which a person walks along them, and pipes from part to part.
 * Topology only; where a part stands on a screen is the interface's matter.
 */
import type { PartTypeName, Side } from './parts';

export interface MapPart {
  id: string;
  type: PartTypeName;
  /** where a person stands to reach it */
  where: string;
  /** what people call it here, where that is not its type */
  name?: string;
  /** added to the layout: the part beside which it stands */
  beside?: string;
}

export interface Pipe {
  side: Side;
  /** ids of parts, one after the other */
  through: readonly string[];
}

/** What stands together: a condensing unit, the lines, one room or one circuit of a rack. */
export type SectionKind =
  'unit' | 'lines' | 'room' | 'rack' | 'rackCircuit' | 'cabinet' | 'chiller' | 'tankUnit';

export interface MapSection {
  kind: SectionKind;
  where: string;
  /** before the ids of its parts, where several sections are alike */
  prefix: string;
  parts: readonly MapPart[];
}

export interface CircuitMap {
  sections: readonly MapSection[];
  /** those of all sections */
  parts: readonly MapPart[];
  pipes: readonly Pipe[];
}

type Named = readonly [id: string, type: PartTypeName];

export const section = (
  kind: SectionKind,
  where: string,
  prefix: string,
  parts: readonly Named[],
): MapSection => ({
  kind,
  where,
  prefix,
  parts: parts.map(([id, type]) => ({ id: `${prefix}${id}`, type, where })),
});

export const mapOf = (sections: readonly MapSection[], pipes: readonly Pipe[]): CircuitMap => ({
  sections,
  parts: sections.flatMap((each) => each.parts),
  pipes,
});
