/** How lists are asked for and answered page by page. */
import { z } from 'zod';

/** So many entries are taken at once; more come in several requests. */
export const MOST_ENTRIES = 500;

/** A place in a list, as the page before gave it. */
export const place = z.string().min(1).optional();

export const limitOf = (usual: number, most: number) =>
  z.coerce
    .number()
    .int()
    .min(1)
    .max(most, `must not be more than ${String(most)}; ask for the next page`)
    .default(usual);

export const flag = z
  .enum(['1', '0'])
  .default('0')
  .transform((given) => given === '1');

/** A page of a list; `next`: ask with it as `after` for what follows, null: that was all. */
export const pageOf = <Row extends z.ZodType>(row: Row) =>
  z.object({ rows: z.array(row), next: z.string().nullable() });
