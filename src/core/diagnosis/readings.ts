/**
 * What can be read on a machine before any nitrogen or top-off spoils it, each as one of a few values.
 * `usual` is how often a machine that was called for shows it, all causes together: the ground that the signs of a cause
 * lift or lower. `effort` is the minutes it takes, to break a tie between readings that tell equally much.
 */
export interface ReadingFact {
  effort: number;
  /** value → usual share; they sum to 1 */
  usual: Readonly<Record<string, number>>;
}

export const READINGS = {
  running: { effort: 1, usual: { yes: 0.6, no: 0.4 } },
  safety: { effort: 2, usual: { none: 0.7, lowPressureOpen: 0.2, highPressureOpen: 0.07, other: 0.03 } },
  suction: { effort: 5, usual: { vacuum: 0.1, low: 0.35, normal: 0.35, high: 0.2 } },
  head: { effort: 5, usual: { nearAmbient: 0.15, low: 0.15, normal: 0.4, high: 0.3 } },
  superheat: { effort: 6, usual: { low: 0.2, normal: 0.35, high: 0.45 } },
  subcooling: { effort: 6, usual: { none: 0.3, low: 0.15, normal: 0.35, high: 0.2 } },
  sightGlass: { effort: 1, usual: { clear: 0.55, bubbles: 0.3, empty: 0.15 } },
  indicator: { effort: 1, usual: { dry: 0.8, wet: 0.2 } },
  oil: { effort: 3, usual: { none: 0.6, traces: 0.35, much: 0.05 } },
  frost: { effort: 2, usual: { even: 0.4, inletOnly: 0.2, toCompressor: 0.1, iced: 0.15, none: 0.15 } },
  amps: { effort: 3, usual: { low: 0.3, normal: 0.5, high: 0.2 } },
  condenserFace: { effort: 1, usual: { clean: 0.65, dirty: 0.35 } },
  evaporatorFan: { effort: 2, usual: { running: 0.85, stopped: 0.15 } },
  drierDrop: { effort: 3, usual: { no: 0.85, yes: 0.15 } },
  standing: { effort: 15, usual: { saturation: 0.75, below: 0.15, above: 0.1 } },
  solenoidCold: { effort: 2, usual: { open: 0.85, shut: 0.15 } },
  recovered: { effort: 60, usual: { all: 0.2, part: 0.5, little: 0.3 } },
  restClimb: { effort: 5, usual: { usual: 0.7, fast: 0.15, slow: 0.15 } },
} as const satisfies Record<string, ReadingFact>;

export type Reading = keyof typeof READINGS;
export const READING_NAMES = Object.keys(READINGS) as Reading[];
export type ValueOf<R extends Reading> = keyof (typeof READINGS)[R]['usual'] & string;
/** What was read so far; a reading that was not taken is left out, never guessed. */
export type Observed = { readonly [R in Reading]?: ValueOf<R> };

/** Of a machine that stands still only these speak: the rest are signs of running. */
const AT_REST: readonly Reading[] = [
  'running',
  'safety',
  'indicator',
  'oil',
  'condenserFace',
  'standing',
  'solenoidCold',
  'recovered',
  'restClimb',
];

/** What of it counts: of a machine at rest never a sign of running, but ice stays. */
export const speaking = (observed: Observed): Observed =>
  observed.running === 'no'
    ? (Object.fromEntries(
        Object.entries(observed).filter(
          ([reading, value]) => AT_REST.includes(reading as Reading) || value === 'iced',
        ),
      ) as Observed)
    : observed;

export const speaksAtRest = (reading: Reading): boolean => AT_REST.includes(reading);
