/** Labels as a printer and a phone meet them: in their places, with words that fit, and a code that opens the machine. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { labelsQuery } from '../../contract/labels';
import { type Company, added, machine, openCompany, site } from '../company.testkit';

let company: Company;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'labels-'));
  company = await openCompany();
  await company.addSite(site('s', { name: 'Pier 9' }));
  await company.addMachine(machine('m', 's', { name: 'Rack 1' }), 100);
  await company.addMachine(machine('b', 's', { name: 'Chest', refrigerant: 'R-290' }), 1);
  await company.services.appending.append([added('g', 'm', 30, { on: '2026-06-01' })]);
  await company.services.rows.change(
    [
      {
        table: 'cylinders',
        id: 'c',
        row: {
          id: 'c',
          serial: 'B-07',
          refrigerant: 'R-290',
          tare: { value: 3.4, unit: 'kg' },
          waterCapacityL: 6.2,
        },
      },
    ],
    { by: 'p', why: null },
  );
});
afterAll(async () => {
  await company.close();
  rmSync(folder, { recursive: true });
});

async function printed(asked: object): Promise<{
  text: string;
  page: (number: number) => Promise<{ data: Uint8ClampedArray; width: number; height: number }>;
}> {
  const path = join(folder, 'labels.pdf');
  writeFileSync(
    path,
    await company.services.labels.pdf(labelsQuery.parse({ base: 'https://abacus.invalid/', ...asked })),
  );
  return {
    // Words of one label, however its lines break.
    text: execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' }).replace(/[^\S\f]+/g, ' '),
    page: async (number) => {
      execFileSync('pdftoppm', [
        '-r',
        '150',
        '-png',
        '-f',
        String(number),
        '-l',
        String(number),
        '-singlefile',
        path,
        join(folder, 'page'),
      ]);
      const { data, info } = await sharp(join(folder, 'page.png'))
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      return { data: new Uint8ClampedArray(data), width: info.width, height: info.height };
    },
  };
}

describe('labels', () => {
  it('carry a code that a phone reads, with the address of the machine', async () => {
    const label = await printed({ kind: 'machine', machine: 'm', sheet: 'single' });
    const { data, width, height } = await label.page(1);
    expect(jsQR(data, width, height)?.data).toBe('https://abacus.invalid/m/m');
    expect(label.text).toContain('Rack 1');
    expect(label.text).toContain('Pier 9');
  });

  it('of a charge say refrigerant, charge and what burns', async () => {
    expect((await printed({ kind: 'charge', machine: 'm' })).text).toMatch(
      /R-448A[\s\S]*Full charge 100 lb[\s\S]*1 Jan 2020/,
    );
    expect((await printed({ kind: 'charge', machine: 'b' })).text).toContain('R-290, flammable');
  });

  it('of a part and of a bottle', async () => {
    expect((await printed({ kind: 'part', machine: 'm', part: 'Drier', on: '2026-11-01' })).text).toMatch(
      /Drier[\s\S]*fitted 1 Nov 2026/,
    );
    expect((await printed({ kind: 'bottle', bottle: 'c' })).text).toMatch(
      /B-07[\s\S]*tare 3\.4 kg[\s\S]*6\.2 L/,
    );
  });

  it('warn only where a case is open', async () => {
    expect((await printed({ kind: 'doNotAdd', machine: 'm' })).text).toMatch(
      /Do not add gas: case open .*since 1 Jun 2026, US HFC rules .*scan and write what you do\./,
    );
    await expect(printed({ kind: 'doNotAdd', machine: 'b' })).rejects.toThrow(/no label to print/);
  });

  it('begin where the sheet has room, and go on over pages', async () => {
    const { text } = await printed({ kind: 'machine', machine: 'm', copies: 4, skip: 22 });
    expect(text.split('\f').filter((page) => page.trim() !== '').length).toBe(2);
    expect(text.match(/Rack 1/g)?.length).toBe(4);
  });

  it.each([
    [{ kind: 'machine' }, /needs|another look/],
    [{ kind: 'machine', machine: 'nowhere' }, /no such machine/],
    [{ kind: 'bottle', bottle: 'nowhere' }, /another look/],
  ])('%o is refused', async (asked, words) => {
    await expect(printed(asked)).rejects.toThrow(words);
  });
});
