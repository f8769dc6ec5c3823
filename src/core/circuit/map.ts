/**
 * What a circuit map is: the parts of a drawing in sections, in the order in which a person walks along them, and the lines
 * from part to part. Topology only; where a part stands on a screen is the interface's matter.
 */
import type { Carries, PipingLine, PipingStub } from '../logbook/piping';
import type { PartTypeName, Side } from './parts';

export interface MapPart {
  id: string;
  type: PartTypeName;
  /** where a person stands to reach it */
  where: string;
  /** what people call it here, where that is not its type */
  name?: string;
  /** of this machine alone: its layout knows no place for it */
  own?: true;
  /** the second, third … of its type in its place, without a name of its own */
  nth?: number;
}

/** Whether a line stands under the pressure of the high side while the machine runs. */
export const sideOf = (carries: Carries): Side =>
  carries === 'suction' || carries === 'equaliser' ? 'low' : 'high';

/** What stands together: a condensing unit, the lines, one room or one circuit of a rack. */
export type SectionKind =
  'unit' | 'lines' | 'room' | 'rack' | 'rackCircuit' | 'cabinet' | 'chiller' | 'tankUnit' | 'free';

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
  lines: readonly PipingLine[];
  stubs: readonly PipingStub[];
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

/** A line through parts in the order of flow; named by its first two parts. */
export const line = (carries: Carries, through: readonly string[]): PipingLine => ({
  id: `${through[0] ?? ''}–${through[1] ?? ''}`,
  carries,
  through: [...through],
});

/** Parts that hang on another in every layout that has both. */
const HANGS_ON: readonly (readonly [part: string, on: readonly string[]])[] = [
  ['pressureControl', ['suctionValve']],
  ['relief', ['receiver', 'condenser']],
];

export function mapOf(sections: readonly MapSection[], lines: readonly PipingLine[]): CircuitMap {
  const parts = sections.flatMap((each) => each.parts);
  const known = new Set(parts.map(({ id }) => id));
  const stubs = HANGS_ON.flatMap(([part, hosts]) => {
    const on = hosts.find((host) => known.has(host));
    return known.has(part) && on !== undefined ? [{ part, on }] : [];
  });
  return { sections, parts, lines, stubs };
}
