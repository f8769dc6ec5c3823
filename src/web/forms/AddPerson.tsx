/** Somebody who is not on the list yet: a name is enough to write with, and nothing that was typed around it is lost. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { useChangeRows } from '../data/api/queries';
import { ApiError } from './ApiError';
import { Button } from '../parts/Button';
import { TextField } from '../parts/Field';
import { useWriter } from '../data/device/writer';

export function AddPerson({ label = 'Somebody else' }: { label?: string }) {
  const change = useChangeRows();
  const { choose } = useWriter();
  const [name, setName] = useState('');
  const save = () => {
    if (name.trim() === '') return;
    const id = uuidv7();
    const added = change.mutateAsync({
      changes: [{ table: 'people', id, row: { id, name: name.trim() } }],
      by: id,
    });
    // Once the list holds somebody this field may be gone: the name is chosen all the same. An error stands below.
    added.then(
      () => {
        setName('');
        choose(id);
      },
      () => undefined,
    );
  };
  // No form of its own: it stands inside others.
  return (
    <div className="mb-4">
      <TextField
        label={label}
        optional={label === 'Somebody else'}
        value={name}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          save();
        }}
        hint="A name is enough to write with; certificates go under Company."
      />
      <ApiError error={change.error} />
      <Button onClick={save} disabled={name.trim() === '' || change.isPending}>
        Add and write as them
      </Button>
    </div>
  );
}
