/** What answers the endpoints of accounts. */
import type { Accounts } from '../../accounts/accounts';
import type { Handlers } from './route';

const done = async (work: Promise<void>): Promise<{ done: true }> => {
  await work;
  return { done: true };
};

export const accountHandlers = (
  accounts: Accounts,
  /** how others reach this server */
  address: string | null,
): Pick<
  Handlers,
  | 'session'
  | 'accounts'
  | 'invitation'
  | 'invite'
  | 'withdrawInvitation'
  | 'beginAccount'
  | 'changeRole'
  | 'endSessions'
  | 'closeAccount'
> => ({
  session: async ({ caller }) => ({ ...(await accounts.session(caller)), address }),
  accounts: () => accounts.list(),
  invitation: ({ query }) => accounts.invitation(query.token),
  invite: ({ body }) => accounts.invite(body),
  withdrawInvitation: ({ parts }) => done(accounts.withdraw(parts.id)),
  beginAccount: ({ body }) => accounts.begin(body),
  changeRole: ({ parts, body }) => done(accounts.changeRole(parts.id, body.role, body.ownerId ?? null)),
  endSessions: ({ parts }) => done(accounts.endSessions(parts.id)),
  closeAccount: ({ parts }) => done(accounts.close(parts.id)),
});
