/** Duties as people read them: the same duty of several packs on the same day is one to do. */
import type { Obligation } from '../core/rules/obligation';
import { PACK_WORDS } from './codes';

export function foldedObligations(
  obligations: readonly Obligation[],
): { first: Obligation; packs: string[] }[] {
  const byKey = new Map<string, { first: Obligation; packs: string[] }>();
  for (const each of obligations) {
    const key = `${each.kind} ${String(each.due)} ${String(each.doneOn)} ${String(each.ended)}`;
    const known = byKey.get(key);
    if (known) known.packs.push(PACK_WORDS[each.pack.id]);
    else byKey.set(key, { first: each, packs: [PACK_WORDS[each.pack.id]] });
  }
  return [...byKey.values()];
}
