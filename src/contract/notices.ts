/** Notices: when somebody is told by mail what falls due, and the mail that was written. */
import { z } from 'zod';
import { id, timezone } from '../core/logbook/fields';
import { DIGESTS } from '../core/rules/noticeTimes';
import { limitOf, pageOf, place } from './paging';

const hour = z.number().int().min(0, 'is no hour, 0 to 23').max(23, 'is no hour, 0 to 23');

export const noticeSettings = z.object({
  digest: z.enum(DIGESTS),
  hour,
  /** hours between which nothing is sent; the same twice: none are quiet */
  quietFrom: hour,
  quietTo: hour,
  timezone,
});
export type NoticeSettings = z.infer<typeof noticeSettings>;

export const noticesAnswer = noticeSettings.extend({
  /** where they go */
  email: z.string(),
  /** no mail server is set: a manager reads them in the app */
  kept: z.boolean(),
});

export const MAIL_ABOUT = ['password', 'digest', 'passed'] as const;

export const mailRow = z.object({
  id,
  to: z.string(),
  name: z.string(),
  about: z.enum(MAIL_ABOUT),
  subject: z.string(),
  text: z.string(),
  madeAt: z.string(),
  /** null: not yet, or never */
  sentAt: z.string().nullable(),
  /** what the mail server said when it was tried last */
  fault: z.string().nullable(),
  /** when it is tried again; null: no more */
  nextTry: z.string().nullable(),
});
export type MailRow = z.infer<typeof mailRow>;
export const outboxQuery = z.object({ after: place, limit: limitOf(20, 100) });
/** The newest first. */
export const outboxAnswer = pageOf(mailRow).extend({ kept: z.boolean() });

export const forgotten = z.object({ email: z.string().min(1).max(200) });
/** The same whether there is such an account or not. `kept`: a manager reads the link in the app, and passes it on. */
export const forgottenAnswer = z.object({ kept: z.boolean() });
export const unsubscribing = z.object({ token: z.string().min(1).max(200) });
