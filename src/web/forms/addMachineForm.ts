/** A new machine: its row, its full charge as an entry, and what else is known of it when it comes into the record. */
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance } from '../../core/logbook/tables';
import type { Day } from '../../core/quantity/day';
import { dayText } from '../../core/quantity/day';
import type { AskedField, Values } from '../../record/field';
import { kindForm } from '../../record/forms';
import { madeOf } from '../../record/formValues';
import { beginField } from '../../record/fieldKinds';
import type { FormPlace } from '../../record/place';
import { MACHINE_FORM } from '../../record/rows/machineForm';
import { GASES } from '../../record/rows/gases';
import { ROW_PLACE, rowOfDraft } from '../../record/rows/rowValues';
import { NO_WRITER } from '../../words/refused';

/** The choice of who does not know the refrigerant. */
const NOT_KNOWN = 'unknown';
const CHARGE = kindForm('fullChargeSet');
const CHARGED = ['mass', 'low', 'high'];

const hasCharge = (values: Values): boolean => CHARGED.some((key) => String(values[key] ?? '').trim() !== '');

/** What is asked of a new one in words of its own: nothing has changed yet, and nothing is known before somebody says it. */
const ROW_FIELDS: readonly AskedField[] = MACHINE_FORM.fields
  .filter(({ key }) => key !== 'serves')
  .map((field) => {
    const label = field.label.replace(', at first', '');
    if (field.key === 'category') return { ...field, label, hint: 'Decides the limit of the leak rate.' };
    if (field.key === 'refrigerant' && field.type === 'choice')
      return {
        ...field,
        label,
        hint: 'What is in it now.',
        optional: false,
        chosen: true,
        choices: [{ value: NOT_KNOWN, words: 'not known yet' }, ...GASES],
      };
    return { ...field, label };
  });

/** The figure first: how it is known is asked once there is one. */
const CHARGE_FIELDS: readonly AskedField[] = CHARGE.fields
  .toSorted((a, b) => Number(a.key === 'method') - Number(b.key === 'method'))
  .map((field) =>
    field.key === 'method'
      ? { ...field, when: hasCharge }
      : {
          ...field,
          optional: true,
          ...(field.key === 'mass'
            ? { hint: 'Leave it empty if nobody knows: then the machine cannot be judged until it is set.' }
            : {}),
        },
  );

const BESIDE: readonly AskedField[] = [
  {
    key: 'inspectedOn',
    label: 'Last inspected on',
    type: 'date',
    optional: true,
    hint: 'If anybody knows: all visible and accessible parts.',
  },
  {
    key: 'spaces',
    label: 'Cooled spaces it serves',
    type: 'text',
    optional: true,
    hint: 'Names with commas between, such as: rose room, bulb room.',
  },
];

/** In sight, and folded behind “More”, each in its order. */
export const FIRST: readonly AskedField[] = [
  ...ROW_FIELDS.filter(({ key }) => MACHINE_FORM.first?.includes(key)),
  ...CHARGE_FIELDS,
];
export const MORE: readonly AskedField[] = [
  ...ROW_FIELDS.filter(({ key }) => !MACHINE_FORM.first?.includes(key)),
  ...BESIDE,
];
const ALL = [...FIRST, ...MORE];

export const freshMachine = (siteId: string): Values =>
  Object.fromEntries(
    ALL.map((field) => [
      field.key,
      beginField(field, field.key === 'siteId' ? siteId : undefined, {
        values: {},
        standing: null,
        labels: ROW_PLACE.labels,
      }),
    ]),
  );

/** Ids by what they are for. */
export function makeIds(): { of: (what: string) => string } {
  const made = new Map<string, string>();
  return {
    of: (what) => {
      const id = made.get(what) ?? uuidv7();
      made.set(what, id);
      return id;
    },
  };
}

export interface NewMachine {
  appliance: Appliance;
  spaces: { id: string; siteId: string; name: string }[];
  entries: Entry[];
  by: string;
}

/** What is sent: the machine, its spaces, and what is known of it as entries; or what is wrong, by field. */
export function newMachineOf(
  values: Values,
  {
    ids,
    by,
    today,
    place,
  }: { ids: ReturnType<typeof makeIds>; by: string | null; today: Day; place: FormPlace },
): { machine: NewMachine | null; errors: Record<string, string> } {
  const id = ids.of('machine');
  const { row, errors } = rowOfDraft({ fields: [...ROW_FIELDS, ...BESIDE] }, { id }, values);
  const { spaces: named, inspectedOn, ...of } = row as Record<string, unknown>;
  for (const key of ['installedOn', 'recordFrom', 'inspectedOn'])
    if (typeof row[key] === 'string' && row[key] > dayText(today)) errors[key] = 'That day has not come yet.';
  const spaces = String(named ?? '')
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
    .map((name) => ({ id: ids.of(`space ${name}`), siteId: String(row['siteId'] ?? ''), name }));
  const frame = {
    id: ids.of('charge'),
    kind: CHARGE.kind,
    on: typeof row['installedOn'] === 'string' ? row['installedOn'] : dayText(today),
    by,
    applianceId: id,
    note: '',
    corrected: null,
    correctionReason: '',
  };
  const charge = hasCharge(values) ? madeOf(CHARGE, values, frame, place, today) : null;
  Object.assign(errors, charge?.errors, by === null ? { by: NO_WRITER } : {});
  if (by === null || Object.keys(errors).length > 0) return { machine: null, errors };
  const appliance = {
    ...of,
    refrigerant: of['refrigerant'] === NOT_KNOWN ? null : of['refrigerant'],
    recordFrom: of['recordFrom'] ?? dayText(today),
    serves: spaces.map((space) => space.id),
  } as Appliance;
  const inspection: Entry[] =
    typeof inspectedOn === 'string'
      ? [
          {
            id: ids.of('inspection'),
            kind: 'leakInspection',
            on: inspectedOn,
            by,
            applianceId: id,
            note: 'As told when the machine came into the record.',
          },
        ]
      : [];
  return {
    machine: { appliance, spaces, entries: [...(charge?.entry ? [charge.entry] : []), ...inspection], by },
    errors,
  };
}
