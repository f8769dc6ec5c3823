/** What the server refused stands at its field, where the form has it. */
import { expect, it } from 'vitest';
import { ApiProblem } from '../data/api/api';
import { refusedFields } from './refusedFields';

const refused = (...errors: { path: string; message: string }[]) =>
  new ApiProblem({ type: 'about:blank', title: 'Nothing was written.', status: 400, errors });

it('is told at the field that it names, and at the button where the form lacks it', () => {
  const taken = { path: '$.changes[0].row.name', message: 'exists already' };
  const keys = ['name', 'names', 'numbers'];
  expect(refusedFields(refused(taken), keys)).toEqual({ name: 'This exists already.' });
  expect(
    refusedFields(refused({ path: '$.changes[0].row.numbers[2].value', message: 'is empty' }), keys),
  ).toEqual({
    numbers: 'This is empty.',
  });
  expect(refusedFields(refused(taken, { path: '$.why', message: 'is missing' }), keys)).toBeNull();
  expect(refusedFields(new Error('no answer'), keys)).toBeNull();
  expect(refusedFields(null, keys)).toBeNull();
});
