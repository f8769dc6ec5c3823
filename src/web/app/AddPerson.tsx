/** Somebody who is not on the list yet: a name is enough to write with. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useAddPerson } from '../data/queries';
import { ApiError } from '../parts/ApiError';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';
import { useWriter } from './writer';

export function AddPerson() {
  const add = useAddPerson();
  const { choose } = useWriter();
  const [name, setName] = useState('');
  const save = () => {
    if (name.trim() === '') return;
    const person = { id: uuidv7(), name: name.trim() };
    add.mutate(person, {
      onSuccess: () => {
        setName('');
        choose(person.id);
      },
    });
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <TextField
        label="Somebody else"
        optional
        value={name}
        onChange={(event) => setName(event.target.value)}
        hint="Their name; certificates follow with accounts."
      />
      <ApiError error={add.error} />
      <Button onClick={save} disabled={name.trim() === '' || add.isPending}>
        Add and write as them
      </Button>
    </form>
  );
}
