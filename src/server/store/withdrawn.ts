/** Rows that were taken back with the import that brought them: kept with their history, shown nowhere. */

const MARK = 'x-withdrawn';

export const isWithdrawn = (row: object): boolean => MARK in row;

export const withdrawn = (row: object, why: string): object => ({ ...row, [MARK]: why });

/** Of a stored document, in SQL. */
export const NOT_WITHDRAWN = `instr(document, '"${MARK}"') = 0`;
