/** Ends the mail of whoever a link in it names; opening the link alone ends nothing, for mail programs open links too. */
import { useMutation } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { tell } from '../data/api/api';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { Door } from './Door';

export function UnsubscribePage() {
  const [search] = useSearchParams();
  const token = search.get('token') ?? '';
  const end = useMutation({ mutationFn: () => tell('unsubscribe', { token }) });
  return (
    <Door title="Mail about what falls due">
      {end.isSuccess ? (
        <p role="status">
          No more of it comes. Under your own account you turn it on again, at another hour or day.
        </p>
      ) : (
        <>
          <p className="mb-3">
            What falls due stays in the app. Another hour, or once a week, is set under your own account.
          </p>
          <ApiError error={end.error} />
          <Button weight="main" className="w-full" disabled={end.isPending} onClick={() => end.mutate()}>
            Send me no more
          </Button>
        </>
      )}
      <p className="mt-4">
        <Link
          className="inline-flex min-h-11 items-center font-semibold text-green underline underline-offset-4"
          to="/due"
        >
          Open the app
        </Link>
      </p>
    </Door>
  );
}
