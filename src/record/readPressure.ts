/** A pressure of the open format as it is typed: `150 psig`; a bare number is in psig. */
import { GAUGE_UNITS } from '../core/quantity/units';
import type { FieldRead } from './statedDraft';

export function readPressure(text: string): FieldRead {
  const match = /^(-?\d+(?:\.\d+)?)\s*([a-z]*)$/i.exec(text);
  const unit =
    GAUGE_UNITS.find((each) => each.toLowerCase() === (match?.[2] ?? '').toLowerCase()) ??
    (match?.[2] === '' ? 'psig' : undefined);
  if (!match || !unit) return { error: 'Type a pressure such as 150 psig, 10 bar or -12 inHg.' };
  return { value: { value: Number(match[1]), unit } };
}

export const pressureText = (value: unknown): string => {
  const pressure = value as { value: number; unit: string } | undefined | null;
  return pressure ? `${String(pressure.value)} ${pressure.unit}` : '';
};
