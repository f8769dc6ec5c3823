/**
 * Deeds: what one touch writes, an entry or several. A deed is kept on the device, whole, until the logbook has it. The same
 * content tried again under its name goes out with the ids and instants of the first try, also after a reload: a lost answer
 * never doubles anything, for the server takes an id once. Other content is a deed of its own, with ids of its own; the
 * earlier one waits by its name until it is sent or thrown away.
 */
import { v7 as uuidv7 } from 'uuid';
import type { Entry } from '../../../core/logbook/entry';
import { isReadByLaw } from '../../../core/logbook/history';
import { forgetKept, keptKeys, readKept, writeKept } from '../device/kept';

export interface Deed {
  name: string;
  /** as they were first sent */
  entries: readonly Entry[];
  words: string;
  /** what the server said against it; null while no answer has come */
  refused: string | null;
  /** an id of it stands in the logbook with other content */
  taken?: boolean;
}

/** A deed with the key by which the device keeps it. */
export interface KeptDeed extends Deed {
  key: string;
}

const PREFIX = 'abacus.deed ';
/** Between the name of a deed and the id of its first entry. */
const ID = ' #';
const keyOf = ({ name, entries }: Pick<Deed, 'name' | 'entries'>): string =>
  `${PREFIX}${name}${ID}${entries[0]?.id ?? ''}`;

/** A reading that reads the same a quarter of an hour later is another reading. */
const SAME_READING_MS = 15 * 60_000;

/** What an entry says, whatever its own id and instant; ids of the deed's entries stand by their place. */
function contentOf(entries: readonly Entry[]): string {
  const said = JSON.stringify(
    entries.map((entry) => {
      const { id: _id, at: _at, recordedAt: _recordedAt, ...content } = entry;
      return content;
    }),
  );
  return entries.reduce((text, { id }, index) => text.replaceAll(id, `#${String(index)}`), said);
}

const instantOf = ({ at }: Entry): number => (at == null ? 0 : Date.parse(at));

const isSameDeed = (kept: readonly Entry[], entries: readonly Entry[]): boolean =>
  contentOf(kept) === contentOf(entries) &&
  entries.every((entry, index) => {
    const first = kept[index];
    // What rates hang on is never doubled; of readings the later one is another.
    return (
      first !== undefined &&
      (isReadByLaw(entry.kind) || Math.abs(instantOf(entry) - instantOf(first)) < SAME_READING_MS)
    );
  });

const readAll = (prefix: string): KeptDeed[] =>
  keptKeys(`${PREFIX}${prefix}`).flatMap((key) => {
    const deed = readKept<Deed>(key);
    // What an older version kept holds no entries: nothing of it can be sent.
    return deed && Array.isArray(deed.entries) && deed.entries.length > 0 ? [{ ...deed, key }] : [];
  });

const underWay = new Set<string>();
const listeners = new Set<() => void>();
let version = 0;
const told = (): void => {
  version += 1;
  for (const listener of listeners) listener();
};

/** Tells whoever shows what waits that it changed, in this window or another. */
export function whenDeedsChange(listener: () => void): () => void {
  const onStorage = ({ key }: StorageEvent) => {
    if (key?.startsWith(PREFIX)) told();
  };
  listeners.add(listener);
  window.addEventListener('storage', onStorage);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', onStorage);
  };
}

/** Another one after each change. */
export const deedsVersion = (): number => version;

/** The same entries with new ids in place of those that went out with other content. */
function renewed(entries: readonly Entry[], used: ReadonlySet<string>): readonly Entry[] {
  const taken = entries.filter(({ id }) => used.has(id));
  if (taken.length === 0) return entries;
  const text = taken.reduce((all, { id }) => all.replaceAll(id, uuidv7()), JSON.stringify(entries));
  return JSON.parse(text) as Entry[];
}

/** The deed as it was first tried if it says the same, else a new one. What was refused is tried anew in its place. */
export function begun(name: string, entries: readonly Entry[], words: string): KeptDeed {
  const own = readAll(`${name}${ID}`);
  for (const { key, refused } of own) if (refused !== null) forgetKept(key);
  const first = own.find((each) => each.refused === null && isSameDeed(each.entries, entries));
  const used = new Set(
    own
      .filter(({ refused, taken }) => refused === null || taken === true)
      .flatMap((each) => each.entries.map(({ id }) => id)),
  );
  const deed: Deed = first ?? { name, entries: renewed(entries, used), words, refused: null };
  const key = first?.key ?? keyOf(deed);
  writeKept(key, { name, entries: deed.entries, words, refused: null } satisfies Deed);
  return { ...deed, words, key };
}

/** While it is under way nobody is told that it waits. */
export function sending(key: string, is: boolean): void {
  if (is) underWay.add(key);
  else underWay.delete(key);
  told();
}

/** The logbook has it, or it is thrown away. */
export function settled(key: string): void {
  forgetKept(key);
  told();
}

/** Nothing of it was written; `taken`: for its id stands there with other content. */
export function refuse(key: string, why: string, taken = false): void {
  const kept = readKept<Deed>(key);
  if (kept) writeKept(key, { ...kept, refused: why, taken } satisfies Deed);
  told();
}

/** Deeds whose name begins so and that the logbook is not known to have; those under way are not among them. */
export const waitingDeeds = (prefix = ''): KeptDeed[] =>
  readAll(prefix).filter(({ key }) => !underWay.has(key));
