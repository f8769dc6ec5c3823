/**
 * What shut valves part a circuit into: every section is what gas can reach without passing a valve that is shut. The
 * topology alone; a valve that passes, or a compressor that lets gas back, is not known here.
 */
import type { CircuitMap, MapPart } from './map';

/** Parts off the pipes, and the part through which each hangs on the circuit. */
const HANGS_ON: Readonly<Record<string, string>> = {
  pressureControl: 'suctionValve',
  relief: 'receiver',
  drainPan: 'evaporator',
};

function neighbours(map: CircuitMap): Map<string, Set<string>> {
  const joined = new Map<string, Set<string>>(map.parts.map((part) => [part.id, new Set<string>()]));
  const join = (a: string | undefined, b: string | undefined): void => {
    if (a === undefined || b === undefined || !joined.has(a) || !joined.has(b)) return;
    joined.get(a)?.add(b);
    joined.get(b)?.add(a);
  };
  for (const { through } of map.pipes)
    for (let i = 1; i < through.length; i += 1) join(through[i - 1], through[i]);
  for (const part of map.parts) {
    const [, prefix = '', name = ''] = /^(.*\.)?([^.]*)$/.exec(part.id) ?? [];
    join(part.id, part.beside ?? `${prefix}${HANGS_ON[name] ?? ''}`);
  }
  return joined;
}

/** Sections between the valves that stand shut, in the order of the map; a shut valve belongs to none. */
export function sectionsOf(map: CircuitMap, shut: ReadonlySet<string>): MapPart[][] {
  const joined = neighbours(map);
  const left = new Set(map.parts.map((part) => part.id).filter((id) => !shut.has(id)));
  const sections: MapPart[][] = [];
  for (const { id } of map.parts) {
    if (!left.has(id)) continue;
    const reached = new Set<string>([id]);
    const open = [id];
    for (let next = open.pop(); next !== undefined; next = open.pop()) {
      left.delete(next);
      for (const other of joined.get(next) ?? [])
        if (left.has(other) && !reached.has(other)) {
          reached.add(other);
          open.push(other);
        }
    }
    sections.push(map.parts.filter((part) => reached.has(part.id)));
  }
  return sections;
}

/** The section in which a part stands; null while it is itself a shut valve. */
export const sectionOf = (map: CircuitMap, shut: ReadonlySet<string>, partId: string): MapPart[] | null =>
  sectionsOf(map, shut).find((section) => section.some((part) => part.id === partId)) ?? null;

/** Where a person stands in a section, each place once: `lines, fish room`. */
export const placesIn = (section: readonly MapPart[]): string[] => [
  ...new Set(section.map((part) => part.where)),
];

/**
 * Places whose coils still get liquid although the solenoid or ball valve of another is shut: such a pump-down empties one
 * coil and not the other. Empty where nothing is shut, or where all of it is.
 */
export function stillFed(map: CircuitMap, shut: ReadonlySet<string>): string[] {
  const coils = map.parts.filter((part) =>
    ['evaporator', 'evaporatorBarrel', 'buriedPipe'].includes(part.type),
  );
  const source = map.parts.find((part) => ['receiver', 'condenser', 'waterCondenser'].includes(part.type));
  if (!source || shut.size === 0 || coils.length < 2) return [];
  // Liquid comes along the high side only: the low side joins all coils behind their valves.
  const high: CircuitMap = { ...map, pipes: map.pipes.filter((pipe) => pipe.side === 'high') };
  const reached = new Set((sectionOf(high, shut, source.id) ?? []).map((part) => part.id));
  const fed = coils.filter((coil) => {
    const feed = map.pipes.find((pipe) => pipe.side === 'low' && pipe.through.includes(coil.id))?.through[0];
    return feed !== undefined && reached.has(feed);
  });
  return fed.length === coils.length ? [] : fed.map((coil) => coil.where);
}
