/** Backups that the server makes each day, each restored once to see that it is whole. */
import { z } from 'zod';
import { calendarDate } from '../core/logbook/fields';

export const backupsAnswer = z.object({
  /** each is kept for so many days; null: none are made */
  keepDays: z.number().nullable(),
  /** days of which one is there, the oldest first */
  kept: z.array(calendarDate),
  /** a continuous copy beside them; null: none is made */
  copy: z.object({ to: z.string(), runs: z.boolean(), fault: z.string().nullable() }).nullable(),
  /** what came of the newest try; null: none yet */
  last: z
    .object({
      at: z.string(),
      /** entries that were in it when it was restored; null: it failed */
      entries: z.number().nullable(),
      fault: z.string().nullable(),
    })
    .nullable(),
});
