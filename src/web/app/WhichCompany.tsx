/** On a server of several companies, asked without the name of one: the name leads to the company’s own address. */
import { useState } from 'react';
import { COMPANY_NAME } from '../../contract/accounts';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';
import { Door } from './Door';

/** `at`: under which each company has its name. */
export function WhichCompany({ at }: { at: string }) {
  const [typed, setTyped] = useState('');
  const name = typed.trim().toLowerCase();
  const { protocol, host } = new URL(at);
  const none = window.location.host.endsWith(`.${host}`);
  const fits = COMPANY_NAME.test(name);
  return (
    <Door title={none ? 'No company at this address' : 'Which company?'}>
      <p className="mb-3">
        {none && `Nothing is served at ${window.location.host}. `}
        Each company has an address of its own; it stands in the link by which you were invited.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          window.location.assign(`${protocol}//${name}.${host}/`);
        }}
      >
        <TextField
          label="First part of the address"
          hint={`The part before .${host}`}
          error={
            typed === '' || fits ? null : 'Small letters, digits and single hyphens, such as pier-cooling'
          }
          autoCapitalize="none"
          autoCorrect="off"
          spellCheck={false}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button weight="main" type="submit" className="w-full" disabled={!fits}>
          Go there
        </Button>
      </form>
    </Door>
  );
}
