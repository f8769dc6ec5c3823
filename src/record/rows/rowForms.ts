/** What can be put right of each row: its fields, how they are typed, and what they are called in its history. */
import { CATEGORIES, DETECTIONS } from '../../core/logbook/fields';
import { PACK_IDS } from '../../core/logbook/packNames';
import { APPLIANCE_KINDS, PURPOSES } from '../../core/logbook/tables';
import { REFRIGERANT_NAMES } from '../../core/refrigerant/refrigerant';
import { INSTRUMENT_DIMENSIONS } from '../../core/visit/instrument';
import type { RowTable } from '../../contract/rows';
import { type Choice, choices } from '../../words/choice';
import {
  CATEGORY_WORDS,
  DETECTION_WORDS,
  DIMENSION_WORDS,
  KIND_WORDS,
  PACK_WORDS,
  PURPOSE_WORDS,
} from '../../words/codes';
import type { AskedField } from '../field';

/** The form that puts a row right, or adds one. */
export interface RowForm {
  /** what one row is called */
  thing: string;
  fields: readonly AskedField[];
}

const named = (label: string, hint?: string): AskedField => ({
  key: 'name',
  label,
  type: 'text',
  ...(hint === undefined ? {} : { hint }),
});
export const optional = (
  key: string,
  label: string,
  type: 'text' | 'long' | 'date',
  hint?: string,
): AskedField => ({
  key,
  label,
  type,
  optional: true,
  ...(hint === undefined ? {} : { hint }),
});
const address = optional('address', 'Address', 'long', 'As it stands on papers.');
const contact = optional('contact', 'Contact', 'text', 'Telephone or mail, and who answers.');
const numbers: AskedField = {
  key: 'numbers',
  label: 'Numbers that an authority gave',
  type: 'numbers',
  optional: true,
  hint: 'One a line, such as “facility 12345”.',
};
const GASES: readonly Choice[] = REFRIGERANT_NAMES.map((value) => ({ value, words: value }));

export const ROW_FORMS: Record<RowTable, RowForm> = {
  company: { thing: 'company', fields: [{ ...named('Name'), optional: true }, address, contact, numbers] },
  owners: {
    thing: 'owner',
    fields: [named('Name', 'Whose machines and whose gas it is.'), address, contact, numbers],
  },
  sites: {
    thing: 'site',
    fields: [
      named('Name'),
      address,
      {
        key: 'ownerId',
        label: 'Owner, at first',
        type: 'owner',
        optional: true,
        hint: 'Wrong from the beginning: put it right here. Sold since: add it below.',
      },
      {
        key: 'owners',
        label: 'Sold since',
        type: 'owners',
        optional: true,
        hint: 'A paper names the owner of its own day.',
      },
      optional('access', 'Notes of access', 'long', 'Who has the key, when, where to park.'),
      {
        key: 'packs',
        label: 'Rule sets that hold here',
        type: 'many',
        choices: choices(PACK_IDS, PACK_WORDS),
        hint: 'Which apply to a machine follows from its charge, refrigerant and category.',
      },
      {
        key: 'leakRateMethod',
        label: 'Leak-rate method',
        type: 'methods',
        optional: true,
        hint: 'One a line: a day and “annualizing” or “rolling”. Before the first, annualizing.',
      },
      {
        key: 'timezone',
        label: 'Time zone',
        type: 'timezone',
        hint: 'A deadline runs through the end of its day here.',
      },
      {
        key: 'altitudeM',
        label: 'Altitude in metres',
        type: 'metres',
        optional: true,
        hint: 'Gauges count from the air at this height.',
      },
      optional('country', 'Country', 'text'),
    ],
  },
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
        hint: 'One a line: scheme, number, day on which it ends, such as “608 universal, BH-4, 2028-05-01”.',
      },
      optional(
        'leftOn',
        'Left on',
        'date',
        'From then on nobody chooses them; what they wrote stays theirs.',
      ),
    ],
  },
  appliances: {
    thing: 'machine',
    fields: [
      named('Name', 'As on its tag.'),
      {
        key: 'siteId',
        label: 'Site',
        type: 'site',
        hint: 'Moved to another site, it keeps all of its past.',
      },
      {
        key: 'kind',
        label: 'Kind',
        type: 'choice',
        chosen: true,
        choices: choices(APPLIANCE_KINDS, KIND_WORDS),
      },
      {
        key: 'category',
        label: 'Category, at first',
        type: 'choice',
        chosen: true,
        choices: choices(CATEGORIES, CATEGORY_WORDS),
        hint: 'Wrong from the beginning: put it right here. Changed since: “Change the record” says so.',
      },
      {
        key: 'refrigerant',
        label: 'Refrigerant, at first',
        type: 'choice',
        optional: true,
        choices: [{ value: '', words: 'not known yet' }, ...GASES],
        hint: 'Learned since, or wrong from the beginning: put it right here. Changed since: “Converted” says so.',
      },
      optional('installedOn', 'Installed on', 'date'),
      optional(
        'recordFrom',
        'Record begins',
        'date',
        'The day from which this logbook answers for it; nobody is late for the time before.',
      ),
      { key: 'hermetic', label: 'Hermetically sealed and labelled', type: 'check' },
      {
        key: 'lightCommercialAirConditioning',
        label: 'Residential or light commercial air conditioning',
        type: 'check',
      },
      {
        key: 'automaticDetection',
        label: 'Automatic leak detection, at first',
        type: 'choice',
        choices: choices(DETECTIONS, DETECTION_WORDS),
        leftOut: 'none',
      },
      { key: 'serves', label: 'Cools', type: 'serves', optional: true },
      optional('assembly', 'Belongs to', 'text', 'The machine whose circuits these are.'),
      optional('tag', 'Tag at the unit', 'text', 'Where the roof says another name than the door.'),
      optional('location', 'Where it stands', 'text'),
      optional('access', 'Notes of access', 'long'),
      optional('model', 'Model', 'text'),
      optional('serialNumber', 'Serial number', 'text'),
      {
        key: 'designPressureLow',
        label: 'Design pressure, low side, as marked',
        type: 'pressure',
        optional: true,
      },
      {
        key: 'designPressureHigh',
        label: 'Design pressure, high side, as marked',
        type: 'pressure',
        optional: true,
      },
    ],
  },
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
