/**
 * What a machine lost in a calendar year, as far as it is known: what was weighed in to make it good, and what keeps
 * that from being the whole of it. Nothing weighed is not nothing lost. Grams exact; days at the site.
 */
import { type ExactGrams, NO_MASS } from '../quantity/mass';
import { type Day, civil } from '../quantity/day';
import { type Bound, boundOf } from '../rules/judgedRate';
import type { Leak } from '../rules/leaks';
import type { Standing } from '../rules/standing';
import { valueOf } from './notes/stated';
import { notesOf } from './visitRecord';

export type LossUnknown =
  /** gas that counts went in and nobody weighed it */
  | { code: 'notWeighed'; days: readonly Day[] }
  /** found empty, and no gas has gone in since: what it had lost is not known yet */
  | { code: 'foundEmpty'; on: Day }
  /** gas was taken out that nobody weighed, and what was put back since counts as lost: less may have been */
  | { code: 'takenOut'; days: readonly Day[] }
  /** a leak was not repaired, or no gas went in since it was: what is missing by now is not weighed in yet */
  | { code: 'leakOpen' };

export interface YearLoss {
  year: number;
  net: ExactGrams;
  /** millionths of a percent of the full charge; null where that is not known */
  millionths: number | null;
  chronic: boolean;
  /** how the figures bound what was lost */
  bound: Bound;
  unknown: readonly LossUnknown[];
}

export function yearLoss(standing: Standing, year: number): YearLoss {
  const { history, ledger, years, leaks } = standing;
  const known = years.find((each) => each.year === year);
  const days = ledger.days.flatMap((each) =>
    each.unknown && civil(each.day).year === year ? [each.day] : [],
  );
  const ofThisYear = civil(history.asOf).year === year;
  const empty = ofThisYear ? foundEmptyOn(standing) : null;
  const more: LossUnknown[] = [
    ...(days.length > 0 ? [{ code: 'notWeighed' as const, days }] : []),
    ...(empty !== null ? [{ code: 'foundEmpty' as const, on: empty }] : []),
    ...(ofThisYear && empty === null && leaks.open().some((leak) => missingBy(leak, lastAdded(standing)))
      ? [{ code: 'leakOpen' as const }]
      : []),
  ];
  const takenOut = known?.takenOut ?? [];
  return {
    year,
    net: known?.net ?? NO_MASS,
    millionths: known?.millionths ?? null,
    chronic: known?.chronic ?? false,
    bound: boundOf(more.length > 0, takenOut.length > 0),
    unknown: [...more, ...(takenOut.length > 0 ? [{ code: 'takenOut' as const, days: takenOut }] : [])],
  };
}

const lastAdded = ({ history }: Standing): Day | null =>
  history.gas.findLast(({ entry }) => entry.kind === 'refrigerantAdded')?.day ?? null;

const missingBy = ({ repairedOn }: Leak, added: Day | null): boolean =>
  repairedOn === null || added === null || added < repairedOn;

/** The last day on which the sight glass was read as empty, if no gas went in on that day or after it. */
function foundEmptyOn(standing: Standing): Day | null {
  const { history } = standing;
  const lastGas = lastAdded(standing);
  const seen = notesOf(history.entries, 'reading').findLast(
    ({ note }) => valueOf(note.signs['sightGlass']) !== null,
  );
  if (!seen || valueOf(seen.note.signs['sightGlass']) !== 'empty') return null;
  return lastGas === null || lastGas < seen.day ? seen.day : null;
}
