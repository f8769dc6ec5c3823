/** A deed of this visit: written under its name, with what went wrong kept beside it. */
import { useState } from 'react';
import type { Entry } from '../../core/logbook/entry';
import { useVisit } from './visitContext';

export function useDeed(name: string) {
  const { write, writing } = useVisit();
  const [error, setError] = useState<Error | null>(null);
  return {
    error,
    writing,
    /** resolves to whether it was taken; entries that could not be made (nobody chose who writes) are not */
    save: async (entries: readonly (Entry | null)[], words: string): Promise<boolean> => {
      const whole = entries.filter((entry): entry is Entry => entry !== null);
      if (whole.length < entries.length) {
        setError(new Error('Choose who is writing, under “Who?”.'));
        return false;
      }
      const problem = await write(name, whole, words);
      setError(problem);
      return problem === null;
    },
  };
}
