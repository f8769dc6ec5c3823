/**
 * The one way to write: keeps the entries of a deed, sends them, says what was done with a way back, and keeps what went
 * wrong so that it stands where it was written. Undoing fails as loudly as it succeeds.
 */
import { useCallback, useState } from 'react';
import type { Entry } from '../../../core/logbook/entry';
import { ApiProblem } from './api';
import { type KeptDeed, begun, refuse, sending, settled } from './deeds';
import { say, sayWrong } from '../device/messages';
import { useAppend } from './queries';
import { undoing } from '../../../record/voiding';

export interface Deed {
  /** tells this deed from others of the device until the logbook has it; those of a visit begin with its id */
  name: string;
  /** null where one could not be made, since nobody said who writes */
  entries: readonly (Entry | null)[];
  /** what was done, in the words that the person is told */
  words: string;
  /** entries that it may correct: undoing writes them again */
  known: readonly Entry[];
}

export interface Writing {
  /** what went wrong with the last try */
  error: Error | null;
  writing: boolean;
  /** resolves to whether the logbook has it */
  save: (deed: Deed) => Promise<boolean>;
}

type Send = (entries: readonly Entry[]) => Promise<unknown>;

/** Made once: a second try sends the same. */
const undoingAll = (entries: readonly Entry[], known: readonly Entry[]): Entry[] =>
  entries.toReversed().map((entry) => undoing(entry, known));

async function undo(send: Send, undone: readonly Entry[]): Promise<void> {
  try {
    await send(undone);
    say('Undone. Both stand in the record.');
  } catch (error) {
    sayWrong(`Not undone: ${error instanceof Error ? error.message : 'no answer'}`, {
      label: 'Try again',
      onClick: () => void undo(send, undone),
    });
  }
}

const NOBODY = new Error('It is not known yet who is signed in. Try again in a moment.');

const CONFLICT = 409;
const TAKEN = new Error(
  'An earlier try of this was saved, and it reads otherwise: it stands in the logbook. Correct it there, or save this once more as an entry of its own.',
);

/** Below this the server refused it whole: nothing was written. Above, or without an answer, nobody knows. */
const SERVER_ERROR = 500;
const isRefusal = (error: Error): boolean =>
  error instanceof ApiProblem && error.document.status > 0 && error.document.status < SERVER_ERROR;

const asError = (problem: unknown): Error =>
  problem instanceof Error ? problem : new Error('No answer came.');

/** Sends a deed that is kept; null: the logbook has it. */
export async function sendDeed(send: Send, { key, entries }: KeptDeed): Promise<Error | null> {
  sending(key, true);
  try {
    await send(entries);
    settled(key);
    return null;
  } catch (problem) {
    const error = asError(problem);
    const taken = error instanceof ApiProblem && error.document.status === CONFLICT;
    if (isRefusal(error)) refuse(key, error.message, taken);
    return taken ? TAKEN : error;
  } finally {
    sending(key, false);
  }
}

export function useWrite(): Writing {
  const { mutateAsync, isPending } = useAppend();
  const [error, setError] = useState<Error | null>(null);
  const write = useCallback(
    async ({ name, entries, words, known }: Deed): Promise<Error | null> => {
      const whole = entries.filter((entry) => entry !== null);
      if (whole.length < entries.length) return NOBODY;
      const deed = begun(name, whole, words);
      const problem = await sendDeed(mutateAsync, deed);
      if (problem) return problem;
      say(words, {
        action: {
          label: 'Undo',
          onClick: () => void undo(mutateAsync, undoingAll(deed.entries, known)),
        },
      });
      return null;
    },
    [mutateAsync],
  );
  return {
    error,
    writing: isPending,
    save: async (deed) => {
      const problem = await write(deed);
      setError(problem);
      return problem === null;
    },
  };
}
