/** Who is writing: chosen once on this device; every entry carries it. Accounts come later. */
import { type ReactNode, createContext, useContext, useMemo, useState } from 'react';
import { HERE } from './here';
import type { Person } from '../../../core/logbook/tables';
import { hasLeft } from '../../../core/logbook/people';
import { usePeople, useToday } from '../api/queries';

interface Writer {
  /** all that were ever on the list: names of those who left stand in the record */
  people: Person[];
  /** those who may be chosen: who left is not among them */
  here: Person[];
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
  const today = useToday(HERE);
  const writer = useMemo<Writer>(() => {
    const here = (people ?? []).filter((each) => today === null || !hasLeft(each, today));
    return {
      people: people ?? [],
      here,
      listed: people !== undefined,
      person: here.find((each) => each.id === id) ?? null,
      choose: (next) => {
        localStorage.setItem(KEY, next);
        setId(next);
      },
    };
  }, [people, id, today]);
  return <WriterContext value={writer}>{children}</WriterContext>;
}

export function useWriter(): Writer {
  const writer = useContext(WriterContext);
  if (!writer) throw new Error('useWriter needs <WriterProvider> around it.');
  return writer;
}
