/** What went into and out of bottles by the logbook, in grams; a weight that nobody took leaves a bottle's content unknown. */
import type { Entry } from '../logbook/entry';
import { exactGrams, grams } from '../quantity/mass';

export interface CylinderFlow {
  cylinderId: string;
  /** g recovered into it, and g taken out of it */
  putIn: number;
  takenOut: number;
  /** entries without a weight */
  notWeighed: number;
}

/** One for each of `ids`, in their order. */
export function cylinderFlows(ids: readonly string[], entries: readonly Entry[]): CylinderFlow[] {
  return ids.map((cylinderId) => {
    let putIn = 0n;
    let takenOut = 0n;
    let notWeighed = 0;
    for (const entry of entries) {
      if (entry.kind !== 'refrigerantAdded' && entry.kind !== 'refrigerantRecovered') continue;
      if (entry.cylinderId !== cylinderId) continue;
      if (!entry.mass) notWeighed += 1;
      else if (entry.kind === 'refrigerantRecovered') putIn += exactGrams(entry.mass);
      else takenOut += exactGrams(entry.mass);
    }
    return {
      cylinderId,
      putIn: grams(putIn as ReturnType<typeof exactGrams>),
      takenOut: grams(takenOut as ReturnType<typeof exactGrams>),
      notWeighed,
    };
  });
}

/** kg held by a recovery bottle that began empty; null where the logbook cannot say. */
export const heldOf = ({ putIn, takenOut, notWeighed }: CylinderFlow): number | null =>
  notWeighed > 0 || takenOut > putIn ? null : (putIn - takenOut) / 1000;
