/**
 * What a machine's fillings leave open, drawn once: how much was missing still after each filling that nobody knows to be to
 * full, and what it loses a day from now on. Rates differ from filling to filling, so two equal ones are no certainty: the
 * logarithm of the rate to come follows Student's t, whose spread begins at what machines usually show. kg, days.
 */
import type { Course, LeakingMachine } from './leaking';

/** Share of the charge that is missing after a filling of which nobody knows: half of a normal distribution with this spread. */
const MISSING_AFTER = 0.052;
const MISSING_MOST = 0.3;
/** How much rates of one machine differ from filling to filling, as a logarithm, before its own are looked at. */
const USUAL_SPREAD = 0.36;
/** That expectation weighs as so many fillings. */
const SPREAD_FREEDOM = 1.5;
/** A filling counts this much less than the one after it: leaks grow, and are repaired. */
const FADES = 0.85;
/** Of what was lost, as much is sure: levels that were drawn badly cannot make gas. */
const LEAST_LOST = 0.1;

/** Two numbers of a normal distribution for each two even ones. */
export function bells(uniform: () => number): () => number {
  let kept: number | null = null;
  return () => {
    if (kept !== null) {
      const second = kept;
      kept = null;
      return second;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const turn = 2 * Math.PI * uniform();
    kept = radius * Math.sin(turn);
    return radius * Math.cos(turn);
  };
}

/** What is the same in every draw of a machine is reckoned once; the function then draws. `bell`: a normal distribution. */
export function coursesOf(machine: LeakingMachine, bell: () => number): () => Course {
  const { fillings, fullCharge, startedFull } = machine;
  const added = fillings.reduce((sum, each) => sum + each.added, 0);
  const level = (full: boolean): number =>
    full ? 0 : Math.min(Math.abs(bell()) * MISSING_AFTER, MISSING_MOST) * fullCharge;
  if (added <= 0) return () => ({ rate: 0, missing: level(fillings.at(-1)?.full ?? startedFull) });
  const weights = fillings.map((_, index) => FADES ** (fillings.length - 1 - index));
  const whole = weights.reduce((sum, each) => sum + each, 0);
  const count = (whole * whole) / weights.reduce((sum, each) => sum + each * each, 0);
  const freedom = SPREAD_FREEDOM + count - 1;
  const least = fillings.map((each) => LEAST_LOST * Math.max(each.added, added / fillings.length));
  const logs = new Float64Array(fillings.length);
  return () => {
    let missing = level(startedFull);
    let mean = 0;
    for (let i = 0; i < fillings.length; i += 1) {
      const filling = fillings[i];
      if (!filling) continue;
      const left = level(filling.full);
      const log = Math.log(Math.max(filling.added + left - missing, least[i] ?? 0) / filling.days);
      missing = left;
      logs[i] = log;
      mean += ((weights[i] ?? 0) / whole) * log;
    }
    let squares = SPREAD_FREEDOM * USUAL_SPREAD ** 2;
    for (let i = 0; i < fillings.length; i += 1) squares += (weights[i] ?? 0) * ((logs[i] ?? 0) - mean) ** 2;
    // The spread itself is known as well as so many fillings tell it: a chi-squared, by Wilson and Hilferty.
    const shrink = 2 / (9 * freedom);
    const chi = freedom * Math.max(0.05, 1 - shrink + Math.sqrt(shrink) * bell()) ** 3;
    return { rate: Math.exp(mean + Math.sqrt((squares / chi) * (1 + 1 / count)) * bell()), missing };
  };
}
