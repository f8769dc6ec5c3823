/** A site: where its calendar stands, which rule sets hold, whose it is, how one gets in. */
import { PACK_IDS } from '../../core/logbook/packNames';
import { choices } from '../../words/choice';
import { PACK_WORDS } from '../../words/codes';
import { COUNTRIES } from '../../words/countries';
import { type RowForm, address, named, optional } from './rowFields';

export const SITE_FORM: RowForm = {
  thing: 'site',
  first: ['name', 'country', 'timezone', 'packs'],
  fields: [
    named('Name'),
    {
      key: 'country',
      label: 'Country',
      type: 'choice',
      optional: true,
      choices: [{ value: '', words: 'another, or not said' }, ...COUNTRIES],
    },
    {
      key: 'timezone',
      label: 'Time zone',
      type: 'timezone',
      hint: 'A deadline runs through the end of its day here.',
    },
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
      hint: 'One for all machines of the site. Before the first day, annualizing.',
    },
    {
      key: 'altitudeM',
      label: 'Altitude in metres',
      type: 'metres',
      optional: true,
      hint: 'Gauges count from the air at this height.',
    },
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
  ],
};
