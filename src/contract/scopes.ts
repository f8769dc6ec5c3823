/** What a program may do by its token, and how both are asked for. */
import { z } from 'zod';
import { filledText, id } from '../core/logbook/fields';

export const SCOPES = ['alarms', 'gas', 'reads'] as const;
export type Scope = (typeof SCOPES)[number];

const MOST_DAYS = 1100;

export const newToken = z.object({
  name: filledText.max(100),
  scope: z.enum(SCOPES),
  /** of this site alone; null: of all */
  siteId: id.nullish(),
  /** good for so many days */
  days: z
    .number()
    .int()
    .min(1, 'must be at least one day')
    .max(MOST_DAYS, 'must not be more than three years'),
});
export const tokenRow = z.object({
  id,
  /** under whose name it writes */
  personId: id,
  name: z.string(),
  scope: z.enum(SCOPES),
  siteId: id.nullable(),
  madeBy: z.string(),
  madeAt: z.string(),
  expiresAt: z.string(),
  lastUsed: z.string().nullable(),
  withdrawnAt: z.string().nullable(),
});
export type TokenRow = z.infer<typeof tokenRow>;
/** The token is said once, and kept as a hash. */
export const madeToken = tokenRow.extend({ token: z.string() });

export const newWebhook = z.object({
  name: filledText.max(100),
  url: z.url({ protocol: /^https?$/, message: 'is no address such as https://shop.example/due' }).max(500),
});
export const webhookRow = z.object({
  id,
  name: z.string(),
  url: z.string(),
  madeBy: z.string(),
  madeAt: z.string(),
  withdrawnAt: z.string().nullable(),
  /** the newest of what was told there */
  deliveries: z.array(
    z.object({
      id,
      about: z.string(),
      madeAt: z.string(),
      sentAt: z.string().nullable(),
      fault: z.string().nullable(),
      nextTry: z.string().nullable(),
    }),
  ),
});
export type WebhookRow = z.infer<typeof webhookRow>;
/** The secret that signs what is told is said once. */
export const madeWebhook = webhookRow.extend({ secret: z.string() });

export const programsAnswer = z.object({ tokens: z.array(tokenRow), webhooks: z.array(webhookRow) });
