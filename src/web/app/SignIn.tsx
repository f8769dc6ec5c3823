/** The way in: over whatever stood there, so that nothing that was typed is lost when a session ended. */
import { useState } from 'react';
import type { SessionAnswer } from '../../contract/accounts';
import { ROLE_WORDS } from '../../words/roles';
import { useDemoSignIn, useSignIn } from '../data/api/session';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';
import { Fold } from '../parts/Fold';
import { Door } from './Door';

export function SignIn({ session: { empty, demo } }: { session: SessionAnswer }) {
  if (empty)
    return (
      <Door title="Nobody has an account yet">
        <p>
          The first manager comes in by the link that the server printed when it started: it begins with
          “First manager”. Open it on this device.
        </p>
      </Door>
    );
  return (
    <Door title="Sign in">
      {demo.length > 0 ? (
        <>
          <DemoPeople people={demo} />
          <Fold title="With a password">
            <ByPassword />
          </Fold>
        </>
      ) : (
        <ByPassword />
      )}
    </Door>
  );
}

/** Only an invented company lets one in like this. */
function DemoPeople({ people }: { people: SessionAnswer['demo'] }) {
  const signIn = useDemoSignIn();
  return (
    <>
      <p className="mb-3 text-soft">An invented company. Come in as one of its people:</p>
      <ApiError error={signIn.error} />
      <ul>
        {people.map(({ personId, name, role }) => (
          <li key={personId} className="mb-2">
            <button
              type="button"
              className="flex min-h-14 w-full cursor-pointer items-center justify-between gap-4 rounded border border-line bg-card px-4 text-left disabled:opacity-60"
              disabled={signIn.isPending}
              onClick={() => signIn.mutate(personId)}
            >
              <span className="font-semibold text-green">{name}</span>
              <span className="text-soft">{ROLE_WORDS[role]}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

function ByPassword() {
  const signIn = useSignIn();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        signIn.mutate({ email: email.trim(), password });
      }}
    >
      <TextField
        label="E-mail"
        type="email"
        autoComplete="username"
        value={email}
        onChange={(event) => setEmail(event.target.value)}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        value={password}
        hint="Forgotten? A manager gives you a link for a new one."
        onChange={(event) => setPassword(event.target.value)}
      />
      <ApiError error={signIn.error} />
      <Button
        weight="main"
        type="submit"
        className="w-full"
        disabled={email.trim() === '' || password === '' || signIn.isPending}
      >
        Sign in
      </Button>
    </form>
  );
}
