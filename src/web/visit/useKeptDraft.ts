/** What is being typed in a visit, kept on the device as it is typed: a reload, a flat battery or a second tab loses nothing. */
import { useEffect, useState } from 'react';
import { readKept, writeKept } from '../data/kept';

export function useKeptDraft<Draft>(key: string, fresh: () => Draft) {
  const kept = `abacus.visit ${key}`;
  const [draft, setDraft] = useState<Draft>(() => readKept<Draft>(kept) ?? fresh());
  useEffect(() => {
    const onStorage = (event: StorageEvent) => {
      if (event.key === kept) setDraft(readKept<Draft>(kept) ?? fresh());
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
      localStorage.removeItem(kept);
      setDraft(fresh());
    },
  };
}
