/** Texts as names are compared and sorted. */

/** Two names with the same key are one name. */
export const nameKey = (name: string): string => name.trim().toLocaleLowerCase('und');

const DIGITS = 12;

const bare = (text: string): string => nameKey(text).normalize('NFKD').replace(/\p{M}/gu, '');

/** Sorts as people read: case and accents aside, `Rack 2` before `Rack 10`. */
export const sortKey = (name: string): string =>
  bare(name).replace(/\d+/g, (digits) => digits.padStart(DIGITS, '0'));

const NO_WORD = /[^\p{L}\p{N}]+/gu;

/** The words of a text: case, accents and all between letters and figures aside. */
export const wordsOf = (text: string): string[] => bare(text).split(NO_WORD).filter(Boolean);

/** What a search finds something by; `A-1` is found by `a1`, too. */
export function searchWords(...texts: (string | null | undefined)[]): string {
  const said = texts.filter((each) => each != null).join(' ');
  const joined = said.split(/\s+/).map((word) => bare(word).replace(NO_WORD, ''));
  return [...new Set([...wordsOf(said), ...joined])].filter(Boolean).join(' ');
}

/** A question of the search table in which every word must begin a word of the row; null: nothing was asked. */
export function searchQuestion(text: string): string | null {
  const words = wordsOf(text);
  return words.length === 0 ? null : words.map((word) => `"${word}"*`).join(' ');
}
