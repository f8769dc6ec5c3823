/** What a list brings that the logbook does not know: machines to answer for, people, bottles. */
import type { ImportPreview } from '../../contract/imports';
import { parseDay } from '../../core/quantity/day';
import type { Mapping } from '../../sheets/mapping';
import { CheckField, TextField } from '../parts/Field';
import { countWords } from '../../words/counts';
import { NewSites } from './NewSites';

const NAMES_SHOWN = 8;
const named = (names: readonly string[]): string =>
  `${names.slice(0, NAMES_SHOWN).join(', ')}${names.length > NAMES_SHOWN ? ' …' : ''}`;

export const isWrongDay = ({ recordFrom }: Mapping): boolean =>
  recordFrom != null && parseDay(recordFrom) === null;

/** A list of machines names sites that are not in the logbook. */
const asksForSite = ({ faulty, sheets }: ImportPreview): boolean =>
  faulty.some(({ asked, sheet: name }) =>
    sheets.some(
      ({ sheet, table, columns }) =>
        table === 'appliances' &&
        (name === undefined || name === sheet) &&
        columns.some(({ heading, field }) => field === 'siteId' && heading === asked?.heading),
    ),
  );

export function Newcomers({
  preview,
  draft,
  onDraft,
}: {
  preview: ImportPreview;
  draft: Mapping;
  onDraft: (draft: Mapping) => void;
}) {
  const {
    newMachines,
    strangers: { people, bottles: cylinders },
  } = preview;
  return (
    <div className="max-w-prose">
      {newMachines > 0 && (
        <TextField
          label={`From which day does this logbook answer for the ${countWords(newMachines, 'new machine')}?`}
          hint="Left empty: from today. Before that day nobody can be late here, and its records stand elsewhere."
          placeholder="YYYY-MM-DD"
          inputMode="numeric"
          value={draft.recordFrom ?? ''}
          error={isWrongDay(draft) ? 'Write the day as 2026-01-01.' : null}
          onChange={(event) => onDraft({ ...draft, recordFrom: event.target.value || null })}
        />
      )}
      {(draft.newSites || asksForSite(preview)) && <NewSites draft={draft} onDraft={onDraft} />}
      {people.length > 0 && (
        <CheckField
          label="Put technicians who are not known here on the list of people"
          hint={`${named(people)}. Otherwise their names stand in their entries as they are written.`}
          checked={draft.newPeople ?? false}
          onChange={(event) => onDraft({ ...draft, newPeople: event.target.checked })}
        />
      )}
      {cylinders.length > 0 && (
        <CheckField
          label="Make bottles of serial numbers that are not known here"
          hint={`${named(cylinders)}. Otherwise the numbers stand in their entries as they are written.`}
          checked={draft.newBottles ?? false}
          onChange={(event) => onDraft({ ...draft, newBottles: event.target.checked })}
        />
      )}
    </div>
  );
}
