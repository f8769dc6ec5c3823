/** Who is writing: chosen once on this device; every entry carries it. Accounts come later. */
import { type ReactNode, createContext, useContext, useMemo, useState } from 'react';
import type { Person } from '../../core/logbook/tables';
import { usePeople } from './queries';

interface Writer {
  people: Person[];
  /** false until the list of people has come: an empty one before that says nothing */
  listed: boolean;
  person: Person | null;
  choose: (id: string) => void;
}

const WriterContext = createContext<Writer | null>(null);
const KEY = 'abacus.writer';

export function WriterProvider({ children }: { children: ReactNode }) {
  const people = usePeople().data;
  const [id, setId] = useState(() => localStorage.getItem(KEY));
  const writer = useMemo<Writer>(
    () => ({
      people: people ?? [],
      listed: people !== undefined,
      person: people?.find((each) => each.id === id) ?? null,
      choose: (next) => {
        localStorage.setItem(KEY, next);
        setId(next);
      },
    }),
    [people, id],
  );
  return <WriterContext value={writer}>{children}</WriterContext>;
}

export function useWriter(): Writer {
  const writer = useContext(WriterContext);
  if (!writer) throw new Error('useWriter needs <WriterProvider> around it.');
  return writer;
}
