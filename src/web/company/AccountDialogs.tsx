/** Letting somebody in, changing what they may, and the link that is shown once. */
import { useState } from 'react';
import { Copy } from 'lucide-react';
import type { Account } from '../../contract/accounts';
import { ROLES, type Role } from '../../contract/roles';
import { dateWords } from '../../words/dates';
import { ROLE_MEANS, ROLE_WORDS } from '../../words/roles';
import { tell } from '../data/api/api';
import { useOwners } from '../data/api/queries';
import { OnlyHere } from '../data/api/OnlyHere';
import { useAddress, useSignedIn } from '../data/api/session';
import { copyText } from '../data/device/copyText';
import { say } from '../data/device/messages';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { ChoiceField } from '../parts/ChoiceField';
import { Dialog } from '../parts/Dialog';
import { SelectField } from '../parts/Field';
import { type Given, type Offered, useAccountChange } from './accountChange';

/** What somebody may, with what that means; a representative has an owner. */
function RoleFields({ given, onChange }: { given: Given; onChange: (given: Given) => void }) {
  const owners = useOwners().data ?? [];
  return (
    <>
      <ChoiceField
        label="May"
        value={given.role}
        hint={ROLE_MEANS[given.role]}
        choices={ROLES.map((value) => ({ value, words: ROLE_WORDS[value] }))}
        onChange={(value) => onChange({ role: value as Role, ownerId: null })}
      />
      {given.role === 'representative' && (
        <SelectField
          label="Of which owner"
          value={given.ownerId ?? ''}
          choices={[
            { value: '', words: 'choose' },
            ...owners.map(({ id, name }) => ({ value: id, words: name })),
          ]}
          onChange={(event) => onChange({ ...given, ownerId: event.target.value || null })}
        />
      )}
    </>
  );
}

const isWhole = ({ role, ownerId }: Given): boolean => role !== 'representative' || ownerId !== null;

export function Invite({
  taken,
  onMade,
  onClose,
}: {
  /** people who have an account */
  taken: readonly string[];
  onMade: (made: Offered) => void;
  onClose: () => void;
}) {
  const { here } = useWriter();
  const [personId, setPersonId] = useState('');
  const [given, setGiven] = useState<Given>({ role: 'technician', ownerId: null });
  const invite = useAccountChange(() => tell('invite', { personId, ...given }));
  const make = () =>
    void invite.mutateAsync(undefined).then(
      (made) => {
        onMade(made as Offered);
        onClose();
      },
      () => undefined,
    );
  return (
    <Dialog
      title="Let somebody in"
      onClose={onClose}
      footer={
        <Button
          weight="main"
          disabled={personId === '' || !isWhole(given) || invite.isPending}
          onClick={make}
        >
          Make the link
        </Button>
      }
    >
      <SelectField
        label="Who"
        value={personId}
        hint="Somebody who is on the list of people; add them there first."
        choices={[
          { value: '', words: 'choose' },
          ...here.filter(({ id }) => !taken.includes(id)).map(({ id, name }) => ({ value: id, words: name })),
        ]}
        onChange={(event) => setPersonId(event.target.value)}
      />
      <RoleFields given={given} onChange={setGiven} />
      <ApiError error={invite.error} />
    </Dialog>
  );
}

export function Change({
  account,
  onMade,
  onClose,
}: {
  account: Account;
  onMade: (made: Offered) => void;
  onClose: () => void;
}) {
  const self = useSignedIn()?.personId === account.personId;
  const [given, setGiven] = useState<Given>({ role: account.role, ownerId: account.ownerId });
  const [closing, setClosing] = useState(false);
  const parts = { parts: { id: account.id } };
  const save = useAccountChange(() => tell('changeRole', given, parts));
  const end = useAccountChange(() => tell('endSessions', undefined, parts));
  const close = useAccountChange(() => tell('closeAccount', undefined, parts));
  const renew = useAccountChange(() => tell('invite', { personId: account.personId, ...given }));
  const then = (work: Promise<unknown>, words: string | null, after?: (made: unknown) => void) =>
    void work.then(
      (made) => {
        if (words !== null) say(words);
        after?.(made);
        onClose();
      },
      () => undefined,
    );
  return (
    <Dialog
      title={account.name}
      subtitle={account.email}
      onClose={onClose}
      footer={
        <Button
          weight="main"
          disabled={!isWhole(given) || save.isPending}
          onClick={() => then(save.mutateAsync(undefined), `${account.name}: ${ROLE_WORDS[given.role]}.`)}
        >
          Save
        </Button>
      }
    >
      <RoleFields given={given} onChange={setGiven} />
      <ApiError error={save.error ?? end.error ?? close.error ?? renew.error} />
      <ul className="flex flex-wrap gap-2">
        <li>
          <Button onClick={() => then(renew.mutateAsync(undefined), null, (made) => onMade(made as Offered))}>
            Link for a new password
          </Button>
        </li>
        {!self && (
          <>
            <li>
              <Button
                disabled={account.sessions.length === 0}
                onClick={() => then(end.mutateAsync(undefined), `${account.name} is signed out everywhere.`)}
              >
                Sign out everywhere
              </Button>
            </li>
            <li>
              <Button disabled={closing} onClick={() => setClosing(true)}>
                Take the account away
              </Button>
            </li>
          </>
        )}
      </ul>
      {closing && (
        <div className="mt-3 border-l-4 border-brick pl-3">
          <p className="mb-2">
            {account.name} is signed out at once and comes in by a new link alone. What was written stays.
          </p>
          <Button
            disabled={close.isPending}
            onClick={() => then(close.mutateAsync(undefined), `${account.name} has no account any more.`)}
          >
            Take it away
          </Button>{' '}
          <Button weight="quiet" onClick={() => setClosing(false)}>
            Leave it
          </Button>
        </div>
      )}
    </Dialog>
  );
}

/** The link is shown once. */
export function LinkDialog({ name, made, onClose }: { name: string; made: Offered; onClose: () => void }) {
  const { base } = useAddress();
  const address = `${base}/join?token=${made.token}`;
  return (
    <Dialog title={`Link for ${name}`} onClose={onClose}>
      <p className="mb-3">
        Send it to {name} alone: whoever opens it comes in. It is good once, until{' '}
        {dateWords(made.expiresAt.slice(0, 10))}, and is not shown again.
      </p>
      <p className="mb-3 break-all border-l-4 border-green pl-3 font-mono">{address}</p>
      <OnlyHere what="The link" />
      <Button weight="main" onClick={() => copyText(address, 'The link', 'The link is copied.')}>
        <Copy aria-hidden="true" size={18} /> Copy it
      </Button>
    </Dialog>
  );
}
