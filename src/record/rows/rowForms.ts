/** What can be put right of each row: its fields, how they are typed, and what they are called in its history. */
import { PURPOSES } from '../../core/logbook/tables';
import { INSTRUMENT_DIMENSIONS } from '../../core/visit/instrument';
import { GASES } from './gases';
import { MACHINE_FORM } from './machineForm';
import { type RowForm, address, contact, named, optional } from './rowFields';
import { SITE_FORM } from './siteForm';
import type { RowTable } from '../../contract/rows';
import { choices } from '../../words/choice';
import { DIMENSION_WORDS, PURPOSE_WORDS } from '../../words/codes';
import type { AskedField } from '../field';

const numbers: AskedField = {
  key: 'numbers',
  label: 'Numbers that an authority gave',
  type: 'numbers',
  optional: true,
  hint: 'One a line, such as “facility 12345”.',
};
export const ROW_FORMS: Record<RowTable, RowForm> = {
  company: { thing: 'company', fields: [{ ...named('Name'), optional: true }, address, contact, numbers] },
  owners: {
    thing: 'owner',
    fields: [named('Name', 'Whose machines and whose gas it is.'), address, contact, numbers],
  },
  sites: SITE_FORM,
  spaces: { thing: 'cooled space', fields: [named('Name', 'As on its door.')] },
  people: {
    thing: 'person',
    fields: [
      named('Name'),
      optional('role', 'Role', 'text'),
      {
        key: 'certificates',
        label: 'Certificates',
        type: 'certificates',
        optional: true,
        hint: 'Gas is handled, and leaks are repaired, by certified people alone where the law says so.',
      },
      optional(
        'leftOn',
        'Left on',
        'date',
        'From then on nobody chooses them; what they wrote stays theirs.',
      ),
    ],
  },
  appliances: MACHINE_FORM,
  cylinders: {
    thing: 'bottle',
    fields: [
      { key: 'serial', label: 'Serial', type: 'text', hint: 'As stamped on it.' },
      {
        key: 'refrigerant',
        label: 'Holds',
        type: 'choice',
        chosen: true,
        choices: GASES,
      },
      {
        key: 'purpose',
        label: 'For',
        type: 'choice',
        optional: true,
        choices: [{ value: '', words: 'not said' }, ...choices(PURPOSES, PURPOSE_WORDS)],
      },
      {
        key: 'tare',
        label: 'Tare',
        type: 'mass',
        unit: 'kg',
        optional: true,
        hint: 'Empty, as stamped; a bare number is in kg.',
      },
      { key: 'waterCapacityL', label: 'Water capacity in litres', type: 'litres', optional: true },
      { key: 'ownerId', label: 'Owner', type: 'owner', optional: true },
      optional('retestOn', 'Retest due on', 'date'),
      optional('place', 'Where it is', 'text', 'Van 2, store, with the owner.'),
      optional('scrappedOn', 'Scrapped on', 'date', 'It leaves the lists and stays in the record.'),
    ],
  },
  instruments: {
    thing: 'instrument',
    fields: [
      named('Name', 'As it is labelled: gauge 2, display of the machine.'),
      {
        key: 'dimension',
        label: 'Kind of instrument',
        type: 'choice',
        chosen: true,
        choices: choices(INSTRUMENT_DIMENSIONS, DIMENSION_WORDS),
      },
      {
        key: 'offset',
        label: 'Add to its reading',
        type: 'offset',
        optional: true,
        hint: 'Such as 2 psi or -1 °F; empty where it reads true.',
      },
      optional('checkedOn', 'Last checked on', 'date'),
      { key: 'checkEveryMonths', label: 'Check every so many months', type: 'months', optional: true },
    ],
  },
};

/** What a field of a row is called, also one that no form shows. */
export const rowFieldWords = (table: string, key: string): string =>
  (ROW_FORMS as Partial<Record<string, RowForm>>)[table]?.fields.find((each) => each.key === key)?.label ??
  key;
