/** How much went in or came out, and which way, as a row of a gas log says it. */
import type { Mass } from '../core/quantity/mass';
import {
  DIRECTION_WORDS,
  type Direction,
  directionOfReason,
  directionSaid,
  isBareDirection,
} from './movements';
import { notWeighedIn } from './numbers';
import { saysNothing } from './phrases';
import type { Choice } from '../words/choice';
import type { RowReading } from './reading';
import { typed } from './rowTools';

export interface Amount {
  kind: Direction;
  field: string;
  mass: Mass | null;
  why: string | null;
}

const DIRECTIONS: readonly Choice[] = [
  { value: 'added', words: DIRECTION_WORDS.refrigerantAdded },
  { value: 'recovered', words: DIRECTION_WORDS.refrigerantRecovered },
];
const NOTHING: readonly Choice[] = [
  { value: 'not weighed', words: 'gas moved, and nobody weighed it' },
  { value: '', words: 'no gas moved: leave the row out' },
];

const isZero = (text: string): boolean => /^0+(?:[.,]0+)?\s*[a-z]*$/i.test(text);

function amountIn(reading: RowReading, field: string, kind: Direction): Amount | null {
  const said = reading.meant(field);
  const why = notWeighedIn(said);
  if (why !== null)
    return { kind, field, mass: null, why: why || `${reading.text(field)}, as the list says` };
  const mass = reading.amount(field);
  if (mass === null) return null;
  if (mass.value === 0) return reading.fault(field, 'is nothing', 'Leave the row out where no gas moved.');
  return { kind, field, mass, why: null };
}

/**
 * What the row says went in or out: one amount with its direction, or one under each heading. A dash or “n/a” beside a figure
 * is nothing; alone it is asked about. Null: somebody said that no gas moved.
 */
export function amountsOf(reading: RowReading): Amount[] | null {
  const both = (
    [
      ['added', 'refrigerantAdded'],
      ['recovered', 'refrigerantRecovered'],
    ] as const
  ).filter(([field]) => reading.columns.has(field));
  const filled = both.filter(
    ([field]) => !saysNothing(reading.meant(field)) && !isZero(reading.meant(field)),
  );
  if (filled.length > 0) return filled.flatMap(([field, kind]) => amountIn(reading, field, kind) ?? []);
  const one = reading.columns.has('mass');
  const field = one ? 'mass' : (both[0]?.[0] ?? 'added');
  if (saysNothing(reading.meant(field))) return nothingIn(reading, field);
  if (!one) {
    reading.fault(field, 'is nothing', 'Leave the row out where no gas moved.');
    return [];
  }
  const direction = directionOf(reading);
  const amount = direction && amountIn(reading, 'mass', direction);
  return amount ? [amount] : [];
}

function nothingIn(reading: RowReading, field: string): Amount[] | null {
  const text = reading.text(field);
  if (text !== '' && reading.meant(field) === '') return null;
  if (text === '') reading.fault(field, 'is empty', 'Write the weight with its unit, or “not weighed: why”.');
  else
    reading.ask(field, `“${text}” is no weight`, 'Say what it means: not weighed, or no gas moved.', NOTHING);
  return [];
}

function directionOf(reading: RowReading): Direction | null {
  const reason = directionOfReason(reading.said('reason'));
  // A list that says nowhere which way gas went tells what went in.
  if (!reading.columns.has('kind')) return reason ?? 'refrigerantAdded';
  const said = reading.meant('kind');
  const direction = directionSaid(said);
  if (direction !== null) return direction;
  if (saysNothing(said) && reason !== null) return reason;
  return reading.ask(
    'kind',
    said === ''
      ? 'is empty: it says neither in nor out'
      : `“${reading.text('kind')}” says neither in nor out`,
    'Say what it means: added or recovered.',
    DIRECTIONS,
  );
}

/** Why gas moved, in the words of the list: of its own column, or of that which says the direction. */
export function reasonText(reading: RowReading): { field: string; text: string } {
  const own = reading.said('reason');
  if (own !== '' && !isBareDirection(own)) return { field: 'reason', text: own };
  const kind = reading.said('kind');
  return kind !== '' && !isBareDirection(kind)
    ? { field: 'kind', text: kind }
    : { field: 'reason', text: '' };
}

export const amountWords = ({ kind, mass, why }: Amount): string =>
  `${DIRECTION_WORDS[kind]} ${mass ? typed(mass) : `not weighed: ${why ?? ''}`}`;
