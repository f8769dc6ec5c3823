/** What went in by weight: bottles before and after, kg; recovery the other way round. */
import { refused } from '../../result';
import { type Outcome, calculated, figure } from '../calculated';

export interface Weighing {
  bottle: string;
  before: number;
  after: number;
}

/** Σ (before − after); refuses a bottle that grew heavier, and fewer than one. */
export function weighedIn(weighings: readonly Weighing[]): Outcome<number> {
  if (weighings.length === 0) return refused({ reason: 'tooFewReadings', have: 0, need: 1 });
  const wrong = weighings.find((each) => each.after > each.before);
  if (wrong)
    return refused({
      reason: 'notInOrder',
      first: `${wrong.bottle} after`,
      second: `${wrong.bottle} before`,
    });
  const total = weighings.reduce((sum, each) => sum + each.before - each.after, 0);
  return calculated(total, {
    formula: 'went in = Σ (before − after)',
    figures: [
      ...weighings.map((each) => figure(each.bottle, 'mass', each.before - each.after)),
      figure('went in', 'mass', total),
    ],
    source: 'Scale',
    validity: 'Same scale, hose off or held alike at both weighings.',
  });
}
