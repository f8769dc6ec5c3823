/** What a calculator files: its result in a line, and behind it what was typed. */
import { z } from 'zod';
import { type Field } from '../field';

const inputs = z.record(z.string(), z.object({ typed: z.string() }));

export const calculatedFields: Readonly<Record<string, Field>> = {
  summary: { ask: null, say: (summary) => typeof summary === 'string' && summary.trim() !== '' && summary },
  inputs: {
    ask: null,
    say: (given) => {
      const read = inputs.safeParse(given);
      if (!read.success) return null;
      const typed = Object.values(read.data)
        .map((each) => each.typed.trim())
        .filter((each) => each !== '');
      return typed.length > 0 && `from ${typed.join(', ')}`;
    },
  },
};
