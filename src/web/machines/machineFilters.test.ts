/** Filters stand in the address, so that a list can be sent to somebody and come back to. */
import { describe, expect, test } from 'vitest';
import { ENDPOINTS } from '../../contract/endpoints';
import { NO_FILTERS, filteredAddress, askedBy, filtersOf, isNarrowed } from './machineFilters';

describe('the filters of the machines list', () => {
  test.each([
    NO_FILTERS,
    { ...NO_FILTERS, text: 'rack & "b"', kind: 'rack' },
    { ...NO_FILTERS, site: 's 1', state: 'retired', sort: 'room' as const, descending: true },
  ])('come back from the address as they were: %o', (filters) => {
    expect(filtersOf(new URLSearchParams(filteredAddress(filters)))).toEqual(filters);
  });
  test('of a plain list leave the address plain', () => {
    expect(filteredAddress(NO_FILTERS)).toEqual([]);
  });
  test('that an address made up are passed over, and what is asked is always a question of the contract', () => {
    const odd = filtersOf(new URLSearchParams('sort=colour&kind=spaceship&state=merry&q=%20%20'));
    expect(odd.sort).toBe('state');
    const asked = askedBy(odd);
    expect(ENDPOINTS.machines.query.parse(JSON.parse(JSON.stringify(asked)))).toMatchObject({
      text: '',
      sort: 'state',
    });
    expect([asked.kind, asked.state]).toEqual([undefined, undefined]);
  });
  test('an order alone narrows nothing', () => {
    expect(isNarrowed({ ...NO_FILTERS, sort: 'due', descending: true })).toBe(false);
    expect(isNarrowed({ ...NO_FILTERS, text: ' ' })).toBe(false);
    expect(isNarrowed({ ...NO_FILTERS, text: 'a' })).toBe(true);
  });
});
