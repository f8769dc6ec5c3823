/** What lists of rows share: names, refrigerants, and fields with something in them. */
import { type Mass, typedText } from '../core/quantity/mass';
import { gasesWithNumber, isGasUnknown, refrigerantNamed } from './gasNames';
import type { RowReading } from './reading';

export const typed = (mass: Mass): string => typedText(mass) ?? '';

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

/** The refrigerant of a row; null: the list says that nobody knows it, says nothing, or is asked about. */
export function gas(reading: RowReading): string | null {
  const text = reading.said('refrigerant');
  if (text === '' || isGasUnknown(text)) return null;
  const name = refrigerantNamed(text);
  if (name !== null) return name;
  const candidates = gasesWithNumber(text);
  return reading.ask(
    'refrigerant',
    `“${reading.text('refrigerant')}” is no refrigerant that is known here`,
    candidates.length === 0
      ? 'Write it as R-404A, or say “unknown”.'
      : `Say which it is: ${candidates.join(', ')}, or “unknown”.`,
    [...candidates, 'unknown'].map((value) => ({ value, words: value })),
  );
}

export const FLAG_CHOICES = [
  { value: 'yes', words: 'yes' },
  { value: 'no', words: 'no' },
];
