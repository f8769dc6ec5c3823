/** What a name in a list may mean: one spelled just so is that one; one that may mean several is asked about. */
import { expect, it } from 'vitest';
import { ByName } from './lookups';

const people = new ByName(
  [
    { id: 'a', name: 'Ane Müller' },
    { id: 'b', name: 'Ane Muller' },
    { id: 'c', name: 'Rack-1' },
  ],
  ({ name }) => [name],
);
const ids = (text: string): string[] => people.get(text).map(({ id }) => id);

it('goes by the exact spelling first, by what may be meant then, and never picks', () => {
  expect(ids('Ane Müller')).toEqual(['a']);
  expect(ids(' Ane Muller ')).toEqual(['b']);
  expect(ids('ANE MULLER')).toEqual(['a', 'b']);
  expect(ids('rack 1.')).toEqual(['c']);
  expect(ids('Rack 2')).toEqual([]);
});
