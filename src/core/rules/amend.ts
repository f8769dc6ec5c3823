/**
 * A company's own figures: a copy of a pack in which a figure has another value from a day on, with who changed
 * it and why. Nothing is overwritten, so what was computed for earlier days keeps the figure that it used.
 */
import { z } from 'zod';
import { type Result, ok, refused } from '../result';
import { calendarDate, filledText, packId } from '../logbook/fields';
import { type Figure, figureSchema } from './figure';
import { type Pack, definePack } from './pack';
import type { Packs } from './packs/shipped';

export const amendmentSchema = z.strictObject({
  pack: packId,
  /** keys to the figure, such as ['threshold', 'commercialRefrigeration'] */
  figure: z.array(z.union([z.string(), z.number()])).min(1),
  from: calendarDate,
  value: z.number().min(0, 'must not be negative'),
  reason: filledText,
  by: filledText,
});

export type Amendment = z.infer<typeof amendmentSchema>;
export type AmendmentRefusal = { reason: 'noSuchFigure' } | { reason: 'periodTaken'; from: string };

export interface PlacedFigure {
  path: (string | number)[];
  figure: Figure;
}

/** Every figure of a pack with the keys that lead to it. */
export function figuresOf(pack: Pack): PlacedFigure[] {
  const found: PlacedFigure[] = [];
  const visit = (value: unknown, path: (string | number)[]): void => {
    if (value === null || typeof value !== 'object') return;
    if ('periods' in value) found.push({ path, figure: value as Figure });
    else
      for (const [key, part] of Object.entries(value))
        visit(part, [...path, Array.isArray(value) ? Number(key) : key]);
  };
  visit(pack, []);
  return found;
}

const sameKeys = (a: readonly (string | number)[], b: readonly (string | number)[]): boolean =>
  a.join('.') === b.join('.');

/** The pack with one more period in one figure; the pack given stays as it is. */
export function amended(pack: Pack, amendment: Amendment): Result<Pack, AmendmentRefusal> {
  const copy = structuredClone(pack);
  const place = figuresOf(copy).find((each) => sameKeys(each.path, amendment.figure));
  if (!place) return refused({ reason: 'noSuchFigure' });
  const { periods } = place.figure;
  if (periods.some((period) => period.from === amendment.from))
    return refused({ reason: 'periodTaken', from: amendment.from });
  periods.push({
    from: amendment.from,
    value: amendment.value,
    changed: { by: amendment.by, reason: amendment.reason },
  });
  periods.sort((a, b) => ((a.from ?? '') < (b.from ?? '') ? -1 : 1));
  figureSchema.parse(place.figure);
  return ok(definePack(copy));
}

/** The packs with all of a company's amendments, in the order they were made. */
export function packsWith(packs: Packs, amendments: readonly Amendment[]): Packs {
  let result: Record<string, Pack> = { ...packs };
  for (const amendment of amendments) {
    const next = amended(result[amendment.pack] ?? packs[amendment.pack], amendment);
    if (!next.ok)
      throw new Error(`Stored amendment of ${amendment.pack} no longer fits: ${next.refusal.reason}`);
    result = { ...result, [amendment.pack]: next.value };
  }
  return result as Packs;
}
