/** Names as they are compared, sorted and found. */
import { describe, expect, it } from 'vitest';
import { nameKey, searchQuestion, searchWords, sortKey, wordsOf } from './keys';

describe('two names', () => {
  it('are one whatever their case and the blanks around them', () => {
    expect(nameKey('  Rack B ')).toBe(nameKey('rack b'));
    expect(nameKey('Rack B')).not.toBe(nameKey('Rack 8'));
    // An umlaut makes another name, though it is sorted beside it.
    expect(nameKey('Müller')).not.toBe(nameKey('Muller'));
  });
});

describe('names are sorted as people read', () => {
  it.each([
    [
      ['Rack 10', 'rack 2', 'Rack 1', 'Rack 02'],
      ['Rack 1', 'Rack 02', 'rack 2', 'Rack 10'],
    ],
    [
      ['Öl', 'Zebra', 'oak', 'Apfel'],
      ['Apfel', 'oak', 'Öl', 'Zebra'],
    ],
    [
      ['Hall 9 freezer 27', 'Hall 10 freezer 1', 'Hall 9 freezer 3'],
      ['Hall 9 freezer 3', 'Hall 9 freezer 27', 'Hall 10 freezer 1'],
    ],
  ])('%j', (given, wanted) => {
    const sorted = [...given].sort((a, b) =>
      sortKey(a) < sortKey(b) ? -1 : sortKey(a) > sortKey(b) ? 1 : 0,
    );
    expect(sorted.map(sortKey)).toEqual(wanted.map(sortKey));
    expect([...sorted].sort()).toEqual([...wanted].sort());
  });
});

describe('a search', () => {
  it('knows what is written with and without its signs', () => {
    const words = searchWords('Kühlzelle 3', 'Almery Fish-Hall', 'R-448A', null, undefined);
    expect(words.split(' ')).toEqual(
      expect.arrayContaining(['kuhlzelle', '3', 'almery', 'fish', 'hall', 'fishhall', 'r', '448a', 'r448a']),
    );
  });
  it('asks for beginnings of all its words, and for nothing where there are none', () => {
    expect(searchQuestion('Rack  b')).toBe('"rack"* "b"*');
    expect(searchQuestion(' – ')).toBeNull();
    expect(wordsOf('')).toEqual([]);
  });
  it.each(['"', 'a" OR "b', "'; drop table standings; --", 'NEAR(a b)', '*', '(', 'a AND b', ':'])(
    'takes %s as words, never as an order to the database',
    (text) => {
      expect(searchQuestion(text) ?? '').toMatch(/^("[\p{L}\p{N}]+"\* ?)*$/u);
    },
  );
});
