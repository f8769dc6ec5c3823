/** Makes this device one that several people share, each let in by a PIN. */
import { useState } from 'react';
import { say } from '../data/device/messages';
import { useLeaveTablet, useShareTablet, useTabletPeople } from '../data/api/tablet';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { PinPad } from './PinPad';

export function SharedTablet({ personId }: { personId: string }) {
  const people = useTabletPeople();
  const share = useShareTablet();
  const leave = useLeaveTablet();
  const [pin, setPin] = useState('');
  const own = people.some((each) => each.personId === personId);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        share.mutate(
          { pin },
          {
            onSuccess: () => {
              setPin('');
              say('On this device you come in by that PIN.');
            },
          },
        );
      }}
    >
      <p className="mb-3 text-soft">
        {own
          ? 'You come in by a PIN on this device.'
          : 'For a tablet in the van: come in by a PIN, on this device alone.'}{' '}
        Five wrong ones end it. After half an hour without a touch the next person gives a PIN.
        {people.length > 0 && ` On it now: ${people.map(({ name }) => name).join(', ')}.`}
      </p>
      <PinPad label="New PIN, four to eight digits" value={pin} onChange={setPin} />
      <ApiError error={share.error ?? leave.error} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={pin.length < 4 || share.isPending}>
          {own ? 'Take this PIN from now on' : 'Share this device'}
        </Button>
        {own && (
          <Button weight="quiet" disabled={leave.isPending} onClick={() => leave.mutate({})}>
            No PIN of mine here
          </Button>
        )}
      </div>
    </form>
  );
}
