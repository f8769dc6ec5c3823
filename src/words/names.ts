/** What things are called that entries name by id: parts of the circuit map, leaks, bottles, people. */
import type { Entry } from '../core/logbook/entry';
import { type LeakLabels, labelOf } from '../core/logbook/leakLabels';

export interface Names {
  parts: ReadonlyMap<string, string>;
  leaks: LeakLabels;
  bottles: ReadonlyMap<string, string>;
}

export const NO_NAMES: Names = { parts: new Map(), leaks: new Map(), bottles: new Map() };

/** `leak k2` */
export const leakWords = (names: Names, leakId: string): string => `leak ${labelOf(names.leaks, leakId)}`;

export const leaksWords = (names: Names, leakIds: readonly string[]): string =>
  `${leakIds.length > 1 ? 'leaks' : 'leak'} ${leakIds.map((id) => labelOf(names.leaks, id)).join(', ')}`;

/** A bottle by its serial; one that is not on the list by what was written. */
export const cylinderWords = (names: Names, id: string): string => `bottle ${names.bottles.get(id) ?? id}`;

/** Ids of the bottles that entries name. */
export const cylindersIn = (entries: readonly Entry[]): string[] =>
  entries.flatMap((entry) => ('cylinderId' in entry ? (entry.cylinderId ?? []) : []));

/** A part by its name on the map; one of another map by its id, spoken: `room1.flareNut` is a flare nut. */
export const partWordsOf = (names: Names, id: string): string =>
  names.parts.get(id) ?? (/^[a-z]+\d*\.?[a-z]*(?:[A-Z][a-z]+)*$/.test(id) ? spoken(id) : id);

const spoken = (id: string): string =>
  id.replace(/^[a-z]+\d*\./, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
