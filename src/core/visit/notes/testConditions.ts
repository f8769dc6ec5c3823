/** The conditions of a test of tightness. */
import { z } from 'zod';
import { TEST_GASES } from '../../logbook/entry';
import { maybe } from '../../logbook/fields';
import { TEST_METHODS } from './noteValues';
import { quantity, stated } from './stated';

/** A pass is only as good as these. Pressures Pa absolute. */
export const conditions = z.object({
  section: maybe(z.string()),
  valvesOpen: maybe(z.string()),
  /** any valve that stood shut between the gauge and a joint under test */
  valvesShut: maybe(z.string()),
  testGas: stated(z.enum(TEST_GASES)),
  atJoint: stated(quantity),
  minutes: stated(quantity),
  method: stated(z.enum(TEST_METHODS)),
  /** beside the first: gauge and bubbles are one test */
  otherMethods: maybe(z.array(z.enum(TEST_METHODS))),
});
export type Conditions = z.infer<typeof conditions>;
