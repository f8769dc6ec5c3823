/** What is built more than once in a machine, and what goes with each: a compressor's valves, a coil's valve and bends. */
import type { Piping, PipingPart } from '../logbook/piping';
import { type Changed, besideInFlow, put, runBetween } from './changes';
import { type PartTypeName, knownType } from './parts';

export const SIDE_BY_SIDE: readonly PartTypeName[] = [
  'compressor',
  'condenser',
  'waterCondenser',
  'receiver',
  'evaporator',
  'evaporatorBarrel',
];
/** What stands with a part of its own, so that a second one is side by side with all of it. */
const GOES_WITH: Partial<Record<PartTypeName, readonly PartTypeName[]>> = {
  compressor: ['serviceValveSuction', 'serviceValveDischarge', 'checkValve'],
  evaporator: ['flareNut', 'expansionValve', 'evaporatorBends'],
  condenser: ['condenserBends'],
};

/** From where to where a part stands with what goes with it. */
export function runOf(drawing: Piping, id: string): { from: string; to: string } {
  const typeOf = new Map(drawing.parts.map((part) => [part.id, knownType(part.type)]));
  const goesWith = GOES_WITH[typeOf.get(id) ?? 'other'] ?? [];
  const reach = (way: 'before' | 'after'): string => {
    let end = id;
    for (;;) {
      const [next, ...more] = besideInFlow(drawing, end)[way];
      if (!next || more.length > 0 || next.id === id) return end;
      if (!goesWith.includes(typeOf.get(next.id) ?? 'other')) return end;
      end = next.id;
    }
  };
  return { from: reach('before'), to: reach('after') };
}

/** A second one side by side with a part, with all that goes with it. `newId` is asked for an id for each of its parts. */
export function secondBeside(drawing: Piping, id: string, newId: () => string): Changed {
  const { from, to } = runOf(drawing, id);
  const along = runBetween(drawing, from, to) ?? [{ id }];
  const parts = along.flatMap((each): PipingPart[] => {
    const like = drawing.parts.find((part) => part.id === each.id);
    return like ? [{ id: newId(), type: like.type, where: like.where }] : [];
  });
  return put(drawing, parts, { how: 'beside', from, to });
}
