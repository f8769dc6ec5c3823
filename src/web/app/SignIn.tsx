/** The way in: over whatever stood there, so that nothing that was typed is lost when a session ended. */
import { useState } from 'react';
import { Fingerprint } from 'lucide-react';
import type { SessionAnswer } from '../../contract/accounts';
import { ROLE_WORDS } from '../../words/roles';
import { useDemoSignIn, useSignIn } from '../data/api/session';
import { mayHavePasskeys, usePasskeySignIn } from '../data/api/passkeys';
import { useTabletPeople } from '../data/api/tablet';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';
import { Fold } from '../parts/Fold';
import { Door } from './Door';
import { PersonButton } from './PersonButton';
import { WhichCompany } from './WhichCompany';
import { TabletPeople } from './TabletPeople';
import { ForgottenPassword } from './ForgottenPassword';

export const SignIn = ({ session }: { session: SessionAnswer }) =>
  session.companiesAt === undefined ? (
    <WaysIn session={session} />
  ) : (
    <WhichCompany at={session.companiesAt} />
  );

function WaysIn({ session: { empty, demo } }: { session: SessionAnswer }) {
  const tablet = useTabletPeople();
  if (empty)
    return (
      <Door title="Nobody has an account yet">
        <p>
          The first manager comes in by the link that the server printed when it started: it begins with
          “First manager”. Open it on this device.
        </p>
      </Door>
    );
  const others = demo.length > 0 ? <DemoPeople people={demo} /> : <ByPassword />;
  return (
    <Door title="Sign in">
      {tablet.length > 0 ? (
        <>
          <TabletPeople people={tablet} />
          <Fold title="Somebody who has no PIN here">{others}</Fold>
        </>
      ) : (
        others
      )}
      {demo.length > 0 && (
        <Fold title="With a password">
          <ByPassword />
        </Fold>
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
            <PersonButton
              name={name}
              about={ROLE_WORDS[role]}
              disabled={signIn.isPending}
              onClick={() => signIn.mutate(personId)}
            />
          </li>
        ))}
      </ul>
    </>
  );
}

function ByPassword() {
  const byDevice = usePasskeySignIn();
  const signIn = useSignIn();
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  return (
    <>
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
      {mayHavePasskeys() && (
        <>
          <Button
            className="mt-3 w-full"
            disabled={byDevice.isPending}
            onClick={() => byDevice.mutate(undefined)}
          >
            <Fingerprint aria-hidden="true" size={20} /> By this device
          </Button>
          <ApiError error={byDevice.error} />
        </>
      )}
      <Fold title="Forgotten the password">
        <ForgottenPassword email={email} />
      </Fold>
    </>
  );
}
