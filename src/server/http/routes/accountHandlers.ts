/** What answers the endpoints of accounts. */
import type { Accounts } from '../../accounts/accounts';
import { done } from './done';
import type { Handlers } from './route';

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
  | 'forgotPassword'
  | 'notices'
  | 'setNotices'
  | 'tryNotice'
  | 'unsubscribe'
  | 'outbox'
> => ({
  session: async ({ caller }) => ({ ...(await accounts.session(caller)), address }),
  accounts: () => accounts.list(),
  invitation: ({ query }) => accounts.joining.invitation(query.token),
  invite: ({ body }) => accounts.joining.invite(body),
  withdrawInvitation: ({ parts }) => done(accounts.joining.withdraw(parts.id)),
  beginAccount: ({ body }) => accounts.joining.begin(body),
  changeRole: ({ parts, body }) => done(accounts.changeRole(parts.id, body.role, body.ownerId ?? null)),
  endSessions: ({ parts }) => done(accounts.endSessions(parts.id)),
  closeAccount: ({ parts }) => done(accounts.close(parts.id)),
  forgotPassword: async ({ body }) => {
    await accounts.joining.forgot(body.email);
    return { kept: accounts.notices.kept };
  },
  notices: ({ caller }) => accounts.notices.settingsOf(caller.personId),
  setNotices: ({ body, caller }) => accounts.notices.change(caller.personId, body),
  tryNotice: ({ caller }) => done(accounts.notices.tryNow(caller.personId)),
  unsubscribe: ({ body }) => done(accounts.notices.unsubscribe(body.token)),
  outbox: async ({ query: { after, limit } }) => ({
    ...(await accounts.notices.outbox.page(after ?? null, limit)),
    kept: accounts.notices.kept,
  }),
});
