/** The command lines as other programs call them: documents, exit codes, and nothing written where something is wrong. */
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const SAMPLE = 'src/core/rules/samples/exceedance.logbook.json';
const run = (command: string, ...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', `src/cli/${command}.ts`, ...args], {
    encoding: 'utf8',
    env: { ...process.env, ABACUS_TODAY: '2026-11-23' },
  });

let folder: string;
const path = (name: string): string => join(folder, name);
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'commands-'));
  writeFileSync(
    path('gas.csv'),
    'Date,Site,Machine,Gas,Added,Recovered,Unit,Technician\n2026-11-20,Almery Fish Hall,rack B,507a,30,,lb,Marit Solane\n2026-11-21,Almery Fish Hall,rack B,R-507A,,5.5,lb,Marit Solane\n',
  );
});
afterAll(() => rmSync(folder, { recursive: true }));

describe('issue', () => {
  const FILE = [
    '--document',
    'leakRepairFile',
    '--machine',
    'rack-b',
    '--pack',
    'us-hfc',
    '--opened',
    '2026-04-12',
  ];

  it('writes a PDF as of the last day of the file', () => {
    expect(run('issue', SAMPLE, ...FILE, '--out', path('a.pdf')).status).toBe(0);
    const text = spawnSync('pdftotext', ['-layout', path('a.pdf'), '-'], { encoding: 'utf8' }).stdout;
    expect(text).toContain('as of 13 Nov 2026');
    expect(text).toContain('38 % a year');
    // It has a number, and nobody can look that number up.
    expect(text).toMatch(/Number: +LR-[0-9A-Z]{6}, version 1/);
    expect(text).toContain('not registered: no logbook knows it under this number');
  });

  it.each([
    [['--document', 'serviceRecord', '--visit', 'none'], /nothing of such a visit/],
    [['--document', 'chronicReport', '--machine', 'rack-b'], /--year is missing/],
  ])('%s exits 2 with a sentence, and writes nothing', (args, words) => {
    const out = path('never.pdf');
    const done = run('issue', SAMPLE, ...args, '--out', out);
    expect([done.status, done.stdout, existsSync(out)]).toEqual([2, '', false]);
    expect(done.stderr).toMatch(words);
  });
});

describe('import', () => {
  it('says what it would do, and writes it into a logbook; the second time it is known', () => {
    cpSync(SAMPLE, path('book.json'));
    const dry = run('import', path('gas.csv'), '--logbook', path('book.json'), '--dry-run');
    expect(dry.status).toBe(0);
    expect(JSON.parse(dry.stdout)).toEqual({
      columns: {
        Date: 'on',
        Site: 'siteId',
        Machine: 'applianceId',
        Gas: 'refrigerant',
        Added: 'added',
        Recovered: 'recovered',
        Unit: 'unit',
        Technician: 'by',
      },
      rows: 2,
      ready: 2,
      known: 0,
      faulty: [],
      // 30 lb of 820 lb, 51 days after 30 September: 3.658537 % × 365/51.
      would: [
        { machine: 'rack B', site: 'Almery Fish Hall', on: '2026-11-20', percent: 26.183644, limit: 20 },
      ],
    });
    expect(readFileSync(path('book.json'), 'utf8')).toBe(readFileSync(SAMPLE, 'utf8'));
    expect(run('import', path('gas.csv'), '--logbook', path('book.json')).status).toBe(0);
    const again = run('import', path('gas.csv'), '--logbook', path('book.json'));
    expect(JSON.parse(again.stdout)).toMatchObject({ ready: 0, known: 2 });
    const computed = run('compute', path('book.json'), '--as-of', '2026-11-23');
    expect(computed.stdout).toContain('26.183644');
  });

  it('with faulty rows exits 2 and writes nothing, unless they are to be left out', () => {
    cpSync(SAMPLE, path('faulty.json'));
    writeFileSync(
      path('faulty.csv'),
      `${readFileSync(path('gas.csv'), 'utf8')}2026-11-22,Almery Fish Hall,rack C,507a,3,,lb,\n`,
    );
    const done = run('import', path('faulty.csv'), '--logbook', path('faulty.json'));
    expect([done.status, readFileSync(path('faulty.json'), 'utf8')]).toEqual([
      2,
      readFileSync(SAMPLE, 'utf8'),
    ]);
    expect(JSON.parse(done.stdout)).toMatchObject({
      ready: 2,
      faulty: [{ row: 4, column: 'Machine', remedy: expect.stringContaining('rack B') as string }],
    });
    const out = run('import', path('faulty.csv'), '--logbook', path('faulty.json'), '--leave-out-faulty');
    expect(out.status).toBe(2);
    const logbook = JSON.parse(readFileSync(path('faulty.json'), 'utf8')) as { entries: unknown[] };
    expect(logbook.entries.length).toBe(15);
  });

  it('takes a mapping by headings', () => {
    writeFileSync(path('odd.csv'), 'When;Which;How much\n03/04/2026;rack B;1,5\n');
    writeFileSync(
      path('map.json'),
      JSON.stringify({
        columns: { When: 'on', Which: 'applianceId', 'How much': 'added' },
        units: { 'How much': 'kg' },
        dates: 'dmy',
      }),
    );
    const done = run(
      'import',
      path('odd.csv'),
      '--logbook',
      SAMPLE,
      '--mapping',
      path('map.json'),
      '--dry-run',
    );
    expect([done.status, JSON.parse(done.stdout)]).toMatchObject([0, { ready: 1 }]);
  });

  it('refuses what is no list with a word on standard error', () => {
    writeFileSync(path('x.xlsx'), '%PDF-1.7');
    const done = run('import', path('x.xlsx'), '--dry-run');
    expect([done.status, done.stdout]).toEqual([2, '']);
    expect(done.stderr).toContain('This is a PDF.');
  });
});

describe('a data folder', () => {
  it('is filled, verified, copied, brought back and taken out', () => {
    const data = path('data');
    expect(run('import', path('gas.csv'), '--into', data, '--logbook', SAMPLE).status).toBe(0);
    expect(JSON.parse(run('verify', '--data', data).stdout)).toMatchObject({ entries: 15, intact: true });
    expect(run('backup', '--data', data, '--into', path('copy')).status).toBe(0);
    expect(JSON.parse(run('restore', path('copy'), '--into', path('back')).stdout)).toMatchObject({
      entries: 15,
      intact: true,
    });
    for (const name of ['out.json', 'out.xlsx'])
      expect([name, run('export', '--data', path('back'), '--out', path(name)).status]).toEqual([name, 0]);
    expect(JSON.parse(run('verify', path('out.json')).stdout)).toMatchObject({
      entries: 15,
      intact: true,
      notSealed: 0,
    });
    const text = readFileSync(path('out.json'), 'utf8').replace('"value":30', '"value":3');
    writeFileSync(path('altered.json'), text);
    const altered = run('verify', path('altered.json'));
    expect([altered.status, (JSON.parse(altered.stdout) as { intact: boolean }).intact]).toEqual([1, false]);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  }, 90_000);

  it('that is none is said to be none', () => {
    const done = run('restore', path('none'), '--into', path('x'));
    expect([done.status, done.stderr]).toEqual([2, expect.stringContaining('green-abacus.db')]);
  });
});

it.each(['backup', 'export'])('%s explains itself', (command) => {
  const done = run(command, '--help');
  expect([done.status, done.stdout.includes(`npm run --silent ${command}`)]).toEqual([0, true]);
});
