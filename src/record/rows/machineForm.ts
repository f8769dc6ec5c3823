/** A machine: one refrigerant circuit. */
import { CATEGORIES, DETECTIONS } from '../../core/logbook/fields';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { choices } from '../../words/choice';
import { CATEGORY_WORDS, DETECTION_WORDS, KIND_WORDS } from '../../words/codes';
import { GASES } from './gases';
import { type RowForm, named, optional } from './rowFields';

export const MACHINE_FORM: RowForm = {
  thing: 'machine',
  first: ['name', 'siteId', 'kind', 'category', 'lightCommercialAirConditioning', 'refrigerant'],
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
      key: 'lightCommercialAirConditioning',
      label: 'Residential or light commercial air conditioning',
      hint: 'Some rules leave such machines out.',
      type: 'check',
      when: ({ category }) => category === 'comfortCooling',
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
};
