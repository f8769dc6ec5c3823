/** What a machine lost in a year: what was weighed in, and what keeps that from being all of it. */
import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import { grams } from '../quantity/mass';
import { followUpPass, found, initialPass, note, repaired, standing, topOff } from '../testkit/facts';
import { yearLoss } from './yearLoss';

const TODAY = '2026-11-23';
const lost = (facts: Parameters<typeof standing>[0], year = 2026) => yearLoss(standing(facts, TODAY), year);
const glass = (on: string, sightGlass: string) =>
  note('readings', on, { tool: 'reading', numbers: {}, signs: { sightGlass } });

describe('the loss of a year', () => {
  test('3 and 2 lb of 100 lb are 5 lb, 5 %, and nothing is unknown', () => {
    const year = lost([topOff('2026-02-01', 3), topOff('2026-09-01', 2), topOff('2025-12-31', 40)]);
    expect(grams(year.net)).toBeCloseTo(5 * 453.59237, 3);
    expect(year.millionths).toBe(5_000_000);
    expect(year.unknown).toEqual([]);
  });
  test('is no “none” while gas was not weighed, only that year', () => {
    expect(lost([topOff('2026-02-01', null)]).unknown).toEqual([
      { code: 'notWeighed', days: [dayOf('2026-02-01')] },
    ]);
    expect(lost([topOff('2026-02-01', null)], 2025).unknown).toEqual([]);
  });
  test('is not known yet while a leak is open, until gas went in after its repair or it was verified', () => {
    expect(lost([found('2026-11-01')]).unknown).toEqual([{ code: 'leakOpen' }]);
    const mended = [found('2026-11-01'), repaired('2026-11-02'), initialPass('2026-11-02', 'k1')];
    expect(lost([topOff('2026-10-31', 5), ...mended]).unknown).toEqual([{ code: 'leakOpen' }]);
    expect(lost([...mended, topOff('2026-11-02', 5)]).unknown).toEqual([]);
    expect(
      lost([
        found('2026-11-01'),
        repaired('2026-11-02'),
        initialPass('2026-11-02', 'k1'),
        followUpPass('2026-11-05', 'k1'),
      ]).unknown,
    ).toEqual([]);
  });
  test('is not known yet of a machine found empty, until gas goes in', () => {
    expect(lost([glass('2026-11-20', 'empty')]).unknown).toEqual([
      { code: 'foundEmpty', on: dayOf('2026-11-20') },
    ]);
    expect(lost([glass('2026-11-20', 'empty'), topOff('2026-11-21', 9)]).unknown).toEqual([]);
    expect(lost([glass('2026-11-20', 'empty'), glass('2026-11-21', 'clear')]).unknown).toEqual([]);
  });
});
