/** Signing in by what a device proves: a finger, a face, its lock, or a key in the pocket. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  browserSupportsWebAuthn,
  startAuthentication,
  startRegistration,
} from '@simplewebauthn/browser';
import { z } from 'zod';
import { deviceWords } from '../../../words/device';
import { door, useDoor } from './session';

const KEY = ['passkeys'];
const rows = z.array(
  z.object({ id: z.string(), name: z.string().nullish(), createdAt: z.string().nullish() }),
);

/** Browsers bind them to a name, not to a number of the network. */
export const mayHavePasskeys = (): boolean =>
  browserSupportsWebAuthn() && !/^(\d+\.){3}\d+$|^\[/.test(window.location.hostname);

async function told(path: string): Promise<unknown> {
  const response = await fetch(`/api/auth/passkey/${path}`).catch(() => null);
  const body = (await response?.json().catch(() => null)) as { code?: string } | null;
  if (response?.ok) return body;
  throw new Error(
    body?.code === 'SESSION_NOT_FRESH'
      ? 'It is more than a day since you signed in here. Sign out, sign in, and try again.'
      : 'No answer from the server. Try again when there is signal.',
  );
}

/** What the browser says when somebody turns away, or has nothing to prove it with. */
async function proven<Proof>(prove: Promise<Proof>): Promise<Proof> {
  try {
    return await prove;
  } catch (error) {
    const { name } = error as Error;
    throw new Error(
      name === 'NotAllowedError'
        ? 'It was not confirmed. Try again, or use the password.'
        : name === 'InvalidStateError'
          ? 'This device is one of yours already.'
          : 'This device could not do it. Use the password.',
      { cause: error },
    );
  }
}

export const usePasskeys = () =>
  useQuery({ queryKey: KEY, queryFn: async () => rows.parse(await told('list-user-passkeys')) });

export const usePasskeySignIn = () =>
  useDoor(async () => {
    const optionsJSON = await told('generate-authenticate-options');
    const response = await proven(
      startAuthentication({ optionsJSON: optionsJSON as PublicKeyCredentialRequestOptionsJSON }),
    );
    await door('/auth/passkey/verify-authentication', { response });
  });

export function useAddPasskey() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: async () => {
      const optionsJSON = await told('generate-register-options');
      const response = await proven(
        startRegistration({ optionsJSON: optionsJSON as PublicKeyCredentialCreationOptionsJSON }),
      );
      await door('/auth/passkey/verify-registration', {
        response,
        name: deviceWords(navigator.userAgent),
      });
    },
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

export function useDropPasskey() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => door('/auth/passkey/delete-passkey', { id }),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
