/**
 * What people say of a measure where they know no exact one: one end of it (`<10 psig`, `over 90`), or both (`8 to 9 bar`,
 * `8–9 bar`). A bare number is in the unit that is given.
 */
import { type Result, ok } from '../result';
import { SEA_LEVEL_PA } from './atmosphere';
import { type Measure, type MeasureRefusal, parseMeasure } from './measure';
import { type Dimension, type UnitOf, unitFact } from './units';

export type Extent<D extends Dimension = Dimension> =
  | { extent: 'exact'; measure: Measure<D> }
  /** SI of both ends, the lower first */
  | { extent: 'range'; typed: string; low: number; high: number; unit: string }
  /** by SI: a figure below the limit, or above it */
  | { extent: 'below' | 'above'; typed: string; limit: number; unit: string };

const BOUNDS = [
  ['below', /^(?:<|below|under|less than)\s*/i],
  ['above', /^(?:>|above|over|more than)\s*/i],
] as const;

/** Below zero a compound gauge counts downwards: less than 10 inHg is a higher pressure than 10 inHg. */
const OPPOSITE = { below: 'above', above: 'below' } as const;
const countsDown = (dimension: Dimension, unit: string): boolean => unitFact(dimension, unit).factor < 0;

/** Two figures, each with or without its unit. Mixed fractions are none: `1-1/2` is refused, not taken for a range. */
const RANGE = /^(-?[\d.]+)\s*((?!to\b)[^\d\s-]*)\s*(?:-|\bto\b)\s*(-?[\d.]+)\s*([^\d/]*)$/i;

/**
 * `parseExtent('pressure', '8 to 9 bar', 'psig')` has the ends 901325 and 1001325 Pa absolute at sea level. Refuses what
 * `parseMeasure` refuses of either end.
 */
export function parseExtent<D extends Dimension>(
  dimension: D,
  text: string,
  bareUnit: UnitOf<D>,
  atmospherePa = SEA_LEVEL_PA,
): Result<Extent<D>, MeasureRefusal> {
  const typed = text.trim().replace(/[−–]/g, '-');
  for (const [extent, said] of BOUNDS) {
    if (!said.test(typed)) continue;
    const end = parseMeasure(dimension, typed.replace(said, ''), bareUnit, atmospherePa);
    if (!end.ok) return end;
    const { si: limit, unit } = end.value;
    return ok({ extent: countsDown(dimension, unit) ? OPPOSITE[extent] : extent, typed, limit, unit });
  }
  const range = RANGE.exec(typed);
  if (!range) {
    const measure = parseMeasure(dimension, typed, bareUnit, atmospherePa);
    return measure.ok ? ok({ extent: 'exact', measure: measure.value }) : measure;
  }
  const [, first = '', firstUnit = '', second = '', secondUnit = ''] = range;
  const unit = secondUnit.trim() || firstUnit;
  const one = parseMeasure(dimension, `${first} ${firstUnit || unit}`, bareUnit, atmospherePa);
  if (!one.ok) return one;
  const other = parseMeasure(dimension, `${second} ${unit}`, bareUnit, atmospherePa);
  if (!other.ok) return other;
  const [low, high] = [one.value.si, other.value.si].toSorted((a, b) => a - b) as [number, number];
  return ok({ extent: 'range', typed, low, high, unit: other.value.unit });
}
