/**
 * The one way to write: stamps the entries of a deed, sends them, says what was done with a way back, and keeps what went
 * wrong so that it stands where it was written. Undoing fails as loudly as it succeeds.
 */
import { useCallback, useState } from 'react';
import { toast } from 'sonner';
import type { Entry } from '../../core/logbook/entry';
import { ApiProblem } from './api';
import { refuse, settled, stamped } from './deeds';
import { useAppend } from './queries';
import { undoing } from '../../record/voiding';

export interface Deed {
  /** tells this deed from others of the device until the logbook has it; those of a visit begin with its id */
  name: string;
  /** null where one could not be made, since nobody said who writes */
  entries: readonly (Entry | null)[];
  /** what was done, in the words that the person is told */
  words: string;
  /** entries that it may correct: undoing writes them again */
  known: readonly Entry[];
  /** said once at the top, in the place of what was said before: nothing lies over what a thumb does next */
  quiet?: boolean;
}

export interface Writing {
  /** what went wrong with the last try */
  error: Error | null;
  writing: boolean;
  /** resolves to whether the logbook has it */
  save: (deed: Deed) => Promise<boolean>;
}

const CONFLICT = 409;
/** The first try was taken after all, and what is sent now differs from it. */
const TAKEN_BEFORE = new Error(
  'This was saved at the first try, though no answer came. It stands in the logbook; correct it there if it should read otherwise.',
);

type Send = (entries: readonly Entry[]) => Promise<unknown>;

/** Made once: a second try sends the same. */
const undoingAll = (entries: readonly Entry[], known: readonly Entry[]): Entry[] =>
  entries.toReversed().map((entry) => undoing(entry, known));

async function undo(send: Send, undone: readonly Entry[]): Promise<void> {
  try {
    await send(undone);
    toast.success('Undone. Both stand in the record.');
  } catch (error) {
    toast.error(`Not undone: ${error instanceof Error ? error.message : 'no answer'}`, {
      action: { label: 'Try again', onClick: () => void undo(send, undone) },
    });
  }
}

const NOBODY = new Error('Choose who is writing, under “Who?”.');

export function useWrite(): Writing {
  const { mutateAsync, isPending } = useAppend();
  const [error, setError] = useState<Error | null>(null);
  const write = useCallback(
    async ({ name, entries, words, known, quiet = false }: Deed): Promise<Error | null> => {
      const whole = entries.filter((entry) => entry !== null);
      if (whole.length < entries.length) return NOBODY;
      const marked = stamped(name, whole, words);
      try {
        await mutateAsync(marked);
      } catch (problem) {
        const error = problem instanceof Error ? problem : new Error('No answer came.');
        if (error instanceof ApiProblem && error.document.status === CONFLICT) {
          settled(name);
          return TAKEN_BEFORE;
        }
        // Refused whole: nothing of it was written, and what is mended is a deed of its own.
        if (error instanceof ApiProblem && error.document.status > 0) refuse(name, error.message);
        return error;
      }
      settled(name);
      toast.success(words, {
        ...(quiet ? { id: 'quiet', position: 'top-center' as const, duration: 6000 } : {}),
        action: { label: 'Undo', onClick: () => void undo(mutateAsync, undoingAll(marked, known)) },
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
