/** The small parts that rows and entries of a logbook are made of, as Zod schemas. */
import { z } from 'zod';
import { parseDay } from '../quantity/day';
import { MASS_UNITS } from '../quantity/mass';
import { GAUGE_UNITS } from '../quantity/units';
import { isTimezone } from '../quantity/zone';
import { REFRIGERANT_NAMES } from '../refrigerant/refrigerant';
import { PACK_IDS } from './packNames';

/** Any field that a row does not know is refused with its path, unless its name begins with this. */
export const EXTENSION_PREFIX = 'x-';

/**
 * A row that refuses unknown fields but keeps `x-…` fields as they are. At run time the object is loose and a
 * check names what is unknown; for the compiler it has just the fields of its shape.
 */
export function row<Shape extends z.ZodRawShape>(shape: Shape): z.ZodObject<Shape, z.core.$strip> {
  const known = new Set(Object.keys(shape));
  const loose = z.looseObject(shape).check((context) => {
    for (const key of Object.keys(context.value)) {
      if (!known.has(key) && !key.startsWith(EXTENSION_PREFIX)) {
        context.issues.push({
          code: 'custom',
          path: [key],
          input: context.value,
          message: `is not a field of this row; take it out, or name it ${EXTENSION_PREFIX}${key} to keep it`,
        });
      }
    }
  });
  return loose as unknown as z.ZodObject<Shape, z.core.$strip>;
}

/** Optional: null and leaving it out mean the same. */
export const maybe = <Schema extends z.ZodType>(schema: Schema) => schema.nullish();

export const text = z.string();
export const filledText = z.string().refine((value) => value.trim() !== '', 'must not be empty');
export const id = z.string().min(1, 'must not be empty');
export const texts = z.array(text);
export const flag = z.boolean();

export const calendarDate = z
  .string()
  .refine((value) => parseDay(value) !== null, 'must be a date that exists, written YYYY-MM-DD');

export const instant = z.iso.datetime({
  offset: true,
  error: 'must be an instant with Z or an offset, such as 2026-04-12T09:40:00-04:00',
});

export const mass = row({
  value: z.number().min(0, 'must not be negative'),
  unit: z.enum(MASS_UNITS),
});

export const pressure = row({ value: z.number(), unit: z.enum(GAUGE_UNITS) });

export const refrigerantName = z.enum(REFRIGERANT_NAMES as [string, ...string[]]);
export const timezone = z.string().refine(isTimezone, 'must be a time zone such as America/Chicago');

export const packId = z.enum(PACK_IDS);

export const CATEGORIES = [
  'commercialRefrigeration',
  'industrialProcess',
  'comfortCooling',
  'other',
] as const;
export type Category = (typeof CATEGORIES)[number];
export const category = z.enum(CATEGORIES);

export const DETECTIONS = ['none', 'part', 'whole'] as const;
export type Detection = (typeof DETECTIONS)[number];
export const detection = z.enum(DETECTIONS);

export const METHODS = ['annualizing', 'rolling'] as const;
export type LeakRateMethod = (typeof METHODS)[number];
