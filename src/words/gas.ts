/** What a machine is charged with, in words: a refrigerant that nobody knows is said as that. */
import type { Refrigerant } from '../core/refrigerant/refrigerant';

const NOT_KNOWN = 'refrigerant not known';

export const gasName = (gas: Pick<Refrigerant, 'name'> | null): string => gas?.name ?? NOT_KNOWN;

export const gasNameOf = (name: string | null): string => name ?? NOT_KNOWN;

/** With its safety class: `R-448A, A1`. */
export const gasWords = (gas: Refrigerant | null): string =>
  gas === null ? NOT_KNOWN : `${gas.name}, ${gas.safetyClass}`;
