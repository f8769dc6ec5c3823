/** Whatever somebody typed with an entry of a visit stands on the service record and on the record of the machine, whole. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { PaperRequest } from '../contract/papers';
import type { Form } from '../record/forms';
import { WITH_FORM, written } from '../record/randomEntries.testkit';
import { storyOf, topOff } from '../core/testkit/facts';
import { CASE_KINDS } from '../record/caseLane';
import { readOrNull } from '../core/testkit/randomLogbooks';
import type { Row } from '../core/testkit/naive';
import { fileRecords } from '../server/papers/fileRecords';
import { makePapers } from './make';
import { PAPER_OF_ENTRY, allOf, sent } from './paper.testkit';

const SAMPLES = 25;
const PAPERS: readonly PaperRequest[] = [
  { document: 'serviceRecord', visit: 'v' },
  { document: 'machineRecord', machine: 'a' },
];
const SITE = {
  id: 's',
  kind: '',
  on: '',
  name: 'Pier',
  timezone: 'America/Chicago',
  packs: ['us-hfc' as const],
};
const MACHINE = {
  id: 'a',
  kind: 'rack',
  on: '',
  siteId: 's',
  name: 'Rack',
  refrigerant: 'R-448A',
  category: 'commercialRefrigeration',
};
/** Fields whose text is the id of another entry. */
const NAMES_AN_ENTRY = ['partFitted removes', 'stain stain'];
/** Types of field that are no text of their own: their values are told in the units and words of their choices. */
const CHOSEN = ['measure', 'mass', 'date', 'choice', 'check', 'many', 'leaks', 'partsLeftOut', 'pressure'];
const IDS = ['leak', 'newLeak', 'year'];

/** Texts in an entry with the path to each. */
function textsIn(value: unknown, path = ''): [path: string, text: string][] {
  if (typeof value === 'string') return [[path, value]];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([key, inner]) =>
    textsIn(inner, path === '' ? key : `${path}.${key}`),
  );
}

function typedIn(row: Row, { fields }: Form): [string, string][] {
  const own = new Set(
    fields.flatMap(({ key, type }) => (CHOSEN.includes(type) || IDS.includes(type) ? [] : key)),
  );
  return textsIn(row).filter(
    ([path]) => own.has(path) || path.endsWith('.notDone') || path === 'note' || path === 'caseNote',
  );
}

/** Holds every text of random entries of a form against what papers say of a logbook with it. */
async function holdsAll(
  [name, kind, form]: (typeof WITH_FORM)[number],
  papers: readonly PaperRequest[],
  before: readonly Row[] = [],
  on: Partial<Row> = {},
): Promise<number> {
  let told = 0;
  for (const entry of fc.sample(written(kind, form), { numRuns: SAMPLES, seed: 20261127 })) {
    const row: Row = { ...sent(entry), id: 'e9001', visitId: 'v', ...on };
    const typed = typedIn(row, form).filter(([path]) => !NAMES_AN_ENTRY.includes(`${name} ${path}`));
    const logbook = readOrNull({ site: SITE, appliance: MACHINE, entries: [...before, row] });
    // What the format refuses never gets into a logbook.
    if (!logbook) continue;
    for (const request of papers) {
      const made = await makePapers(request, fileRecords(logbook));
      if (!made.ok) throw new Error(made.refusal);
      const all = made.value.papers.flatMap(allOf).join('\n').toLowerCase();
      for (const [path, text] of typed) {
        told += 1;
        expect(all, `${request.document}: ${path}`).toContain(text.toLowerCase());
      }
    }
  }
  return told;
}

test.each(WITH_FORM)('of a visit: %s', async (...form) => {
  // Every form lets at least a note be typed.
  expect(await holdsAll(form, PAPERS)).toBeGreaterThan(3);
});

const EXCEEDED = storyOf([topOff('2026-01-01', 3), topOff('2026-05-01', 30)]) as unknown as Row[];

test.each(WITH_FORM.filter(([, kind]) => CASE_KINDS.includes(kind)))('of a case: %s', async (...form) => {
  const file = { document: 'leakRepairFile', machine: 'a', pack: 'us-hfc', opened: '2026-05-01' } as const;
  expect(await holdsAll(form, [file], EXCEEDED, { on: '2026-06-15', at: null })).toBeGreaterThan(0);
});

test.each(WITH_FORM.filter(([, kind]) => kind in PAPER_OF_ENTRY))('of its own paper: %s', async (...form) => {
  const document = PAPER_OF_ENTRY[form[1] as keyof typeof PAPER_OF_ENTRY];
  const on = { on: '2026-06-15', at: null };
  expect(await holdsAll(form, [{ document, entry: 'e9001' }], EXCEEDED, on)).toBeGreaterThan(0);
});

test('of a determination of the full charge', async () => {
  const form = WITH_FORM.find(([, kind]) => kind === 'fullChargeSet');
  if (!form) throw new Error('no form');
  expect(await holdsAll(form, [{ document: 'fullCharge', machine: 'a' }])).toBeGreaterThan(0);
});
