/** The name that was most likely meant, where a list names what the logbook does not have. */
import { distance } from 'fastest-levenshtein';

const NEAR_SHARE = 0.4;
/** A name of fewer letters stands in others by chance. */
const TELLING = 3;

/** Null: none is near. */
export function nearest(key: string, named: readonly { key: string; name: string }[]): string | null {
  if (key === '') return null;
  let best: { name: string; far: number } | null = null;
  for (const each of named) {
    const [short, long] = key.length < each.key.length ? [key, each.key] : [each.key, key];
    const far = short.length >= TELLING && long.includes(short) ? 1 : distance(key, each.key);
    if (far <= Math.max(1, NEAR_SHARE * Math.max(key.length, each.key.length)) && (!best || far < best.far))
      best = { name: each.name, far };
  }
  return best?.name ?? null;
}
