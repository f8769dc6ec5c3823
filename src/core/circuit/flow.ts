/** Where refrigerant flows: along the lines in their direction, as far as no valve stands shut. */
import type { CircuitMap, MapPart } from './map';
import type { PartTypeName } from './parts';

const COILS: readonly PartTypeName[] = ['evaporator', 'evaporatorBarrel', 'buriedPipe'];
const CONDENSERS: readonly PartTypeName[] = ['condenser', 'waterCondenser'];

interface Walk {
  from: MapPart;
  /** 1 with the flow, -1 against it */
  by: 1 | -1;
  /** reached, and not gone beyond */
  ends: readonly PartTypeName[];
}

/** What a flow reaches from a part, and the shut valves at which it ends. */
function walk({ parts, lines }: CircuitMap, shut: ReadonlySet<string>, { from, by, ends }: Walk) {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const reached = new Set([from.id]);
  const stoppedAt = new Set<string>();
  const open = [from.id];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const type = byId.get(id)?.type;
    if (id !== from.id && type !== undefined && ends.includes(type)) continue;
    for (const { carries, through } of lines) {
      if (carries === 'water') continue;
      for (let at = through.indexOf(id); at >= 0; at = through.indexOf(id, at + 1)) {
        const next = through[at + by];
        if (next === undefined || reached.has(next)) continue;
        if (shut.has(next)) stoppedAt.add(next);
        else {
          reached.add(next);
          open.push(next);
        }
      }
    }
  }
  return { reached, stoppedAt };
}

/**
 * Shut valves because of which a compressor must not start: none of what it sends out comes to a condenser, or it draws
 * from no coil. Each compressor is asked by itself.
 */
export function cutsOffCompressor(map: CircuitMap, shut: ReadonlySet<string>): ReadonlySet<string> {
  const found = new Set<string>();
  const has = (reached: ReadonlySet<string>, types: readonly PartTypeName[]): boolean =>
    map.parts.some((part) => types.includes(part.type) && reached.has(part.id));
  for (const from of map.parts.filter((part) => part.type === 'compressor'))
    for (const [by, wanted] of [
      [1, CONDENSERS],
      [-1, COILS],
    ] as const) {
      const { reached, stoppedAt } = walk(map, shut, { from, by, ends: ['compressor', ...wanted] });
      if (!has(reached, wanted)) for (const id of stoppedAt) found.add(id);
    }
  return found;
}

/**
 * Places whose coils still get liquid although the solenoid or ball valve of another is shut: such a pump-down empties one
 * coil and not the other. Empty where nothing is shut, or where all of it is.
 */
export function stillFed(map: CircuitMap, shut: ReadonlySet<string>): string[] {
  const coils = map.parts.filter((part) => COILS.includes(part.type));
  const from = map.parts.find((part) => part.type === 'receiver' || CONDENSERS.includes(part.type));
  if (!from || shut.size === 0 || coils.length < 2) return [];
  const { reached } = walk(map, shut, { from, by: 1, ends: [...COILS, 'compressor'] });
  const fed = coils.filter((coil) => reached.has(coil.id));
  return fed.length === coils.length ? [] : [...new Set(fed.map((coil) => coil.where))];
}
