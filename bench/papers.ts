/** What papers cost: a list of 20,000 rows understood and written, a service record drawn, a workbook of 100,000 entries. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import type { Entry } from '../src/core/logbook/entry';
import { type Logbook } from '../src/core/logbook/logbook';
import { dayOf } from '../src/core/quantity/day';
import { SHIPPED_PACKS } from '../src/core/rules/packs/shipped';
import { demoStory } from '../src/demo/story';
import { makePapers } from '../src/papers/make';
import { systemClock } from '../src/server/clock';
import { outWorksheets } from '../src/server/exports/tables';
import { workbookOf } from '../src/server/exports/write';
import { knownOfFile } from '../src/server/imports/fileKnown';
import { plannedOf } from '../src/server/imports/plan';
import { readWorksheets } from '../src/server/imports/readWorksheets';
import { knownOfStore, knownStore } from '../src/server/imports/storeKnown';
import { loadLogbook } from '../src/server/exports/logbooks';
import { fileRecords } from '../src/server/papers/fileRecords';
import { pdfOf } from '../src/server/papers/pdf';
import { stampOf } from '../src/server/papers/stamp';
import { openServices } from '../src/server/services';
import { type Comparison, compare } from './measure';
import { randomEntries } from './stories';

const TODAY = '2026-11-23';
const ROWS = 20_000;
const MACHINES = 40;
const ENTRIES = 100_000;
const FEW = { runs: 3, warmUp: 1 };

const company = (machines: number): Logbook => ({
  format: 'green-abacus-logbook',
  version: 1,
  sites: [{ id: 's', name: 'Pier 9', timezone: 'America/Chicago', packs: ['us-hfc'] }],
  people: [{ id: 'p', name: 'Marit Solane' }],
  appliances: Array.from({ length: machines }, (_, index) => ({
    id: `m${String(index)}`,
    siteId: 's',
    name: `Rack ${String(index)}`,
    kind: 'rack' as const,
    category: 'commercialRefrigeration' as const,
    refrigerant: 'R-448A',
  })),
  cylinders: [],
  entries: [],
});

/** Two years of gas of forty machines. */
const list = (): string =>
  `Date,Site,Machine,Gas,Added (lb),Reason,Technician,Note\n${Array.from({ length: ROWS }, (_, index) => {
    const day = `202${String(5 + (index % 2))}-${String(1 + (index % 10)).padStart(2, '0')}-${String(1 + (index % 28)).padStart(2, '0')}`;
    return `${day},Pier 9,Rack ${String(index % MACHINES)},448a,${String(1 + (index % 97) / 8)},top off,Marit Solane,row ${String(index)}`;
  }).join('\n')}\n`;

export async function benchPapers(): Promise<Comparison[]> {
  return [await understanding(), await writing(), await record(), await workbook()];
}

async function understanding(): Promise<Comparison> {
  const text = list();
  const logbook = company(MACHINES);
  const known = knownOfFile(logbook, systemClock(TODAY));
  return compare(
    `a list of ${ROWS.toLocaleString('en')} rows read, understood and judged`,
    'parsing its CSV alone',
    {
      subject: async () => {
        plannedOf(await readWorksheets(Buffer.from(text)), known, {}, 'log.csv', SHIPPED_PACKS);
      },
      baseline: () => {
        Papa.parse(text);
      },
      perRun: ROWS,
      unit: 'rows/s',
      ...FEW,
    },
  );
}

async function writing(): Promise<Comparison> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-import-'));
  let run = 0;
  const path = join(folder, 'log.csv');
  const text = list();
  writeFileSync(path, text);
  const compared = await compare(
    'the same written: sealed, stored, 40 machines judged',
    'writing its bytes to a file',
    {
      subject: async () => {
        const services = await openServices(
          `file:${join(folder, `${String((run += 1))}.db`)}`,
          systemClock(TODAY),
        );
        await loadLogbook(services, company(MACHINES));
        const store = knownStore(services.database.db, services.clock);
        const sheets = await readWorksheets(readFileSync(path));
        const { planned } = plannedOf(
          sheets,
          await knownOfStore(store, sheets),
          {},
          'log.csv',
          SHIPPED_PACKS,
        );
        await services.importWriting.write({
          id: 'i',
          by: 'p',
          name: 'log.csv',
          rows: planned,
          revisions: [],
          path,
          stopped: () => false,
          progress: () => undefined,
        });
        await services.close();
      },
      baseline: () => writeFileSync(join(folder, 'copy.csv'), text),
      perRun: ROWS,
      unit: 'rows/s',
      ...FEW,
    },
  );
  rmSync(folder, { recursive: true });
  return compared;
}

async function record(): Promise<Comparison> {
  const logbook = demoStory(dayOf(TODAY));
  const request = { document: 'serviceRecord' as const, visit: 'visit-kiosk' };
  const made = await makePapers(request, fileRecords(logbook));
  if (!made.ok) throw new Error(made.refusal);
  const { papers } = made.value;
  return compare('a service record drawn as PDF', 'putting its words together', {
    subject: async () => {
      await pdfOf({ papers, stamp: stampOf(request, made.value, null), photoPath: () => null });
    },
    baseline: async () => {
      await makePapers(request, fileRecords(logbook));
    },
    perRun: 1,
    unit: 'documents/s',
    runs: 9,
    warmUp: 3,
  });
}

async function workbook(): Promise<Comparison> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-workbook-'));
  const services = await openServices(`file:${join(folder, 'book.db')}`, systemClock(TODAY));
  const logbook = company(MACHINES);
  const entries: Entry[] = logbook.appliances.flatMap(({ id }, index) =>
    randomEntries(ENTRIES / MACHINES, index, id),
  );
  await loadLogbook(services, { ...logbook, entries });
  const compared = await compare(
    `a workbook of ${ENTRIES.toLocaleString('en')} entries`,
    'JSON.stringify of them',
    {
      subject: async () => {
        await workbookOf(
          await services.database.snapshot((db) =>
            outWorksheets(db, services.clock, {}, ['machines', 'gas', 'entries']),
          ),
        );
      },
      baseline: () => {
        JSON.stringify(entries);
      },
      perRun: ENTRIES,
      unit: 'entries/s',
      ...FEW,
      warmUp: 0,
    },
  );
  await services.close();
  rmSync(folder, { recursive: true });
  return compared;
}
