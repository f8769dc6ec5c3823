/** When something that another machine did not take is sent again; after the last wait it is sent no more. */
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const WAITS_MS = [MINUTE_MS, 5 * MINUTE_MS, 30 * MINUTE_MS, 2 * HOUR_MS, 6 * HOUR_MS];

/** `tries`: how often it failed before; null: that was the last one. */
export function nextTryAfter(tries: number, nowMs: number): Date | null {
  const wait = WAITS_MS[tries];
  return wait === undefined ? null : new Date(nowMs + wait);
}
