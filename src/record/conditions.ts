/** The conditions of a test: a pass is only as good as these. One table for a joint, a hold and a legal test. */
import type { Conditions } from '../core/visit/notes';
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
};

/** Of a legal test the format has fields for four of them: minutes and valves stand beside, the rest is said once. */
export const besideLegalTest: typeof ASKED = {
  ...ASKED,
  section: { ...ASKED.section, elsewhere: true, say: null },
  testGas: { ...ASKED.testGas, elsewhere: true, say: null },
  atJoint: { ...ASKED.atJoint, elsewhere: true, say: null },
  method: { ...ASKED.method, elsewhere: true, say: null },
  valvesOpen: { ...ASKED.valvesOpen, elsewhere: true },
  valvesShut: { ...ASKED.valvesShut, elsewhere: true },
  minutes: { ...ASKED.minutes, elsewhere: true },
};

/** `asked`: whether the form of the entry asks them, or a calculator or a test gave them. */
export const conditionFields = (asked: boolean): typeof ASKED =>
  asked
    ? ASKED
    : (Object.fromEntries(
        Object.entries(ASKED).map(([key, field]) => [key, { ...field, elsewhere: true }]),
      ) as typeof ASKED);
