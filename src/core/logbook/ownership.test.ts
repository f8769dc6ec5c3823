import { describe, expect, test } from 'vitest';
import { dayOf } from '../quantity/day';
import { ownedIn, ownerOn } from './ownership';

const sold = {
  ownerId: 'first',
  owners: [
    { from: '2027-01-01', ownerId: null },
    { from: '2026-03-01', ownerId: 'second' },
  ],
};

describe('the owner of a site', () => {
  test.each([
    ['before the first sale', '2026-02-28', 'first'],
    ['on the day of the sale', '2026-03-01', 'second'],
    ['the day before nobody knows it any more', '2026-12-31', 'second'],
    ['since nobody knows it', '2027-01-01', null],
  ])('%s', (_, day, owner) => {
    expect(ownerOn(sold, dayOf(day))).toBe(owner);
  });

  test('is the one of the row where nothing was ever sold, and nobody where none is recorded', () => {
    expect(ownerOn({ ownerId: 'o' }, dayOf('2026-01-01'))).toBe('o');
    expect(ownerOn({}, dayOf('2026-01-01'))).toBeNull();
  });

  test.each([
    ['first', '2026-01-01', '2026-12-31', true],
    ['second', '2026-01-01', '2026-12-31', true],
    ['second', '2026-01-01', '2026-02-28', false],
    ['first', '2026-03-01', '2026-12-31', false],
    ['second', '2026-12-31', '2027-05-01', true],
  ])('%s owned it between %s and %s: %s', (owner, from, to, expected) => {
    expect(ownedIn(sold, owner, dayOf(from), dayOf(to))).toBe(expected);
  });
});
