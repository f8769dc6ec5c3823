/** The rod in words: what may be added today, or by how much it was exceeded. */
import { type MassSystem, massText } from '../../core/quantity/mass';
import type { Rod } from '../../core/rules/summary';
import { METHOD_WORDS, PACK_WORDS } from './codes';

/** `47.6 %`; six decimals only in the working */
export const percentText = (percent: number): string =>
  `${String(Number(percent.toFixed(percent < 1 ? 2 : 1)))} %`;

const NO_ROD: Record<Extract<Rod, { limit: false }>['why'], string> = {
  retired: 'retired',
  noFullCharge: 'full charge not known',
  noLimit: 'no limit',
  notWeighed: 'not weighed, so unknown',
};

export function rodWords(rod: Rod, system: MassSystem): string {
  if (!rod.limit) return NO_ROD[rod.why];
  if (rod.overPercent > 0) return `${percentText(rod.overPercent)} over`;
  return `${massText(rod.freeGrams, system)} free`;
}

/** One sentence that says all that the drawing says. */
export function rodSentence(rod: Rod, system: MassSystem): string {
  if (!rod.limit) return `Rod without a stop: ${NO_ROD[rod.why]}.`;
  const rule = `${percentText(rod.thresholdPercent)} a year, ${PACK_WORDS[rod.pack]}, ${METHOD_WORDS[rod.method]}`;
  const allowance = massText(rod.allowanceGrams, system);
  const free = `${massText(rod.freeGrams, system)} of ${allowance} may be added without exceeding ${rule}.`;
  return rod.overPercent > 0
    ? `Exceeded by ${percentText(rod.overPercent)}, and not verified since. Today ${free}`
    : free;
}
