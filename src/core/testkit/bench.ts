/** What tests of the bench share: outcomes opened, and the units of the trade turned into SI by hand-written factors. */
import type { Result } from '../result';

/** The value of an outcome; a refusal fails the test with its parameters. */
export function valueOf<Value>(outcome: Result<{ value: Value }, unknown>): Value {
  if (!outcome.ok) throw new Error(`refused: ${JSON.stringify(outcome.refusal)}`);
  return outcome.value.value;
}

export const refusalOf = (outcome: Result<unknown, unknown>): unknown =>
  outcome.ok ? 'accepted' : outcome.refusal;

export const ATMOSPHERE = 101_325;
export const psig = (pounds: number): number => ATMOSPHERE + pounds * 6894.757293168;
export const asPsig = (pascal: number): number => (pascal - ATMOSPHERE) / 6894.757293168;
export const fahrenheit = (degrees: number): number => ((degrees + 459.67) * 5) / 9;
export const celsius = (degrees: number): number => degrees + 273.15;
export const microns = (count: number): number => count * 0.1333223684;
export const POUND = 0.45359237;
export const OUNCE = POUND / 16;
