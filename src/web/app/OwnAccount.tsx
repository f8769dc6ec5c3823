/** One's own account: its name, for whom a manager writes, its password, and the ways out. */
import { useState } from 'react';
import { LogOut, Users } from 'lucide-react';
import { ROLE_WORDS } from '../../words/roles';
import { useChangePassword, useSession, useSignOut, useSignedIn } from '../data/api/session';
import { useTabletPeople } from '../data/api/tablet';
import { say } from '../data/device/messages';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { Fold } from '../parts/Fold';
import { OwnPasskeys } from './OwnPasskeys';
import { SharedTablet } from './SharedTablet';
import { OwnNotices } from './OwnNotices';
import { NewPassword, isShort } from './NewPassword';

export function OwnAccount({ onClose }: { onClose: () => void }) {
  const signedIn = useSignedIn();
  // People of the demo story have no password.
  const demo = useSession().data?.demo ?? [];
  const tablet = useTabletPeople();
  const signOut = useSignOut();
  if (!signedIn) return null;
  const leave = (where: 'here' | 'everywhere') => signOut.mutate(where, { onSuccess: onClose });
  return (
    <>
      <p className="text-lg font-semibold">{signedIn.name}</p>
      <p className="mb-3 text-soft">
        {ROLE_WORDS[signedIn.role]}, {signedIn.email}
      </p>
      {signedIn.role === 'manager' && <WriteFor self={signedIn.personId} />}
      <ApiError error={signOut.error} />
      {tablet.length > 0 && (
        <Button
          weight="main"
          className="mb-2 min-h-14 w-full"
          onClick={() => leave('here')}
          disabled={signOut.isPending}
        >
          <Users aria-hidden="true" size={20} /> Hand it to somebody else
        </Button>
      )}
      <div className="mb-2 flex flex-wrap gap-2">
        <Button onClick={() => leave('here')} disabled={signOut.isPending}>
          <LogOut aria-hidden="true" size={18} /> Sign out
        </Button>
        <Button weight="quiet" onClick={() => leave('everywhere')} disabled={signOut.isPending}>
          Sign out everywhere
        </Button>
      </div>
      <Fold title="Mail about what falls due">
        <OwnNotices />
      </Fold>
      <Fold title="Without a password" about="by this device">
        <OwnPasskeys />
      </Fold>
      <Fold title="A device that several people share" about="come in by a PIN">
        <SharedTablet personId={signedIn.personId} />
      </Fold>
      {!demo.some(({ personId }) => personId === signedIn.personId) && (
        <Fold title="Another password">
          <p className="mb-3 text-soft">Wherever else you are signed in, you are signed out by it.</p>
          <Password />
        </Fold>
      )}
    </>
  );
}

/** What is written carries both names. */
function WriteFor({ self }: { self: string }) {
  const { here, person, writeFor } = useWriter();
  return (
    <SelectField
      label="Write for"
      value={person?.id ?? self}
      hint="What you write carries that name, and yours as who wrote it. It lasts until this window is closed."
      onChange={(event) => writeFor(event.target.value === self ? null : event.target.value)}
      choices={here.map(({ id, name }) => ({ value: id, words: id === self ? `${name} (yourself)` : name }))}
    />
  );
}

function Password() {
  const change = useChangePassword();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate(
          { currentPassword: current, newPassword: next },
          {
            onSuccess: () => {
              setCurrent('');
              setNext('');
              say('The new password holds from now on.');
            },
          },
        );
      }}
    >
      <TextField
        label="Password now"
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={(event) => setCurrent(event.target.value)}
      />
      <NewPassword label="New password" value={next} onChange={setNext} />
      <ApiError error={change.error} />
      <Button type="submit" disabled={current === '' || next === '' || isShort(next) || change.isPending}>
        Change it
      </Button>
    </form>
  );
}
