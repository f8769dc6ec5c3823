import { expect, it } from 'vitest';
import { dayOf } from '../core/quantity/day';
import { uncertifiedWords } from './certificates';

const day = dayOf('2026-12-14');

it('says who lacks what on which day, and nothing of a valid certificate', () => {
  expect(uncertifiedWords('Tobiah Renn', day, { is: 'valid' })).toBeNull();
  expect(uncertifiedWords('Tobiah Renn', day, { is: 'lacks' })).toMatch(/^No certificate of Tobiah Renn/);
  expect(uncertifiedWords('Tobiah Renn', day, { is: 'ended', on: dayOf('2026-12-13') })).toMatch(
    /Tobiah Renn on record ended on 13 Dec 2026: none is valid on 14 Dec 2026/,
  );
});
