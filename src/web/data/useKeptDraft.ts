/** What is being typed in a visit, kept on the device as it is typed: a reload, a flat battery or a second tab loses nothing. */
import { useEffect, useState } from 'react';
import { fitting, forgetKept, keptKeys, readKept, writeKept } from './kept';

const PREFIX = 'abacus.visit ';

export function useKeptDraft<Draft extends object>(key: string, fresh: () => Draft) {
  const kept = `${PREFIX}${key}`;
  const read = () => fitting(fresh(), readKept<unknown>(kept));
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
      writeKept(kept, next);
      setDraft(next);
    },
    forget: () => {
      forgetKept(kept);
      setDraft(fresh());
    },
  };
}

/** What was typed in a visit that is over need not be kept: drafts, and those of its calculators. */
export function forgetVisit(visitId: string): void {
  for (const prefix of [PREFIX, 'abacus.bench ', 'abacus.draft ', 'abacus.bench.'])
    for (const key of keptKeys(`${prefix}${visitId} `)) forgetKept(key);
}
