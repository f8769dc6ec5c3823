/** Calendars that others subscribe to, each by a secret address that can be withdrawn. */
import { z } from 'zod';
import { id } from '../core/logbook/fields';

export const FEED_SCOPES = ['company', 'site', 'owner', 'person'] as const;
export type FeedScope = (typeof FEED_SCOPES)[number];

export const newFeed = z
  .object({
    id,
    scope: z.enum(FEED_SCOPES),
    /** of the site, the owner or the person */
    of: id.nullish(),
    by: z.string().min(1),
  })
  .refine(({ scope, of }) => scope === 'company' || of != null, {
    path: ['of'],
    message: 'is missing; say whose deadlines they are',
  });

export const feedRow = z.object({
  id,
  /** secret: who has it reads the deadlines */
  token: z.string(),
  scope: z.enum(FEED_SCOPES),
  of: z.string().nullable(),
  /** what the calendar is called */
  name: z.string(),
  by: z.string(),
  madeAt: z.string(),
  withdrawnAt: z.string().nullable(),
});
export type FeedRow = z.infer<typeof feedRow>;
export const feedsAnswer = z.array(feedRow);
