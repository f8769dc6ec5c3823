/** One row under its columns, with what is wrong in it: read field by field, each fault with its remedy. */
import { MASS_UNITS, type Mass, type MassUnit } from '../core/quantity/mass';
import type { Result } from '../core/result';
import type { Choice } from '../words/choice';
import { type Cell, EMPTY_CELL, type WorksheetRow, textCell } from './cells';
import { type DayFault, type DayOrder, dayOrderOf, readDay } from './days';
import type { Question, Fault, Settles } from './fault';
import type { Matched } from './match';
import { type Mapping, decimalSaid, meaningSaid, rowName, unitSaid } from './mapping';
import {
  type AmountFault,
  type DecimalMark,
  decimalMarkOf,
  massUnitOf,
  plainNumber,
  readAmount,
  unitInHeading,
} from './numbers';
import { saysNothing } from './phrases';
import { remembered } from './remembered';

export type { Fault } from './fault';

const DAY_FAULTS: Record<DayFault, readonly [message: string, remedy: string]> = {
  empty: ['is empty', 'Write the day, such as 2026-03-14.'],
  noDate: ['is no date that exists', 'Write it as 2026-03-14, or 14 Mar 2026.'],
  ambiguous: [
    'may be one of two days: nothing in this column says which figure is the month',
    'Say the order of day and month for the whole list, or write days as 2026-03-14.',
  ],
  tooOld: [
    'lies before 1930: a spreadsheet makes such a day of an empty or wrong cell',
    'Write the day that is meant.',
  ],
};

const AMOUNT_FAULTS: Record<AmountFault, readonly [message: string, remedy: string]> = {
  empty: ['is empty', 'Write the weight with its unit, or “not weighed: why”.'],
  ambiguous: [
    'may be a thousand or a decimal: nothing in this column says what the mark is',
    'Say what it is for the whole column, or write it without.',
  ],
  noUnit: ['has no unit', 'Name the unit in the heading, in a column beside, or in the cell: 12 lb.'],
  negative: ['is below zero', 'What came out is a recovery: write it as one, without the sign.'],
  unknownUnit: ['has a unit that is not known', 'Use lb, oz, kg or g.'],
  notAMass: ['is no weight', 'Write it as 12.5 lb, 12 lb 6 oz or 5.4 kg.'],
};

/** What a column says of all its rows. */
export class Columns {
  private readonly places = new Map<string, number>();
  private readonly headings = new Map<string, string>();
  private readonly dayOrders = new Map<string, DayOrder | null>();
  private readonly shared = new Map<string, boolean>();
  private readonly marks = new Map<string, DecimalMark | null>();
  private readonly amounts = new Map<string, Result<Mass, AmountFault>>();

  constructor(
    private readonly matched: Matched,
    readonly mapping: Mapping,
  ) {
    matched.columns.forEach(({ field, heading }, place) => {
      if (field === null || this.places.has(field)) return;
      this.places.set(field, place);
      this.headings.set(field, heading);
    });
  }

  has = (field: string): boolean => this.places.has(field);
  headingOf = (field: string): string => this.headings.get(field) ?? field;
  cell = (row: WorksheetRow, field: string): Cell => {
    const place = this.places.get(field);
    if (place === undefined) return EMPTY_CELL;
    const right = this.mapping.cells
      ? this.mapping.cells[rowName(this.matched.sheet.name, row.number)]?.[this.headingOf(field)]
      : undefined;
    return right === undefined ? (row.cells[place] ?? EMPTY_CELL) : textCell(right);
  };

  /** The unit that stands in a row of units below the heading, or in the heading. */
  unitOf = remembered((field: string): ReturnType<typeof unitInHeading> => {
    const below = this.matched.columns[this.places.get(field) ?? -1]?.unit ?? null;
    return unitInHeading(this.headingOf(field)) ?? below;
  });

  /** A weight under these columns: a list has the same few again and again. */
  amountOf(cell: Cell, unit: MassUnit | null, field: string): Result<Mass, AmountFault> {
    const key = `${cell.type} ${unit ?? ''} ${field} ${cell.text}`;
    const before = this.amounts.get(key);
    if (before) return before;
    const read = readAmount(cell, unit, this.decimalMark(field));
    this.amounts.set(key, read);
    return read;
  }

  dayOrder(field: string): DayOrder | null {
    if (this.mapping.dates) return this.mapping.dates;
    if (!this.dayOrders.has(field)) this.dayOrders.set(field, dayOrderOf(this.all(field)));
    return this.dayOrders.get(field) ?? null;
  }

  decimalMark(field: string): DecimalMark | null {
    const said = decimalSaid(this.mapping, this.headingOf(field));
    if (said) return said;
    if (!this.marks.has(field)) this.marks.set(field, decimalMarkOf(this.all(field)));
    return this.marks.get(field) ?? null;
  }

  headingAtPlace = (place: number): string =>
    this.matched.columns[place]?.heading ?? `column ${String(place + 1)}`;

  /** Whether every cell of a field is so; asked once for all rows. */
  every(field: string, what: string, is: (text: string) => boolean): boolean {
    const key = `${field} ${what}`;
    const before = this.shared.get(key);
    const holds = before ?? this.all(field).every(({ text }) => is(text));
    this.shared.set(key, holds);
    return holds;
  }

  private all = (field: string): Cell[] => this.matched.rows.map((row) => this.cell(row, field));
}

/** A row as it is read; faults gather here. */
export class RowReading {
  readonly faults: Fault[] = [];

  constructor(
    readonly row: WorksheetRow,
    readonly columns: Columns,
  ) {
    for (const cell of row.cells)
      if (cell.formula) {
        this.faults.push({
          row: row.number,
          column: this.headingAt(cell),
          message: 'is a formula: what it amounts to elsewhere nobody knows',
          remedy: 'Copy the column and paste it as values.',
        });
      }
  }

  private headingAt(cell: Cell): string {
    const place = this.row.cells.indexOf(cell);
    return this.columns.headingAtPlace(place);
  }

  fault(field: string, message: string, remedy: string): null {
    this.faults.push({ row: this.row.number, column: this.columns.headingOf(field), message, remedy });
    return null;
  }

  /** Asked once for each different value: “this means…”. */
  ask(field: string, message: string, remedy: string, choices: readonly Choice[]): null {
    return this.askOf('value', this.columns.headingOf(field), message, remedy, choices, this.text(field));
  }

  /** Asked once for the whole column, or for the list. */
  askOf(
    settles: Settles,
    heading: string,
    message: string,
    remedy: string,
    choices: readonly Choice[],
    value = '',
  ): null {
    const asked: Question = { settles, heading, value, choices };
    this.faults.push({ row: this.row.number, column: heading, message, remedy, asked });
    return null;
  }

  // Methods, not functions of each row: a list has tens of thousands of rows.
  cell(field: string): Cell {
    return this.columns.cell(this.row, field);
  }

  text(field: string): string {
    return this.cell(field).text.trim();
  }

  /** what stands there, or what was said that it means */
  meant(field: string): string {
    const text = this.text(field);
    if (!this.columns.mapping.values) return text;
    const said = meaningSaid(this.columns.mapping, this.columns.headingOf(field), text);
    return said === undefined ? text : (said ?? '').trim();
  }
  /** what stands there where it says something */
  said(field: string): string {
    const text = this.meant(field);
    return saysNothing(text) ? '' : text;
  }

  /** null: empty, or a fault that is told */
  day(field: string, needed = false): string | null {
    const cell = this.cell(field);
    if (saysNothing(cell.text) && !needed) return null;
    const read = readDay(cell, this.columns.dayOrder(field));
    if (read.ok) return read.value;
    const [message, remedy] = DAY_FAULTS[read.refusal];
    return read.refusal === 'ambiguous'
      ? this.askOf('dates', this.columns.headingOf(field), quoted(cell, message), remedy, DAY_ORDERS)
      : this.fault(field, quoted(cell, message), remedy);
  }

  amount(field: string): Mass | null {
    const cell = this.cell(field);
    const heading = this.columns.headingOf(field);
    const unitText = this.columns.has('unit') ? this.meant('unit') : '';
    const beside = massUnitOf(unitText);
    if (!saysNothing(unitText) && beside === null)
      return this.ask(
        'unit',
        quoted(this.cell('unit'), 'is no unit that is known'),
        'Use lb, oz, kg or g.',
        UNITS,
      );
    const unit = unitSaid(this.columns.mapping, heading) ?? beside ?? this.columns.unitOf(field);
    const read = this.columns.amountOf(cell, unit, field);
    if (read.ok) {
      const said = unit !== null && /^[\d.,\s'’]+$/.test(cell.text) ? `${cell.text} ${unit}` : cell.text;
      return { ...read.value, 'x-typed': said };
    }
    const [message, remedy] = AMOUNT_FAULTS[read.refusal];
    if (read.refusal === 'ambiguous')
      return this.askOf('decimal', heading, quoted(cell, message), remedy, MARKS);
    if (read.refusal === 'noUnit') return this.askOf('unit', heading, quoted(cell, message), remedy, UNITS);
    return this.fault(field, quoted(cell, message), remedy);
  }

  number(field: string): number | null {
    const cell = this.cell(field);
    if (saysNothing(cell.text)) return null;
    const plain = plainNumber(cell.text, this.columns.decimalMark(field));
    const value = plain.ok ? Number(plain.value.replace(/\s*[a-z]+\.?$/i, '')) : NaN;
    return Number.isFinite(value)
      ? value
      : this.fault(field, quoted(cell, 'is no number'), 'Write figures only.');
  }

  /** A word of a list; null: it says nothing, or it is asked about. */
  choice<Value>(
    field: string,
    meaning: (text: string) => Value | null,
    choices: readonly Choice[],
  ): Value | null {
    const text = this.meant(field);
    if (text === '') return null;
    const value = meaning(text);
    if (value !== null) return value;
    if (saysNothing(text)) return null;
    return this.ask(
      field,
      quoted(this.cell(field), 'is not known here'),
      `Say what it means: ${choices.map(({ words }) => words).join(', ')}.`,
      choices,
    );
  }
}

const DAY_ORDERS: readonly Choice[] = [
  { value: 'dmy', words: 'day first: 31/12/2026' },
  { value: 'mdy', words: 'month first: 12/31/2026' },
];
const MARKS: readonly Choice[] = [
  { value: ',', words: 'a comma stands before decimals, a dot sets thousands apart: 1.250,5' },
  { value: '.', words: 'a dot stands before decimals, a comma sets thousands apart: 1,250.5' },
];
const UNITS: readonly Choice[] = MASS_UNITS.map((value) => ({ value, words: value }));

export const quoted = ({ text }: Cell, message: string): string =>
  text.trim() === '' ? message : `“${text.trim()}” ${message}`;
