/** Labels to print: what stands on them, and on which sheet. */
import { z } from 'zod';
import { calendarDate, id } from '../core/logbook/fields';

export const LABEL_KINDS = ['machine', 'charge', 'part', 'bottle', 'doNotAdd'] as const;
export type LabelKind = (typeof LABEL_KINDS)[number];

/** Sheets by their measures, mm; `single`: one label to a page, for a roll. */
export const LABEL_SHEETS = {
  a4x24: {
    words: 'A4, 24 labels of 70 × 37 mm',
    page: [210, 297],
    columns: 3,
    rows: 8,
    label: [70, 37],
    first: [0, 0.5],
    step: [70, 37],
  },
  a4x14: {
    words: 'A4, 14 labels of 99 × 38 mm',
    page: [210, 297],
    columns: 2,
    rows: 7,
    label: [99.1, 38.1],
    first: [4.65, 15.15],
    step: [101.6, 38.1],
  },
  letter10: {
    words: 'Letter, 10 labels of 4 × 2 in',
    page: [215.9, 279.4],
    columns: 2,
    rows: 5,
    label: [101.6, 50.8],
    first: [3.97, 12.7],
    step: [106.36, 50.8],
  },
  single: {
    words: 'single, 90 × 38 mm',
    page: [90, 38],
    columns: 1,
    rows: 1,
    label: [90, 38],
    first: [0, 0],
    step: [90, 38],
  },
} as const;
export type LabelSheet = keyof typeof LABEL_SHEETS;

const MOST_LABELS = 96;

export const labelsQuery = z.object({
  kind: z.enum(LABEL_KINDS),
  /** one machine, or all of a site */
  machine: id.optional(),
  site: id.optional(),
  bottle: id.optional(),
  /** the part and the day it was fitted */
  part: z.string().optional(),
  on: calendarDate.optional(),
  sheet: z.enum(Object.keys(LABEL_SHEETS) as [LabelSheet, ...LabelSheet[]]).default('a4x24'),
  /** places of the first sheet that are used up */
  skip: z.coerce.number().int().min(0).max(MOST_LABELS).default(0),
  copies: z.coerce.number().int().min(1).max(MOST_LABELS).default(1),
  /** where this app is reached from a phone, for the code */
  base: z.url({ protocol: /^https?$/ }),
});
