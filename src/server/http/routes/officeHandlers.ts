/** What answers what the office alone asks: other programs, and backups. */
import type { Accounts } from '../../accounts/accounts';
import { done } from './done';
import type { Served } from './served';
import type { Handlers } from './route';

export const officeHandlers = (
  { tokens, webhooks }: Accounts,
  { backups, copy }: Pick<Served, 'backups' | 'copy'>,
): Pick<
  Handlers,
  'backups' | 'programs' | 'makeToken' | 'withdrawToken' | 'makeWebhook' | 'withdrawWebhook'
> => ({
  backups: () =>
    Promise.resolve({
      ...(backups?.state() ?? { keepDays: null, kept: [], last: null }),
      copy: copy?.state() ?? null,
    }),
  programs: async () => ({ tokens: await tokens.list(), webhooks: await webhooks.list() }),
  makeToken: ({ body, caller }) => tokens.make(body, caller.personId),
  withdrawToken: ({ parts, caller }) => done(tokens.withdraw(parts.id, caller.personId)),
  makeWebhook: ({ body, caller }) => webhooks.make(body, caller.personId),
  withdrawWebhook: ({ parts }) => done(webhooks.withdraw(parts.id)),
});
