/** The history of a row in words: what changed from one version to the next. */
import { changedFields, isRowTable } from '../../contract/rows';
import type { Revision } from '../../core/logbook/tables';
import { ROW_FORMS, rowFieldWords } from './rowForms';
import type { AskedField } from '../field';
import type { MethodSince, OwnedSince } from './rowLines';
import { draftOfRow } from './rowValues';
import type { LeakRateMethod } from '../../core/logbook/fields';
import { METHOD_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';

type Row = Record<string, unknown>;

/** What ids that stand in rows are called. */
export interface RowNames {
  sites: ReadonlyMap<string, string>;
  owners: ReadonlyMap<string, string>;
  spaces: ReadonlyMap<string, string>;
}

export interface FieldChange {
  label: string;
  before: string;
  after: string;
}

const NONE = 'not recorded';

function valueWords(field: AskedField | undefined, value: unknown, row: Row, names: RowNames): string {
  if (value === null || value === undefined || value === '') return NONE;
  if (!field) return typeof value === 'string' ? value : JSON.stringify(value);
  const typed = draftOfRow({ fields: [field] }, row)[field.key];
  switch (field.type) {
    case 'check':
      return typed === true ? 'yes' : 'no';
    case 'choice':
      return field.choices.find((each) => each.value === typed)?.words ?? String(typed);
    case 'many':
      return (
        (typed as string[])
          .map((each) => field.choices.find((choice) => choice.value === each)?.words ?? each)
          .join(', ') || 'none'
      );
    case 'serves':
      return (typed as string[]).map((each) => names.spaces.get(each) ?? each).join(', ') || 'none';
    case 'owners':
      return (
        (typed as OwnedSince[])
          .map(
            ({ from, ownerId }) =>
              `${(ownerId && names.owners.get(ownerId)) || (ownerId ?? NONE)} from ${dateWords(from)}`,
          )
          .join(', ') || 'never'
      );
    case 'methods':
      return (
        (typed as MethodSince[])
          .map(
            ({ from, method }) =>
              `${METHOD_WORDS[method as LeakRateMethod] ?? method} from ${dateWords(from)}`,
          )
          .join(', ') || 'annualizing'
      );
    case 'site':
      return names.sites.get(String(typed)) ?? String(typed);
    case 'owner':
      return names.owners.get(String(typed)) ?? String(typed);
    default:
      return String(typed).replaceAll('\n', '; ') || NONE;
  }
}

/** The fields in which a version differs from the one before it; of the first version, those that say something. */
export function fieldChanges(table: string, before: Row | null, after: Row, names: RowNames): FieldChange[] {
  const fields = isRowTable(table) ? ROW_FORMS[table].fields : [];
  return changedFields(before ?? {}, after)
    .filter((key) => key !== 'id')
    .map((key) => {
      const field = fields.find((each) => each.key === key);
      return {
        label: rowFieldWords(table, key),
        before: before === null ? '' : valueWords(field, before[key], before, names),
        after: valueWords(field, after[key], after, names),
      };
    });
}

/** What a row is called in a list of changes. */
/** What is sealed beside the tables that people put right. */
const OTHER_THINGS: Readonly<Record<string, string>> = { figures: 'own figure', issued: 'document issued' };

export function rowTitle({ table, row, id }: Pick<Revision, 'table' | 'row' | 'id'>): string {
  const said = (row as Row)['name'] ?? (row as Row)['serial'] ?? (row as Row)['number'];
  const thing = isRowTable(table) ? ROW_FORMS[table].thing : (OTHER_THINGS[table] ?? table);
  return `${thing} ${typeof said === 'string' && said !== '' ? said : table === 'figures' ? id : ''}`.trim();
}
