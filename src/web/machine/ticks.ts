/** Round figures along an axis, zero among them. */
const ROUND = [1, 2, 5];

/** `wanted`: about how many steps. Both ends are at or beyond zero. */
export function roundTicks(least: number, most: number, wanted = 4): number[] {
  const span = most - least;
  if (!(span > 0)) return [0];
  const power = 10 ** Math.floor(Math.log10(span / wanted));
  const step = [...ROUND, 10].map((each) => each * power).find((each) => span / each <= wanted + 1) ?? span;
  const from = Math.ceil(least / step);
  const to = Math.floor(most / step);
  // Counted in steps and rounded, so that no tick reads 0.30000000000000004.
  return Array.from(
    { length: to - from + 1 },
    (_, index) => Number(((from + index) * step).toPrecision(6)) || 0,
  );
}
