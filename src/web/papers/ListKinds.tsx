/** Which list each sheet is, said first: a list read as another one writes what never was. */
import type { ImportPreview } from '../../contract/imports';
import { SHEET_TABLES, type WorksheetTable } from '../../sheets/fields';
import type { Mapping } from '../../sheets/mapping';
import { leftOutWords } from '../../sheets/leftOut';
import { SelectField } from '../parts/Field';
import { countWords } from '../../words/counts';

const TABLE_WORDS: Record<WorksheetTable, string> = {
  sites: 'Sites',
  people: 'People',
  appliances: 'Machines',
  cylinders: 'Bottles',
  gas: 'Gas log',
  inspections: 'Leak inspections',
};

export const tableOf = (table: string | null): WorksheetTable | null =>
  SHEET_TABLES.find((each) => each === table) ?? null;

export function ListKinds({
  preview,
  mapping,
  onMapping,
}: {
  preview: ImportPreview;
  mapping: Mapping;
  onMapping: (mapping: Mapping) => void;
}) {
  const said = (sheet: string, table: WorksheetTable) => {
    // One list for all sheets is said again for each, so that only this one changes.
    const all = Object.fromEntries(
      preview.sheets.flatMap((each) => {
        const own = tableOf(each.table);
        return typeof mapping.table === 'string' && own ? [[each.sheet, own]] : [];
      }),
    );
    const before = typeof mapping.table === 'object' ? mapping.table : all;
    // The columns were named for the other kind of list.
    const headings = new Set(
      preview.sheets.flatMap((each) =>
        each.sheet === sheet ? each.columns.map(({ heading }) => heading) : [],
      ),
    );
    const columns = Object.fromEntries(
      Object.entries(mapping.columns ?? {}).filter(([heading]) => !headings.has(heading)),
    );
    onMapping({ ...mapping, columns, table: { ...before, [sheet]: table } });
  };
  return (
    <div className="grid gap-x-6 sm:grid-cols-2">
      {preview.sheets.map(({ sheet, table, rows, leftOut }) => (
        <SelectField
          key={sheet}
          label={preview.sheets.length > 1 ? `“${sheet}” is a list of` : 'This is a list of'}
          hint={[
            countWords(rows, 'row'),
            ...(leftOut.length > 0 ? [`left out: ${leftOutWords(leftOut)}`] : []),
          ].join('; ')}
          value={tableOf(table) ?? ''}
          choices={[
            ...(table === null ? [{ value: '', words: 'not known: say what it is' }] : []),
            ...SHEET_TABLES.map((value) => ({ value, words: TABLE_WORDS[value] })),
          ]}
          onChange={(event) => {
            const next = tableOf(event.target.value);
            if (next) said(sheet, next);
          }}
        />
      ))}
    </div>
  );
}
