/** Units that somebody chose in a visit in place of the usual ones: each stays for that quantity until another is chosen. */
import { createContext, useContext, useState } from 'react';
import { unitKey } from '../../../record/place';
import { readKept, writeKept } from './kept';

export type KeptUnits = Readonly<Partial<Record<string, string>>>;

export function useKeptUnits(visitId: string) {
  const key = `abacus.visit ${visitId} units`;
  const [units, setUnits] = useState<KeptUnits>(() => readKept<KeptUnits>(key) ?? {});
  const keep = (dimension: string, usual: string, unit: string) => {
    const next = { ...units, [unitKey(dimension, usual)]: unit };
    writeKept(key, next);
    setUnits(next);
  };
  return { units, keep };
}

type Keep = ReturnType<typeof useKeptUnits>['keep'];

const Context = createContext<Keep>(() => undefined);
export const UnitsKept = Context.Provider;

/** Keeps a unit for the visit that stands around; elsewhere nothing is kept. */
export const useKeepUnit = (): Keep => useContext(Context);
