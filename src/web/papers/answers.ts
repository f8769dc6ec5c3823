/** Answers to what a list leaves open, as its mapping keeps them; kept until the list is read again. */
import type { ImportPreview } from '../../contract/imports';
import { FIELDS } from '../../sheets/fields';
import { type Mapping, decimalSaid, meaningSaid, rowName, unitSaid } from '../../sheets/mapping';
import type { MassUnit } from '../../core/quantity/mass';

export type FaultShown = ImportPreview['faulty'][number];
export type FaultQuestion = NonNullable<FaultShown['asked']>;

/** What a word means that says nothing: the cell counts as empty. */
export const NOTHING = ' ';

/** What was answered; an empty text: nothing yet. */
export function answerOf(mapping: Mapping, { settles, heading, value }: FaultQuestion): string {
  switch (settles) {
    case 'value': {
      const said = meaningSaid(mapping, heading, value);
      return said === null ? NOTHING : (said ?? '');
    }
    case 'dates':
      return mapping.dates ?? '';
    case 'decimal':
      return decimalSaid(mapping, heading) ?? '';
    case 'unit':
      return unitSaid(mapping, heading) ?? '';
    case 'doubles':
      return mapping.doubles ?? '';
  }
}

const without = <Value>(
  all: Record<string, Value> | null | undefined,
  key: string,
): Record<string, Value> => {
  const { [key]: _, ...rest } = all ?? {};
  return rest;
};

/** Null: the unit of a bare number under the heading is not said. */
export function withUnit(mapping: Mapping, heading: string, unit: MassUnit | null): Mapping {
  const units = without(mapping.units, heading);
  return { ...mapping, units: unit === null ? units : { ...units, [heading]: unit } };
}

export function answered(mapping: Mapping, asked: FaultQuestion, answer: string): Mapping {
  const { settles, heading, value } = asked;
  switch (settles) {
    case 'value': {
      const others = without(mapping.values?.[heading], value);
      const own = answer === '' ? others : { ...others, [value]: answer === NOTHING ? null : answer };
      return { ...mapping, values: { ...mapping.values, [heading]: own } };
    }
    case 'dates':
      return { ...mapping, dates: (answer || null) as Mapping['dates'] };
    case 'decimal': {
      const marks = typeof mapping.decimal === 'object' ? without(mapping.decimal, heading) : {};
      return {
        ...mapping,
        decimal: answer === '' ? marks : { ...marks, [heading]: answer as ',' | '.' },
      };
    }
    case 'unit':
      return withUnit(mapping, heading, (answer || null) as MassUnit | null);
    case 'doubles':
      return { ...mapping, doubles: (answer || null) as Mapping['doubles'] };
  }
}

/** The sheet of a fault; a file of one sheet does not name it. */
const sheetOf = ({ sheets }: ImportPreview, fault: FaultShown): string =>
  fault.sheet ?? sheets[0]?.sheet ?? '';

/** A single cell can be put right where it stands: the heading is a column, the row is none of headings. */
export function canPutRight(preview: ImportPreview, fault: FaultShown): boolean {
  const sheet = preview.sheets.find((each) => each.sheet === sheetOf(preview, fault));
  return (
    preview.faultyRows > 0 &&
    sheet !== undefined &&
    sheet.columns.some(({ heading, field }) => heading === fault.column && field !== null)
  );
}

export const cellSaid = (preview: ImportPreview, mapping: Mapping, fault: FaultShown): string =>
  mapping.cells?.[rowName(sheetOf(preview, fault), fault.row)]?.[fault.column] ?? '';

export function cellPutRight(
  preview: ImportPreview,
  mapping: Mapping,
  fault: FaultShown,
  text: string,
): Mapping {
  const row = rowName(sheetOf(preview, fault), fault.row);
  const others = without(mapping.cells?.[row], fault.column);
  return {
    ...mapping,
    cells: { ...mapping.cells, [row]: text.trim() === '' ? others : { ...others, [fault.column]: text } },
  };
}

/** A heading as it stands in the list; a field that has no column, in the app's words. */
export const headingWords = (heading: string): string =>
  Object.values(FIELDS)
    .flat()
    .find(({ field }) => field === heading)?.words ?? heading;
