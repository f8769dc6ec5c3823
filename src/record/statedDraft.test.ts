/** What a form makes of what people know: a figure, one end or both of it, a word. */
import { describe, expect, test } from 'vitest';
import { quantityWords } from '../words/stated';
import { EMPTY_DRAFT, draftFrom, readMeasured, readQuantity } from './statedDraft';

const SEA = 101_325;
const said = (dimension: Parameters<typeof readQuantity>[0], text: string, unit = 'psig', instrument = '') =>
  readQuantity(dimension, { ...EMPTY_DRAFT, text, instrument }, unit, SEA, [
    { id: 'g', name: 'Blue gauge', dimension: 'pressure', offset: 1000 },
  ]);
const value = (...given: Parameters<typeof said>) => {
  const read = said(...given);
  if ('error' in read) throw new Error(read.error);
  return read.value;
};

describe('a quantity', () => {
  test('keeps what was typed, with the unit that it was meant in', () => {
    expect(value('pressure', '68')).toMatchObject({ typed: '68 psig', unit: 'psig' });
    expect(value('pressure', '<10')).toMatchObject({ typed: '<10 psig', bound: 'below' });
    expect(value('pressure', 'under 10')).toMatchObject({ typed: 'under 10 psig', bound: 'below' });
    expect(value('pressure', '< 2 bar')).toMatchObject({ typed: '< 2 bar', limit: SEA + 2e5, unit: 'bar' });
    expect(value('pressure', '8 to 9', 'bar')).toMatchObject({
      typed: '8 to 9 bar',
      si: SEA + 8.5e5,
      range: [SEA + 8e5, SEA + 9e5],
    });
  });
  test('is a word where there is no figure: of pressures a vacuum, of lines what the hand says', () => {
    expect(value('pressure', 'in a vacuum')).toEqual({ felt: 'inVacuum' });
    expect(value('temperature', 'Cold to the hand')).toEqual({ felt: 'cold' });
    expect(said('temperature', 'in a vacuum', '°F')).toHaveProperty('error');
    expect(said('duration', 'as usual', 'min')).toHaveProperty('error');
  });
  test('puts the offset of its instrument in, at one end or both', () => {
    expect(value('pressure', '<2 bar', 'bar', 'g')).toMatchObject({
      bound: 'below',
      limit: SEA + 2e5 + 1000,
      instrument: { name: 'Blue gauge' },
    });
    expect(quantityWords(value('pressure', '<2', 'bar', 'g'))).toBe('<2 bar on Blue gauge, offset put in');
    expect(value('pressure', '1-2', 'bar', 'g')).toMatchObject({
      si: SEA + 1.5e5 + 1000,
      range: [SEA + 1e5 + 1000, SEA + 2e5 + 1000],
    });
  });
  test('comes back into its form as it was said', () => {
    for (const text of ['68 psig', '<10 psig', '8 to 9 bar', 'in a vacuum'])
      expect(draftFrom(value('pressure', text)).text).toBe(text);
  });
});

test('what must be a figure takes neither bound nor word', () => {
  for (const text of ['<10', '8 to 9', 'in a vacuum'])
    expect(readMeasured('pressure', { ...EMPTY_DRAFT, text }, 'psig', SEA, [])).toHaveProperty('error');
});
