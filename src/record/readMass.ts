/** A weight between its text and its entry, which keeps what was typed. */
import { type Mass, type MassUnit, parseMass, typedText } from '../core/quantity/mass';
import { massRefusalWords } from '../words/refusals';

/** A mass as it was typed, or as it would be. */
export const typedMass = (mass: Mass): string => typedText(mass) ?? `${String(mass.value)} ${mass.unit}`;

/** The mass that was typed, with the text itself kept beside it. `unit`: of a bare number. */
export function massOf(text: string, unit: MassUnit): { mass: Mass } | { error: string } {
  const parsed = parseMass(text, unit);
  return parsed.ok
    ? { mass: { ...parsed.value, 'x-typed': text.trim() } }
    : { error: massRefusalWords(parsed.refusal) };
}
