/** Which column is which field, and in which unit; kept for the next list of this kind. */
import type { ImportPreview } from '../../contract/imports';
import { MASS_UNITS, type MassUnit } from '../../core/quantity/mass';
import { FIELDS, type WorksheetTable } from '../../sheets/fields';
import type { Mapping } from '../../sheets/mapping';
import { SelectField } from '../parts/Field';
import { Fold } from '../parts/Fold';
import { withUnit } from './answers';
import { tableOf } from './ListKinds';

const WEIGHTS = ['mass', 'added', 'recovered', 'fullCharge', 'tare'];

export function ColumnsForm({
  preview,
  draft,
  onDraft,
  open,
}: {
  preview: ImportPreview;
  draft: Mapping;
  onDraft: (mapping: Mapping) => void;
  open: boolean;
}) {
  const column = (heading: string, field: string) =>
    onDraft({ ...draft, columns: { ...draft.columns, [heading]: field || null } });
  return (
    <Fold title="Columns" about="what each one is; kept for the next list with these headings" open={open}>
      {preview.sheets.map((sheet) => (
        <div key={sheet.sheet} className="mb-4">
          {preview.sheets.length > 1 && <h3 className="mb-2">{sheet.sheet}</h3>}
          <div className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
            {sheet.columns.map(({ heading, field }) => (
              <ColumnField
                key={heading}
                heading={heading}
                table={tableOf(sheet.table)}
                field={
                  draft.columns && heading in draft.columns ? (draft.columns[heading] ?? '') : (field ?? '')
                }
                unit={draft.units?.[heading] ?? ''}
                onField={(next) => column(heading, next)}
                onUnit={(unit) => onDraft(withUnit(draft, heading, unit))}
              />
            ))}
          </div>
        </div>
      ))}
    </Fold>
  );
}

function ColumnField({
  heading,
  table,
  field,
  unit,
  onField,
  onUnit,
}: {
  heading: string;
  table: WorksheetTable | null;
  field: string;
  unit: string;
  onField: (field: string) => void;
  onUnit: (unit: MassUnit | null) => void;
}) {
  return (
    <div className="flex items-start gap-2">
      <div className="min-w-0 flex-1">
        <SelectField
          label={heading}
          value={field}
          choices={[
            { value: '', words: 'left out' },
            ...(table === null
              ? []
              : FIELDS[table].map((each) => ({ value: each.field, words: each.words }))),
          ]}
          onChange={(event) => onField(event.target.value)}
        />
      </div>
      {WEIGHTS.includes(field) && (
        <div className="w-28">
          <SelectField
            label="Unit"
            aria-label={`Unit of ${heading}`}
            value={unit}
            choices={[
              { value: '', words: 'as written' },
              ...MASS_UNITS.map((value) => ({ value, words: value })),
            ]}
            onChange={(event) => onUnit((event.target.value || null) as MassUnit | null)}
          />
        </div>
      )}
    </div>
  );
}
