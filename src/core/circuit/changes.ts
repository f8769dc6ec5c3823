/**
 * Parts put on a drawing, as pure operations: on a line, across, beside another, or as a stub. Each gives a new drawing or
 * says why it cannot; undo is the drawing before. Handbook 4.11 and 6.
 */
import type { Carries, Piping, PipingLine, PipingPart } from '../logbook/piping';
import { type Result, ok, refused } from '../result';
import { knownType, partType } from './parts';

/** Where parts go. */
export type Spot =
  /** in flow, between two that are joined without another between them */
  | { how: 'inLine'; between: readonly [string, string] }
  /** hangs on another, and no gas passes through it */
  | { how: 'stub'; on: string }
  /** side by side with what stands from one part to another in flow, or with one part */
  | { how: 'beside'; from: string; to: string }
  /** on a line of its own; an end is a part, or a place between two, where a tee is put */
  | { how: 'across'; from: End; to: End; carries: Carries };
type End = string | readonly [string, string];

export type ChangeRefusal =
  | { code: 'unknownPart'; id: string }
  | { code: 'idTaken'; id: string }
  | { code: 'notJoined'; between: readonly [string, string] }
  | { code: 'stubInFlow'; id: string }
  | { code: 'oneAtATime' }
  /** something side by side with it needs one part before and one behind */
  | { code: 'notBetweenTwo'; id: string }
  /** a tee in which more than two lines meet */
  | { code: 'linesMeet'; id: string }
  | { code: 'toItself'; id: string }
  /** a line that begins at a valve: before or behind it */
  | { code: 'whichSide'; id: string };

export type Changed = Result<Piping, ChangeRefusal>;

const ends = (end: End): readonly string[] => (typeof end === 'string' ? [end] : end);
export const stubsOf = (drawing: Piping) => drawing.stubs ?? [];
export const hangs = (drawing: Piping, id: string): boolean =>
  stubsOf(drawing).some(({ part }) => part === id);

interface Step {
  id: string;
  carries: Carries;
}

/** What flows into a part, and what it flows on to. */
export function besideInFlow(drawing: Piping, id: string): { before: Step[]; after: Step[] } {
  const steps = (by: 1 | -1): Step[] =>
    drawing.lines.flatMap(({ carries, through }) =>
      through.flatMap((each, at) => {
        const next = through[at + by];
        return each === id && next !== undefined ? [{ id: next, carries }] : [];
      }),
    );
  return { before: steps(-1), after: steps(1) };
}

/** The drawing with new parts, in their order of flow, where they go. Refuses unknown and taken ids and spots that are none. */
export function put(drawing: Piping, parts: readonly PipingPart[], spot: Spot): Changed {
  const known = new Set(drawing.parts.map(({ id }) => id));
  const taken = parts.find(({ id }) => known.has(id));
  if (taken) return refused({ code: 'idTaken', id: taken.id });
  const named: readonly string[] =
    spot.how === 'inLine'
      ? spot.between
      : spot.how === 'stub'
        ? [spot.on]
        : [...ends(spot.from), ...ends(spot.to)];
  const unknown = named.find((id) => !known.has(id));
  if (unknown !== undefined) return refused({ code: 'unknownPart', id: unknown });
  const more = { ...drawing, parts: withParts(drawing.parts, parts, named[0] ?? '') };
  const ids = parts.map(({ id }) => id);
  switch (spot.how) {
    case 'inLine':
      return inLine(more, ids, spot.between);
    case 'stub':
      if (ids.length !== 1) return refused({ code: 'oneAtATime' });
      return ok({ ...more, stubs: [...stubsOf(more), { part: ids[0] ?? '', on: spot.on }] });
    case 'beside':
      return beside(more, ids, spot);
    case 'across':
      return across(more, ids, spot);
  }
}

/** The list is walked in its order: what is new stands behind the part at which it was put. */
function withParts(all: readonly PipingPart[], parts: readonly PipingPart[], behind: string): PipingPart[] {
  const at = all.findIndex(({ id }) => id === behind) + 1;
  return [...all.slice(0, at), ...parts, ...all.slice(at)];
}

function inLine(drawing: Piping, ids: readonly string[], between: readonly [string, string]): Changed {
  const [one, other] = between;
  const stub = stubsOf(drawing).find(
    ({ part, on }) => (part === one && on === other) || (part === other && on === one),
  );
  const [first, ...rest] = ids;
  if (stub && first !== undefined) {
    // Below a gauge or a control: what hung there hangs on what is new.
    if (rest.length > 0) return refused({ code: 'oneAtATime' });
    const stubs = stubsOf(drawing).map((each) => (each === stub ? { part: stub.part, on: first } : each));
    return ok({ ...drawing, stubs: [...stubs, { part: first, on: stub.on }] });
  }
  for (const line of drawing.lines) {
    const at = line.through.findIndex((id, index) => {
      const next = line.through[index + 1];
      return (id === one && next === other) || (id === other && next === one);
    });
    if (at < 0) continue;
    const through = [...line.through.slice(0, at + 1), ...ids, ...line.through.slice(at + 1)];
    return ok({
      ...drawing,
      lines: drawing.lines.map((each) => (each === line ? { ...line, through } : each)),
    });
  }
  return refused({ code: 'notJoined', between });
}

function across(
  drawing: Piping,
  ids: readonly string[],
  { from, to, carries }: Extract<Spot, { how: 'across' }>,
): Changed {
  const first = ids[0] ?? 'line';
  const left = endOf(drawing, from, `${first} from`);
  if (!left.ok) return left;
  const right = endOf(left.value.drawing, to, `${first} to`);
  if (!right.ok) return right;
  const more = right.value.drawing;
  if (left.value.id === right.value.id) return refused({ code: 'toItself', id: left.value.id });
  const line = { id: newLine(more.lines, first), carries, through: [left.value.id, ...ids, right.value.id] };
  return ok({ ...more, lines: [...more.lines, line] });
}

/** A drawing with the part at which lines meet. */
type Met = Result<{ drawing: Piping; id: string }, ChangeRefusal>;

/** The part at which a line begins or ends: the one that is named, or a tee put between two. */
function endOf(drawing: Piping, end: End, tee: string): Met {
  if (typeof end === 'string') {
    if (hangs(drawing, end)) return refused({ code: 'stubInFlow', id: end });
    if (typeOf(drawing, end).valve) return refused({ code: 'whichSide', id: end });
    return ok({ drawing, id: end });
  }
  return teeBetween(drawing, end, tee);
}

function beside(
  drawing: Piping,
  ids: readonly string[],
  { from, to }: Extract<Spot, { how: 'beside' }>,
): Changed {
  const stub = stubsOf(drawing).find(({ part }) => part === from);
  const first = ids[0] ?? '';
  if (stub && from === to && ids.length === 1)
    return ok({ ...drawing, stubs: [...stubsOf(drawing), { part: first, on: stub.on }] });
  const { before } = besideInFlow(drawing, from);
  const { after } = besideInFlow(drawing, to);
  const [enters, leaves] = [before[0], after[0]];
  if (!enters || !leaves || before.length > 1 || after.length > 1)
    return refused({ code: 'notBetweenTwo', id: before.length === 1 ? to : from });
  const parting = branchAt(drawing, [enters.id, from], enters.id, `${first} in`);
  if (!parting.ok) return parting;
  const meeting = branchAt(parting.value.drawing, [to, leaves.id], leaves.id, `${first} out`);
  if (!meeting.ok) return meeting;
  // What stands side by side with a run carries what the run carries, part for part.
  const along = runBetween(drawing, from, to);
  const carries = [parting.value.id, ...ids].map((_, at): Carries => {
    if (at === 0) return enters.carries;
    if (at === ids.length) return leaves.carries;
    return along?.length === ids.length ? (along[at]?.carries ?? enters.carries) : enters.carries;
  });
  const lines = [...meeting.value.drawing.lines];
  const whole = [parting.value.id, ...ids, meeting.value.id];
  for (let at = 0; at < carries.length;) {
    const carried = carries[at] ?? enters.carries;
    const until = carries.findIndex((each, index) => index > at && each !== carried);
    const end = until < 0 ? carries.length : until;
    lines.push({
      id: newLine(lines, first),
      carries: carried,
      through: whole.slice(at, end + 1),
    });
    at = end;
  }
  return ok({ ...meeting.value.drawing, lines });
}

/** Where a branch leaves or comes back: at a part in which lines meet, else in a tee of its own, so that no valve parts them. */
const branchAt = (drawing: Piping, between: readonly [string, string], at: string, tee: string): Met =>
  typeOf(drawing, at).joins ? ok({ drawing, id: at }) : teeBetween(drawing, between, tee);

function teeBetween(drawing: Piping, between: readonly [string, string], wanted: string): Met {
  const id = freeId(drawing.parts, wanted);
  const put = inLine(withTee(drawing, id, between[0]), [id], between);
  return put.ok ? ok({ drawing: put.value, id }) : put;
}

const withTee = (drawing: Piping, id: string, behind: string): Piping => ({
  ...drawing,
  parts: withParts(
    drawing.parts,
    [{ id, type: 'tee', where: drawing.parts.find((part) => part.id === behind)?.where }],
    behind,
  ),
});

const typeOf = ({ parts }: Piping, id: string) =>
  partType(knownType(parts.find((part) => part.id === id)?.type ?? ''));

/** An id that none of these has: the wanted one, else with a number. */
export function freeId(rows: readonly { id: string }[], wanted: string): string {
  const taken = new Set(rows.map(({ id }) => id));
  let id = wanted;
  for (let next = 2; taken.has(id); next += 1) id = `${wanted} ${String(next)}`;
  return id;
}

const newLine = (lines: readonly PipingLine[], partId: string): string => freeId(lines, `line ${partId}`);

/** The parts from one to another in the order of flow, each with what comes to it; null where that is no single line. */
export function runBetween(drawing: Piping, from: string, to: string): Step[] | null {
  const found: Step[] = [{ id: from, carries: besideInFlow(drawing, from).before[0]?.carries ?? 'liquid' }];
  while (found.at(-1)?.id !== to) {
    const { after } = besideInFlow(drawing, found.at(-1)?.id ?? '');
    const next = after[0];
    if (!next || after.length > 1 || found.some(({ id }) => id === next.id)) return null;
    found.push(next);
  }
  return found;
}
