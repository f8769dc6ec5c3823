/** A pressure told by what it fell since the reading before: nobody subtracts in his head. */
import { parseMeasure, measureText } from '../core/quantity/measure';
import type { Measured } from '../core/visit/notes/stated';
import { measureRefusalWords } from '../words/calculators';

/** Units in which a fall is told. */
export const FALL_UNITS = ['psi', 'bar', 'kPa'] as const;

/** What the gauge shows after it fell by `text` from `before`; what was typed stands beside it. Pa absolute. */
export function afterFall(
  before: Measured,
  text: string,
  unit: string,
  atmosphere: number,
): { value: Measured } | { error: string } {
  const fall = parseMeasure('pressureDifference', text, unit as never);
  if (!fall.ok) return { error: measureRefusalWords(fall.refusal) };
  const si = before.si - fall.value.si;
  if (si < 0) return { error: `It stood at ${before.typed}: it cannot fall by that.` };
  const typed = /[a-z]/i.test(fall.value.typed) ? fall.value.typed : `${fall.value.typed} ${unit}`;
  return {
    value: {
      typed: `${measureText('pressure', si, before.unit, atmosphere)} (fell by ${typed})`,
      si,
      unit: before.unit,
    },
  };
}
