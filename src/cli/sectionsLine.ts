/** One line of the sections command: a drawing with its shut valves as JSON, and its pieces, or what is wrong with it. */
import { z } from 'zod';
import { type Pieces, piecesOf } from '../core/circuit/pieces';
import * as f from '../core/logbook/fields';
import { pipingRow } from '../core/logbook/piping';
import { problemText, problemsOf } from '../core/logbook/problems';
import { dayOf } from '../core/quantity/day';
import { jsonOf } from './lines';

const question = z
  .strictObject({
    drawing: pipingRow,
    shut: f.maybe(z.array(f.id)),
    doesNotHold: f.maybe(z.array(f.id)),
    asOf: f.maybe(f.calendarDate),
  })
  .check(({ value: { drawing, ...said }, issues }) => {
    const known = new Set(drawing.parts.map(({ id }) => id));
    for (const field of ['shut', 'doesNotHold'] as const)
      for (const [at, id] of (said[field] ?? []).entries())
        if (!known.has(id))
          issues.push({
            code: 'custom',
            path: [field, at],
            message: `${id} is no part of this drawing; name one of its parts`,
            input: id,
          });
  });

export function sectionsLine(line: string): Pieces | { error: string } {
  const read = jsonOf(line);
  if ('error' in read) return read;
  const asked = question.safeParse(read.json);
  if (!asked.success) return { error: problemsOf(asked.error).map(problemText).join(' ') };
  const { drawing, shut, doesNotHold, asOf } = asked.data;
  return piecesOf(
    drawing,
    { shut: new Set(shut), doesNotHold: new Set(doesNotHold) },
    asOf == null ? null : dayOf(asOf),
  );
}
