/** Words of the drawing: parts told apart, why it cannot be changed so, and what a leaky valve lets in. */
import { expect, test } from 'vitest';
import type { ChangeRefusal } from '../core/circuit/changes';
import type { MapPart } from '../core/circuit/map';
import { changeRefusalWords, partWords, passingWords } from './circuit';

const part = (more: Partial<MapPart>): MapPart => ({ id: 'p', type: 'ballValve', where: 'lines', ...more });

test('a part is told by its name, else by its type, with its number where it is not the first', () => {
  expect(partWords(part({}))).toBe('Ball valve, lines');
  expect(partWords(part({ nth: 2 }))).toBe('Ball valve 2, lines');
  expect(partWords(part({ nth: 2, name: 'aisle 9' }))).toBe('aisle 9, lines');
  expect(partWords(part({ id: 'circuit1.liquidBallValve' }))).toBe('Liquid ball valve, lines');
});

test('a section behind a valve that leaks by says to what it is open, each place once', () => {
  const beyond = [part({ where: 'machine room' }), part({ where: 'machine room' }), part({ where: 'dairy' })];
  expect(passingWords({ valves: [part({})], beyond })).toBe(
    'ball valve, lines does not hold: open to machine room and dairy',
  );
  expect(passingWords({ valves: [part({}), part({ nth: 2 })], beyond: [part({ where: 'roof' })] })).toBe(
    'ball valve, lines and ball valve 2, lines do not hold: open to roof',
  );
});

const REFUSALS: { [Code in ChangeRefusal['code']]: [Extract<ChangeRefusal, { code: Code }>, RegExp] } = {
  unknownPart: [{ code: 'unknownPart', id: 'p' }, /touch the part again/],
  idTaken: [{ code: 'idTaken', id: 'p' }, /touch the part again/],
  notJoined: [{ code: 'notJoined', between: ['p', 'q'] }, /Touch the line again/],
  stubInFlow: [{ code: 'stubInFlow', id: 'p' }, /no gas flows through it/],
  oneAtATime: [{ code: 'oneAtATime' }, /one part/],
  notBetweenTwo: [{ code: 'notBetweenTwo', id: 'p' }, /one line in and one line out/],
  linesMeet: [{ code: 'linesMeet', id: 'p' }, /Take out what hangs/],
  toItself: [{ code: 'toItself', id: 'p' }, /two ends/],
  whichSide: [{ code: 'whichSide', id: 'p' }, /Before or behind/],
};
test.each(Object.values(REFUSALS))('a change that is refused for $code says what to do', (refusal, said) => {
  expect(changeRefusalWords(refusal)).toMatch(said);
});
