/** Whole lists: what is understood, what is known, what is wrong and how it is put right, and what would follow. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { bearingByMachine } from '../core/logbook/order';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { type Cell, type Worksheet, textCell } from './cells';
import { type Mapping, mappingFrom, mappingSchema } from './mapping';
import { CHARGE, MACHINE, SITE, known } from './known.testkit';
import { planImport } from './plan';
import { wouldExceed } from './wouldExceed';

const sheet = (text: string, name = 'list'): Worksheet => ({
  name,
  rows: text
    .trim()
    .split('\n')
    .map((line, index) => ({ number: index + 1, cells: line.split('|').map((cell) => textCell(cell)) })),
});
const plan = (text: string, rows = known(), mapping: Mapping = {}) =>
  planImport([sheet(text)], rows, mapping, 'log.csv');
const faults = (text: string, rows = known(), mapping: Mapping = {}): string[] =>
  plan(text, rows, mapping).faulty.map(({ row, column, message }) => `${String(row)} ${column}: ${message}`);

const LOG = `
Date|Unit|Qty (lbs)|Tech
3/14/2026|rack 1|12.5|Marit Solane
11/20/2026|RACK 1|not weighed: no scale|Somebody Else`;

describe('a gas log', () => {
  it('is understood by its headings, amounts as they were typed, people by name', () => {
    const { sheets, entries, ready, faulty } = plan(LOG);
    expect([sheets[0]?.table, ready, faulty]).toEqual(['gas', 2, []]);
    expect(entries).toMatchObject([
      {
        kind: 'refrigerantAdded',
        applianceId: 'm',
        on: '2026-03-14',
        by: 'p',
        reason: 'topOff',
        mass: { value: 12.5, unit: 'lb', 'x-typed': '12.5 lb' },
      },
      { on: '2026-11-20', by: 'Somebody Else', mass: null, massUnknown: 'no scale' },
    ]);
  });

  it('stands below a title, with columns that say nothing of ours left out', () => {
    const { sheets, ready } = plan(
      `Refrigerant use 2026|\nDate|Machine|Added|Weather\n2026-03-14|Rack 1|3 kg|rain`,
    );
    expect(sheets[0]?.columns).toEqual([
      { heading: 'Date', field: 'on' },
      { heading: 'Machine', field: 'applianceId' },
      { heading: 'Added', field: 'added' },
      { heading: 'Weather', field: null },
    ]);
    expect(ready).toBe(1);
  });

  it('is understood by what stands in it where the headings say nothing', () => {
    const { sheets } = plan(`A|B|C\n14 Mar 2026|Rack 1|3 kg\n15 Mar 2026|Rack 1|4 kg`);
    expect(sheets[0]?.columns.map(({ field }) => field)).toEqual(['on', 'applianceId', 'mass']);
  });

  it.each([
    ['Service Date|Equipment ID|Lbs Added|Technician Name', ['on', 'applianceId', 'added', 'by']],
    [
      'Date of service|System name|Refrigerant added in kg|Tech cert no',
      ['on', 'applianceId', 'added', null],
    ],
    ['Date|Unit|Type|Amount (lb)|Action', ['on', 'applianceId', 'refrigerant', 'mass', 'kind']],
    ['Date|Machine|Amount|Unit of measure', ['on', 'applianceId', 'mass', 'unit']],
  ])('is understood under %s', (head, fields) => {
    const row = head
      .split('|')
      .map((heading) =>
        /date/i.test(heading)
          ? '2026-03-14'
          : /type/i.test(heading)
            ? 'R-448A'
            : /measure/.test(heading)
              ? 'lb'
              : /name|id$|^unit$|machine/i.test(heading)
                ? 'Rack 1'
                : '3',
      )
      .join('|');
    expect(plan(`${head}\n${row}`).sheets[0]?.columns.map(({ field }) => field)).toEqual(fields);
  });

  it('tells what went in from what came out, in one column or in two', () => {
    const { entries } = plan(
      `Date|Machine|Amount|Action|Reason\n2026-03-14|Rack 1|3 kg|recovered|retire\n2026-03-15|Rack 1|3 kg|charged|after repair`,
    );
    expect(entries.map((entry) => [entry.kind, 'reason' in entry && entry.reason])).toEqual([
      ['refrigerantRecovered', 'retire'],
      ['refrigerantAdded', 'recharge'],
    ]);
    const two = plan(`Date|Machine|Added|Recovered|Unit\n2026-03-14|Rack 1|5|4|kg\n2026-03-15|Rack 1|0|4|kg`);
    expect(two.entries.map(({ kind }) => kind)).toEqual([
      'refrigerantAdded',
      'refrigerantRecovered',
      'refrigerantRecovered',
    ]);
  });

  it.each([
    ['an unknown machine', '2026-03-14|Rack 2|3 kg', '2 Machine: “Rack 2” is no machine of this logbook'],
    ['a weight without a unit', '2026-03-14|Rack 1|3', '2 Added: “3” has no unit'],
    ['a day to come', '2027-03-14|Rack 1|3 kg', '2 Date: lies after today, 2026-11-23'],
    ['nothing', '2026-03-14|Rack 1|0 kg', '2 Added: is nothing'],
    [
      'two days in one',
      '03/04/2026|Rack 1|3 kg',
      '2 Date: “03/04/2026” may be one of two days: nothing in this column says which figure is the month',
    ],
  ])('refuses %s, and writes nothing of that row', (_, row, fault) => {
    const text = `Date|Machine|Added\n${row}`;
    expect(faults(text)).toEqual([fault]);
    expect(plan(text).entries).toEqual([]);
    expect(plan(text).faulty[0]?.remedy.length).toBeGreaterThan(10);
  });

  it('refuses the gas of another machine, and takes that from before a conversion', () => {
    const text = `Date|Machine|Gas|Added\n2026-03-14|Rack 1|R404A|3 kg`;
    expect(faults(text)).toEqual(['2 Gas: is R-404A here, and Rack 1 holds R-448A']);
    const converted = {
      id: 'r',
      kind: 'retrofitted',
      applianceId: 'm',
      on: '2026-06-01',
      by: 'p',
      toRefrigerant: 'R-404A',
    } as Entry;
    expect(faults(text, known([CHARGE, converted]))).toEqual([]);
  });

  it('refuses formulas cell by cell', () => {
    const cell: Cell = { text: '3 kg', type: 'text', formula: true };
    const list: Worksheet = {
      name: 'list',
      rows: [
        { number: 1, cells: ['Date', 'Machine', 'Added'].map(textCell) },
        { number: 2, cells: [textCell('2026-03-14'), textCell('Rack 1'), cell] },
      ],
    };
    expect(planImport([list], known(), {}, 'x').faulty).toMatchObject([
      { row: 2, column: 'Added', remedy: 'Copy the column and paste it as values.' },
    ]);
  });

  it('two machines of one name ask for the site', () => {
    const other = { ...MACHINE, id: 'm2', siteId: 's2' };
    const rows = known([CHARGE], {
      appliances: [MACHINE, other],
      sites: [SITE, { ...SITE, id: 's2', name: 'Pier 10' }],
    });
    expect(faults(`Date|Machine|Added\n2026-03-14|Rack 1|3 kg`, rows)).toEqual([
      '2 Machine: “Rack 1” is the name of several machines',
    ]);
    expect(plan(`Date|Machine|Site|Added\n2026-03-14|Rack 1|Pier 10|3 kg`, rows).entries).toMatchObject([
      { applianceId: 'm2' },
    ]);
  });

  it('says what would follow: a machine that exceeds, with its percent and its limit', () => {
    // 30 lb of 100 lb, a year since the last gas at most: 30 %.
    const made = plan(`Date|Machine|Added (lb)\n2026-11-20|Rack 1|30`);
    expect(wouldExceed(made, known(), SHIPPED_PACKS)).toEqual({
      touched: 1,
      would: [{ machine: 'Rack 1', site: 'Pier 9', on: '2026-11-20', percent: 30, bound: null, limit: 20 }],
    });
    const little = plan(`Date|Machine|Added (lb)\n2026-11-20|Rack 1|20`);
    expect(wouldExceed(little, known(), SHIPPED_PACKS)).toEqual({ touched: 1, would: [] });
  });

  it('does not say of a machine that exceeded before that this import did it', () => {
    const before = {
      id: 'b',
      kind: 'refrigerantAdded',
      applianceId: 'm',
      on: '2026-01-05',
      by: 'p',
      reason: 'topOff',
      mass: { value: 40, unit: 'lb' },
    } as Entry;
    const rows = known([CHARGE, before]);
    const made = plan(`Date|Machine|Added (lb)\n2026-11-20|Rack 1|1`, rows);
    expect(wouldExceed(made, rows, SHIPPED_PACKS).would).toEqual([]);
  });

  it('counts neither what was voided without naming a machine, nor what a correction took to another one', () => {
    const gas = (id: string, pounds: number, rest: object = {}) =>
      ({
        id,
        kind: 'refrigerantAdded',
        applianceId: 'm',
        on: '2026-01-05',
        by: 'p',
        reason: 'topOff',
        mass: { value: pounds, unit: 'lb' },
        ...rest,
      }) as Entry;
    const entries = [
      CHARGE,
      gas('b', 40),
      { id: 'v', kind: 'void', on: '2026-01-06', by: 'p', supersedes: 'b', correctionReason: 'no' } as Entry,
      gas('moved', 40),
      gas('d', 40, { applianceId: 'm2', supersedes: 'moved', correctionReason: 'the other rack' }),
    ];
    const rows = known(entries, {
      appliances: [MACHINE, { ...MACHINE, id: 'm2', name: 'Rack 2' }],
      entriesOf: (id) => bearingByMachine(entries).get(id) ?? [],
    });
    // 10 lb alone are 10 %; with any of the 40 lb beside them it would exceed, or have exceeded.
    const made = plan(`Date|Machine|Added (lb)\n2026-11-20|Rack 1|10`, rows);
    expect(wouldExceed(made, rows, SHIPPED_PACKS).would).toEqual([]);
    const more = plan(`Date|Machine|Added (lb)\n2026-11-20|Rack 1|30`, rows);
    expect(wouldExceed(more, rows, SHIPPED_PACKS).would).toMatchObject([{ machine: 'Rack 1', percent: 30 }]);
    // The same gas on the same day is no longer there, so it is new.
    expect(plan(`Date|Machine|Added (lb)\n2026-01-05|Rack 1|40`, rows).known).toBe(0);
    expect(plan(`Date|Machine|Added (lb)\n2026-01-05|Rack 2|40`, rows).known).toBe(1);
  });
});

describe('what is there already', () => {
  const amount = fc.record({
    day: fc.integer({ min: 1, max: 28 }),
    pounds: fc.integer({ min: 1, max: 60 }),
    reason: fc.constantFrom('topOff', 'recharge', 'seasonal'),
  });

  it('is recognised however often it comes, also where two rows say the same', () => {
    fc.assert(
      fc.property(fc.array(amount, { minLength: 1, maxLength: 12 }), (rows) => {
        const text = `Date|Machine|Added (lb)|Reason\n${rows
          .map(
            ({ day, pounds, reason }) =>
              `2026-03-${String(day).padStart(2, '0')}|Rack 1|${String(pounds)}|${reason}`,
          )
          .join('\n')}`;
        const each: Mapping = { doubles: 'each' };
        const first = plan(text, known(), each);
        expect(first.entries.length).toBe(rows.length);
        const again = plan(text, known([CHARGE, ...first.entries]), each);
        expect([again.entries, again.known]).toEqual([[], rows.length]);
        // Half of it by hand before: only the rest is new.
        const half = first.entries
          .slice(0, Math.ceil(rows.length / 2))
          .map((entry, index) => ({ ...entry, id: `hand ${String(index)}` }));
        expect(plan(text, known([CHARGE, ...half]), each).entries.length).toBe(rows.length - half.length);
      }),
      { numRuns: 60 },
    );
  });

  it('stays known after it was corrected, and is new again after it was taken back', () => {
    const text = `Date|Machine|Added (lb)\n2026-03-14|Rack 1|12`;
    const [entry] = plan(text).entries as [Entry];
    const correction = {
      ...entry,
      id: 'z',
      supersedes: entry.id,
      correctionReason: 'digits',
      mass: { value: 21, unit: 'lb' },
    } as Entry;
    expect(plan(text, known([CHARGE, entry, correction])).known).toBe(1);
    const back = {
      id: 'v',
      kind: 'void',
      applianceId: 'm',
      on: '2026-03-14',
      by: 'p',
      supersedes: entry.id,
      correctionReason: 'undone',
    } as Entry;
    const rows = known([CHARGE, entry, back], { isUndone: (id) => id === entry.id });
    const [again] = plan(text, rows).entries;
    expect(again?.id).not.toBe(entry.id);
  });
});

describe('a list of machines', () => {
  const LIST = `
Site|Machine|Type|Refrigerant|Full charge (lb)|Installed|Category
Pier 9|Cooler 2|walk-in cooler|404a|40|2019-02-01|
Pier 10|Chiller|chiller|R134a|300||comfort cooling`;

  it('brings machines in with their full charge, and sites where it was said how they are', () => {
    const mapping: Mapping = {
      newSites: { timezone: 'America/Denver', packs: ['us-hfc', 'house'] },
      recordFrom: '2026-01-01',
    };
    const { rows, entries, faulty } = plan(LIST, known(), mapping);
    expect(faulty).toEqual([]);
    expect(rows.map(({ table, row }) => [table, (row as { name: string }).name])).toEqual([
      ['appliances', 'Cooler 2'],
      ['sites', 'Pier 10'],
      ['appliances', 'Chiller'],
    ]);
    expect(rows[0]?.row).toMatchObject({
      kind: 'walkIn',
      category: 'commercialRefrigeration',
      refrigerant: 'R-404A',
      recordFrom: '2026-01-01',
    });
    expect(entries).toMatchObject([
      { kind: 'fullChargeSet', on: '2019-02-01', mass: { value: 40, unit: 'lb' } },
      { note: expect.stringContaining('nor from which day it holds') as string },
    ]);
  });

  it('asks for what a limit hangs on, and for sites that nobody described', () => {
    expect(faults(LIST.replace('comfort cooling', ''))).toEqual([
      '3 Site: “Pier 10” is no site of this logbook',
      '3 Category: is missing',
    ]);
  });

  it('knows a machine, and does not write another refrigerant or charge over it', () => {
    const head = 'Site|Machine|Refrigerant|Full charge (lb)';
    expect(plan(`${head}\nPier 9|Rack 1|R-448A|100`).known).toBe(1);
    expect(faults(`${head}\nPier 9|Rack 1|R-404A|100`)).toEqual([
      '2 Refrigerant: is R-404A here, and R-448A in the logbook',
    ]);
    expect(faults(`${head}\nPier 9|Rack 1|R-448A|90`)).toEqual([
      '2 Full charge (lb): “90” is another full charge than the logbook has',
    ]);
  });

  it('goes before the gas log of the same workbook', () => {
    const sheets = [
      sheet(`Date|Machine|Added (lb)\n2026-03-14|Cooler 2|3`, 'gas'),
      sheet(`Site|Machine|Refrigerant\nPier 9|Cooler 2|R-404A`, 'machines'),
    ];
    const { ready, faulty } = planImport(sheets, known(), {}, 'x');
    expect([ready, faulty]).toEqual([2, []]);
  });
});

describe('other lists', () => {
  it('sites, people, bottles and inspections', () => {
    expect(plan(`Site|Time zone|Rules\nPier 11|America/Chicago|us-hfc, house`).rows).toMatchObject([
      { table: 'sites', row: { name: 'Pier 11', packs: ['us-hfc', 'house'] } },
    ]);
    expect(
      plan(`Name|Role|Certificate|Certificate number|Expires\nIke|technician|608|T-9|2028-05-01`).rows,
    ).toMatchObject([
      { table: 'people', row: { certificates: [{ scheme: '608', number: 'T-9', expires: '2028-05-01' }] } },
    ]);
    expect(plan(`Bottle|Refrigerant|Tare|Unit|Water capacity\nB-1|448A|11,2|kg|26,2`).rows).toMatchObject([
      { table: 'cylinders', row: { serial: 'B-1', tare: { value: 11.2, unit: 'kg' }, waterCapacityL: 26.2 } },
    ]);
    expect(
      plan(
        `Date|Machine|Methods|All accessible parts|Inspector\n2026-03-14|Rack 1|bubbles, electronic|no|Marit Solane`,
      ).entries,
    ).toMatchObject([
      { kind: 'leakInspection', methods: ['bubbles', 'electronic'], allAccessibleInspected: false, by: 'p' },
    ]);
  });

  it('a list that says too little says what is wanted', () => {
    expect(plan(`Colour|Size\nred|5 m`).faulty[0]?.remedy).toContain(
      'a gas log needs a day, a machine and an amount',
    );
    expect(
      plan(`Date|Machine|Added\n2026-03-14|Rack 1|3 kg`, known(), { columns: { Machine: null } }).faulty[0]
        ?.message,
    ).toContain('machine');
  });
});

describe('a mapping', () => {
  it('is headings alone, or more', () => {
    expect(mappingSchema.parse(mappingFrom({ When: 'on', Mood: null }))).toEqual({
      columns: { When: 'on', Mood: null },
    });
    expect(mappingSchema.parse(mappingFrom({ dates: 'dmy' }))).toEqual({ dates: 'dmy' });
    expect(mappingSchema.safeParse(mappingFrom({ dates: 'ymd' })).success).toBe(false);
  });

  it('rules over what was guessed', () => {
    const { entries } = plan(`When|Which|How much\n03/04/2026|Rack 1|12`, known(), {
      columns: { When: 'on', Which: 'applianceId', 'How much': 'added' },
      dates: 'dmy',
      units: { 'How much': 'kg' },
    });
    expect(entries).toMatchObject([{ on: '2026-04-03', mass: { value: 12, unit: 'kg' } }]);
  });
});
