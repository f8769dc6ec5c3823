/** Before and after stand together; a photo without its other half stands alone, and none is shown twice. */
import { expect, test } from 'vitest';
import { note, standing } from '../core/testkit/facts';
import { pairsOf, photosOf } from './photos';

const photo = (file: string, rest: object = {}) =>
  note('photo', '2026-11-23', { tool: 'picture', file, ...rest });
const groups = (...facts: ReturnType<typeof photo>[]): string[][] =>
  pairsOf(photosOf(standing(facts, '2026-11-23').history.entries)).map((group) =>
    group.map((each) => each.note.file),
  );

test.each<[string, ReturnType<typeof photo>[], string[][]]>([
  ['none', [], []],
  ['alone', [photo('a')], [['a']]],
  ['a pair', [photo('a', { pair: 'before' }), photo('b', { pair: 'after', of: 'a' })], [['a', 'b']]],
  [
    'an after whose before is not of this visit stands alone, last',
    [photo('b', { pair: 'after', of: 'gone' }), photo('a')],
    [['a'], ['b']],
  ],
  [
    'two afters of one before: the first makes the pair',
    [
      photo('a', { pair: 'before' }),
      photo('b', { pair: 'after', of: 'a' }),
      photo('c', { pair: 'after', of: 'a' }),
    ],
    [['a', 'b'], ['c']],
  ],
])('%s', (_, facts, expected) => {
  expect(groups(...facts)).toEqual(expected);
});
