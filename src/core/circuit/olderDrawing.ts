/**
 * What older visits wrote of a machine's own parts (a type beside a part, parts left out, names), read as piping by its
 * meaning: a valve parts its line, a port hangs, a second compressor or coil stands side by side with the first.
 */
import type { Piping } from '../logbook/piping';
import { type Spot, besideInFlow, put } from './changes';
import { named, strike } from './takingOut';
import { type MapPart, sideOf } from './map';
import { type PartTypeName, knownType, partType } from './parts';
import { SIDE_BY_SIDE, runOf } from './sideBySide';

export interface OlderOwnParts {
  added?:
    | readonly { id: string; type: string; name?: string | null | undefined; beside: string }[]
    | null
    | undefined;
  leftOut?: readonly string[] | null | undefined;
  names?: Readonly<Record<string, string>> | null | undefined;
}

/** Nobody said where their other end is: they hang until somebody draws it. */
const ENDS_UNSAID: readonly PartTypeName[] = ['hotGasValve', 'equaliser', 'oilReturn'];

/** The spot that "beside" meant for a part of this type; null where it has nothing to stand at. */
function spotBeside(drawing: Piping, type: PartTypeName, beside: string): Spot | null {
  const neighbour = drawing.parts.find((part) => part.id === beside);
  if (!neighbour) return null;
  const like = knownType(neighbour.type);
  if (like === type && SIDE_BY_SIDE.includes(type)) return { how: 'beside', ...runOf(drawing, beside) };
  const { side, stub } = partType(type);
  if (stub || ENDS_UNSAID.includes(type)) return { how: 'stub', on: beside };
  const { before, after } = besideInFlow(drawing, beside);
  // Of its own side first; where lines meet, on the side on which there is one alone, so that it stands in all of them.
  const joints = [after, before].flatMap((found, order) =>
    found.map(({ id, carries }) => ({
      id,
      order: [sideOf(carries) === side ? 0 : 1, found.length, order],
    })),
  );
  const [best] = joints.sort((a, b) =>
    a.order.reduce((sum, each, at) => sum || each - (b.order[at] ?? 0), 0),
  );
  return best ? { how: 'inLine', between: [beside, best.id] } : { how: 'stub', on: beside };
}

/** The drawing with what older visits wrote. A part whose type or neighbour is unknown is passed over. */
export function withOlderParts(drawing: Piping, own: OlderOwnParts): Piping {
  let now = drawing;
  const keep = (changed: ReturnType<typeof put>): boolean => {
    if (changed.ok) now = changed.value;
    return changed.ok;
  };
  for (const { id, type: name, name: called, beside } of own.added ?? []) {
    const type = knownType(name);
    if (type === 'other') continue;
    const where = now.parts.find((part) => part.id === beside)?.where;
    const part: MapPart = { id, type, where: where ?? '', ...(called ? { name: called } : {}) };
    const spot = spotBeside(now, type, beside);
    // What could not be drawn in flow still hangs there: it is searched, and parts nothing.
    if (spot && !keep(put(now, [part], spot))) keep(put(now, [part], { how: 'stub', on: beside }));
  }
  for (const id of own.leftOut ?? []) keep(strike(now, id));
  for (const [id, name] of Object.entries(own.names ?? {})) keep(named(now, id, name));
  return now;
}
