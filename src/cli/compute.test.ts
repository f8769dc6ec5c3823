import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const SAMPLES = 'src/core/rules/samples';
const file = (name: string) => `${SAMPLES}/${name}.logbook.json`;
const expected = (name: string): unknown =>
  JSON.parse(readFileSync(`${SAMPLES}/${name}.expected.json`, 'utf8'));
const compute = (...args: string[]) =>
  spawnSync('npm', ['run', '--silent', 'compute', '--', ...args], { encoding: 'utf8' });

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'compute-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('compute', () => {
  it.each(['exceedance', 'seasonal', 'two-packs', 'handbook'])(
    'prints the document that belongs to the sample %s',
    (name) => {
      const printed = execFileSync(
        'npm',
        ['run', '--silent', 'compute', '--', file(name), '--as-of', '2026-11-23'],
        { encoding: 'utf8' },
      );
      expect(JSON.parse(printed)).toEqual(expected(name));
    },
  );

  it('prints one document a line for several files and for a list, and leaves out a bad one', () => {
    const bad = join(folder, 'bad.json');
    writeFileSync(bad, JSON.stringify({ format: 'green-abacus-logbook', version: 1 }));
    const list = join(folder, 'list.txt');
    writeFileSync(list, `${file('seasonal')}\n${bad}\n${file('two-packs')}\n`);
    const run = compute(`@${list}`, '--as-of', '2026-11-23');
    expect(run.status).toBe(2);
    expect(
      run.stdout
        .trim()
        .split('\n')
        .map((line) => (JSON.parse(line) as { file: string }).file),
    ).toEqual([file('seasonal'), file('two-packs')]);
    expect(run.stderr).toContain(`${bad}: $.sites: is missing`);
    const [first] = run.stdout.split('\n');
    expect(JSON.parse(first ?? '')).toEqual({ file: file('seasonal'), ...(expected('seasonal') as object) });
  });

  it('says what is wrong with a bad file, prints nothing, and exits 2', () => {
    const bad = join(folder, 'broken.json');
    writeFileSync(bad, '{ "format": ');
    const run = compute(bad, '--as-of', '2026-11-23');
    expect([run.status, run.stdout]).toEqual([2, '']);
    expect(run.stderr).toContain('cannot be read as JSON');
  });

  it.each([[['--as-of', '2026-02-30']], [[]], [['--as-of']]])('exits 2 without a good day: %j', (args) => {
    const run = compute(file('seasonal'), ...args);
    expect([run.status, run.stdout]).toEqual([2, '']);
    expect(run.stderr).toContain('as-of');
  });
});
