/** Papers of logbooks as unruly as real ones: nothing on them that is no word, and figures that a second reckoning gives. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Paper } from '../contract/paper';
import type { PaperRequest } from '../contract/papers';
import type { Logbook } from '../core/logbook/logbook';
import { PACK_IDS } from '../core/logbook/packNames';
import type { Row } from '../core/testkit/naive';
import { logbookOf, readOrNull, readableOf, scene } from '../core/testkit/randomLogbooks';
import { logbookStandings } from '../core/rules/standingDocument';
import { dayOf } from '../core/quantity/day';
import { WITH_FORM, written } from '../record/randomEntries.testkit';
import { fileRecords } from '../server/papers/fileRecords';
import { makePapers } from './make';
import { PAPER_OF_ENTRY, allOf, expectWords, sent } from './paper.testkit';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';

const SEED = Number(process.env['ABACUS_SEED'] ?? 20261127);
const YEARS = [2025, 2026, 2027];

/** Every paper that could be asked of a logbook of one machine. */
function requestsOf(logbook: Logbook): PaperRequest[] {
  const last = logbook.entries.reduce((latest, { on }) => (on > latest ? on : latest), '');
  const cases = logbookStandings(logbook, dayOf(last), SHIPPED_PACKS).appliances[0]?.cases ?? [];
  return [
    { document: 'machineRecord', machine: 'a' },
    { document: 'machineRecord', machine: 'a', from: '2026-01-01', to: '2026-06-30' },
    { document: 'fullCharge', machine: 'a' },
    { document: 'seasonal', machine: 'a' },
    ...YEARS.map((year) => ({ document: 'chronicReport' as const, machine: 'a', year })),
    ...PACK_IDS.map((pack) => ({ document: 'yearly' as const, pack, year: 2026 })),
    ...cases.map(({ pack, openedOn }) => ({
      document: 'leakRepairFile' as const,
      machine: 'a',
      pack,
      opened: openedOn,
    })),
    ...logbook.entries.flatMap(({ id, kind }) =>
      kind in PAPER_OF_ENTRY
        ? [{ document: PAPER_OF_ENTRY[kind as keyof typeof PAPER_OF_ENTRY], entry: id } as PaperRequest]
        : [],
    ),
  ];
}

/** Sum of effective additions of a year in pounds, by what stands in the rows themselves. */
function addedIn(entries: readonly Row[], year: number): { pounds: number; unweighed: number } {
  const superseded = new Set<string>();
  // A correction of a correction, or a void of a void, counts as the engine counts it: the last word stands.
  const superseding = entries.filter((row) => typeof row['supersedes'] === 'string');
  for (const row of superseding) superseded.add(row['supersedes'] as string);
  const effective = entries.filter(
    (row) => !superseded.has(row.id) && row.kind === 'refrigerantAdded' && row.on.startsWith(String(year)),
  );
  return {
    pounds: effective.reduce((sum, row) => sum + ((row['mass'] as { value: number } | null)?.value ?? 0), 0),
    unweighed: effective.filter((row) => row['mass'] == null).length,
  };
}

const textOf = (paper: Paper): string => allOf(paper).join('\n');

describe('every paper of a random logbook', () => {
  it(
    'says only what is a word, fills its tables, and says the same the second time',
    { timeout: 120_000 },
    () =>
      fc.assert(
        fc.asyncProperty(scene, async (s) => {
          const logbook = readableOf(logbookOf(s));
          for (const request of requestsOf(logbook)) {
            const made = await makePapers(request, fileRecords(logbook));
            if (!made.ok) {
              expect(made.refusal).toMatch(/^[A-Z].*\.$/);
              continue;
            }
            made.value.papers.forEach(expectWords);
            const again = await makePapers(request, fileRecords(logbook));
            expect(again.ok && again.value.papers).toEqual(made.value.papers);
          }
        }),
        { numRuns: 60, seed: SEED },
      ),
  );

  it('the yearly report sums what was added as the rows themselves do', { timeout: 60_000 }, () =>
    fc.assert(
      fc.asyncProperty(scene, fc.constantFrom(...YEARS), async (s, year) => {
        const { site, appliance, entries } = logbookOf({ ...s, corrections: [] });
        const logbook = readableOf({ site, appliance, entries });
        const records = { ...fileRecords(logbook), today: () => dayOf('2028-01-01') };
        for (const pack of s.packs) {
          const made = await makePapers({ document: 'yearly', pack, year }, records);
          if (!made.ok) throw new Error(made.refusal);
          const table = made.value.papers[0]?.blocks
            .flatMap(({ contents }) => contents)
            .find((content) => content.type === 'table');
          // A pack that never covered it in that year has no row of it.
          if (!table) continue;
          const cell = table.rows[0]?.[table.head.indexOf('Added')] ?? '';
          const { pounds, unweighed } = addedIn(entries, year);
          const [kilograms] = /[\d.,]+ kg/.exec(cell) ?? [];
          const told = kilograms ? Number(kilograms.replace(/,| kg/g, '')) / 0.45359237 : poundsOf(cell);
          expect(Math.abs(told - pounds), `${cell} against ${String(pounds)} lb`).toBeLessThan(0.05);
          expect(cell.includes('not weighed')).toBe(unweighed > 0);
        }
      }),
      { numRuns: 150, seed: SEED },
    ),
  );

  it('a void, however late, takes its entry off every paper of the machine', { timeout: 60_000 }, () =>
    fc.assert(
      fc.asyncProperty(scene, fc.nat(40), async (s, at) => {
        const { site, appliance, entries } = logbookOf({ ...s, corrections: [] });
        const target = entries[at % entries.length];
        if (!target || target.kind === 'fullChargeSet') return;
        const told: Row[] = entries.map((row) =>
          row === target ? { ...row, note: 'told by mistake' } : row,
        );
        const voided: Row = {
          id: 'x9',
          kind: 'void',
          on: target.on,
          by: 'p',
          supersedes: target.id,
          correctionReason: 'another machine',
        };
        const logbook = readableOf({ site, appliance, entries: [...told, voided] });
        for (const request of requestsOf(logbook).filter(({ document }) => document !== 'leakRepairFile')) {
          const made = await makePapers(request, fileRecords(logbook));
          if (!made.ok) continue;
          for (const paper of made.value.papers) {
            const outside = paper.blocks.filter(({ title }) => title !== 'Corrections');
            expect(textOf({ ...paper, blocks: outside }), request.document).not.toContain('told by mistake');
          }
        }
      }),
      { numRuns: 40, seed: SEED },
    ),
  );
});

/** `12 lb 6 oz` or `3 oz` as pounds. */
function poundsOf(words: string): number {
  const of = (unit: string) =>
    Number(new RegExp(`([\\d.,]+) ${unit}\\b`).exec(words)?.[1]?.replace(/,/g, '') ?? 0);
  return of('lb') + of('oz') / 16;
}

const anyNote = fc
  .constantFrom(...WITH_FORM)
  .chain(([, kind, form]) => written(kind, form))
  .map(sent);

it(
  'a visit of whatever notes is told in words on its record and on that of the machine',
  { timeout: 120_000 },
  async () => {
    let told = 0;
    await fc.assert(
      fc.asyncProperty(scene, fc.array(anyNote, { minLength: 1, maxLength: 12 }), async (s, notes) => {
        const { site, appliance, entries } = logbookOf({
          ...s,
          events: s.events.slice(0, 3),
          corrections: [],
        });
        const reads = (rows: Row[]) => readOrNull({ site, appliance, entries: [...entries, ...rows] });
        // What the format refuses never gets into a logbook.
        const taken = notes
          .map((row, index): Row => ({ ...row, id: `e9${String(index).padStart(3, '0')}`, visitId: 'v' }))
          .filter((row) => reads([row]) !== null);
        const logbook = reads(taken);
        if (!logbook || taken.length === 0) return;
        told += taken.length;
        for (const request of [
          { document: 'serviceRecord', visit: 'v' },
          { document: 'machineRecord', machine: 'a' },
        ] as const) {
          const made = await makePapers(request, fileRecords(logbook));
          if (!made.ok) throw new Error(made.refusal);
          made.value.papers.forEach(expectWords);
        }
      }),
      { numRuns: 120, seed: SEED },
    );
    expect(told).toBeGreaterThan(200);
  },
);
