/** Examples in docstrings are executed: `expression` // => value, with what the module and `quantity` export. */
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';

const HERE = import.meta.dirname;
const EXAMPLE = /`([^`\n]+)` \/\/ => (.+?)\s*(?:\*\/)?$/gm;

const sources = (readdirSync(HERE, { recursive: true }) as string[]).filter(
  (path) => path.endsWith('.ts') && !path.includes('.test.') && !path.startsWith('testkit'),
);
const examples = sources.flatMap((path) =>
  [...readFileSync(join(HERE, path), 'utf8').matchAll(EXAMPLE)].map(
    ([, code = '', value = '']): [string, string, string] => [code, value, path],
  ),
);

type Scope = Record<string, unknown>;
const load = async (path: string) => (await import(join(HERE, path))) as Scope;
const quantities = async (): Promise<Scope> =>
  Object.assign(
    {},
    ...(await Promise.all(sources.filter((path) => path.startsWith('quantity')).map(load))),
  ) as Scope;

function evaluate(code: string, scope: Scope): unknown {
  const run = new Function(...Object.keys(scope), `return (${code});`) as (...values: unknown[]) => unknown;
  return run(...Object.values(scope));
}

test.each(examples)('%s is %s (%s)', async (code, value, path) => {
  const found = evaluate(code, { ...(await quantities()), ...(await load(path)) });
  const said = evaluate(value, {});
  // A figure is as exact as it is written.
  if (typeof said === 'number') expect(found).toBeCloseTo(said, value.split('.')[1]?.length ?? 6);
  else expect(found).toEqual(said);
});

test('there are some in every room that people call by hand', () => {
  const rooms = new Set(examples.map(([, , path]) => path.split('/')[0]));
  for (const room of ['quantity', 'refrigerant', 'logbook', 'rules', 'calculators', 'visit'])
    expect([...rooms]).toContain(room);
  expect(examples.length).toBeGreaterThanOrEqual(20);
});
