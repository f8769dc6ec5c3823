import { describe, expect, it } from 'vitest';
import { hourAt } from '../quantity/zone';
import { dayOf } from '../quantity/day';
import { type NoticeTimes, isDigestDue, isQuiet } from './noticeTimes';

const times = (more: Partial<NoticeTimes> = {}): NoticeTimes => ({
  digest: 'daily',
  hour: 7,
  quietFrom: 20,
  quietTo: 6,
  ...more,
});

describe('quiet hours', () => {
  it('run over midnight, begin with their first hour and end with their last', () => {
    const quiet = Array.from({ length: 24 }, (_, hour) => hour).filter((hour) => isQuiet(hour, times()));
    expect(quiet).toEqual([0, 1, 2, 3, 4, 5, 20, 21, 22, 23]);
  });
  it('run within a day', () => {
    const noon = times({ quietFrom: 12, quietTo: 14 });
    expect([11, 12, 13, 14].map((hour) => isQuiet(hour, noon))).toEqual([false, true, true, false]);
  });
  it('are none where they begin and end with one hour', () => {
    expect(isQuiet(5, times({ quietFrom: 5, quietTo: 5 }))).toBe(false);
  });
});

describe('a digest', () => {
  // 23 November 2026 is a Monday.
  const at = (day: string, hour: number) => ({ day: dayOf(day), hour });
  const monday = at('2026-11-23', 7);
  it('is due once a day, from its hour on', () => {
    expect(isDigestDue(times(), at('2026-11-23', 6), null)).toBe(false);
    expect(isDigestDue(times(), monday, null)).toBe(true);
    expect(isDigestDue(times(), at('2026-11-23', 19), dayOf('2026-11-22'))).toBe(true);
    expect(isDigestDue(times(), monday, dayOf('2026-11-23'))).toBe(false);
  });
  it('waits for the end of quiet hours', () => {
    expect(isDigestDue(times({ quietFrom: 20, quietTo: 9 }), at('2026-11-23', 8), null)).toBe(false);
    expect(isDigestDue(times({ quietFrom: 20, quietTo: 9 }), at('2026-11-23', 9), null)).toBe(true);
  });
  it('of the week is due on Monday, or later where Monday was missed', () => {
    const weekly = times({ digest: 'weekly' });
    expect(isDigestDue(weekly, at('2026-11-22', 12), dayOf('2026-11-16'))).toBe(false);
    expect(isDigestDue(weekly, monday, dayOf('2026-11-16'))).toBe(true);
    expect(isDigestDue(weekly, at('2026-11-25', 7), dayOf('2026-11-16'))).toBe(true);
    expect(isDigestDue(weekly, at('2026-11-25', 7), dayOf('2026-11-24'))).toBe(false);
  });
  it('is never due for whoever wants none', () => {
    expect(isDigestDue(times({ digest: 'never' }), monday, null)).toBe(false);
  });
});

it('reads the hour of a place at an instant, also half an hour off', () => {
  const noon = Date.UTC(2026, 10, 23, 12);
  expect(hourAt(noon, 'America/Chicago')).toBe(6);
  expect(hourAt(noon, 'Asia/Kolkata')).toBe(17);
  expect(hourAt(Date.UTC(2026, 6, 1, 12), 'America/Chicago')).toBe(7);
});
