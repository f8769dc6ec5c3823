/** The conditions of a test: a pass is only as good as these. One table for a joint, a hold and a legal test. */
import { type Conditions, TEST_METHODS } from '../core/visit/notes/notes';
import { choices } from '../words/choice';
import { listAnd } from '../words/list';
import { TEST_GAS_WORDS, TEST_METHOD_WORDS } from '../words/leaks';
import { type Field, measure, statedChoice, text } from './field';

const ASKED: { readonly [Key in keyof Conditions]-?: Field } = {
  section: text('Section under test', { hint: 'As people call it: low side, liquid line, coil of room 2.' }),
  valvesOpen: text('Valves open'),
  valvesShut: text('Shut between gauge and joint', {
    hint: 'Leave it empty if none: behind a shut valve nothing is tested.',
  }),
  testGas: statedChoice('Test gas', TEST_GAS_WORDS),
  atJoint: measure('Pressure at the joint', 'pressure'),
  minutes: measure('It stood', 'duration'),
  method: statedChoice('Method', TEST_METHOD_WORDS),
  otherMethods: {
    ask: {
      type: 'many',
      label: 'Besides',
      optional: true,
      choices: choices(TEST_METHODS, TEST_METHOD_WORDS),
    },
    say: (methods) =>
      `besides ${listAnd((methods as Method[]).map((each) => TEST_METHOD_WORDS[each] ?? each))}`,
  },
};
type Method = (typeof TEST_METHODS)[number];

type ConditionFields = typeof ASKED;

const beside = (change: (key: string, field: Field) => Field): ConditionFields =>
  Object.fromEntries(
    Object.entries(ASKED).map(([key, field]) => [key, { ...change(key, field), elsewhere: true }]),
  ) as ConditionFields;

/** Of these a legal test has fields of its own: what stands beside it is said only where its own is empty. */
const OWN_OF_A_LEGAL_TEST = ['section', 'testGas', 'atJoint', 'method'];

export const besideLegalTest: ConditionFields = beside((key, field) =>
  OWN_OF_A_LEGAL_TEST.includes(key) ? { ...field, unlessSaidBy: key } : field,
);

/** `asked`: whether the form of the entry asks them, or a calculator or a test gave them. */
export const conditionFields = (asked: boolean): ConditionFields =>
  asked ? ASKED : beside((_, field) => field);
