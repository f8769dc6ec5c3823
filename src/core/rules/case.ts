/** A case of a pack on a machine: its leaks, and the days on which it was repaired, tested and verified. */
import { type Day } from '../quantity/day';
import type { EntryOf } from '../logbook/entry';
import type { AdditionRate } from './leakRate';
import { type Leak } from './leaks';
import type { Pack } from './pack';

export type ClosedBecause =
  | 'confirmed'
  | 'presumed'
  | 'verified'
  | 'unrelated'
  | 'exceeded'
  | 'planCompleted'
  | 'retrofitted'
  | 'retired';

export interface Case {
  pack: Pack;
  openedOn: Day;
  /** the addition that opened it, for percent packs */
  openedBy: AdditionRate | null;
  leaks: Leak[];
  /** while no leak has joined, tests of the whole machine stand for it, as for one repaired leak */
  wholeMachine: Leak;
  shutdown: boolean;
  extension: EntryOf<'extension'> | null;
  planFiledOn: Day | null;
  /** the next addition after the present v has decided; a v that is taken back is decided anew */
  decided: boolean;
  /** the first next addition that exceeded: the repair did not hold, whatever becomes of v later */
  exceededAgainOn: Day | null;
  /** an addition after the present v could not be judged, so nothing may be presumed */
  undecidable: boolean;
  closedOn: Day | null;
  closedBecause: ClosedBecause | null;
  /** the leaks as they live on after closing, should a plan filed that day keep the case running */
  liveLeaks: Leak[];
}

/** What counts for a case: its leaks, or the whole machine while it has none. */
export const counted = (each: Case): readonly Leak[] =>
  each.leaks.length > 0 ? each.leaks : [each.wholeMachine];

const latest = (days: readonly (Day | null)[]): Day | null =>
  days.reduce<Day | null>((last, day) => (day !== null && (last === null || day > last) ? day : last), null);

/** v: the latest day on which a leak was verified, once every leak is. */
export function verifiedOn(each: Case): Day | null {
  const leaks = counted(each);
  return leaks.every((leak) => leak.state === 'verified')
    ? latest(leaks.map((leak) => leak.verifiedOn))
    : null;
}

/** The latest first pass, once one stands for every leak. */
export function initialPassedOn(each: Case): Day | null {
  const leaks = counted(each);
  return leaks.every((leak) => leak.firstPassOn !== null)
    ? latest(leaks.map((leak) => leak.firstPassOn))
    : null;
}

/** The latest repair, once no leak is merely found. Without leaks the first test stands for it. */
export function repairedOn(each: Case): Day | null {
  if (each.leaks.length === 0) return initialPassedOn(each);
  return each.leaks.some((leak) => leak.state === 'found')
    ? null
    : latest(each.leaks.map((leak) => leak.repairedOn));
}

/** A case as it opens: by an addition that exceeded, or (null) by a leak. */
export const openedCase = (pack: Pack, day: Day, openedBy: AdditionRate | null, leaks: Leak[]): Case => ({
  pack,
  openedOn: day,
  openedBy,
  leaks,
  wholeMachine: {
    id: '',
    state: 'repaired',
    openedOn: day,
    repairedOn: null,
    evacuated: false,
    firstPassOn: null,
    verifiedOn: null,
  },
  shutdown: false,
  extension: null,
  planFiledOn: null,
  decided: false,
  exceededAgainOn: null,
  undecidable: false,
  closedOn: null,
  closedBecause: null,
  liveLeaks: [],
});

/** Whether an addition exceeds under a pack: null where that cannot be judged; without coverage it does not. */
export function judgement(addition: AdditionRate, pack: Pack): boolean | null {
  const exceeds = addition.exceeds[pack.id];
  if (exceeds === true) return true;
  if (addition.gasDay.unknown) return null;
  return exceeds === undefined ? false : exceeds;
}
