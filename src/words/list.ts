/** Words set side by side. */

/** A full stop at the end of what a person wrote does not stand before a comma. */
export const list = (parts: readonly (string | null | undefined | false)[]): string =>
  parts
    .filter((part): part is string => Boolean(part))
    .map((part, index, all) => (index < all.length - 1 ? part.replace(/[.,;]+$/, '') : part))
    .join(', ');

const conjunction = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** `suction, head and frost` */
export const listAnd = (parts: readonly string[]): string => conjunction.format(parts);

/** As it begins a sentence. */
export const capped = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** As it stands within a sentence. */
export const uncapped = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
