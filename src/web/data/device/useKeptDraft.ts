/** What is being typed in a visit, kept on the device as it is typed: a reload, a flat battery or a second tab loses nothing. */
import { useEffect, useState } from 'react';
import { type UnsavedDraft, forgetTyped, keepTyped } from './typed';
import { fitting, forgetKept, keptKeys, readKept, writeKept } from './kept';

const PREFIX = 'abacus.visit ';

/**
 * `store`: the device's, which outlives the browser, or that of this window alone. `typedOf`: what a draft of a visit would
 * write down, while something is typed in it.
 */
export function useKeptDraft<Draft extends object>(
  key: string,
  fresh: () => Draft,
  store: Storage = localStorage,
  typedOf: (draft: Draft) => UnsavedDraft | null = () => null,
) {
  const kept = `${PREFIX}${key}`;
  const read = () => fitting(fresh(), readKept<unknown>(kept, store));
  const [draft, setDraft] = useState<Draft>(read);
  useEffect(() => {
    const onStorage = (event: StorageEvent) => {
      if (event.key === kept) setDraft(read());
    };
    window.addEventListener('storage', onStorage);
    return () => window.removeEventListener('storage', onStorage);
  });
  return {
    draft,
    set: (next: Draft) => {
      writeKept(kept, next, store);
      keepTyped(key, typedOf(next));
      setDraft(next);
    },
    /** `next`: what the form begins with now, where that is not the usual */
    forget: (next?: Draft) => {
      forgetKept(kept, store);
      keepTyped(key, null);
      setDraft(next ?? fresh());
    },
  };
}

/** What was typed in a visit that is over need not be kept: drafts, and those of its calculators. */
export function forgetVisit(visitId: string): void {
  forgetTyped(visitId);
  for (const prefix of [PREFIX, 'abacus.bench.'])
    for (const key of keptKeys(`${prefix}${visitId} `)) forgetKept(key);
}
