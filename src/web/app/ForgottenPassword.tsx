/** Asks for a link to a new password. The answer is the same whether there is such an account or not. */
import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { tell } from '../data/api/api';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';

export function ForgottenPassword({ email: typed }: { email: string }) {
  const [email, setEmail] = useState(typed);
  const ask = useMutation({ mutationFn: () => tell('forgotPassword', { email: email.trim() }) });
  if (ask.data)
    return (
      <p role="status">
        {ask.data.kept
          ? 'Where there is such an account, a link was made. No mail server is set here: a manager reads it under Company, and gives it to you.'
          : 'Where there is such an account, a link is on its way to that address.'}
      </p>
    );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <TextField
        label="E-mail of the account"
        type="email"
        autoComplete="username"
        value={email}
        hint="A link comes to it, by which you set a new password. A manager can give you one too."
        onChange={(event) => setEmail(event.target.value)}
      />
      <ApiError error={ask.error} />
      <Button type="submit" disabled={email.trim() === '' || ask.isPending}>
        Ask for a link
      </Button>
    </form>
  );
}
