/**
 * Deeds: what one touch writes, an entry or several. Ids and instants are made before the first try, kept on the device
 * until the logbook has them, and used again at every further try, also after a reload: a lost answer never doubles
 * anything, for the server takes an id once.
 */
import type { Entry } from '../../core/logbook/entry';
import { forgetKept, keptKeys, readKept, writeKept } from './kept';

interface Deed {
  stamps: { id: string; at: string | null }[];
  words: string;
  /** what the server said against it; null while no answer has come */
  refused: string | null;
}

export interface WaitingDeed {
  words: string;
  refused: string | null;
}

const keyOf = (name: string): string => `abacus.deed ${name}`;

/** The entries as they were first sent under this name, or as they are now if nothing was. */
export function stamped(name: string, entries: readonly Entry[], words: string): Entry[] {
  const kept = readKept<Deed>(keyOf(name));
  const marked = entries.map((entry, index): Entry => {
    const stamp = kept?.stamps[index];
    return stamp ? { ...entry, id: stamp.id, ...(stamp.at === null ? {} : { at: stamp.at }) } : entry;
  });
  writeKept(keyOf(name), {
    stamps: marked.map(({ id, at }) => ({ id, at: at ?? null })),
    words,
    refused: null,
  } satisfies Deed);
  return marked;
}

/** The logbook has it, or it is given up: the next deed of this name gets ids of its own. */
export const settled = (name: string): void => forgetKept(keyOf(name));

export function refuse(name: string, why: string): void {
  const kept = readKept<Deed>(keyOf(name));
  if (kept) writeKept(keyOf(name), { ...kept, refused: why } satisfies Deed);
}

/** Deeds whose name begins so and that the logbook is not known to have. */
export const waitingDeeds = (prefix: string): WaitingDeed[] =>
  keptKeys(keyOf(prefix)).flatMap((key) => {
    const deed = readKept<Deed>(key);
    return deed ? [{ words: deed.words, refused: deed.refused }] : [];
  });
