/** What a running case asks for next, from an exceedance to its inspections. */
import { expect, it } from 'vitest';
import {
  type Fact,
  added,
  charge,
  followUpPass,
  found,
  gas,
  initialPass,
  lb,
  repaired,
  standing,
} from '../core/testkit/facts';
import { nextActions } from './caseActions';

const EXCEEDED = [charge('2026-01-01', lb(100)), gas('2026-03-01'), added('2026-06-01', 'topOff', 12)];
const next = (facts: readonly Fact[]): string[] => {
  const running = standing([...EXCEEDED, ...facts], '2026-06-20').cases.find(
    ({ case: each }) => each.pack.id === 'us-hfc',
  );
  return running
    ? nextActions(running, 'commercialRefrigeration', (id) => `Leak ${id}`).map(({ kind, words, given }) =>
        [words ?? kind, ...((given?.['leakIds'] as string[] | undefined) ?? [])].join(' '),
      )
    : [];
};

it('finds, repairs, tests and tests again, each leak by name', () => {
  expect(next([])[0]).toBe('leakFound');
  expect(next([found('2026-06-02', 'k1')])[0]).toBe('Leak k1 repaired');
  const two = [found('2026-06-02', 'k1'), found('2026-06-02', 'k2'), repaired('2026-06-03', 'k1')];
  expect(next(two).slice(0, 2)).toEqual(['Leak k2 repaired', 'First test k1']);
  expect(next([...two, initialPass('2026-06-04', 'k1')]).slice(0, 2)).toEqual([
    'Leak k2 repaired',
    'Second test k1',
  ]);
});

it('asks for normal operation where the machine was emptied, for a plan at any time, and inspects once verified', () => {
  const emptied = [found('2026-06-02', 'k1'), repaired('2026-06-03', 'k1', true)];
  expect(next(emptied)).toEqual(expect.arrayContaining(['normalOperation', 'planFiled']));
  const verified = [
    found('2026-06-02', 'k1'),
    repaired('2026-06-03', 'k1'),
    initialPass('2026-06-04', 'k1'),
    followUpPass('2026-06-10', 'k1'),
  ];
  expect(next(verified)[0]).toBe('Inspect');
});
