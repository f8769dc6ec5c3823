/** How many of something: `1 entry`, `2 entries`, `1,204 machines`. */

const plural = new Intl.PluralRules('en');

/** The form of a word that goes with a number. */
export const ofCount = (count: number, one: string, many = `${one}s`): string =>
  plural.select(count) === 'one' ? one : many;

export const countWords = (count: number, one: string, many?: string): string =>
  `${count.toLocaleString('en-US')} ${ofCount(count, one, many)}`;

export const timesWords = (count: number): string =>
  plural.select(count) === 'one' ? 'once' : `${count.toLocaleString('en-US')} times`;

/** `an owner`, `a site` */
export const withArticle = (thing: string): string => `${/^[aeiou]/i.test(thing) ? 'an' : 'a'} ${thing}`;
