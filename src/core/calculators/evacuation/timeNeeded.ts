/**
 * Watching on as the readings let foresee, with the noise seen so far, until the word would be firm: under each explanation
 * that is still in play, since nobody knows yet which of them it is. s, Pa.
 */
import { type Curve, curveAt } from '../series/explanation';
import { CAUSES_OF_RISE } from './explanations';
import type { VacuumReading } from './gauge';
import { type Looked, type Setting, lookAt } from './lookAt';
import { binned, noiseOf } from './samples';

const LONGEST_WATCH_S = 7200;
const STRETCH = 1.5;
const MOST_READINGS = 60;
/** One memory of the noise beside none is enough to foresee by, s. */
const FORESEEN_MEMORY = [16] as const;
/** Explanations with less of the evidence are not waited for, nor more than so many. */
const IN_PLAY = 0.08;
const MOST_IN_PLAY = 3;
/** The readings to come will not be those foreseen: what was promised is kept in four of five with this much more. */
const MARGIN = 1.3;

/** s more; null where two hours in all would not make it firm. */
export function timeNeeded(
  kept: readonly VacuumReading[],
  setting: Setting,
  looked: Looked,
  progress: (share: number) => void,
): number | null {
  const first = kept[0]?.at ?? 0;
  const span = (kept.at(-1)?.at ?? 0) - first;
  const likeliest = CAUSES_OF_RISE.filter((cause) => looked.curves[cause] !== null)
    .sort((a, b) => looked.shares[b] - looked.shares[a])
    .filter((cause, place) => place === 0 || looked.shares[cause] >= IN_PLAY)
    .slice(0, MOST_IN_PLAY);
  const watches = likeliest.map((cause, place) => {
    const curve = looked.curves[cause];
    progress(place / likeliest.length);
    return curve && firmAt(kept, first, span, curve, setting);
  });
  const longest = watches.reduce<number | null>(
    (most, each) => (most === null || each === null ? null : Math.max(most, each)),
    0,
  );
  if (longest === null) return null;
  const needed = (longest - span) * MARGIN;
  return span + needed > LONGEST_WATCH_S ? null : needed;
}

/** s of watching in all after which this curve would have a firm word, whichever way the noise falls. */
function firmAt(
  kept: readonly VacuumReading[],
  first: number,
  span: number,
  curve: Curve,
  setting: Setting,
): number | null {
  const few = binned(kept);
  const relative = noiseOf(
    few.map(({ at, pressure }) => ({ at, pressure: pressure / curveAt(curve, at - first) })),
  );
  const spacing = span / (few.length - 1);
  for (let watch = span * STRETCH; watch <= LONGEST_WATCH_S; watch *= STRETCH) {
    const count = Math.max(Math.round(watch / spacing) + 1, few.length);
    const shown = Math.min(count, MOST_READINGS);
    // Fewer readings stand for all: their noise is smaller as the mean of several would be.
    const each = relative * Math.sqrt(shown / count);
    const foreseen = (turn: number): VacuumReading[] =>
      Array.from({ length: shown }, (_, i) => {
        const at = (watch * i) / (shown - 1);
        return { at: first + at, pressure: curveAt(curve, at) * (1 + each * unrest(i, turn)) };
      });
    if ([0, 1].every((turn) => lookAt(foreseen(turn), { ...setting, memory: FORESEEN_MEMORY }).firm))
      return watch;
  }
  return null;
}

/** A fixed unrest with mean 0 and mean square 1 that does not repeat soon: made of three turns that share no measure. */
const unrest = (i: number, turn: number): number =>
  Math.sqrt(2 / 3) *
  (Math.sin(2.4 * i + 1 + turn) + Math.sin(3.9 * i + 2 + 2 * turn) + Math.sin(5.3 * i + 4 + 3 * turn));
