/** An entry whose forerunner lies outside a part of the logbook: there it stands as if it were the first, and says so. */
import type { Entry } from '../../core/logbook/entry';
import { carrying } from '../../core/visit/notes/notes';

const CORRECTS = 'x-corrects';

/** Without what it corrects, and without its seal, which was of the whole. */
export function begunHere(entry: Entry): Entry {
  const { supersedes: _, seal: _seal, ...rest } = entry;
  return carrying(rest as Entry, { [CORRECTS]: 'an entry outside this part' });
}

export const isBegunHere = (entry: Entry): boolean => CORRECTS in entry;
