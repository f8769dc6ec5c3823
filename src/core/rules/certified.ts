/** Work that the law keeps for certified people, and whether somebody was one of them on the day of the work. */
import type { Entry } from '../logbook/entry';
import type { Person } from '../logbook/tables';
import { type Day, dayOf } from '../quantity/day';

const CERTIFIED_WORK: readonly Entry['kind'][] = ['refrigerantAdded', 'refrigerantRecovered', 'leakRepaired'];

/** Whether an entry of this kind tells work that only a certified person may do (handbook 2, records). */
export const isCertifiedWork = (kind: Entry['kind']): boolean => CERTIFIED_WORK.includes(kind);

/** `lacks`: no certificate on record; `ended`: the last of them ended on that day, before the day that was asked for. */
export type Certified = { is: 'valid' } | { is: 'lacks' } | { is: 'ended'; on: Day };

/** A certificate holds on its last day; one without an end holds on. A person who is not on the list has none. */
export function certifiedOn(person: Pick<Person, 'certificates'> | undefined, day: Day): Certified {
  const certificates = person?.certificates ?? [];
  if (certificates.length === 0) return { is: 'lacks' };
  const ends = certificates.map(({ expires }) => (expires == null ? Infinity : dayOf(expires)));
  const last = Math.max(...ends);
  return last < day ? { is: 'ended', on: last as Day } : { is: 'valid' };
}
