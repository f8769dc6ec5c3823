/**
 * The way to write: stamps the entries of a deed, sends them, says what was done with a way back, and gives back what went
 * wrong so that it stands where it was written. Undoing fails as loudly as it succeeds.
 */
import { useCallback } from 'react';
import { toast } from 'sonner';
import type { Entry } from '../../core/logbook/entry';
import { ApiProblem } from './api';
import { refuse, settled, stamped } from './deeds';
import { useAppend } from './queries';
import { undoing } from '../../record/voiding';

export type Write = (
  /** tells this deed from others of the device until the logbook has it */
  name: string,
  entries: readonly Entry[],
  words: string,
  /** entries that it may correct: undoing writes them again */
  known: readonly Entry[],
) => Promise<Error | null>;

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

export function useWriting(): { write: Write; writing: boolean } {
  const { mutateAsync, isPending } = useAppend();
  const write = useCallback<Write>(
    async (name, entries, words, known) => {
      const marked = stamped(name, entries, words);
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
        action: { label: 'Undo', onClick: () => void undo(mutateAsync, undoingAll(marked, known)) },
      });
      return null;
    },
    [mutateAsync],
  );
  return { write, writing: isPending };
}
