/**
 * A rule pack: what one rule set asks, as data with dates and sources, read by one engine. `definePack` checks
 * the data when it is loaded, so that a pack with a missing source or an unsorted period never computes.
 */
import { z } from 'zod';
import { CATEGORIES, DETECTIONS, calendarDate, category, packId } from '../logbook/fields';
import { REFRIGERANT_KINDS } from '../refrigerant/refrigerant';
import { figureSchema, sourceSchema } from './figure';

const figure = figureSchema;
const kinds = z.array(z.enum(REFRIGERANT_KINDS)).min(1);

/** One way of being covered; a pack covers where any of its clauses holds entirely. */
const clauseSchema = z.strictObject({
  containsAny: kinds.optional(),
  containsNone: kinds.optional(),
  gwpAbove: figure.optional(),
  gwpAtLeast: figure.optional(),
  fullChargeAtLeast: figure.optional(),
  fullChargeAbove: figure.optional(),
  hermeticFullChargeAtLeast: figure.optional(),
  co2eAtLeast: figure.optional(),
  hermeticCo2eAtLeast: figure.optional(),
  notLightCommercialAirConditioning: z.literal(true).optional(),
});

const bandSchema = z.strictObject({ atLeast: figure, everyMonths: figure });

const interpretationSchema = z.strictObject({
  point: z.string(),
  reading: z.string(),
  alternative: z.string(),
  decidedBy: z.string(),
});

export const packSchema = z.strictObject({
  id: packId,
  title: z.string(),
  authority: z.string(),
  /** codes of ISO 3166, a state by its own: sites there begin with it; none: sites anywhere */
  holdsIn: z.array(z.strictObject({ code: z.string(), name: z.string().optional() })),
  /** null: always */
  from: calendarDate.nullable(),
  source: sourceSchema,
  /** in which units the text weighs, and so do the screens of a site under it */
  weighs: z.enum(['pounds', 'kilograms']).nullable(),
  /** `percent`: an addition above the threshold opens a case. `anyLeak`: a leak that is found does. */
  opens: z.enum(['percent', 'anyLeak']),
  /** the house rule steps in where no other pack of the site covers */
  onlyWhereNoOther: z.boolean(),
  covers: z.array(clauseSchema),
  /** percent of full charge a year; null: the category is not covered */
  threshold: z.record(category, figure.nullable()),
  repairWithin: figure,
  shutdown: z.strictObject({ repairWithin: figure, categories: z.array(category).min(1) }).nullable(),
  partsExtension: z
    .union([
      z.strictObject({ afterDelivery: figure, cap: figure, capWithShutdown: figure }),
      z.strictObject({ fromOpening: figure }),
    ])
    .nullable(),
  otherExtensions: z.boolean(),
  /** a verified repair is presumed to hold after so long without an addition; null: never presumed */
  presumedAfter: figure.nullable(),
  firstTestNeeded: z.boolean(),
  followUp: z.union([z.strictObject({ days: figure }), z.strictObject({ monthsAfterRepair: figure })]),
  seriesInspections: z
    .strictObject({
      quarterlyFrom: figure,
      quarterlyCategories: z.array(category).min(1),
      quarterlyEvery: figure,
      yearlyFrom: figure,
      yearlyEvery: figure,
      /** the series ends after so many quarters, or years, in a row without an exceedance */
      quietQuarters: figure,
      quietYears: figure,
      /** a detector of the whole machine stands for an inspection so long after its check */
      checkedDetectionHolds: figure,
      source: sourceSchema,
    })
    .nullable(),
  alwaysInspections: z
    .strictObject({
      /** the first measure whose kind the refrigerant contains; null: any refrigerant */
      measures: z.array(
        z.strictObject({
          contains: z.enum(REFRIGERANT_KINDS).nullable(),
          by: z.enum(['fullCharge', 'co2e']),
          bands: z.array(bandSchema).min(1),
        }),
      ),
      detectionFactor: z.strictObject({ fitted: z.array(z.enum(DETECTIONS)), factor: figure }).nullable(),
      noneUnderWholeDetectionFrom: figure.nullable(),
      /** how long after its check a detector of the whole machine stands for an inspection; null: never */
      checkedDetectionHolds: figure.nullable(),
      /** without a day on which the machine or its record began, none is asked */
      needsBeginning: z.boolean(),
      atAddition: z.strictObject({ atLeast: figure, atLeastShare: figure }).nullable(),
      source: sourceSchema,
    })
    .nullable(),
  detection: z
    .strictObject({
      fullChargeAtLeast: figure,
      categories: z.array(category).min(1),
      installedFrom: calendarDate,
      olderInstalledBefore: calendarDate,
      olderDue: calendarDate,
      dueAfterInstallation: figure,
      checkEvery: figure,
      source: sourceSchema,
    })
    .nullable(),
  plan: z
    .strictObject({
      due: z.union([z.strictObject({ afterRepairDue: figure }), z.strictObject({ afterOpening: figure })]),
      carriedOutWithin: figure,
      source: sourceSchema,
    })
    .nullable(),
  chronic: z.strictObject({ percent: figure, source: sourceSchema }).nullable(),
  recordsKept: figure,
  /** for reading: what the pack asks that the engine does not compute */
  notComputed: z.array(z.string()),
  interpretations: z.array(interpretationSchema),
});

export type Pack = z.infer<typeof packSchema>;
export type Clause = Pack['covers'][number];

/** Checks a pack's data; throws with the path of what is wrong, since a bad pack must never compute. */
export function definePack(data: z.input<typeof packSchema>): Pack {
  const parsed = packSchema.safeParse(data);
  if (!parsed.success) throw new Error(`Rule pack ${data.id}: ${z.prettifyError(parsed.error)}`);
  for (const each of CATEGORIES) {
    if (parsed.data.threshold[each] === undefined)
      throw new Error(`Rule pack ${data.id}: no threshold for ${each}`);
  }
  return parsed.data;
}
