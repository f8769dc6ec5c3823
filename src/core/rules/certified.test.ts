import { describe, expect, it } from 'vitest';
import { dayOf } from '../quantity/day';
import { certifiedOn, isCertifiedWork } from './certified';

const on = (certificates: { expires?: string | null }[] | null | undefined, day: string) =>
  certifiedOn({ certificates }, dayOf(day));

describe('whether somebody is certified on a day', () => {
  it('holds on the last day of a certificate, and no day longer', () => {
    expect(on([{ expires: '2026-12-13' }], '2026-12-13')).toEqual({ is: 'valid' });
    expect(on([{ expires: '2026-12-13' }], '2026-12-14')).toEqual({ is: 'ended', on: dayOf('2026-12-13') });
  });
  it('takes the last that ends of several, in whatever order they stand', () => {
    const two = [{ expires: '2026-12-01' }, { expires: '2026-06-01' }];
    expect(on(two, '2026-09-01')).toEqual({ is: 'valid' });
    expect(on(two.toReversed(), '2027-01-01')).toEqual({ is: 'ended', on: dayOf('2026-12-01') });
  });
  it('lets one that says no end hold on, beside one that ended', () => {
    expect(on([{ expires: '2026-01-01' }, { expires: null }], '2030-01-01')).toEqual({ is: 'valid' });
  });
  it.each([[undefined], [null], [[]]])('says that none is on record of %j', (certificates) => {
    expect(on(certificates, '2026-01-01')).toEqual({ is: 'lacks' });
  });
  it('knows no certificate of somebody who is not on the list', () => {
    expect(certifiedOn(undefined, dayOf('2026-01-01'))).toEqual({ is: 'lacks' });
  });
});

it('keeps gas and repairs for certified people, and no look round', () => {
  expect(
    ['refrigerantAdded', 'refrigerantRecovered', 'leakRepaired'].every((k) => isCertifiedWork(k as never)),
  ).toBe(true);
  expect(isCertifiedWork('leakInspection')).toBe(false);
});
