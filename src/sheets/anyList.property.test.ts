/** Any list at all: each row is ready, known, or wrong in a named column with a remedy; and what is ready can be written. */
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Logbook, readLogbook } from '../core/logbook/logbook';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { type Worksheet, textCell } from './cells';
import { MACHINE, SITE, known } from './known.testkit';
import { type ImportPlan, planImport } from './plan';
import { wouldExceed } from './wouldExceed';

const SEED = 20261127;
const HEADINGS = [
  'Date',
  'Day',
  'Site',
  'Machine',
  'Unit',
  'Refrigerant',
  'Added',
  'Added (lb)',
  'Recovered (kg)',
  'Technician',
  'Reason',
  'Notes',
  'Full charge',
  'Type',
  'Serial',
  'Method',
  'Certificate',
  'Installed',
  'Name',
  '',
  '???',
];
const CELLS = [
  '2026-03-14',
  '3/14/2026',
  '14.3.26',
  '31/31/2026',
  '0',
  '-3',
  '12.5',
  '1,5',
  '12 lb 6 oz',
  '5.4kg',
  '1e9',
  'Rack 1',
  'rack 1',
  'Rack 2',
  'Pier 9',
  'R448A',
  '404a',
  'R-9000',
  'Marit Solane',
  'top-off',
  'leak check',
  'lb',
  'not weighed: no scale',
  '=1+1',
  'ünïcödé',
  '\u0000',
  'x'.repeat(400),
  '',
  '',
  '',
];
const sheet = fc
  .tuple(
    fc.array(fc.constantFrom(...HEADINGS), { minLength: 1, maxLength: 8 }),
    fc.array(fc.array(fc.oneof(fc.constantFrom(...CELLS), fc.string({ maxLength: 12 })), { maxLength: 9 }), {
      maxLength: 8,
    }),
  )
  .map(([head, rows]): Worksheet => ({
    name: 'list',
    rows: [head, ...rows].map((cells, index) => ({ number: index + 1, cells: cells.map(textCell) })),
  }));

const logbookOf = ({ rows, entries }: ImportPlan): Logbook | { refusal: unknown } => {
  const of = (table: string): object[] => rows.filter((each) => each.table === table).map(({ row }) => row);
  const read = readLogbook({
    format: 'green-abacus-logbook',
    version: 1,
    sites: [SITE, ...of('sites')],
    people: [{ id: 'p', name: 'Marit Solane' }, ...of('people')],
    appliances: [MACHINE, ...of('appliances')],
    cylinders: of('cylinders'),
    owners: of('owners'),
    spaces: of('spaces'),
    entries,
  });
  return read.ok ? read.value : { refusal: read.refusal };
};

test('any list', { timeout: 60_000 }, () => {
  let ready = 0;
  fc.assert(
    fc.property(fc.array(sheet, { minLength: 1, maxLength: 2 }), (sheets) => {
      const plan = planImport(sheets, known([]), {}, 'log.csv');
      for (const { column, message, remedy } of plan.faulty) {
        expect([column, message.trim(), remedy.trim()].every((each) => typeof each === 'string')).toBe(true);
        expect(message.trim()).not.toBe('');
        expect(remedy).toMatch(/\S.*[.?]$/s);
      }
      const wrong = plan.understood.filter(({ faults }) => faults.length > 0).length;
      expect(plan.ready + plan.known + wrong).toBe(plan.understood.length);
      // What is ready, the format takes; and an import of the same is all known.
      expect(logbookOf(plan)).not.toHaveProperty('refusal');
      wouldExceed(plan, known([]), SHIPPED_PACKS);
      if (plan.rows.length === 0) {
        const again = planImport(sheets, known(plan.entries), {}, 'log.csv');
        expect([again.ready, again.known]).toEqual([0, plan.ready + plan.known]);
      }
      ready += plan.ready;
    }),
    { numRuns: 600, seed: SEED },
  );
  // The lists are not all nonsense.
  expect(ready).toBeGreaterThan(20);
});
