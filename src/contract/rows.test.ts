/** Which change of a row asks for a reason: whatever a rate, a duty or a paper reads. */
import { describe, expect, test } from 'vitest';
import { ROW_SCHEMAS, ROW_TABLES, changedFields, figureId, wantsWhy } from './rows';

const MACHINE = {
  id: 'a',
  siteId: 's',
  name: 'Box',
  kind: 'walkIn',
  category: 'commercialRefrigeration',
  refrigerant: 'R-448A',
};
const SITE = { id: 's', name: 'Quay', timezone: 'America/Chicago', packs: ['us-hfc'] };
const BOTTLE = { id: 'b', serial: 'B-1', refrigerant: 'R-290' };

describe('a reason', () => {
  test.each([
    ['appliances', MACHINE, { refrigerant: 'R-449A' }],
    ['appliances', MACHINE, { siteId: 't' }],
    ['appliances', MACHINE, { installedOn: '2020-01-01' }],
    ['appliances', MACHINE, { recordFrom: '2020-01-01' }],
    ['appliances', MACHINE, { category: 'industrialProcess' }],
    ['appliances', MACHINE, { hermetic: true }],
    ['sites', SITE, { packs: ['us-hfc', 'house'] }],
    ['sites', SITE, { timezone: 'America/Denver' }],
    ['sites', SITE, { address: '1 Quay' }],
    ['sites', SITE, { altitudeM: 1600 }],
    ['cylinders', BOTTLE, { tare: { value: 3.4, unit: 'kg' } }],
    ['cylinders', BOTTLE, { scrappedOn: '2026-01-01' }],
    ['people', { id: 'p', name: 'Ike' }, { certificates: [{ scheme: '608' }] }],
    ['instruments', { id: 'i', name: 'Gauge', dimension: 'pressure' }, { offset: -2 }],
    ['company', { name: 'Brindle' }, { address: '8 Yard' }],
  ] as const)('is wanted in %s of %j for %j', (table, row, change) => {
    expect(wantsWhy(table, row, { ...row, ...change })).toBe(true);
  });
  test.each([
    ['appliances', MACHINE, { name: 'Cooler', tag: 'CU-7', access: 'gate', serves: ['fx-1'] }],
    ['sites', SITE, { name: 'Quay 2', access: 'Porter has the key' }],
    ['people', { id: 'p', name: 'Ike' }, { role: 'technician' }],
    ['cylinders', BOTTLE, { place: 'van 2' }],
  ] as const)('is not in %s of %j for names and notes %j', (table, row, change) => {
    expect(wantsWhy(table, row, { ...row, ...change })).toBe(false);
  });
  test('is never asked of a row that is new, nor where nothing changed', () => {
    expect(wantsWhy('appliances', null, MACHINE)).toBe(false);
    expect(wantsWhy('appliances', MACHINE, { ...MACHINE, installedOn: null, tag: '' })).toBe(false);
  });
});

test('empty and left out are the same; a list in another order is another list', () => {
  expect(changedFields({ a: null, b: 1 }, { b: 1, c: '' })).toEqual([]);
  expect(changedFields({ packs: ['x', 'y'] }, { packs: ['y', 'x'] })).toEqual(['packs']);
  expect(changedFields({ a: 0 }, {})).toEqual(['a']);
  expect(changedFields({ a: false }, {})).toEqual(['a']);
});

test('every table refuses a row whose name is blank, where it has one', () => {
  for (const table of ROW_TABLES) {
    const field = table === 'cylinders' ? 'serial' : 'name';
    if (table === 'company') continue;
    const read = ROW_SCHEMAS[table].safeParse({ id: 'x', [field]: '  ' });
    expect(read.success, table).toBe(false);
    expect(
      read.error?.issues.some((issue) => issue.path[0] === field),
      table,
    ).toBe(true);
  }
});

test('a figure of the company is known by its pack, place and day', () => {
  const own = { pack: 'us-hfc', figure: ['threshold', 'commercialRefrigeration'], from: '2026-11-01' };
  expect(figureId(own)).toBe('us-hfc threshold.commercialRefrigeration 2026-11-01');
  expect(figureId({ ...own, from: '2026-12-01' })).not.toBe(figureId(own));
});
