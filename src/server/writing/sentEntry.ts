/** Entries as they were sent: where one stands in its request, and whether it is the very one that is stored. */
import type { Entry } from '../../core/logbook/entry';
import type { Problem } from '../../core/logbook/problems';
import { contentOf } from '../store/seal';

export const placed = (path: Problem['path'], index: number, count: number): Problem['path'] =>
  count > 1 ? [index, ...path] : path;

/** Sent again, an entry is the same whatever the server added to it. */
export function sameContent(stored: Entry, sent: Entry): boolean {
  const bare = (entry: Entry) =>
    contentOf({ ...entry, recordedAt: undefined, 'x-writtenBy': undefined } as unknown as Entry);
  return bare(stored) === bare(sent);
}
