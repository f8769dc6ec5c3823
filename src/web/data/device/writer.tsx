/** Who writes: whoever is signed in; a manager may write for somebody else, for as long as this window is open. */
import { type ReactNode, createContext, useContext, useMemo, useState } from 'react';
import { HERE } from './here';
import { readKept, writeKept } from './kept';
import type { Person } from '../../../core/logbook/tables';
import { hasLeft } from '../../../core/logbook/people';
import { usePeople, useToday } from '../api/queries';
import { useSignedIn } from '../api/session';

interface Writer {
  /** all that were ever on the list: names of those who left stand in the record */
  people: Person[];
  /** those who may be chosen: who left is not among them, nor is a program */
  here: Person[];
  /** by whose name it is written; null until that is known */
  person: Person | null;
  /** the name of who is signed in, where that is somebody else */
  writtenBy: string | null;
  /** null: under the own name again */
  writeFor: (id: string | null) => void;
}

const WriterContext = createContext<Writer | null>(null);
const KEY = 'abacus.writeFor';

export function WriterProvider({ children }: { children: ReactNode }) {
  const people = usePeople().data;
  const signedIn = useSignedIn();
  const [chosen, setChosen] = useState(() => readKept<string>(KEY, sessionStorage));
  const today = useToday(HERE);
  const writer = useMemo<Writer>(() => {
    const here = (people ?? []).filter(
      (each) => each['x-program'] !== true && (today === null || !hasLeft(each, today)),
    );
    const find = (id: string | null) => here.find((each) => each.id === id) ?? null;
    const self = find(signedIn?.personId ?? null);
    const other = signedIn?.role === 'manager' ? find(chosen) : null;
    return {
      people: people ?? [],
      here,
      person: other ?? self,
      writtenBy: other && self && other.id !== self.id ? self.name : null,
      writeFor: (id) => {
        writeKept(KEY, id, sessionStorage);
        setChosen(id);
      },
    };
  }, [people, signedIn, chosen, today]);
  return <WriterContext value={writer}>{children}</WriterContext>;
}

export function useWriter(): Writer {
  const writer = useContext(WriterContext);
  if (!writer) throw new Error('useWriter needs <WriterProvider> around it.');
  return writer;
}
