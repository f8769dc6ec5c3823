/** Who is signed in, what they may, and the ways in and out. */
import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { mayCall } from '../../../contract/access';
import type { SessionAnswer, SignedIn } from '../../../contract/accounts';
import type { EndpointName } from '../../../contract/endpoints';
import { THIS_COMPUTER } from '../../../contract/loopback';
import { ApiProblem, ask } from './api';

const KEY = ['session'];
const UNAUTHORIZED = 401;

export const useSession = () =>
  useQuery({ queryKey: KEY, queryFn: ({ signal }) => ask('session', {}, signal), staleTime: Infinity });

/** null: nobody. */
export const useSignedIn = (): SignedIn | null => useSession().data?.signedIn ?? null;

/** Whether the one who is signed in may call an endpoint: what is not open to them is not shown. */
export function useMay(): (name: EndpointName) => boolean {
  const role = useSignedIn()?.role ?? null;
  return (name) => mayCall(name, role);
}

/** How others open this app; `onlyHere`: nobody said how, and the address at hand leads to this computer alone. */
export function useAddress(): { base: string; onlyHere: boolean } {
  const address = useSession().data?.address ?? null;
  const { origin, hostname } = window.location;
  return { base: address ?? origin, onlyHere: address === null && THIS_COMPUTER.includes(hostname) };
}

/** The session was ended elsewhere: the way in stands over what was being typed. */
export function noteEnd(client: QueryClient, error: unknown): void {
  if (!(error instanceof ApiProblem) || error.document.status !== UNAUTHORIZED) return;
  client.setQueryData<SessionAnswer>(KEY, (known) => known && { ...known, signedIn: null });
}

export async function door(path: string, body: object): Promise<void> {
  const response = await fetch(`/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null);
  if (response?.ok) return;
  const { message, title } = ((await response?.json().catch(() => null)) ?? {}) as {
    message?: string;
    title?: string;
  };
  throw new Error(
    response === null
      ? 'No answer from the server. Try again when there is signal.'
      : (message ?? title ?? 'The server answered with an error. Try again.'),
  );
}

/** After it all that was read is read anew where somebody else is signed in now. */
export function useDoor<Given>(go: (given: Given) => Promise<void>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async (given: Given) => {
      const before = client.getQueryData<SessionAnswer>(KEY)?.signedIn?.personId;
      await go(given);
      const now = await ask('session');
      client.setQueryData(KEY, now);
      const changed = before !== undefined && before !== now.signedIn?.personId;
      await client.invalidateQueries({
        predicate: ({ queryKey }) => queryKey[0] !== KEY[0],
        refetchType: changed ? 'all' : 'active',
      });
    },
  });
}

export const useSignIn = () =>
  useDoor((given: { email: string; password: string }) => door('/auth/sign-in/email', given));
export const useDemoSignIn = () => useDoor((person: string) => door('/demo/sign-in', { person }));
export const useSignOut = () =>
  useDoor((where: 'here' | 'everywhere') =>
    door(where === 'here' ? '/auth/sign-out' : '/auth/revoke-sessions', {}),
  );
export const useChangePassword = () =>
  useMutation({
    mutationFn: (given: { currentPassword: string; newPassword: string }) =>
      door('/auth/change-password', { ...given, revokeOtherSessions: true }),
  });
