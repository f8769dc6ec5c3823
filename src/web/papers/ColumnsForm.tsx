/** Which column is which field, and how its days, numbers and units are written; kept for the next list of this kind. */
import { useState } from 'react';
import type { ImportPreview } from '../../contract/imports';
import { PACK_IDS, type PackId } from '../../core/logbook/packNames';
import { parseDay } from '../../core/quantity/day';
import { MASS_UNITS, type MassUnit } from '../../core/quantity/mass';
import { isTimezone } from '../../core/quantity/zone';
import { FIELDS, SHEET_TABLES, type SheetTable } from '../../sheets/fields';
import type { Mapping } from '../../sheets/mapping';
import { PACK_WORDS } from '../../words/codes';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/Field';
import { Fold } from '../parts/Fold';

const TABLE_WORDS: Record<SheetTable, string> = {
  sites: 'Sites',
  people: 'People',
  appliances: 'Machines',
  cylinders: 'Bottles',
  gas: 'Gas log',
  inspections: 'Leak inspections',
};
const WEIGHTS = ['mass', 'added', 'recovered', 'fullCharge', 'tare'];

type Sheet = ImportPreview['sheets'][number];
const tableOf = ({ table }: Sheet): SheetTable | null => SHEET_TABLES.find((each) => each === table) ?? null;

export function ColumnsForm({
  preview,
  mapping,
  onMapping,
}: {
  preview: ImportPreview;
  mapping: Mapping;
  onMapping: (mapping: Mapping) => void;
}) {
  const [draft, setDraft] = useState<Mapping>(mapping);
  const asked = new Set(preview.faulty.map(({ message }) => message));
  const says = (part: string): boolean => [...asked].some((message) => message.includes(part));
  const newMachines = preview.sheets.some(({ table }) => table === 'appliances' || table === 'sites');
  const wrongZone = draft.newSites != null && !isTimezone(draft.newSites.timezone);
  const wrongDay = draft.recordFrom != null && parseDay(draft.recordFrom) === null;
  const column = (heading: string, field: string) =>
    setDraft({ ...draft, columns: { ...draft.columns, [heading]: field || null } });
  return (
    <Fold
      title="Columns"
      about="what each one is; kept for the next list with these headings"
      open={preview.faulty.length > 0 || preview.sheets.some(({ table }) => table === null)}
    >
      {preview.sheets.map((sheet) => (
        <div key={sheet.sheet} className="mb-4">
          <SelectField
            label={preview.sheets.length > 1 ? `“${sheet.sheet}” is a list of` : 'This is a list of'}
            value={saidTable(draft, sheet) ?? ''}
            choices={[
              { value: '', words: 'not known: say what it is' },
              ...SHEET_TABLES.map((value) => ({ value, words: TABLE_WORDS[value] })),
            ]}
            onChange={(event) => {
              const { [sheet.sheet]: _, ...tables } =
                typeof draft.table === 'object' ? (draft.table ?? {}) : {};
              const said = SHEET_TABLES.find((each) => each === event.target.value);
              setDraft({ ...draft, table: said ? { ...tables, [sheet.sheet]: said } : tables });
            }}
          />
          <div className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
            {sheet.columns.map(({ heading, field }) => (
              <ColumnField
                key={heading}
                heading={heading}
                table={saidTable(draft, sheet)}
                field={
                  draft.columns && heading in draft.columns ? (draft.columns[heading] ?? '') : (field ?? '')
                }
                unit={draft.units?.[heading] ?? ''}
                onField={(next) => column(heading, next)}
                onUnit={(unit) => {
                  const { [heading]: _, ...units } = draft.units ?? {};
                  setDraft({ ...draft, units: unit === null ? units : { ...units, [heading]: unit } });
                }}
              />
            ))}
          </div>
        </div>
      ))}
      <div className="grid gap-x-4 sm:grid-cols-2 lg:grid-cols-3">
        {(says('two days') || draft.dates) && (
          <SelectField
            label="Days are written"
            value={draft.dates ?? ''}
            choices={[
              { value: '', words: 'say which' },
              { value: 'dmy', words: 'day first: 31/12/2026' },
              { value: 'mdy', words: 'month first: 12/31/2026' },
            ]}
            onChange={(event) =>
              setDraft({ ...draft, dates: (event.target.value || null) as Mapping['dates'] })
            }
          />
        )}
        {(says('thousand or a decimal') || draft.decimal) && (
          <SelectField
            label="A comma in a number"
            value={draft.decimal ?? ''}
            choices={[
              { value: '', words: 'say what it is' },
              { value: ',', words: 'stands before decimals: 12,5' },
              { value: '.', words: 'sets thousands apart: 1,250' },
            ]}
            onChange={(event) =>
              setDraft({ ...draft, decimal: (event.target.value || null) as Mapping['decimal'] })
            }
          />
        )}
        {newMachines && (
          <>
            <TextField
              label="This logbook answers for new machines from"
              hint="A day such as 2026-01-01. Before it nobody can be late here."
              optional
              placeholder="YYYY-MM-DD"
              value={draft.recordFrom ?? ''}
              error={wrongDay ? 'Write the day as 2026-01-01.' : null}
              onChange={(event) => setDraft({ ...draft, recordFrom: event.target.value || null })}
            />
            <NewSites draft={draft} onDraft={setDraft} wrongZone={wrongZone} />
          </>
        )}
      </div>
      <Button disabled={wrongZone || wrongDay} onClick={() => onMapping(draft)}>
        Read it again
      </Button>
    </Fold>
  );
}

function saidTable(draft: Mapping, sheet: Sheet): SheetTable | null {
  const said = typeof draft.table === 'string' ? draft.table : draft.table?.[sheet.sheet];
  return said ?? tableOf(sheet);
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
  table: SheetTable | null;
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

/** Sites that no list describes: where they stand, and which rules hold there. */
function NewSites({
  draft,
  onDraft,
  wrongZone,
}: {
  draft: Mapping;
  onDraft: (draft: Mapping) => void;
  wrongZone: boolean;
}) {
  const { newSites } = draft;
  const packs = newSites?.packs ?? [];
  const set = (next: { timezone: string; packs: PackId[] }) =>
    onDraft({ ...draft, newSites: next.timezone === '' && next.packs.length === 0 ? null : next });
  return (
    <>
      <TextField
        label="Time zone of new sites"
        hint="Such as America/Chicago. Left empty, a site that is not in the logbook is a fault."
        optional
        value={newSites?.timezone ?? ''}
        error={wrongZone ? 'Write a time zone such as America/Chicago.' : null}
        onChange={(event) => set({ timezone: event.target.value.trim(), packs })}
      />
      <fieldset className="mb-4">
        <legend className="mb-1 font-semibold">Rules of new sites</legend>
        <div className="flex flex-wrap gap-x-5">
          {PACK_IDS.map((id) => (
            <label key={id} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="size-6 accent-green"
                checked={packs.includes(id)}
                onChange={() =>
                  set({
                    timezone: newSites?.timezone ?? '',
                    packs: packs.includes(id) ? packs.filter((each) => each !== id) : [...packs, id],
                  })
                }
              />
              {PACK_WORDS[id]}
            </label>
          ))}
        </div>
      </fieldset>
    </>
  );
}
