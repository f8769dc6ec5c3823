/** The body of a request as the contract has it, or a problem with the path of each field. */
import type { Request } from 'express';
import type { z } from 'zod';
import { problemsOf } from '../../core/logbook/problems';
import { invalid } from '../problem';

export function bodyOf<Schema extends z.ZodType>(schema: Schema, request: Request): z.infer<Schema> {
  const parsed = schema.safeParse(request.body, { reportInput: true });
  if (!parsed.success) throw invalid(problemsOf(parsed.error));
  return parsed.data;
}
