/** Pages of lists: where a page ended is a place in the order of its list, so that nothing written meanwhile shifts it. */
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

export type Place = readonly (string | number)[];

export interface Page<Row> {
  rows: Row[];
  /** ask for what comes after this; null: that was all */
  next: string | null;
}

export const placeText = (place: Place): string => Buffer.from(JSON.stringify(place)).toString('base64url');

/** What was given is no place of the list that was asked for. */
export class NoPlace extends Error {}

/** The place after which a page begins, in a list whose order has so many parts; null: at the beginning. */
export function readPlace(text: string | null, parts: number): Place | null {
  if (text === null) return null;
  let place: unknown;
  try {
    place = JSON.parse(Buffer.from(text, 'base64url').toString());
  } catch {
    throw new NoPlace();
  }
  if (
    !Array.isArray(place) ||
    place.length !== parts ||
    !place.every((each) => typeof each === 'string' || typeof each === 'number')
  )
    throw new NoPlace();
  return place as Place;
}

const list = (parts: readonly SQL[]): SQL => sql.join([...parts], sql`, `);

/** What lies beyond a place in the order of these columns. */
export const beyond = (columns: readonly SQLiteColumn[], place: Place, descending: boolean): SQL =>
  sql`(${list(columns.map((each) => sql`${each}`))}) ${descending ? sql`<` : sql`>`} (${list(place.map((each) => sql`${each}`))})`;

export const inOrderOf = (columns: readonly SQLiteColumn[], descending: boolean): SQL =>
  list(columns.map((each) => (descending ? sql`${each} desc` : sql`${each} asc`)));

/** The page of rows that were asked for with one more than it holds. */
export function pageOf<Row>(rows: readonly Row[], limit: number, place: (row: Row) => Place): Page<Row> {
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  return { rows: page, next: rows.length > limit && last !== undefined ? placeText(place(last)) : null };
}
