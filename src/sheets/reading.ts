/** One row under its columns, with what is wrong in it: read field by field, each fault with its remedy. */
import type { Mass } from '../core/quantity/mass';
import { type Cell, EMPTY_CELL, type SheetRow, isBlank } from './cells';
import { type DayFault, type DayOrder, dayOrderOf, readDay } from './days';
import type { Matched } from './match';
import { type Mapping, unitSaid } from './mapping';
import {
  type AmountFault,
  type DecimalMark,
  decimalMarkOf,
  massUnitOf,
  plainNumber,
  readAmount,
  unitInHeading,
} from './numbers';

export interface Fault {
  /** only where a file has several */
  sheet?: string;
  row: number;
  column: string;
  message: string;
  remedy: string;
}

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
    'may be a thousand or a decimal: nothing in this column says what the comma is',
    'Say what the comma is for the whole list, or write it without.',
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
  private readonly marks = new Map<string, DecimalMark | null>();

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
  cell = (row: SheetRow, field: string): Cell => {
    const place = this.places.get(field);
    return place === undefined ? EMPTY_CELL : (row.cells[place] ?? EMPTY_CELL);
  };

  dayOrder(field: string): DayOrder | null {
    if (this.mapping.dates) return this.mapping.dates;
    if (!this.dayOrders.has(field)) this.dayOrders.set(field, dayOrderOf(this.all(field)));
    return this.dayOrders.get(field) ?? null;
  }

  decimalMark(field: string): DecimalMark | null {
    if (this.mapping.decimal) return this.mapping.decimal;
    if (!this.marks.has(field)) this.marks.set(field, decimalMarkOf(this.all(field)));
    return this.marks.get(field) ?? null;
  }

  headingAtPlace = (place: number): string =>
    this.matched.columns[place]?.heading ?? `column ${String(place + 1)}`;

  private all = (field: string): Cell[] => this.matched.rows.map((row) => this.cell(row, field));
}

/** A row as it is read; faults gather here. */
export class RowReading {
  readonly faults: Fault[] = [];

  constructor(
    readonly row: SheetRow,
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

  cell = (field: string): Cell => this.columns.cell(this.row, field);
  text = (field: string): string => this.cell(field).text.trim();

  /** null: empty, or a fault that is told */
  day(field: string, needed = false): string | null {
    const cell = this.cell(field);
    if (isBlank(cell) && !needed) return null;
    const read = readDay(cell, this.columns.dayOrder(field));
    if (read.ok) return read.value;
    const [message, remedy] = DAY_FAULTS[read.refusal];
    return this.fault(field, quoted(cell, message), remedy);
  }

  amount(field: string): Mass | null {
    const cell = this.cell(field);
    const heading = this.columns.headingOf(field);
    const beside = this.columns.has('unit') ? massUnitOf(this.text('unit')) : null;
    if (this.columns.has('unit') && this.text('unit') !== '' && beside === null)
      return this.fault(
        'unit',
        quoted(this.cell('unit'), 'is no unit that is known'),
        'Use lb, oz, kg or g.',
      );
    const unit = unitSaid(this.columns.mapping, heading) ?? beside ?? unitInHeading(heading);
    const read = readAmount(cell, unit, this.columns.decimalMark(field));
    if (read.ok) {
      const said = unit !== null && /^[\d.,\s]+$/.test(cell.text) ? `${cell.text} ${unit}` : cell.text;
      return { ...read.value, 'x-typed': said } as Mass;
    }
    const [message, remedy] = AMOUNT_FAULTS[read.refusal];
    return this.fault(field, quoted(cell, message), remedy);
  }

  number(field: string): number | null {
    const cell = this.cell(field);
    if (isBlank(cell)) return null;
    const plain = plainNumber(cell.text, this.columns.decimalMark(field));
    const value = plain.ok ? Number(plain.value.replace(/\s*[a-z]+\.?$/i, '')) : NaN;
    return Number.isFinite(value)
      ? value
      : this.fault(field, quoted(cell, 'is no number'), 'Write figures only.');
  }

  /** A word of a list; null: empty, or a fault that is told. */
  choice<Value>(field: string, named: (text: string) => Value | null, remedy: string): Value | null {
    const cell = this.cell(field);
    if (isBlank(cell)) return null;
    return named(cell.text) ?? this.fault(field, quoted(cell, 'is not known here'), remedy);
  }
}

export const quoted = ({ text }: Cell, message: string): string =>
  text.trim() === '' ? message : `“${text.trim()}” ${message}`;
