/**
 * A machine's drawing as piping: parts on lines, in an open form that another program can read. What a schema cannot say
 * (ids that must exist, what may hang on what) is checked beside it. Handbook 4.11.
 */
import { z } from 'zod';
import * as f from './fields';
import type { Problem } from './problems';

export const CARRIES = [
  'discharge',
  'liquid',
  'suction',
  'hotGas',
  'capillary',
  'equaliser',
  'oil',
  'water',
] as const;
export type Carries = (typeof CARRIES)[number];

const partRow = f.row({
  id: f.id,
  /** one of `PART_TYPES`; another program's word is kept and drawn as a part of no kind */
  type: f.filledText,
  name: f.maybe(f.text),
  /** where a person stands to reach it */
  where: f.maybe(f.text),
  since: f.maybe(f.calendarDate),
  /** from this day on it is gone, and lines run on through its place */
  until: f.maybe(f.calendarDate),
});

const lineRow = f.row({
  id: f.id,
  carries: z.enum(CARRIES),
  /** ids of parts in the order of flow */
  through: z.array(f.id),
});

const stubRow = f.row({ part: f.id, on: f.id });

export const pipingRow = f
  .row({
    parts: z.array(partRow),
    lines: z.array(lineRow),
    stubs: f.maybe(z.array(stubRow)),
    /** what was answered when it was set up */
    answers: f.maybe(z.looseObject({})),
    /** a circuit of a rack: the rack, and by which of its parts the lines enter and leave here */
    of: f.maybe(f.row({ applianceId: f.id, enters: z.tuple([f.id, f.id]), leaves: z.tuple([f.id, f.id]) })),
  })
  .check((context) => {
    for (const { path, message } of pipingProblems(context.value))
      context.issues.push({ code: 'custom', path: [...path], message, input: context.value });
  });

export type PipingPart = z.infer<typeof partRow>;
export type PipingLine = z.infer<typeof lineRow>;
export type PipingStub = z.infer<typeof stubRow>;
export type Piping = z.infer<typeof pipingRow>;

function twice(ids: readonly string[], under: string): Problem[] {
  const seen = new Set<string>();
  return ids.flatMap((id, at) => {
    if (seen.has(id))
      return [{ path: [under, at, 'id'], message: `${id} stands twice; give each its own id` }];
    seen.add(id);
    return [];
  });
}

/** What is wrong between the rows of a drawing that are right by themselves. */
function pipingProblems({ parts, lines, stubs, of }: Piping): Problem[] {
  const known = new Set(parts.map(({ id }) => id));
  const unknown = (id: string, path: Problem['path']): Problem[] =>
    known.has(id) ? [] : [{ path, message: `${id} is no part of this drawing; add it to parts` }];
  const inFlow = new Set(lines.flatMap(({ through }) => through));
  const hangsOn = new Map((stubs ?? []).map(({ part, on }) => [part, on]));

  const ofStub = ({ part, on }: PipingStub, at: number): Problem[] => {
    const path = ['stubs', at, 'part'];
    const found = [...unknown(part, path), ...unknown(on, ['stubs', at, 'on'])];
    if (inFlow.has(part))
      found.push({ path, message: `${part} stands in a line; take it out of the line or of stubs` });
    if (hangsOn.get(part) !== on)
      found.push({ path, message: `${part} hangs on two parts; let it hang on one, or stand in a line` });
    const passed = new Set<string>();
    for (
      let next: string | undefined = on;
      next !== undefined && !passed.has(next);
      next = hangsOn.get(next)
    ) {
      if (next === part) {
        found.push({ path: ['stubs', at, 'on'], message: `${part} hangs on a stub of its own` });
        break;
      }
      passed.add(next);
    }
    return found;
  };

  return [
    ...twice(
      parts.map(({ id }) => id),
      'parts',
    ),
    ...twice(
      lines.map(({ id }) => id),
      'lines',
    ),
    ...lines.flatMap(({ through }, line) => [
      ...through.flatMap((id, at) => unknown(id, ['lines', line, 'through', at])),
      ...(new Set(through).size < 2
        ? [{ path: ['lines', line, 'through'], message: 'must lead through two parts at least' }]
        : []),
    ]),
    ...(stubs ?? []).flatMap(ofStub),
    ...(of
      ? [...unknown(of.enters[1], ['of', 'enters', 1]), ...unknown(of.leaves[0], ['of', 'leaves', 0])]
      : []),
  ];
}
