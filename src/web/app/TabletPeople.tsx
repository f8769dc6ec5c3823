/** The way in on a shared tablet: who it is, then their PIN. */
import { useState } from 'react';
import type { TabletPerson } from '../../contract/tablets';
import { usePinSignIn } from '../data/api/tablet';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { PersonButton } from './PersonButton';
import { PinPad } from './PinPad';

export function TabletPeople({ people }: { people: readonly TabletPerson[] }) {
  const [chosen, setChosen] = useState<TabletPerson | null>(null);
  if (chosen) return <ByPin person={chosen} onBack={() => setChosen(null)} />;
  return (
    <ul>
      {people.map((person) => (
        <li key={person.personId} className="mb-2">
          <PersonButton name={person.name} onClick={() => setChosen(person)} />
        </li>
      ))}
    </ul>
  );
}

function ByPin({ person: { personId, name }, onBack }: { person: TabletPerson; onBack: () => void }) {
  const signIn = usePinSignIn();
  const [pin, setPin] = useState('');
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        signIn.mutate({ person: personId, pin }, { onError: () => setPin('') });
      }}
    >
      <p className="mb-3 text-lg font-semibold">{name}</p>
      <PinPad key={signIn.submittedAt} label={`PIN of ${name}`} value={pin} onChange={setPin} />
      <ApiError error={signIn.error} />
      <div className="flex gap-2">
        <Button className="min-h-14" onClick={onBack}>
          Back
        </Button>
        <Button
          type="submit"
          weight="main"
          className="min-h-14 flex-1"
          disabled={pin === '' || signIn.isPending}
        >
          Come in
        </Button>
      </div>
    </form>
  );
}
