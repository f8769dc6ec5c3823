/** What each entry form asks, in the order of the work. The form itself is one component. */
import { type EntryKind, FULL_CHARGE_METHODS, TEST_GASES } from '../core/logbook/entry';
import { CATEGORIES, DETECTIONS } from '../core/logbook/fields';
import { type Choice, choices } from '../words/choice';
import { CATEGORY_WORDS, DETECTION_WORDS, FULL_CHARGE_WORDS } from '../words/codes';
import { METHOD_NAMES } from '../words/leaks';
import { CASE_FORMS } from './caseForms';
import { type FormSpec, why } from './fieldSpec';
import { REFRIGERANT_NAMES } from '../core/refrigerant/refrigerant';

const METHODS: readonly Choice[] = choices(
  Object.keys(METHOD_NAMES) as (keyof typeof METHOD_NAMES)[],
  METHOD_NAMES,
);
const unchanged: Choice = { value: '', words: 'as it is' };
const NITROGEN =
  'Nitrogen only through a regulator, never oxygen or compressed air, and never above the lowest marked design pressure of the section.';
const HOT_WORK =
  'Hot work: no flame on flammable refrigerant until the circuit is purged and the air tested; refrigerant in a flame makes toxic gas. Fire watch, ventilate; a certified person does this work and local code decides.';

export const FORM_KINDS = [
  'leakFound',
  'leakRepaired',
  'verificationTest',
  'normalOperation',
  'leakInspection',
  'partFitted',
  'handover',
  'fullChargeSet',
  'extension',
  'processShutdown',
  'planFiled',
  'planCompleted',
  'unrelatedLeak',
  'applianceChanged',
  'retrofitted',
  'mothballed',
  'retired',
  'detectionCheck',
  'reportFiled',
] as const satisfies readonly EntryKind[];
export type FormKind = (typeof FORM_KINDS)[number];

export const FORMS: Record<FormKind, FormSpec> = {
  leakFound: {
    title: 'Leak found',
    about: 'A hit is not a leak until bubbles or an equally sure sign confirm it.',
    fields: [
      { key: 'leakId', type: 'newLeak', label: 'Leak' },
      {
        key: 'component',
        type: 'text',
        label: 'Part',
        optional: true,
        hint: 'Flare nut, U-bend, valve stem …',
      },
      { key: 'location', type: 'text', label: 'Place', optional: true },
      { key: 'methods', type: 'many', label: 'Found with', choices: METHODS, optional: true },
      { key: 'sizeGuess', type: 'text', label: 'Size, as guessed', optional: true },
    ],
  },
  leakRepaired: {
    title: 'Leak repaired',
    about: 'Take note of what will be the next leak, and do it too.',
    caution: HOT_WORK,
    fields: [
      { key: 'leakId', type: 'leak', label: 'Leak' },
      { key: 'how', type: 'long', label: 'How', optional: true },
      {
        key: 'evacuated',
        type: 'check',
        initial: false,
        label: 'Evacuated for the repair',
        hint: 'The machine or the isolated part was evacuated, not only opened. The days of the second test then start at normal operation.',
      },
    ],
  },
  verificationTest: {
    title: 'Test after repair',
    about:
      'The first test comes before gas goes back in, the second within days of normal running. A pass is only as good as its conditions.',
    caution: NITROGEN,
    fields: [
      {
        key: 'stage',
        type: 'choice',
        label: 'Which test',
        choices: [
          { value: 'initial', words: 'First (initial)' },
          { value: 'followUp', words: 'Second (follow-up)' },
        ],
      },
      {
        key: 'result',
        type: 'choice',
        chosen: true,
        label: 'Result',
        choices: [
          { value: 'pass', words: 'Passed' },
          { value: 'fail', words: 'Failed' },
        ],
      },
      {
        key: 'leakIds',
        type: 'leaks',
        label: 'Leaks tested',
        optional: true,
        hint: 'None ticked: the whole machine.',
      },
      {
        key: 'section',
        type: 'text',
        label: 'Section',
        optional: true,
        hint: 'Which part stood under test, with which valves open.',
      },
      {
        key: 'testGas',
        type: 'choice',
        label: 'Test gas',
        optional: true,
        choices: [
          { value: '', words: 'not recorded' },
          ...choices(TEST_GASES, {
            nitrogen: 'Nitrogen',
            nitrogenTrace: 'Nitrogen, trace of refrigerant',
            nitrogenHydrogen: 'Nitrogen–hydrogen',
            refrigerant: 'Refrigerant',
          }),
        ],
      },
      { key: 'atJoint', type: 'pressure', label: 'Pressure at the joint', optional: true },
      { key: 'method', type: 'text', label: 'Method', optional: true },
    ],
  },
  normalOperation: {
    title: 'Normal operation reached',
    about: 'The day on which the machine ran normally again after an evacuation.',
    fields: [],
  },
  leakInspection: {
    title: 'Leak inspection',
    about: 'Every visible and accessible part. What was left out is named with its reason.',
    fields: [
      { key: 'methods', type: 'many', label: 'Methods', choices: METHODS, optional: true },
      {
        key: 'allAccessibleInspected',
        type: 'choice',
        chosen: true,
        label: 'Were all visible and accessible parts inspected?',
        choices: [
          { value: 'true', words: 'Yes, all of them' },
          { value: 'false', words: 'No: kept, but it fulfils no duty' },
        ],
      },
      {
        key: 'partsLeftOut',
        type: 'partsLeftOut',
        label: 'Left out, and why',
        optional: true,
        hint: 'One a line, such as “condenser fins: ice”.',
      },
      { key: 'leaksFound', type: 'leaks', label: 'Leaks found', optional: true },
    ],
  },
  partFitted: {
    title: 'Part fitted',
    about:
      'Dated, so that the next person knows its age. What is only there for a while gets a day by which it goes.',
    fields: [
      { key: 'part', type: 'text', label: 'Part', needed: true, hint: 'Drier, contactor, clamp-on valve …' },
      { key: 'place', type: 'text', label: 'Place', optional: true },
      {
        key: 'temporary',
        type: 'check',
        initial: false,
        label: 'Only for a while',
        hint: 'A clamp-on valve, a burn-out drier, a bypass, dye: it stays on the register until it is out.',
      },
      {
        key: 'removeBy',
        type: 'date',
        label: 'Goes by',
        optional: true,
        when: (values) => values['temporary'] === true,
      },
      { key: 'removes', type: 'temporaryPart', label: 'Takes out', optional: true },
      why,
    ],
  },
  handover: {
    title: 'Notes to the next person',
    about: 'Shown to whoever drives there next: what they cannot know, and what they would wrongly correct.',
    fields: [
      { key: 'nextPerson', type: 'long', label: 'What they should know' },
      {
        key: 'oddSettings',
        type: 'long',
        label: 'Odd settings, and their reason',
        optional: true,
        hint: 'So that nobody puts them right.',
      },
      { key: 'bring', type: 'text', label: 'Bring', optional: true, hint: 'Parts, ladder, key, tools.' },
    ],
  },
  fullChargeSet: {
    title: 'Set the full charge',
    about:
      'A good weigh-in is worth keeping for ever. Earlier calculations keep the figure that was in force.',
    fields: [
      {
        key: 'method',
        type: 'choice',
        chosen: true,
        label: 'How it is known',
        choices: choices(FULL_CHARGE_METHODS, FULL_CHARGE_WORDS),
      },
      { key: 'mass', type: 'mass', label: 'Full charge', when: (values) => values['method'] !== 'range' },
      { key: 'low', type: 'mass', label: 'Low end', when: (values) => values['method'] === 'range' },
      {
        key: 'high',
        type: 'mass',
        label: 'High end',
        when: (values) => values['method'] === 'range',
        hint: 'The midpoint counts.',
      },
    ],
  },
  ...CASE_FORMS,
  applianceChanged: {
    title: 'Change the record',
    about: 'Holds from its day on; what was computed for earlier days stays.',
    fields: [
      {
        key: 'category',
        type: 'choice',
        label: 'Category',
        choices: [unchanged, ...choices(CATEGORIES, CATEGORY_WORDS)],
      },
      {
        key: 'automaticDetection',
        type: 'choice',
        label: 'Automatic leak detection',
        choices: [unchanged, ...choices(DETECTIONS, DETECTION_WORDS)],
      },
      {
        key: 'hermetic',
        type: 'choice',
        label: 'Hermetically sealed and labelled',
        choices: [unchanged, { value: 'true', words: 'yes' }, { value: 'false', words: 'no' }],
      },
      {
        key: 'lightCommercialAirConditioning',
        type: 'choice',
        label: 'Residential or light commercial air conditioning',
        choices: [unchanged, { value: 'true', words: 'yes' }, { value: 'false', words: 'no' }],
      },
    ],
  },
  retrofitted: {
    title: 'Converted',
    about:
      'To another refrigerant, from this day on. Set the new full charge with it; the nameplate is no longer true.',
    fields: [
      {
        key: 'toRefrigerant',
        type: 'choice',
        label: 'New refrigerant',
        choices: [
          { value: '', words: 'Choose' },
          ...REFRIGERANT_NAMES.map((value) => ({ value, words: value })),
        ],
      },
    ],
  },
  mothballed: {
    title: 'Mothballed',
    about: 'Evacuated and shut down: clocks that count in days stand still until gas goes in again.',
    fields: [],
  },
  retired: {
    title: 'Retired',
    about:
      'Ends the duties of this machine, save reports. It leaves the daily lists and stays in the record.',
    caution: 'Its gas is recovered first, by weight, and never let out. Log it as recovered for retirement.',
    fields: [
      {
        // No field of the format: kept beside it.
        key: 'x-gas',
        type: 'long',
        label: 'What became of its gas',
        hint: 'Recovered into which bottle and logged; or why there was none to recover.',
      },
    ],
  },
  detectionCheck: {
    title: 'Leak detection checked',
    about: 'The yearly check and calibration of the automatic system.',
    fields: [],
  },
  reportFiled: {
    title: 'Chronic leaker report filed',
    about: 'For a year in which the chronic share of the full charge or more was added.',
    fields: [{ key: 'year', type: 'year', label: 'Year reported' }],
  },
};
