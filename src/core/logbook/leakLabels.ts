/**
 * What people call the leaks of a machine. A leak's id is made once and never again; its label (`k1`, `k2`, …) is the
 * first number that was free on the machine when it was made, withdrawn leaks included. Two devices without signal may
 * both make a `k3`: then the later is shown as `k3b`. Older files use the label as the id.
 */
import { dayOf } from '../quantity/day';
import type { Entry } from './entry';
import { byOrder } from './order';

export type LeakLabels = ReadonlyMap<string, string>;

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const SUFFIXES = 'bcdefghijklmnopqrstuvwxyz';

const saidLabel = (entry: Entry): string | null =>
  entry.kind === 'leakFound' || entry.kind === 'leakRepaired'
    ? entry.label?.trim() || (UUID.test(entry.leakId) ? null : entry.leakId)
    : null;

/**
 * Labels by leak id. `entries`: all of the machine in any order, superseded ones too, since a withdrawn leak keeps its label.
 */
export function leakLabels(entries: readonly Entry[]): LeakLabels {
  const said = new Map<string, string | null>();
  const named = entries
    .filter((entry) => entry.kind === 'leakFound' || entry.kind === 'leakRepaired')
    .map((entry) => ({ entry, day: dayOf(entry.on) }))
    .sort(byOrder);
  for (const { entry } of named) {
    if (!('leakId' in entry) || entry.leakId == null) continue;
    said.set(entry.leakId, said.get(entry.leakId) ?? saidLabel(entry));
  }
  const labels = new Map<string, string>();
  const taken = new Set<string>();
  for (const [leakId, label] of said) {
    if (label === null) continue;
    const free = [label, ...[...SUFFIXES].map((suffix) => `${label}${suffix}`)].find(
      (each) => !taken.has(each),
    );
    labels.set(leakId, free ?? `${label} ${leakId}`);
    taken.add(labels.get(leakId) ?? label);
  }
  // Nobody gave it a label: it gets the first number that is still free.
  for (const [leakId, label] of said) {
    if (label !== null) continue;
    const next = firstFree(taken);
    labels.set(leakId, next);
    taken.add(next);
  }
  return labels;
}

function firstFree(taken: ReadonlySet<string>): string {
  let number = 1;
  while (taken.has(`k${String(number)}`)) number += 1;
  return `k${String(number)}`;
}

/**
 * The label of the next leak that is made.
 * `nextLeakLabel(new Map([['a', 'k1'], ['b', 'k3']]))` // => 'k2'
 */
export const nextLeakLabel = (labels: LeakLabels): string => firstFree(new Set(labels.values()));

/** What people call a leak; an older id that no entry named stands for itself, one made by machine for nothing. */
export const labelOf = (labels: LeakLabels, leakId: string): string =>
  labels.get(leakId) ?? (UUID.test(leakId) ? 'without a name here' : leakId);
