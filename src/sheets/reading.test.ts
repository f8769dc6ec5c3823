/** Lists as people keep them: numbers, days, names and headings, read the way they were meant, or not at all. */
import { describe, expect, it } from 'vitest';
import { type Cell, textCell } from './cells';
import { dayOrderOf, readDay } from './days';
import { gasesWithNumber, refrigerantNamed } from './gasNames';
import { categorySaid, detectionSaid, kindInName, kindSaid } from './machineWords';
import { addedReasonSaid, directionSaid, recoveredReasonSaid } from './movements';
import { nearest } from './nearestName';
import { decimalMarkOf, notWeighedIn, plainNumber, readAmount, unitInHeading } from './numbers';

const cells = (...texts: string[]): Cell[] => texts.map(textCell);

describe('weights', () => {
  it.each([
    ['12.5', 'lb', null, { value: 12.5, unit: 'lb' }],
    ['12,5', 'kg', ',', { value: 12.5, unit: 'kg' }],
    ['1.250,5', 'g', ',', { value: 1250.5, unit: 'g' }],
    ['1,250.5', 'g', '.', { value: 1250.5, unit: 'g' }],
    ["1'250", 'g', null, { value: 1250, unit: 'g' }],
    ['12 lb 6 oz', null, null, { value: 12.375, unit: 'lb' }],
    ['5 kg', 'lb', null, { value: 5, unit: 'kg' }],
    ['70 g', 'kg', null, { value: 70, unit: 'g' }],
    ['1.250', 'kg', '.', { value: 1.25, unit: 'kg' }],
    ['1.250', 'g', ',', { value: 1250, unit: 'g' }],
    ['12,5', 'kg', null, { value: 12.5, unit: 'kg' }],
    ['12,5', 'kg', '.', { value: 12.5, unit: 'kg' }],
    ['1.250.000', 'g', null, { value: 1_250_000, unit: 'g' }],
    ['0.125', 'kg', null, { value: 0.125, unit: 'kg' }],
    ['1250.125', 'g', null, { value: 1250.125, unit: 'g' }],
  ] as const)('%s under a column in %s', (text, unit, mark, value) => {
    expect(readAmount(textCell(text), unit, mark)).toEqual({ ok: true, value });
  });

  it.each([
    ['', 'lb', null, 'empty'],
    ['12', null, null, 'noUnit'],
    ['1,250', 'g', null, 'ambiguous'],
    ['1.250', 'kg', null, 'ambiguous'],
    ['12 lb 1.250 oz', null, null, 'ambiguous'],
    ['-3', 'lb', null, 'negative'],
    ['3 stone', 'lb', null, 'unknownUnit'],
    ['three', 'lb', null, 'notAMass'],
    ['3 lb 40 oz', 'lb', null, 'notAMass'],
  ] as const)('%s is refused: %s', (text, unit, mark, refusal) => {
    expect(readAmount(textCell(text), unit, mark)).toEqual({ ok: false, refusal });
  });

  it('what stands before decimals is told by the whole column', () => {
    expect(decimalMarkOf(cells('1,250', '12,5'))).toBe(',');
    expect(decimalMarkOf(cells('1,250', '12.5'))).toBe('.');
    expect(decimalMarkOf(cells('1,250', '400'))).toBeNull();
    // Two that contradict each other say nothing.
    expect(decimalMarkOf(cells('12,5', '12.5'))).toBeNull();
    expect(decimalMarkOf(cells('1.250', '1.250.000'))).toBe(',');
    expect(plainNumber('1,250', ',')).toEqual({ ok: true, value: '1.250' });
    expect(plainNumber('1,250', '.')).toEqual({ ok: true, value: '1250' });
  });

  it.each([
    ['not weighed: no scale on the trailer', 'no scale on the trailer'],
    ['n/a', null],
    ['-', null],
    ['unknown', ''],
    ['?', ''],
    ['12 lb', null],
    ['none', null],
  ])('%s: nobody weighed, because %s', (text, why) => expect(notWeighedIn(text)).toBe(why));

  it.each([
    ['Added (lb)', 'lb'],
    ['Charge, kg', 'kg'],
    ['Quantity in ounces', 'oz'],
    ['Gas', null],
    ['Amount', null],
  ])('the heading %s names %s', (heading, unit) => expect(unitInHeading(heading)).toBe(unit));
});

describe('days', () => {
  it.each([
    ['2026-03-04', null, '2026-03-04'],
    ['03/04/2026', 'dmy', '2026-04-03'],
    ['03/04/2026', 'mdy', '2026-03-04'],
    ['3.4.26', 'dmy', '2026-04-03'],
    ['14 Mar 2026', null, '2026-03-14'],
    ['March 14, 2026', null, '2026-03-14'],
    ['14-Mar-26', null, '2026-03-14'],
    ['14. Mai 2026', null, '2026-05-14'],
    ['3. März 2026', null, '2026-03-03'],
    ['04/04/2026', null, '2026-04-04'],
    ['2026-03-04T10:00:00Z', null, '2026-03-04'],
    ['29/02/2024', 'dmy', '2024-02-29'],
  ] as const)('%s, %s, is %s', (text, order, day) =>
    expect(readDay(textCell(text), order)).toEqual({ ok: true, value: day }),
  );

  it.each([
    ['', null, 'empty'],
    ['03/04/2026', null, 'ambiguous'],
    ['29/02/2026', 'dmy', 'noDate'],
    ['1900-01-00', null, 'noDate'],
    ['1900-01-01', null, 'tooOld'],
    ['soon', null, 'noDate'],
    ['13/13/2026', 'dmy', 'noDate'],
  ] as const)('%s, %s, is refused: %s', (text, order, refusal) =>
    expect(readDay(textCell(text), order)).toEqual({ ok: false, refusal }),
  );

  it('the order of day and month is told by the column, or by nobody', () => {
    expect(dayOrderOf(cells('03/04/2026', '25/04/2026'))).toBe('dmy');
    expect(dayOrderOf(cells('03/04/2026', '04/25/2026'))).toBe('mdy');
    expect(dayOrderOf(cells('3.4.2026'))).toBe('dmy');
    expect(dayOrderOf(cells('03/04/2026', '04/05/2026'))).toBeNull();
    // What is no day in either order says nothing, and two that contradict each other say nothing.
    expect(dayOrderOf(cells('03/04/2026', '31/31/2026'))).toBeNull();
    expect(dayOrderOf(cells('03/04/2026', '31/02/2026'))).toBeNull();
    expect(dayOrderOf(cells('25/04/2026', '04/25/2026'))).toBeNull();
  });
});

describe('names', () => {
  it.each([
    ['404a', 'R-404A'],
    ['R404A', 'R-404A'],
    ['R 448 A', 'R-448A'],
    ['HFC-134a', 'R-134a'],
    ['r1234ze(E)', 'R-1234ze(E)'],
    ['Propane', 'R-290'],
    ['CO2', 'R-744'],
    ['R-999', null],
    ['R-507', 'R-507A'],
    ['r410', 'R-410A'],
    ['R-407', null],
    ['R-50', null],
    ['', null],
  ])('%s is %s', (text, name) => expect(refrigerantNamed(text)).toBe(name));

  it.each([
    ['Walk-in cooler', 'walkIn'],
    ['parallel rack', 'rack'],
    ['display case', 'reachIn'],
    ['Ice machine', 'iceMachine'],
    ['teapot', null],
  ])('%s is a %s', (text, kind) => expect(kindSaid(text)).toBe(kind));

  it.each([
    ['Cooler 2', 'walkIn'],
    ['Rack A', 'rack'],
    ['Reach-in freezer 4', 'reachIn'],
    ['Freezer rack 3', null],
    ['Trackside 2', null],
  ])('the name %s says %s, by whole words', (name, kind) => expect(kindInName(name)).toBe(kind));

  it('what was most likely meant is proposed, and nothing far off', () => {
    const names = [
      { key: 'rack b', name: 'Rack B' },
      { key: 'cooler 2', name: 'Cooler 2' },
    ];
    expect(nearest('rck b', names)).toBe('Rack B');
    expect(nearest('milk tank', names)).toBeNull();
    // An empty cell is near nothing; a name that is part of another is near it, a letter of it is not.
    expect(nearest('', names)).toBeNull();
    expect(nearest('cooler', names)).toBe('Cooler 2');
    expect(nearest('2', names)).toBeNull();
    expect(gasesWithNumber('R-407')).toEqual(['R-407A', 'R-407C', 'R-407F', 'R-407H']);
    expect(gasesWithNumber('')).toEqual([]);
    // A gas of another composition is never suggested.
    expect(gasesWithNumber('R-503')).toEqual([]);
  });
});

describe('words that a rate hangs on are known as a whole, or not at all', () => {
  it.each([
    ['recovered', 'refrigerantRecovered'],
    ['Taken out', 'refrigerantRecovered'],
    ['charged after repair', 'refrigerantAdded'],
    ['topped up', 'refrigerantAdded'],
    ['IN', 'refrigerantAdded'],
    ['abgesaugt', 'refrigerantRecovered'],
    ['nachgefüllt', 'refrigerantAdded'],
    ['routine', null],
    ['in/out', null],
    ['about', null],
  ])('the direction %s is %s', (text, direction) => expect(directionSaid(text)).toBe(direction));

  it.each([
    ['charged after repair', 'recharge'],
    ['Top-off', 'topOff'],
    ['topped up, leak at the valve nut', 'topOff'],
    ['initial charge', 'commission'],
    ['after conversion', 'retrofit'],
    ['topOff', 'topOff'],
    ['installed', null],
    ['installed new valve', null],
    ['conversion fitting', null],
    ['routine', null],
    ['recharge / top-off', null],
  ])('the reason %s of an addition is %s', (text, reason) => expect(addedReasonSaid(text)).toBe(reason));

  it.each([
    ['for a repair', 'repair'],
    ['decommissioned', 'retire'],
    ['retirement', 'retire'],
    ['conversion fitting', null],
  ])('the reason %s of a recovery is %s', (text, reason) => expect(recoveredReasonSaid(text)).toBe(reason));

  it.each([
    ['Commercial air conditioning', 'comfortCooling'],
    ['Food processing (industrial)', 'industrialProcess'],
    ['commercialRefrigeration', 'commercialRefrigeration'],
    ['supermarket', 'commercialRefrigeration'],
    ['air-conditioned warehouse', null],
  ])('the category %s is %s', (text, category) => expect(categorySaid(text)).toBe(category));

  it.each([
    ['Not installed', 'none'],
    ['none', 'none'],
    ['on the whole', 'whole'],
    ['machine room only', 'part'],
    ['yes', null],
    ['not fully', null],
  ])('the detection %s is %s', (text, detection) => expect(detectionSaid(text)).toBe(detection));
});
