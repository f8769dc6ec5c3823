/** Lists as people keep them: nothing that a rate hangs on is guessed, and what is not known is asked once. */
import { describe, expect, it } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import type { Appliance } from '../core/logbook/tables';
import { type Worksheet, textCell } from './cells';
import { MACHINE, SITE, known } from './known.testkit';
import { type Mapping, mappingSchema } from './mapping';
import { planImport } from './plan';

const sheetOf = (text: string, name = 'list'): Worksheet => ({
  name,
  rows: text
    .trim()
    .split('\n')
    .map((line, index) => ({ number: index + 1, cells: line.split('|').map((cell) => textCell(cell)) })),
});
const plan = (text: string, mapping: Mapping = {}, rows = known()) =>
  planImport([sheetOf(text)], rows, mappingSchema.parse(mapping), 'list.csv');
const faults = (made: ReturnType<typeof plan>) =>
  made.faulty.map(({ row, column, message, rows }) => [row, column, message, rows ?? 1]);
const gas = ({ entries }: ReturnType<typeof plan>) =>
  entries.map((entry) => {
    const { kind, mass, reason } = entry as Extract<Entry, { kind: 'refrigerantAdded' }>;
    return [kind === 'refrigerantAdded' ? 'in' : 'out', mass?.value ?? null, reason];
  });
const machines = ({ rows }: ReturnType<typeof plan>) =>
  rows.filter(({ table }) => table === 'appliances').map(({ row }) => row as Appliance);

describe('what went in and what came out', () => {
  it('is read from a column that says it, whatever its heading is', () => {
    const made = plan(
      'Date|Machine|What|Amount (lb)\n2026-03-14|Rack 1|recovered|3\n2026-03-15|Rack 1|charged after repair|5',
    );
    expect(gas(made)).toEqual([
      ['out', 3, 'repair'],
      ['in', 5, 'recharge'],
    ]);
    const unnamed = plan(
      'Date|Machine|Blah|Amount (lb)\n2026-03-14|Rack 1|removed|3\n2026-03-15|Rack 1|added|5',
    );
    expect(gas(unnamed).map(([way]) => way)).toEqual(['out', 'in']);
  });

  it('is asked once for each word that does not say it, with the number of its rows', () => {
    const text = `Date|Machine|What|Amount (lb)\n${Array.from({ length: 54 }, (_, index) => `2026-03-${String(1 + (index % 28)).padStart(2, '0')}|Rack 1|routine|${String(index + 1)}`).join('\n')}`;
    const made = plan(text);
    expect(faults(made)).toEqual([[2, 'What', '“routine” says neither in nor out', 54]]);
    expect([made.ready, made.understood.filter(({ faults: own }) => own.length > 0).length]).toEqual([0, 54]);
    const said = plan(text, { values: { What: { routine: 'added' } } });
    expect([said.ready, said.faulty]).toEqual([54, []]);
  });

  it('one word may say something else of gas that went in than of gas that came out', () => {
    const text =
      'Date|Machine|What|Pounds|Why\n2026-03-14|Rack 1|added|3|PM visit\n2026-03-15|Rack 1|recovered|5|PM visit';
    const made = plan(text);
    const asked = made.faulty.map((fault) => fault.asked?.value ?? '');
    expect(asked).toEqual(['PM visit (gas added)', 'PM visit (gas recovered)']);
    const [added = '', recovered = ''] = asked;
    const said = plan(text, { values: { Why: { [added]: 'topOff', [recovered]: 'repair' } } });
    expect([said.faulty, gas(said)]).toEqual([
      [],
      [
        ['in', 3, 'topOff'],
        ['out', 5, 'repair'],
      ],
    ]);
  });

  it('a column headed by a unit alone is the amount, unless another column is', () => {
    expect(gas(plan('Date|Machine|What|lbs\n2026-03-14|Rack 1|added|3'))).toEqual([['in', 3, 'topOff']]);
    const made = plan('Date|Machine|Added (lb)|lbs\n2026-03-14|Rack 1|3|40');
    expect(faults(made)).toEqual([[1, 'lbs', 'holds weights, and nothing says what it is', 1]]);
  });

  it('days and units that a column leaves open are asked once for the column', () => {
    const made = plan('Date|Machine|What|Amount\n03/04/2026|Rack 1|added|3\n05/04/2026|Rack 1|added|4');
    expect(made.faulty.map(({ asked, rows }) => [asked?.settles, asked?.heading, rows])).toEqual([
      ['dates', 'Date', 2],
      ['unit', 'Amount', 2],
    ]);
    const said = plan('Date|Machine|What|Amount\n03/04/2026|Rack 1|added|3', {
      dates: 'mdy',
      units: { Amount: 'oz' },
    });
    expect(said.entries).toMatchObject([{ on: '2026-03-04', mass: { value: 3, unit: 'oz' } }]);
  });

  it('is never left out unasked: a second column of days, machines, weights or bottles is asked about', () => {
    const made = plan(
      'Date|Machine|Added (lb)|Entered|Vented (lb)\n2026-03-14|Rack 1|3|2026-03-16|1\n2026-03-15|Rack 1|4|2026-03-16|2',
    );
    expect(faults(made).map(([, column, message]) => [column, message])).toEqual([
      ['Entered', 'holds days, and nothing says what it is'],
      ['Vented (lb)', 'holds weights, and nothing says what it is'],
    ]);
    expect(made.ready).toBe(0);
    const told = plan(
      'Date|Machine|Added (lb)|Entered|Vented (lb)\n2026-03-14|Rack 1|3|2026-03-16|1\n2026-03-15|Rack 1|4|2026-03-16|2',
      { columns: { Entered: null, 'Vented (lb)': null } },
    );
    expect([told.ready, told.faulty]).toEqual([2, []]);
  });

  it('a dash or “n/a” beside a figure is nothing, alone it is asked about', () => {
    const made = plan(
      'Date|Machine|Added (lb)|Recovered (lb)\n2026-03-14|Rack 1|5|-\n2026-03-15|Rack 1|n/a|4\n2026-03-16|Rack 1|-|-',
    );
    expect(gas(made)).toEqual([
      ['in', 5, 'topOff'],
      ['out', 4, 'repair'],
    ]);
    expect(faults(made)).toEqual([[4, 'Added (lb)', '“-” is no weight', 1]]);
    const one = 'Date|Machine|Amount (lb)\n2026-03-14|Rack 1|5\n2026-03-15|Rack 1|n/a';
    expect(gas(plan(one, { values: { 'Amount (lb)': { 'n/a': 'not weighed' } } }))).toEqual([
      ['in', 5, 'topOff'],
      ['in', null, 'topOff'],
    ]);
    expect(gas(plan(one, { values: { 'Amount (lb)': { 'n/a': '' } } }))).toEqual([['in', 5, 'topOff']]);
  });

  it('yes and no are no leak, nor is a description; a number is', () => {
    const leaks = (...cells: string[]) =>
      plan(
        `Date|Machine|Added (lb)|Leak\n${cells.map((cell, index) => `2026-03-1${String(index)}|Rack 1|${String(index + 1)}|${cell}`).join('\n')}`,
      ).entries.map((entry) => ('leakId' in entry ? entry.leakId : null));
    expect(leaks('no', 'no', 'yes', '-', 'none')).toEqual([null, null, null, null, null]);
    expect(leaks('0', '1', '1')).toEqual([null, null, null]);
    expect(leaks('1', '2', '2', 'k3', 'flare nut')).toEqual(['1', '2', '2', 'k3', null]);
  });

  it('a row that says the same as another is asked about', () => {
    const text =
      'Date|Machine|Added (lb)|Tech\n2026-03-14|Rack 1|3|Ike\n2026-03-14|Rack 1|3|Ike\n2026-03-14|Rack 1|3|Marit Solane';
    expect(faults(plan(text))).toEqual([[3, 'doubles', 'says the same as row 2', 1]]);
    expect(gas(plan(text, { doubles: 'each' }))).toHaveLength(3);
    expect(gas(plan(text, { doubles: 'one' }))).toHaveLength(2);
  });

  it('totals, blank rows, headings again and a row of units are left out, and said', () => {
    const made = plan(
      'Date|Machine|Added\n(yyyy-mm-dd)||(lb)\n2026-03-14|Rack 1|3\n||\nDate|Machine|Added\n2026-03-15|Rack 1|4\nTOTAL||7',
    );
    expect(gas(made).map(([, pounds]) => pounds)).toEqual([3, 4]);
    expect(made.faulty).toEqual([]);
    expect(made.sheets[0]?.leftOut).toEqual([
      { row: 2, why: 'units' },
      { row: 5, why: 'headings' },
      { row: 7, why: 'total' },
    ]);
  });

  it('two rows of headings are read as one', () => {
    const made = plan(
      'Service|||Refrigerant|\nDate|Machine|By|Added (lb)|Recovered (lb)\n2026-03-14|Rack 1|Ike|3|',
    );
    expect(made.sheets[0]?.columns.map(({ field }) => field)).toEqual([
      'on',
      'applianceId',
      'by',
      'added',
      'recovered',
    ]);
    expect(made.ready).toBe(1);
  });

  it('German headings, words and numbers are read', () => {
    const made = plan(
      'Datum|Anlage|Vorgang|Menge (kg)|Grund|Techniker\n14.03.2026|Rack 1|nachgefüllt|1,5|Leckage|Marit Solane\n15.03.2026|Rack 1|entnommen|12,25|Reparatur|Marit Solane',
    );
    expect(gas(made)).toEqual([
      ['in', 1.5, 'topOff'],
      ['out', 12.25, 'repair'],
    ]);
    expect(made.entries.map(({ on, by }) => [on, by])).toEqual([
      ['2026-03-14', 'p'],
      ['2026-03-15', 'p'],
    ]);
  });

  it('a day that exists in no order decides nothing, and both marks of decimals are read as they stand', () => {
    const made = plan(
      'Date|Machine|Added (kg)\n31/31/2026|Rack 1|1\n10/03/2026|Rack 1|2\n2026-03-14|Rack 1|12,5\n2026-03-15|Rack 1|3.75\n2026-03-16|Rack 1|1.250',
    );
    expect(faults(made).map(([row, , message]) => [row, message])).toEqual([
      [2, '“31/31/2026” is no date that exists'],
      [3, '“10/03/2026” may be one of two days: nothing in this column says which figure is the month'],
      [6, '“1.250” may be a thousand or a decimal: nothing in this column says what the mark is'],
    ]);
    expect(gas(made).map(([, kilograms]) => kilograms)).toEqual([12.5, 3.75]);
    const marked = { decimal: { 'Added (kg)': '.' as const }, dates: 'mdy' as const };
    expect(
      gas(plan('Date|Machine|Added (kg)\n10/03/2026|Rack 1|1.250', marked)).map(([, kilograms]) => kilograms),
    ).toEqual([1.25]);
  });

  it('a cell that was put right in the preview is read as it stands there now', () => {
    const text = 'Date|Machine|Added (lb)\n2026-03-14|Rack 1|three';
    expect(faults(plan(text))).toHaveLength(1);
    expect(gas(plan(text, { cells: { 'list 2': { 'Added (lb)': '3' } } }))).toEqual([['in', 3, 'topOff']]);
  });

  it('names what it would write: direction, reason, site, technician, bottle, note', () => {
    const made = plan(
      'Date|Machine|Added (lb)|Reason|Tech|Bottle|Notes\n2026-03-14|Rack 1|3|top-off|Ike|B-7|low glass',
    );
    expect(made.understood[0]?.words).toBe(
      'Rack 1, Pier 9, 14 Mar 2026, added 3 lb, top-off, bottle B-7, by Ike, note: low glass',
    );
    expect(made.strangers).toEqual({ people: ['Ike'], bottles: ['B-7'] });
    const wanted = plan(
      'Date|Machine|Added (lb)|Tech|Bottle\n2026-03-14|Rack 1|3|Ike|B-7\n2026-03-15|Rack 1|4|Ike|B-7',
      { newPeople: true, newBottles: true },
    );
    expect(wanted.rows.map(({ table, row }) => [table, row])).toMatchObject([
      ['people', { name: 'Ike' }],
      ['cylinders', { serial: 'B-7', refrigerant: 'R-448A' }],
    ]);
    expect(new Set(wanted.entries.map(({ by }) => by))).toEqual(new Set([wanted.rows[0]?.id]));
  });
});

describe('which list it is', () => {
  it('a gas log under bare headings is one, and a list of machines with a day is none', () => {
    const log = plan(
      'Unit|Refrigerant|Charge (lb)|Date\nRack 1|R-448A|3|2026-03-14\nRack 1|R-448A|4|2026-03-15\nRack 1|R-448A|2|2026-03-16',
    );
    expect([log.sheets[0]?.table, log.ready]).toEqual(['gas', 3]);
    const list = plan(
      'Unit|Refrigerant|Charge (lb)|Install date|Site|Type\nCooler 1|R-448A|30|2019-03-14|Pier 9|walk-in\nCooler 2|R-448A|40|2020-03-15|Pier 9|walk-in',
    );
    expect([list.sheets[0]?.table, machines(list).length]).toEqual(['appliances', 2]);
  });

  it('where two explain it alike it is asked, and nothing is read as known', () => {
    const text = Array.from(
      { length: 8 },
      (_, index) => `Cooler ${String(index)}|R-448A|${String(index + 20)}|2026-03-1${String(index)}`,
    ).join('\n');
    const made = plan(`Unit|Refrigerant|Charge (lb)|Date\n${text}`);
    expect([made.sheets[0]?.table, made.ready, made.known]).toEqual([null, 0, 0]);
    expect(made.faulty[0]?.message).toMatch(/may be a .* or a .*/);
    expect(
      plan(`Unit|Refrigerant|Charge (lb)|Date\n${text}`, { table: 'appliances', columns: { Date: null } })
        .sheets[0]?.table,
    ).toBe('appliances');
  });
});

describe('who is who', () => {
  const LIST = 'Site|Machine|Type|Refrigerant|Full charge (lb)|Serial number';

  it('two machines of one name are never merged', () => {
    const made = plan(
      `${LIST}\nPier 9|Cooler 2|walk-in|R-448A|280|\nPier 9|Cooler 2|walk-in|R-448A|1200|\nPier 9|Cooler 3|walk-in|R-448A|40|`,
    );
    expect(machines(made).map(({ name }) => name)).toEqual(['Cooler 3']);
    expect(made.faulty.map(({ row }) => row)).toEqual([2, 3]);
    expect(made.faulty[0]?.message).toContain('rows 2 and 3 tell different things');
    const told = plan(
      `${LIST}\nPier 9|Cooler 2|walk-in|R-448A|280|S-1\nPier 9|Cooler 2|walk-in|R-448A|1200|S-2`,
    );
    expect(new Set(machines(told).map(({ id }) => id)).size).toBe(2);
    expect(told.entries).toHaveLength(2);
  });

  it('a row that stands twice is left to be left out, the other stays', () => {
    const row = 'Pier 9|Cooler 2|walk-in|R-448A|40|S-1';
    const made = plan(`${LIST}\n${row}\n${row}`);
    expect([machines(made).length, made.faulty.map((each) => each.row)]).toEqual([1, [3]]);
  });

  it('a serial number or tag tells the machine before its name does', () => {
    const other = { ...MACHINE, id: 'm2', serialNumber: 'S-2', tag: 'T9' };
    const rows = known([], { appliances: [{ ...MACHINE, serialNumber: 'S-1' }, other] });
    const log = (cells: string) =>
      plan(`Date|Machine|Serial number|Added (lb)\n2026-03-14|${cells}|3`, {}, rows);
    expect(log('Rack 1|S-2').entries.map(({ applianceId }) => applianceId)).toEqual(['m2']);
    expect(log('|T9').entries.map(({ applianceId }) => applianceId)).toEqual(['m2']);
    expect(log('Rack 1|').faulty[0]?.message).toContain('name of several machines');
    expect(log('S-1|').entries.map(({ applianceId }) => applianceId)).toEqual(['m']);
  });

  it('an unknown name is asked once, and may be said', () => {
    const text =
      'Date|Machine|Added (lb)\n2026-03-14|Rck 1|3\n2026-03-15|Rck 1|4\n2026-03-16|Rck 1|5\n2026-03-17|Rack 1|5';
    expect(faults(plan(text))).toEqual([[2, 'Machine', '“Rck 1” is no machine of this logbook', 3]]);
    expect(plan(text, { values: { Machine: { 'rck 1': 'Rack 1' } } }).ready).toBe(4);
  });

  it('each row that names a new site brings it; what hangs on a faulty row is not written without it', () => {
    const newSites = { timezone: 'America/Chicago', packs: ['us-hfc' as const] };
    const sheets = [
      sheetOf(
        'Site|Machine|Type|Refrigerant\nPier 12|Cooler 8|teapot|R-448A\nPier 12|Cooler 9|walk-in|R-448A',
      ),
      sheetOf(
        'Date|Machine|Site|Added (lb)\n2026-03-14|Cooler 8|Pier 12|3\n2026-03-14|Cooler 9|Pier 12|3',
        'gas',
      ),
    ];
    const made = planImport(sheets, known(), { newSites }, 'x');
    expect(made.rows.map(({ table }) => table).sort()).toEqual(['appliances', 'sites']);
    expect(made.entries.map(({ on }) => on)).toEqual(['2026-03-14']);
    expect(made.faulty.map(({ sheet, message }) => [sheet, message])).toEqual([
      ['list', '“teapot” is not known here'],
      ['gas', 'hangs on a machine or site whose own row is faulty'],
    ]);
  });

  it('new sites are asked about once each, not once a row', () => {
    const rows = Array.from({ length: 30 }, (_, index) => `Pier 12|Cooler ${String(index)}|walk-in|R-448A`);
    const made = plan(`Site|Machine|Type|Refrigerant\n${rows.join('\n')}`);
    expect(faults(made)).toEqual([[2, 'Site', '“Pier 12” is no site of this logbook', 30]]);
  });

  it('serial number, tag, maker and model are read; nobody is late for the time before the logbook', () => {
    const [machine] = machines(
      plan(
        'Site|Machine|Type|Refrigerant|Manufacturer|Model|Serial No|Asset tag\nPier 9|Cooler 4|walk-in||Frostline|KX 7|77-3|A-12',
      ),
    );
    expect(machine).toMatchObject({
      refrigerant: null,
      model: 'Frostline KX 7',
      serialNumber: '77-3',
      tag: 'A-12',
      recordFrom: '2026-11-23',
    });
  });

  it('categories and detection are what they say, or are asked about', () => {
    const made = plan(
      'Site|Machine|Refrigerant|Category|Leak detection\nPier 9|A|R-448A|Commercial air conditioning|Not installed\nPier 9|B|R-448A|Food processing (industrial)|whole\nPier 9|C|R-448A|commercial|yes',
    );
    expect(machines(made).map(({ category, automaticDetection }) => [category, automaticDetection])).toEqual([
      ['comfortCooling', 'none'],
      ['industrialProcess', 'whole'],
    ]);
    expect(faults(made)).toEqual([[4, 'Leak detection', '“yes” is not known here', 1]]);
  });

  it('a gas of another composition is never suggested', () => {
    const made = plan(
      'Site|Machine|Type|Refrigerant\nPier 9|A|walk-in|R-507\nPier 9|B|walk-in|R-407\nPier 9|C|walk-in|R-503',
    );
    expect(machines(made).map(({ refrigerant }) => refrigerant)).toEqual(['R-507A']);
    expect(made.faulty.map(({ remedy }) => remedy)).toEqual([
      'Say which it is: R-407A, R-407C, R-407F, R-407H, or “unknown”.',
      'Write it as R-404A, or say “unknown”.',
    ]);
    const said = plan('Site|Machine|Type|Refrigerant\nPier 9|C|walk-in|R-503', {
      values: { Refrigerant: { 'R-503': 'unknown' } },
    });
    expect(machines(said).map(({ refrigerant }) => refrigerant)).toEqual([null]);
  });

  it('a site called TOTAL is a sum', () => {
    const made = plan(
      'Site|Machine|Type|Refrigerant|Full charge (lb)\nPier 9|A|walk-in|R-448A|40\nTOTAL||||40',
    );
    expect([made.faulty, machines(made).length, made.sheets[0]?.leftOut]).toEqual([
      [],
      1,
      [{ row: 3, why: 'total' }],
    ]);
  });
});

it('a site of its own stands for a machine that names none', () => {
  expect(machines(plan('Machine|Type|Refrigerant\nCooler 9|walk-in|R-448A'))[0]?.siteId).toBe(SITE.id);
});
