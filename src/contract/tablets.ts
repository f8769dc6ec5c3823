/** A tablet that several people share: each is let in on it by a PIN of their own. */
import { z } from 'zod';
import { id } from '../core/logbook/fields';

const SAME = /^(\d)\1*$/;
const RUNS = ['0123456789', '9876543210'];

export const newPin = z.object({
  pin: z
    .string()
    .regex(/^\d{4,8}$/, 'must be four to eight digits')
    .refine((pin) => !SAME.test(pin) && !RUNS.some((run) => run.includes(pin)), {
      message: 'is the first that anybody would try; take another one',
    }),
});
export const pinSignIn = z.object({ person: id, pin: z.string().max(20) });
export const tabletAnswer = z.object({
  /** those who are let in on this device by their PIN, by name; none: it is no shared one */
  people: z.array(z.object({ personId: id, name: z.string() })),
});
export type TabletPerson = z.infer<typeof tabletAnswer>['people'][number];
