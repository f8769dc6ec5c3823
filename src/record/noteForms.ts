/** The forms of a visit's notes: what each asks, in the words of the service record that it becomes. */
import { READINGS, READING_NAMES, type Reading } from '../core/judge/readings';
import type { EntryKind } from '../core/logbook/entry';
import { CHOICES, NOTES, type NoteTool, RAISED, WAYS } from '../core/visit/notes';
import { choices } from '../words/choice';
import { type FieldSpec, type FormSpec, YES_NO } from './fieldSpec';
import { READING_WORDS, VALUE_WORDS } from '../words/judge';
import { CHOICE_WORDS, TEST_GAS_WORDS, TEST_METHOD_WORDS, WAY_WORDS } from '../words/leaks';

export interface NoteForm extends FormSpec {
  kind: EntryKind;
  tool: NoteTool;
}

const hinted = (hint?: string) => (hint === undefined ? {} : { hint });

const text = (key: string, label: string, hint?: string): FieldSpec => ({
  key,
  label,
  type: 'text',
  optional: true,
  ...hinted(hint),
});
const name = (key: string, label: string, hint?: string): FieldSpec => ({
  key,
  label,
  type: 'text',
  needed: true,
  ...hinted(hint),
});
const long = (key: string, label: string, rest: { optional?: boolean; hint?: string } = {}): FieldSpec => ({
  key,
  label,
  type: 'long',
  ...rest,
});
const measure = (
  key: string,
  label: string,
  dimension: Extract<FieldSpec, { type: 'measure' }>['dimension'],
  hint?: string,
): FieldSpec => ({ key, label, type: 'measure', dimension, stated: true, ...hinted(hint) });
/** Stated in any of the four ways, or, where it must be said, chosen by the person. */
const oneOf = (key: string, label: string, words: Record<string, string>, stated = true): FieldSpec => ({
  key,
  label,
  type: 'choice',
  stated,
  chosen: !stated,
  choices: choices(Object.keys(words), words),
});
const ask = (key: string, label: string): FieldSpec => ({
  key,
  label,
  type: 'choice',
  stated: true,
  choices: YES_NO,
});

const noteForm = (
  tool: NoteTool,
  title: string,
  about: string,
  fields: readonly FieldSpec[],
  fixed = {},
): NoteForm => ({ kind: NOTES[tool].kind, tool, title, about, fields, fixed: { tool, ...fixed } });

const sign = (reading: Reading): FieldSpec =>
  oneOf(
    `signs.${reading}`,
    READING_WORDS[reading],
    Object.fromEntries(
      Object.keys(READINGS[reading].usual).map((value) => [
        value,
        VALUE_WORDS[`${reading} ${value}`] ?? value,
      ]),
    ),
  );

const NO_READINGS = { numbers: {}, signs: {} };
const SIGNS_FROM_NUMBERS: readonly Reading[] = [
  'suction',
  'head',
  'superheat',
  'subcooling',
  'standing',
  'amps',
];
const FIRST_SIGNS: readonly Reading[] = ['running', 'safety'];

/** One reading alone, where the judge asks for it next. */
export const oneReading = (reading: Reading): NoteForm =>
  noteForm('reading', READING_WORDS[reading], '', [sign(reading)], NO_READINGS);

const CONDITIONS: readonly FieldSpec[] = [
  text(
    'conditions.section',
    'Section under test',
    'As people call it: low side, liquid line, coil of room 2.',
  ),
  text('conditions.valvesOpen', 'Valves open'),
  text(
    'conditions.valvesShut',
    'Shut between gauge and joint',
    'Leave it empty if none: behind a shut valve nothing is tested.',
  ),
  oneOf('conditions.testGas', 'Test gas', TEST_GAS_WORDS),
  measure('conditions.atJoint', 'Pressure at the joint', 'pressure'),
  measure('conditions.minutes', 'It stood', 'duration'),
  oneOf('conditions.method', 'Method', TEST_METHOD_WORDS),
];

export const NOTE_FORMS = {
  arrival: noteForm('arrival', 'What you meet', 'Complaint, since when, and what is at risk.', [
    long('complaint', 'Complaint', { optional: true, hint: 'In the words of whoever called.' }),
    text('since', 'Since', 'Last night, Saturday noon, a week.'),
    text('alarmAt', 'Alarm of the temperature monitoring', 'Day and hour; empty if there is none.'),
    measure('box', 'Box temperature', 'temperature'),
    measure('secondBox', 'Second thermometer', 'temperature'),
    measure('outOfTemperature', 'Out of temperature for', 'duration', 'Such as 6 h or 2 d.'),
    oneOf('product', 'Product', {
      none: 'none in it',
      safe: 'safe',
      atRisk: 'at risk',
      moved: 'moved away',
      lost: 'lost',
    }),
    ask('mayLimp', 'It must limp on until parts are here'),
    ask('otherBoxWarm', 'Another box on the same unit is warm too'),
  ]),
  reading: noteForm(
    'reading',
    'Readings',
    'Leave out what you did not read; say “not done” where you know why.',
    [
      ...FIRST_SIGNS.map(sign),
      measure('numbers.suction', 'Suction pressure', 'pressure'),
      measure('numbers.head', 'Head pressure', 'pressure'),
      measure('numbers.suctionLine', 'Suction line', 'temperature'),
      measure('numbers.liquidLine', 'Liquid line', 'temperature'),
      measure('numbers.box', 'Box', 'temperature'),
      measure('numbers.ambient', 'Air at the condenser', 'temperature'),
      measure('numbers.amps', 'Amps', 'current'),
      measure('numbers.rated', 'Rated amps', 'current'),
      sign('frost'),
      measure(
        'numbers.standing',
        'Standing pressure',
        'pressure',
        'At rest, solenoid open, before any nitrogen.',
      ),
      ...READING_NAMES.filter((each) => ![...SIGNS_FROM_NUMBERS, ...FIRST_SIGNS, 'frost'].includes(each)).map(
        sign,
      ),
    ],
    NO_READINGS,
  ),
  raised: noteForm('raised', 'Pressure raised', 'What stands in it while you search.', [
    oneOf(
      'how',
      'How',
      Object.fromEntries(
        RAISED.map((how) => [how, how === 'rest' ? 'its own gas, at rest' : TEST_GAS_WORDS[how]]),
      ),
      false,
    ),
    ask('solenoidOpen', 'Solenoid open, before any pump-down'),
    measure('pressure', 'Pressure reached', 'pressure'),
    measure('design', 'Least marked design pressure of the section', 'pressure'),
  ]),
  decision: noteForm('decision', 'Decision', 'Who decides, why, and until when.', [
    { key: 'choice', label: 'What', type: 'choice', choices: choices(CHOICES, CHOICE_WORDS) },
    { key: 'leakId', label: 'For which leak', type: 'openLeak', optional: true },
    long('why', 'Reason'),
    text('decidedBy', 'Decided by', 'The owner’s representative, by name.'),
    {
      key: 'until',
      label: 'Until',
      type: 'date',
      needed: true,
      hint: 'Running on has an end.',
      when: (values) => values['choice'] === 'runOn',
    },
    {
      key: 'expectedLoss',
      label: 'Gas expected to be lost until then',
      type: 'mass',
      stated: true,
      when: (values) => values['choice'] === 'runOn',
    },
    {
      ...measure('atPressure', 'Pressure at which it showed', 'pressure'),
      when: (values) => values['choice'] === 'runOn',
    },
  ]),
  isolation: noteForm('isolation', 'How it was isolated', 'Which way, and whether air came in.', [
    { key: 'way', label: 'Way', type: 'choice', chosen: true, choices: choices(WAYS, WAY_WORDS) },
    text('section', 'Section'),
    measure('leftPressure', 'Pressure left before it was opened', 'pressure'),
    ask('openedToAir', 'Opened to air'),
  ]),
  heated: noteForm('heated', 'Heated or bent', 'It goes on the list of what is tested.', [
    name('part', 'Part', 'Name it as you will name the section under test.'),
    oneOf('what', 'What happened to it', { heated: 'heated', bent: 'bent', both: 'heated and bent' }, false),
  ]),
  setting: noteForm(
    'setting',
    'Setting of a control',
    'Before and after: a control exchanged without its old settings is a riddle.',
    [
      name('control', 'Control'),
      { key: 'before', label: 'Before', type: 'text', stated: true },
      { key: 'after', label: 'After', type: 'text', stated: true },
      text('why', 'Reason'),
    ],
  ),
  drier: noteForm(
    'drier',
    'Drier',
    'Changed last before the vacuum, and dated; or why not.',
    [oneOf('changed', 'Changed', { yes: 'yes' }), text('place', 'Place')],
    { part: 'Drier' },
  ),
  preventive: noteForm(
    'preventive',
    'Preventive work',
    'Not a leak repair: a rubbed line sleeved, a rotten pipe exchanged.',
    [name('part', 'Part'), text('place', 'Place'), long('how', 'What was done', { optional: true })],
    { preventive: true },
  ),
  jointTest: noteForm(
    'jointTest',
    'Test of a section',
    'A pass is only as good as its conditions.',
    [
      ...CONDITIONS,
      oneOf('result', 'Result', { pass: 'passed', fail: 'failed' }, false),
      { key: 'leakIds', label: 'Leaks under test', type: 'leaks', optional: true },
    ],
    { conditions: {} },
  ),
  vacuumSkipped: noteForm(
    'vacuumSkipped',
    'No vacuum',
    'Not needed where a section stayed above atmosphere.',
    [
      text('section', 'Section'),
      ask('stayedAboveAtmosphere', 'It stayed above atmospheric pressure'),
      long('why', 'Reason'),
    ],
  ),
  proof: noteForm('proof', 'How it runs now', 'Superheat, subcooling, split, box, control.', [
    measure('box', 'Box', 'temperature'),
    measure('superheat', 'Superheat', 'temperatureDifference'),
    measure('subcooling', 'Subcooling', 'temperatureDifference'),
    measure('split', 'Condenser split', 'temperatureDifference'),
    measure('cutIn', 'Control cuts in at', 'pressure'),
    measure('cutOut', 'Control cuts out at', 'pressure'),
    oneOf('defrost', 'Defrost', { works: 'works', failed: 'failed' }),
    oneOf('secondSearch', 'Second search with the detector', { clean: 'clean', hit: 'a hit' }),
  ]),
  stain: noteForm('stain', 'Oil stain', 'Place, known cause, cleaned: so that it misleads nobody.', [
    name('place', 'Place'),
    { key: 'cause', label: 'Known cause', type: 'text', stated: true },
    ask('cleaned', 'Cleaned today'),
    oneOf('result', 'When looked at again', { stayedClean: 'stayed clean', cameBack: 'came back' }),
    { key: 'stain', label: 'Which stain of the register', type: 'stain', optional: true },
  ]),
} satisfies Partial<Record<NoteTool, NoteForm>>;

/** The conditions of a test by themselves, for a tool that files them with its own result. */
export const CONDITIONS_FORM: NoteForm = noteForm('jointTest', 'Conditions of the test', '', CONDITIONS, {
  conditions: {},
});

export const noteFormOf = (tool: string): NoteForm | null =>
  (NOTE_FORMS as Partial<Record<string, NoteForm>>)[tool] ?? null;
