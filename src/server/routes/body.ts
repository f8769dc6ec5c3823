/** The body and the query of a request as the contract has them, or a problem with the path of each field. */
import type { Request } from 'express';
import type { z } from 'zod';
import { problemsOf } from '../../core/logbook/problems';
import { invalid } from '../problem';

function read<Schema extends z.ZodType>(schema: Schema, given: unknown): z.infer<Schema> {
  const parsed = schema.safeParse(given, { reportInput: true });
  if (!parsed.success) throw invalid(problemsOf(parsed.error));
  return parsed.data;
}

export const bodyOf = <Schema extends z.ZodType>(schema: Schema, request: Request): z.infer<Schema> =>
  read(schema, request.body);

/** What stands behind the question mark of an address. */
export const queryOf = <Schema extends z.ZodType>(schema: Schema, request: Request): z.infer<Schema> =>
  read(schema, request.query);
