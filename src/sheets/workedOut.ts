/** Columns of our own tables that say once more, in one unit, what other columns say: brought in again they say nothing new. */
const MARK = ' (worked out)';

export const workedOut = (heading: string): string => `${heading}${MARK}`;
export const isWorkedOut = (heading: string): boolean => heading.trim().endsWith(MARK);
