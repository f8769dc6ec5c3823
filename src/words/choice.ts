/** One of several that a person chooses from: what is stored, and what it is called. */
export interface Choice {
  value: string;
  words: string;
}

export const choices = <Value extends string>(
  values: readonly Value[],
  words: Record<Value, string>,
): Choice[] => values.map((value) => ({ value, words: words[value] }));
