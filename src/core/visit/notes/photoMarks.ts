/** What is drawn on a photo. */
import { z } from 'zod';

const share = z.tuple([z.number(), z.number()]);

export const photoMarks = z.array(
  z.object({
    shape: z.enum(['arrow', 'circle']),
    /** shares of width and height: tail and head of an arrow, middle and edge of a circle */
    from: share,
    to: share,
  }),
);
