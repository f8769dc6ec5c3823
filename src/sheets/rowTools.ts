/** What lists of rows share: names, refrigerants, and fields with something in them. */
import type { Mass } from '../core/quantity/mass';
import { nearestGas, refrigerantNamed } from './namesRead';
import type { RowReading } from './reading';

export const typed = (mass: Mass): string => (mass as Mass & { 'x-typed'?: string })['x-typed'] ?? '';

/** Fields with something in them. */
export const filled = (fields: Readonly<Record<string, unknown>>): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== null && value !== '' && value !== undefined),
  );

export const named = (reading: RowReading, field: string): string => {
  const text = reading.text(field);
  if (text === '') reading.fault(field, 'is empty', 'Give it a name.');
  return text;
};

export function gas(reading: RowReading): string | null {
  const text = reading.text('refrigerant');
  const name = refrigerantNamed(text);
  if (name !== null) return name;
  const near = nearestGas(text);
  return reading.fault(
    'refrigerant',
    text === '' ? 'is empty' : `“${text}” is no refrigerant that is known here`,
    near === null ? 'Write it as R-404A.' : `Did you mean ${near}?`,
  );
}
