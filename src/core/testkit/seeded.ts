/** Chance that falls out the same each time, for tests and measurements. */

/** A small seeded generator (mulberry32): the same seed gives the same story. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export interface Roll {
  uniform: () => number;
  between: (low: number, high: number) => number;
  logBetween: (low: number, high: number) => number;
  bell: () => number;
}

/** Numbers of the distributions that simulations draw from, by a seed. */
export function rollOf(seed: number): Roll {
  const uniform = seeded(seed);
  for (let i = 0; i < 8; i += 1) uniform();
  return {
    uniform,
    between: (low, high) => low + (high - low) * uniform(),
    logBetween: (low, high) => low * (high / low) ** uniform(),
    bell: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}
