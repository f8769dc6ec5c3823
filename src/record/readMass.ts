/** A weight between its text and its entry, which keeps what was typed. */
import { type Mass, type MassUnit, parseMass } from '../core/quantity/mass';
import { massRefusalWords } from '../words/refusals';

type TypedMass = Mass & { 'x-typed'?: string };

/** A mass as it was typed, or as it would be. */
export const typedMass = (mass: TypedMass): string => mass['x-typed'] ?? `${String(mass.value)} ${mass.unit}`;

/** The mass that was typed, with the text itself kept beside it. `unit`: of a bare number. */
export function massOf(text: string, unit: MassUnit): { mass: TypedMass } | { error: string } {
  const parsed = parseMass(text, unit);
  return parsed.ok
    ? { mass: { ...parsed.value, 'x-typed': text.trim() } }
    : { error: massRefusalWords(parsed.refusal) };
}
