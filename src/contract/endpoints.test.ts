/** Addresses are made from the table of endpoints. */
import { describe, expect, test } from 'vitest';
import { addressOf } from './endpoints';

describe('an address', () => {
  test.each<[string, Record<string, string>, Record<string, unknown>, string]>([
    ['/machines/:id', { id: 'a/b c' }, {}, '/machines/a%2Fb%20c'],
    ['/rows/:table/:id', { table: 'sites', id: 'é' }, {}, '/rows/sites/%C3%A9'],
    ['/due', {}, { site: 'x&y', after: undefined, limit: 5 }, '/due?site=x%26y&limit=5'],
    ['/sites', {}, { text: '' }, '/sites'],
  ])('%s with %o and %o', (path, parts, query, wanted) => {
    expect(addressOf(path, parts, query)).toBe(wanted);
  });
});
