/**
 * Loose entries: those that bear on a case where none runs on their day, or only on the case of a pack that the
 * site does not list. They are no errors and have no effect; the screen names them so that nobody relies on them.
 */
import type { CaseBearing } from '../logbook/history';
import type { Standing } from './standing';

export function looseEntries({ history, cases }: Standing): CaseBearing[] {
  return history.caseBearing.filter(
    ({ day, entry }) =>
      !cases.some(({ case: each }) => {
        const ofPack = entry.pack == null || entry.pack === each.pack.id;
        return ofPack && each.openedOn <= day && (each.closedOn === null || each.closedOn >= day);
      }),
  );
}
