/** Pages of lists: where a page ended is a place in the order of its list, so that nothing written meanwhile shifts it. */
import { type SQL, sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';

export type Place = readonly (string | number)[];

export interface Page<Row> {
  rows: Row[];
  /** ask for what comes after this; null: that was all */
  next: string | null;
}

const placeText = (place: Place): string => Buffer.from(JSON.stringify(place)).toString('base64url');

/** What was given is no place of the list that was asked for. */
export class NoPlace extends Error {}

/** The place after which a page begins, in a list whose order has so many parts; null: at the beginning. */
function readPlace(text: string | null, parts: number): Place | null {
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
const beyond = (columns: readonly SQLiteColumn[], place: Place, descending: boolean): SQL =>
  sql`(${list(columns.map((each) => sql`${each}`))}) ${descending ? sql`<` : sql`>`} (${list(place.map((each) => sql`${each}`))})`;

const inOrderOf = (columns: readonly SQLiteColumn[], descending: boolean): SQL =>
  list(columns.map((each) => (descending ? sql`${each} desc` : sql`${each} asc`)));

/** The page of rows that were asked for with one more than it holds. */
function pageOf<Row>(rows: readonly Row[], limit: number, place: (row: Row) => Place): Page<Row> {
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  return { rows: page, next: rows.length > limit && last !== undefined ? placeText(place(last)) : null };
}

/** The part of a list that a page is read from. */
export interface Part {
  /** what lies beyond the place where the page begins */
  beyond: SQL | undefined;
  order: SQL;
  limit: number;
}

/** A page of a list in the order of these columns, the last of which no two rows share; `place` tells a row's values of them. */
export async function paged<Row>(
  columns: readonly SQLiteColumn[],
  { after, limit, descending = false }: { after: string | null; limit: number; descending?: boolean },
  rows: (part: Part) => PromiseLike<Row[]>,
  place: (row: Row) => Place,
): Promise<Page<Row>> {
  const from = readPlace(after, columns.length);
  return pageOf(
    await rows({
      beyond: from ? beyond(columns, from, descending) : undefined,
      order: inOrderOf(columns, descending),
      // One more than it holds says whether there is another page.
      limit: limit + 1,
    }),
    limit,
    place,
  );
}
