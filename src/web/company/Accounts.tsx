/** Who may sign in: accounts with where they are signed in, and links by which people come in. */
import { useState } from 'react';
import type { Account } from '../../contract/accounts';
import { countWords } from '../../words/counts';
import { dateWords } from '../../words/dates';
import { deviceWords } from '../../words/device';
import { ROLE_WORDS } from '../../words/roles';
import { tell } from '../data/api/api';
import { useWriter } from '../data/device/writer';
import { Button, ButtonLink } from '../parts/Button';
import { Loaded, Section } from '../parts/Page';
import { Change, Invite, LinkDialog } from './AccountDialogs';
import { type Offered, useAccountChange, useAccounts } from './accountChange';

export function Accounts() {
  const accounts = useAccounts();
  const [opened, setOpened] = useState<Account | 'invite' | null>(null);
  const [link, setLink] = useState<Offered | null>(null);
  const { people } = useWriter();
  const withdraw = useAccountChange((id: string) => tell('withdrawInvitation', undefined, { parts: { id } }));
  const nameOf = (id: string | null) => people.find((each) => each.id === id)?.name ?? 'the first manager';
  return (
    <Section title="Accounts">
      <Loaded query={accounts}>
        {(known) => (
          <>
            <ul>
              {known.accounts.map((account) => (
                <li key={account.id} className="rule-b flex flex-wrap items-center gap-x-3 py-2">
                  <div className="min-w-0 flex-1">
                    <p className="font-semibold">{account.name}</p>
                    <p className="text-soft">
                      {ROLE_WORDS[account.role]}, {account.email}
                    </p>
                    <p className="text-soft">{whereWords(account)}</p>
                  </div>
                  <Button
                    weight="quiet"
                    aria-label={`Account of ${account.name}`}
                    onClick={() => setOpened(account)}
                  >
                    Change
                  </Button>
                </li>
              ))}
              {known.invitations.map(({ id, personId, role, renews, expiresAt }) => (
                <li key={id} className="rule-b flex flex-wrap items-center gap-x-3 py-2">
                  <p className="min-w-0 flex-1">
                    <span className="font-semibold">{nameOf(personId)}</span>{' '}
                    <span className="text-soft">
                      {renews
                        ? 'has a link for a new password'
                        : `has a link to come in as ${ROLE_WORDS[role]}`}
                      , good until {dateWords(expiresAt.slice(0, 10))}
                    </span>
                  </p>
                  <Button
                    weight="quiet"
                    aria-label={`Withdraw the link of ${nameOf(personId)}`}
                    onClick={() => withdraw.mutate(id)}
                  >
                    Withdraw
                  </Button>
                </li>
              ))}
            </ul>
            <div className="mt-3 flex flex-wrap gap-2">
              <Button onClick={() => setOpened('invite')}>Let somebody in</Button>
              <ButtonLink to="/company/mail">Mail that was written</ButtonLink>
              <ButtonLink to="/company/programs">Other programs</ButtonLink>
            </div>
            {opened === 'invite' && (
              <Invite
                taken={known.accounts.map(({ personId }) => personId)}
                onMade={setLink}
                onClose={() => setOpened(null)}
              />
            )}
          </>
        )}
      </Loaded>
      {opened !== null && opened !== 'invite' && (
        <Change account={opened} onMade={setLink} onClose={() => setOpened(null)} />
      )}
      {link && <LinkDialog name={nameOf(link.personId)} made={link} onClose={() => setLink(null)} />}
    </Section>
  );
}

const whereWords = ({ sessions: [last, ...others] }: Account): string =>
  last
    ? `signed in on ${deviceWords(last.device)}, used ${dateWords(last.lastUsed.slice(0, 10))}${
        others.length > 0 ? `, and in ${countWords(others.length, 'other place', 'other places')}` : ''
      }`
    : 'signed in nowhere';
