/** What stands in a column, whatever its heading says. */
import { type Cell, isBlank } from './cells';
import { readDay } from './days';
import { refrigerantNamed } from './gasNames';
import type { Lookups } from './lookups';
import { directionSaid } from './movements';
import { massUnitOf, unitInHeading } from './numbers';

/** What a rate hangs on: a column of it is never left out unasked. */
export const CARRIED = ['on', 'applianceId', 'direction', 'mass', 'cylinderId'] as const;
export type Carried = (typeof CARRIED)[number];

export interface Contents {
  /** fields that its cells could be, the likeliest first; a direction is `kind` */
  kinds: readonly string[];
  carried: Carried | null;
}

const MOSTLY = 0.7;
const mostly = (cells: readonly Cell[], is: (cell: Cell) => boolean): boolean => {
  const filled = cells.filter((cell) => !isBlank(cell));
  return filled.length > 0 && filled.filter(is).length >= MOSTLY * filled.length;
};

const WEIGHT = /^\s*\d[\d.,\s]*\s*(?:lbs?|pounds?|kgs?|kilo\w*|oz|ounces?|g|grams?)\b/i;
const isDay = (cell: Cell): boolean =>
  cell.type === 'date' || (cell.type === 'text' && readDay(cell, 'mdy').ok);
const isFigure = ({ text, type }: Cell): boolean => type === 'number' || /^\s*\d[\d.,]*\s*$/.test(text);

export function columnContents(cells: readonly Cell[], heading: string, lookups: Lookups): Contents {
  const kinds: [string, Carried | null, (cell: Cell) => boolean][] = [
    ['on', 'on', isDay],
    ['refrigerant', null, ({ text }) => refrigerantNamed(text) !== null && !/^\d+$/.test(text.trim())],
    ['unit', null, ({ text }) => massUnitOf(text) !== null],
    ['mass', 'mass', ({ text, type }) => type === 'text' && WEIGHT.test(text)],
    ['kind', 'direction', ({ text }) => directionSaid(text) !== null],
    ['applianceId', 'applianceId', ({ text }) => lookups.machines.get(text).length > 0],
    ['siteId', null, ({ text }) => lookups.sites.get(text).length > 0],
    ['by', null, ({ text }) => lookups.people.get(text).length > 0],
    ['cylinderId', 'cylinderId', ({ text }) => lookups.cylinders.get(text).length > 0],
  ];
  const found = kinds.filter(([, , is]) => mostly(cells, is));
  const figuresOfWeight = unitInHeading(heading) !== null && mostly(cells, isFigure);
  return {
    // Machines have a kind of their own; which way gas went is one of words alone.
    kinds: found.map(([kind]) => kind),
    carried: found.find(([, carried]) => carried !== null)?.[1] ?? (figuresOfWeight ? 'mass' : null),
  };
}
