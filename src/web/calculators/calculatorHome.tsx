/** A calculator that stands inside something else, such as a step of a visit: where it keeps its results, and what for. */
import { createContext, useContext } from 'react';
import type { Dimension } from '../../core/quantity/units';
import type { EntryKind } from '../../core/logbook/entry';

export interface CalculatorHome {
  /** parts what is typed here from what is typed on the bench */
  prefix: string;
  /** files a result; resolves to whether it was taken */
  keep: (kind: EntryKind, fields: Record<string, unknown>, words: string) => Promise<boolean>;
  /** what went wrong with the last try */
  problem: Error | null;
  /** what the home adds to a result, or why it cannot be kept yet */
  beside?: (() => { fields: Record<string, unknown> } | { error: string }) | undefined;
  keepWords: string;
  /** what is known here already, in SI, so that no number is typed twice; by field and dimension */
  starts: readonly { key: string; dimension: Dimension; si: number }[];
}

export const CalculatorHomeContext = createContext<CalculatorHome | null>(null);
export const useCalculatorHome = (): CalculatorHome | null => useContext(CalculatorHomeContext);
