/** No id of ours stands on a screen: parts, leaks and bottles are called what people call them. */
import { describe, expect, test } from 'vitest';
import { LAYOUTS, circuitMap } from '../core/circuit/layouts';
import { NO_NAMES, cylinderWords, leakWords, leaksWords, partWordsOf, type Names } from './names';

const ID = '0197a3f2-6c1e-7000-8000-00000000c0de';
const NAMES: Names = {
  parts: new Map([['room1.flareNut', 'Flare nut, bulb room']]),
  leaks: new Map([
    [ID, 'k3'],
    ['k1', 'k1'],
  ]),
  bottles: new Map([['bottle-5', 'B-05']]),
};

describe('what things are called', () => {
  test('by their names where these are known', () => {
    expect(partWordsOf(NAMES, 'room1.flareNut')).toBe('Flare nut, bulb room');
    expect(leakWords(NAMES, ID)).toBe('leak k3');
    expect(leaksWords(NAMES, ['k1', ID])).toBe('leaks k1, k3');
    expect(cylinderWords(NAMES, 'bottle-5')).toBe('bottle B-05');
  });
  test('without names never by an id: a part is spoken, a leak made by machine has none', () => {
    expect(partWordsOf(NO_NAMES, 'room12.expansionValve')).toBe('expansion valve');
    expect(partWordsOf(NO_NAMES, 'capillaryJoint')).toBe('capillary joint');
    expect(leakWords(NO_NAMES, ID)).not.toContain('0197');
    expect(leakWords(NO_NAMES, 'k2')).toBe('leak k2');
  });
  test('what somebody typed stays as it was typed', () => {
    for (const typed of ['Drier, unit', 'king valve', 'CU-7', 'valve 3'])
      expect(partWordsOf(NO_NAMES, typed)).toBe(typed);
  });
  test.each(LAYOUTS)('no part of %s would show its id', (layout) => {
    for (const part of circuitMap(layout, ['meat', 'dairy']).parts)
      expect(partWordsOf(NO_NAMES, part.id)).toMatch(/^[a-z ]+$/);
  });
});
