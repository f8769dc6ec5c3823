/** Devices by which somebody comes in without a password. */
import { dateWords } from '../../words/dates';
import { mayHavePasskeys, useAddPasskey, useDropPasskey, usePasskeys } from '../data/api/passkeys';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { Loaded } from '../parts/Page';

export function OwnPasskeys() {
  const passkeys = usePasskeys();
  const add = useAddPasskey();
  const drop = useDropPasskey();
  return (
    <>
      <p className="mb-3 text-soft">
        Come in by the finger, the face or the lock of this device instead of a password.
      </p>
      <Loaded query={passkeys}>
        {(rows) => (
          <ul>
            {rows.map(({ id, name, createdAt }) => (
              <li key={id} className="rule-b flex items-center justify-between gap-3">
                <span>
                  {name ?? 'a device'}
                  {createdAt != null && `, since ${dateWords(createdAt.slice(0, 10))}`}
                </span>
                <Button weight="quiet" disabled={drop.isPending} onClick={() => drop.mutate(id)}>
                  Take it out
                </Button>
              </li>
            ))}
          </ul>
        )}
      </Loaded>
      <ApiError error={add.error ?? drop.error} />
      {mayHavePasskeys() ? (
        <Button className="mt-3" disabled={add.isPending} onClick={() => add.mutate()}>
          Come in by this device
        </Button>
      ) : (
        <p className="mt-3">
          Not here: a browser does it only where the app has a name, with TLS, and not at a number of the
          network.
        </p>
      )}
    </>
  );
}
