/** Coming in by a link: the first manager, somebody who was invited, or a new password. */
import { useState } from 'react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useNavigate, useSearchParams } from 'react-router';
import { PASSWORD_CHARACTERS } from '../../contract/accounts';
import { ROLE_WORDS } from '../../words/roles';
import { ask, tell } from '../data/api/api';
import { useSignIn } from '../data/api/session';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { Loaded } from '../parts/Page';
import { Door } from './Door';
import { NewPassword, isShort } from './NewPassword';

export function JoinPage() {
  const [search] = useSearchParams();
  const token = search.get('token') ?? '';
  const offer = useQuery({
    queryKey: ['invitation', token],
    queryFn: ({ signal }) => ask('invitation', { query: { token } }, signal),
    retry: false,
  });
  return (
    <Door title={offer.data?.renews ? 'A new password' : 'Welcome'}>
      <Loaded query={offer}>{(known) => <Joining token={token} offer={known} />}</Loaded>
    </Door>
  );
}

/** Chosen by who is on no list yet. */
const NEW = 'new';

type Offer = Awaited<ReturnType<typeof ask<'invitation'>>>;

function Joining({ token, offer }: { token: string; offer: Offer }) {
  const navigate = useNavigate();
  const signIn = useSignIn();
  const [name, setName] = useState('');
  const [personId, setPersonId] = useState(offer.people.length === 0 ? NEW : '');
  const isListed = personId !== NEW;
  const [email, setEmail] = useState(offer.email ?? '');
  const [password, setPassword] = useState('');
  const begin = useMutation({
    mutationFn: async () => {
      const given = {
        token,
        email: email.trim(),
        password,
        ...(offer.name === null && (isListed ? { personId } : { name: name.trim() })),
      };
      const begun = await tell('beginAccount', given);
      await signIn.mutateAsync({ email: begun.email, password });
    },
    onSuccess: () => navigate('/due', { replace: true }),
  });
  const nameless = isListed ? personId === '' : name.trim() === '';
  const lacking = email.trim() === '' || password === '' || (offer.name === null && nameless);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        begin.mutate();
      }}
    >
      <p className="mb-3 text-soft">
        {offer.name === null
          ? 'You are the first here: a manager, who lets the others in.'
          : `${offer.name}, ${ROLE_WORDS[offer.role]}.`}
      </p>
      {offer.people.length > 0 && (
        <SelectField
          label="You are"
          value={personId}
          choices={[
            { value: '', words: 'choose' },
            ...offer.people.map((each) => ({ value: each.personId, words: each.name })),
            { value: NEW, words: 'somebody who is not on this list' },
          ]}
          onChange={(event) => setPersonId(event.target.value)}
        />
      )}
      {offer.name === null && !isListed && (
        <TextField
          label="Your name"
          autoComplete="name"
          value={name}
          hint="It stands on what you write, and on papers."
          onChange={(event) => setName(event.target.value)}
        />
      )}
      <TextField
        label="E-mail"
        type="email"
        autoComplete="username"
        value={email}
        readOnly={offer.email !== null}
        onChange={(event) => setEmail(event.target.value)}
      />
      <NewPassword
        label="Password"
        hint={`At least ${String(PASSWORD_CHARACTERS)} characters; three or four words are easy to remember.`}
        value={password}
        onChange={setPassword}
      />
      <ApiError error={begin.error} />
      <Button
        weight="main"
        type="submit"
        className="w-full"
        disabled={lacking || isShort(password) || begin.isPending}
      >
        {offer.renews ? 'Keep this password' : 'Come in'}
      </Button>
    </form>
  );
}
