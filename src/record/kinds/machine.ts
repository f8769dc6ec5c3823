/** What changes the machine itself, or is checked and reported of it as a whole. */
import type { Category, Detection } from '../../core/logbook/fields';
import { REFRIGERANT_NAMES } from '../../core/refrigerant/refrigerant';
import { CATEGORY_WORDS, DETECTION_WORDS } from '../../words/codes';
import { type Field, long, oneOf } from '../field';
import { kindRecord } from '../record';
import { calculatedFields } from './calculated';

export const normalOperation = kindRecord('normalOperation', {
  name: 'Normal operation reached',
  step: 'prove',
  correction: 'form',
  about: 'The day on which the machine ran normally again after an evacuation.',
  fields: {},
});

const UNCHANGED = { '': 'as it is' };
const flag = (label: string, yes: string): Field<boolean> => ({
  ...oneOf(label, { ...UNCHANGED, true: 'yes', false: 'no' }),
  say: (holds) => (holds ? yes : `not ${yes}`),
});

export const applianceChanged = kindRecord('applianceChanged', {
  name: 'Record changed',
  step: 'arrive',
  correction: 'form',
  title: 'Change the record',
  about: 'Holds from its day on; what was computed for earlier days stays.',
  fields: {
    category: {
      ...oneOf('Category', { ...UNCHANGED, ...CATEGORY_WORDS }),
      say: (category) => CATEGORY_WORDS[category as Category],
    },
    automaticDetection: {
      ...oneOf('Automatic leak detection', { ...UNCHANGED, ...DETECTION_WORDS }),
      say: (detection) => `leak detection ${DETECTION_WORDS[detection as Detection]}`,
    },
    hermetic: flag('Hermetically sealed and labelled', 'hermetic'),
    lightCommercialAirConditioning: flag(
      'Residential or light commercial air conditioning',
      'light commercial air conditioning',
    ),
  },
});

export const retrofitted = kindRecord('retrofitted', {
  name: 'Converted',
  step: 'decide',
  correction: 'form',
  about:
    'To another refrigerant, from this day on. Set the new full charge with it; the nameplate is no longer true.',
  fields: {
    toRefrigerant: {
      ...oneOf('New refrigerant', {
        '': 'Choose',
        ...Object.fromEntries(REFRIGERANT_NAMES.map((name) => [name, name])),
      }),
      say: (name) => `to ${String(name)}`,
    },
  },
});

export const mothballed = kindRecord('mothballed', {
  name: 'Mothballed',
  step: 'isolate',
  correction: 'form',
  about: 'Evacuated and shut down: clocks that count in days stand still until gas goes in again.',
  fields: {},
});

export const retired = kindRecord('retired', {
  name: 'Retired',
  step: 'decide',
  correction: 'form',
  about: 'Ends the duties of this machine, save reports. It leaves the daily lists and stays in the record.',
  caution: 'Its gas is recovered first, by weight, and never let out. Log it as recovered for retirement.',
  fields: {
    // No field of the format: kept beside it.
    'x-gas': {
      ...long('What became of its gas', {
        hint: 'Recovered into which bottle and logged; or why there was none to recover.',
      }),
      say: (gas) => `its gas: ${String(gas)}`,
    },
  },
});

export const detectionCheck = kindRecord('detectionCheck', {
  name: 'Leak detection checked',
  step: 'read',
  correction: 'form',
  about: 'The yearly check and calibration of the automatic system.',
  fields: {},
});

export const reportFiled = kindRecord('reportFiled', {
  name: 'Report filed',
  step: 'read',
  correction: 'form',
  title: 'Chronic leaker report filed',
  about: 'For a year in which the chronic share of the full charge or more was added.',
  fields: { year: { ask: { type: 'year', label: 'Year reported' }, say: (year) => `for ${String(year)}` } },
});

export const detectionAlarm = kindRecord('detectionAlarm', {
  name: 'Detection alarm',
  step: 'arrive',
  correction: 'void',
  fields: calculatedFields,
});

export const voided = kindRecord('void', {
  name: 'Voided',
  step: 'read',
  correction: 'void',
  fields: {},
});
