/** Numbers with their words. */
import { expect, test } from 'vitest';
import { countWords, ofCount, timesWords, withArticle } from './counts';

test('one is one, none and many are many', () => {
  expect([0, 1, 2, 1204].map((count) => countWords(count, 'entry', 'entries'))).toEqual([
    '0 entries',
    '1 entry',
    '2 entries',
    '1,204 entries',
  ]);
  expect([countWords(1, 'leak'), countWords(3, 'leak'), ofCount(1, 'is', 'are')]).toEqual([
    '1 leak',
    '3 leaks',
    'is',
  ]);
  expect([timesWords(1), timesWords(2)]).toEqual(['once', '2 times']);
});

test('an owner, a site', () => {
  expect(['owner', 'site', 'instrument'].map(withArticle)).toEqual(['an owner', 'a site', 'an instrument']);
});
