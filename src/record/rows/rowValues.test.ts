/** Between a row and its form: what nobody touched stays to the letter, what is wrong says its remedy. */
import { describe, expect, test } from 'vitest';
import { changedFields } from '../../contract/rows';
import { ROW_FORMS } from './rowForms';
import { draftOfRow, rowOfDraft } from './rowValues';
import { fieldChanges } from './rowWords';

type Row = Record<string, unknown>;
const edit = (table: keyof typeof ROW_FORMS, row: Row, change: Row) => {
  const form = ROW_FORMS[table];
  return rowOfDraft(form, row, { ...draftOfRow(form, row), ...change });
};
const SITE = {
  id: 's',
  name: 'Quay',
  timezone: 'America/Chicago',
  packs: ['us-hfc'],
  leakRateMethod: [{ from: '2020-01-01', method: 'annualizing' }],
};
const BOTTLE = { id: 'b', serial: 'B-1', refrigerant: 'R-290', tare: { value: 3.4, unit: 'kg' } };

describe('the form of a row', () => {
  test.each([
    ['sites', SITE],
    ['cylinders', BOTTLE],
    [
      'people',
      { id: 'p', name: 'Ike', certificates: [{ scheme: '608', number: 'BH, 9', expires: '2027-01-01' }] },
    ],
    ['owners', { id: 'o', name: 'Guild', numbers: ['facility 20', { scheme: 'x', id: '7' }] }],
    [
      'appliances',
      {
        id: 'a',
        siteId: 's',
        name: 'Box',
        kind: 'walkIn',
        category: 'commercialRefrigeration',
        refrigerant: 'R-448A',
        designPressureHigh: { value: 24, unit: 'bar' },
      },
    ],
  ] as const)('untouched, a row of %s stays as it was', (table, row) => {
    const { row: after, errors } = edit(table, row, {});
    expect(errors).toEqual({});
    expect(after).toEqual(row);
    expect(changedFields(row, after)).toEqual([]);
  });

  test('reads methods by their days', () => {
    expect(
      edit('sites', SITE, {
        leakRateMethod: [
          { from: '2026-11-10', method: 'rolling' },
          { from: '2020-01-01', method: 'annualizing' },
        ],
      }).row['leakRateMethod'],
    ).toEqual([
      { from: '2020-01-01', method: 'annualizing' },
      { from: '2026-11-10', method: 'rolling' },
    ]);
  });

  test('keeps certificates without the blanks, and what else was known of them', () => {
    const changed = {
      certificates: [
        { scheme: ' 608 ', number: 'BH, 9', expires: '', 'x-photo': 'a.jpg' },
        { scheme: '', number: ' ', expires: '' },
      ],
    };
    expect(edit('people', { id: 'p', name: 'Ike' }, changed).row['certificates']).toEqual([
      { scheme: '608', number: 'BH, 9', expires: null, 'x-photo': 'a.jpg' },
    ]);
  });

  test.each([
    ['sites', SITE, { leakRateMethod: [{ from: '', method: 'rolling' }] }, 'leakRateMethod'],
    ['sites', SITE, { timezone: 'Mars' }, 'timezone'],
    ['sites', SITE, { name: '  ' }, 'name'],
    ['cylinders', BOTTLE, { tare: '3 stone' }, 'tare'],
    ['cylinders', BOTTLE, { retestOn: '2026-13-01' }, 'retestOn'],
    ['cylinders', BOTTLE, { waterCapacityL: 'much' }, 'waterCapacityL'],
    [
      'people',
      { id: 'p', name: 'Ike' },
      { certificates: [{ scheme: '608', expires: '2027-02-30' }] },
      'certificates',
    ],
    ['people', { id: 'p', name: 'Ike' }, { certificates: [{ expires: '2027-02-28' }] }, 'certificates'],
  ] as const)('of %s refuses %j %j and names the field %s', (table, row, change, field) => {
    const { errors } = edit(table, row, change);
    expect(Object.keys(errors)).toEqual([field]);
    expect(errors[field]).toMatch(/\S{3,}/);
  });
});

test('a history says which fields became what, and nothing of those that stayed', () => {
  const names = { sites: new Map(), owners: new Map(), spaces: new Map() } as never;
  const said = fieldChanges('cylinders', BOTTLE, { ...BOTTLE, tare: { value: 3.6, unit: 'kg' } }, names);
  expect(said).toHaveLength(1);
  expect(said[0]).toMatchObject({ before: '3.4 kg', after: '3.6 kg' });
});
