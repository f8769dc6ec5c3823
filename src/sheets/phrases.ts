/**
 * Words of lists by whole phrases: a cell, or a part of it between commas, is known as a whole or not at all. No word within
 * another, and none beside words that are not known, decides what a rate hangs on.
 */
import { looseKey } from './cells';
import { remembered } from './remembered';

/** A cell as phrases are compared: lower case, words apart, `chargedAfterRepair` like `charged after repair`. */
export const phraseKey = remembered((text: string): string =>
  looseKey(text.replace(/([a-z])([A-Z])/g, '$1 $2')),
);

/** What each phrase means. `phrases`: by meaning, phrases with a bar between. */
export function meaningsOf<Value>(
  phrases: readonly (readonly [string, Value])[],
): ReadonlyMap<string, Value> {
  const meanings = new Map<string, Value>();
  for (const [said, value] of phrases)
    for (const phrase of said.split('|')) {
      const key = phraseKey(phrase);
      const before = meanings.get(key);
      if (before !== undefined && before !== value) throw new Error(`“${phrase}” means two things.`);
      meanings.set(key, value);
    }
  return meanings;
}

/** Codes as phrases of themselves: each by its own name and by the app's word for it. */
export const codePhrases = <Code extends string>(words: Readonly<Record<Code, string>>): [string, Code][] =>
  (Object.entries(words) as [Code, string][]).map(([code, said]) => [`${code}|${said}`, code]);

const PARTS = /[,;/–—()]|\s-\s/;

/**
 * What a text says: known as a whole, or by those of its parts that are known, if these agree. Null: nothing known, or two
 * things at once.
 */
export function saidBy<Value>(meanings: ReadonlyMap<string, Value>, text: string): Value | null {
  const known = saidBefore.get(meanings) ?? remembered((each) => readBy(meanings, each));
  saidBefore.set(meanings, known);
  return known(text) as Value | null;
}
const saidBefore = new WeakMap<ReadonlyMap<string, unknown>, (text: string) => unknown>();

function readBy<Value>(meanings: ReadonlyMap<string, Value>, text: string): Value | null {
  const whole = meanings.get(phraseKey(text));
  if (whole !== undefined) return whole;
  const found = new Set<Value>();
  for (const part of text.split(PARTS)) {
    const value = meanings.get(phraseKey(part));
    if (value !== undefined) found.add(value);
  }
  const [only] = found;
  return found.size === 1 ? (only ?? null) : null;
}

/** The one of these phrases that stands in a name as whole words; null where none does, or several that differ. */
export function namedIn<Value>(meanings: ReadonlyMap<string, Value>, text: string): Value | null {
  const key = ` ${phraseKey(text)} `;
  const inside = [...meanings].filter(([phrase]) => key.includes(` ${phrase} `));
  // “condensing unit” of “rack condensing unit” is not the longer of the two: they differ, and neither is taken.
  const longest = inside.filter(
    ([phrase]) => !inside.some(([other]) => other !== phrase && ` ${other} `.includes(` ${phrase} `)),
  );
  const values = new Set(longest.map(([, value]) => value));
  const [only] = values;
  return values.size === 1 ? (only ?? null) : null;
}

/** A cell that says nothing: a dash, “n/a”, “none”. */
const LONGEST_NOTHING = 8;
export const saysNothing = (text: string): boolean =>
  text.length <= LONGEST_NOTHING &&
  /^(?:[-–—.]+|n\/?a\.?|n\.a\.|none|nil|keine?|entfällt)?$/i.test(text.trim());
