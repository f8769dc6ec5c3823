/** What is taken out can be brought in again: the logbook exactly, a part whole, tables row by row. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { OUT_TABLES } from '../../contract/exports';
import { type Logbook, readLogbook } from '../../core/logbook/logbook';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { type ServedStory, serveStory } from '../../demo/servedStory';
import { staysOutWords } from '../../words/staysOut';
import { systemClock } from '../clock';
import { knownOfFile } from '../imports/fileKnown';
import { plannedOf } from '../imports/plan';
import { readWorksheets } from '../imports/readWorksheets';
import { unzipped } from '../imports/unzip';
import { exported } from '../exported.testkit';
import { added, entry, machine, openCompany, site } from '../company.testkit';
import { type OutWorksheet, outWorksheets } from './tables';
import { csvOf, workbookOf, zipOf } from './write';

let story: ServedStory;
let whole: Logbook;
beforeAll(async () => {
  story = await serveStory('2026-11-23');
  whole = await taken({});
}, 60_000);
afterAll(() => story.close());

const taken = (scope: object): Promise<Logbook> => exported(story.services, scope);

describe('a part of the logbook', () => {
  it('of a site holds its machines with all their entries, and nothing of others', async () => {
    const part = await taken({ site: 'fish-hall' });
    expect(part.sites.map(({ id }) => id)).toEqual(['fish-hall']);
    const own = whole.appliances.filter(({ siteId }) => siteId === 'fish-hall').map(({ id }) => id);
    expect(part.appliances.map(({ id }) => id).sort()).toEqual([...own].sort());
    expect(part.entries.length).toBe(
      whole.entries.filter(({ applianceId }) => own.includes(applianceId ?? '')).length,
    );
    expect(part.entries.length).toBeGreaterThan(10);
  });

  it('of a period leaves no correction alone', async () => {
    const part = await taken({ from: '2026-11-01', to: '2026-11-23' });
    const ids = new Set(part.entries.map(({ id }) => id));
    expect(part.entries.every(({ supersedes }) => supersedes == null || ids.has(supersedes))).toBe(true);
    expect(part.entries.length).toBeLessThan(whole.entries.length);
    expect((part as Logbook & { 'x-part'?: object })['x-part']).toEqual({
      from: '2026-11-01',
      to: '2026-11-23',
    });
  });

  it('leaves out what it says stays: of an owner instruments too, of a period only issued documents', async () => {
    const told = (part: Logbook) => ['x-issued', 'x-instruments'].map((key) => key in part);
    const gauge = { id: 'gauge', name: 'gauge', dimension: 'pressure', offset: 0 } as const;
    await story.services.rows.change([{ table: 'instruments', id: 'gauge', row: gauge }], {
      by: 'marit',
      why: null,
    });
    const request = { document: 'fullCharge', machine: 'rack-a' } as const;
    await story.services.issuing.issue({ id: 'paper', request, by: 'marit', to: 'the owner', answers: {} });
    expect(told(await taken({}))).toEqual([true, true]);
    expect(told(await taken({ from: '2026-11-01' }))).toEqual([false, true]);
    expect(told(await taken({ site: 'fish-hall' }))).toEqual([false, false]);
    expect(staysOutWords({ from: '2026-11-01' }).join()).not.toContain('instruments');
    expect(staysOutWords({ site: 'fish-hall' }).join()).toMatch(/instruments.*Documents that were issued/);
    expect(staysOutWords({}).join()).not.toMatch(/instruments|issued/);
  });

  it('of an owner holds the owner’s sites', async () => {
    const owner = whole.sites.find(({ ownerId }) => ownerId != null)?.ownerId ?? '';
    const part = await taken({ owner });
    expect(part.sites.length).toBeGreaterThan(0);
    expect(part.sites.every((site) => site.ownerId === owner)).toBe(true);
  });
});

describe('tables', () => {
  const sheetsOf = (tables = OUT_TABLES) =>
    outWorksheets(story.services.database.db, story.services.clock, {}, tables);

  it('of machines, gas and inspections are all known when they are brought in again', async () => {
    const known = knownOfFile(whole, systemClock('2026-11-23'));
    for (const table of ['machines', 'gas', 'inspections'] as const) {
      const [sheet] = await sheetsOf([table] as never);
      if (!sheet) throw new Error(table);
      const read = await readWorksheets(Buffer.from(csvOf(sheet)));
      const { preview } = plannedOf(read, known, {}, `${table}.csv`, SHIPPED_PACKS);
      expect([table, preview.ready, preview.known, preview.faulty.slice(0, 2)]).toEqual([
        table,
        0,
        sheet.rows.length,
        [],
      ]);
      expect(sheet.rows.length).toBeGreaterThan(5);
    }
  });

  it('as a workbook say the same as one by one', async () => {
    const sheets = await sheetsOf();
    const read = await readWorksheets(await workbookOf(sheets));
    expect(read.map(({ name }) => name)).toEqual([...OUT_TABLES]);
    const gas = sheets.find(({ name }) => name === 'gas');
    const back = read.find(({ name }) => name === 'gas');
    expect(back?.rows.length).toBe((gas?.rows.length ?? 0) + 1);
    expect(back?.rows[1]?.cells[0]).toEqual({
      text: (gas?.rows[0]?.[0] as { day: string }).day,
      type: 'date',
    });
    const known = knownOfFile(whole, systemClock('2026-11-23'));
    const { preview } = plannedOf(
      read.filter(({ name }) => ['machines', 'gas'].includes(name)),
      known,
      {},
      'x',
      SHIPPED_PACKS,
    );
    expect([preview.ready, preview.faulty]).toEqual([0, []]);
  });

  it('give each row of gas its refrigerant, full charge and rate, one unit a column, and filters over all', async () => {
    const company = await openCompany();
    await company.addSite(site('s'));
    await company.addMachine(machine('m', 's', { name: 'Rack 1', installedOn: '2020-01-01' }), 100);
    await company.services.appending.append([
      added('a', 'm', 10, { on: '2026-01-01' }),
      entry('r', 'm', {
        kind: 'refrigerantRecovered',
        mass: { value: 2, unit: 'kg' },
        reason: 'repair',
        on: '2026-02-01',
      }),
      added('b', 'm', 0, { on: '2026-06-30', mass: null, massUnknown: 'scale broken' }),
    ]);
    const { database, clock } = company.services;
    const [gas] = await outWorksheets(database.db, clock, {}, ['gas']);
    const told = gas?.rows.map((row) =>
      Object.fromEntries(
        gas.head.map((heading, column) => [heading.replace(' (worked out)', ''), row[column]]),
      ),
    );
    // 10 lb of 100 lb, more than a year after the installation: 10 % a year; 1 lb is 0.45359237 kg.
    const charge = { 'Full charge, kg': 45.3592, 'Full charge, lb': 100, Refrigerant: 'R-448A' };
    expect(told).toMatchObject([
      { ...charge, 'Amount, kg': 4.5359, 'Amount, lb': 10, 'Leak rate, % a year': 10, 'Limit, % a year': 20 },
      {
        ...charge,
        Amount: 2,
        Unit: 'kg',
        'Amount, kg': 2,
        'Amount, lb': 4.4092,
        'Leak rate, % a year': null,
      },
      {
        ...charge,
        Amount: 'not weighed: scale broken',
        'Amount, kg': null,
        'Leak rate, % a year': 'cannot be judged',
      },
    ]);
    // Of a part of the logbook the rates are those of the whole.
    const [part] = await outWorksheets(database.db, clock, { from: '2026-06-01' }, ['gas']);
    expect(part?.rows).toEqual(gas?.rows.slice(2));
    const book = await unzipped(await workbookOf([gas as OutWorksheet]), {
      total: 1e8,
      entries: 99,
      wants: () => true,
    });
    expect(book.get('xl/worksheets/sheet1.xml')?.toString()).toContain('<autoFilter ref="A1:R4"/>');
    await company.close();
  });

  it('never hand a formula to a spreadsheet, and keep numbers below zero', () => {
    const text = csvOf({
      name: 'gas',
      head: ['a', 'b', 'c', 'd'],
      rows: [['=HYPERLINK(1)', '@x', '-12', '+x']],
    });
    expect(text).toBe(`\uFEFFa,b,c,d\r\n"'=HYPERLINK(1)","'@x",-12,"'+x"\r\n`);
  });
});

describe('the zip', () => {
  it('whose reading fails in the middle, as when somebody leaves a download, ends by itself alone', async () => {
    const closed = new Proxy({} as typeof story.services.database.db, {
      get: () => {
        throw new Error('The transaction is closed');
      },
    });
    const read = async () => {
      for await (const _ of zipOf(closed, story.services.clock, {}, tmpdir())) continue;
    };
    // An error that nobody hears would end the process of a real server.
    await expect(read()).rejects.toThrow('The transaction is closed');
  });

  it('holds the logbook and whatever it names that is there', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'zip-'));
    const file = `${'b'.repeat(64)}.jpg`;
    for (const name of [file, `${'c'.repeat(64)}.jpg`])
      await story.services.photos.keep(name, Buffer.from('picture'));
    await story.services.appending.append([
      {
        id: 'with-photo',
        kind: 'photo',
        on: '2026-11-20',
        by: 'marit',
        applianceId: 'rack-a',
        attachments: [file, `${'c'.repeat(64)}.jpg`],
      } as never,
    ]);
    writeFileSync(join(folder, file), 'picture');
    const parts: Buffer[] = [];
    for await (const part of zipOf(story.services.database.db, story.services.clock, {}, folder))
      parts.push(part as Buffer);
    const found = await unzipped(Buffer.concat(parts), { total: 1e9, entries: 100, wants: () => true });
    expect(readLogbook(JSON.parse(found.get('logbook.json')?.toString() ?? '')).ok).toBe(true);
    // What is named and not there is left out, and the rest comes all the same.
    expect([...found.keys()]).toEqual(['logbook.json', `attachments/${file}`]);
    expect(found.get(`attachments/${file}`)?.toString()).toBe('picture');
    rmSync(folder, { recursive: true });
  });
});
