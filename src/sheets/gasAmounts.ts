/** How much went in or came out, and why, as a row of a gas log says it. */
import type { AddedReason, RecoveredReason } from '../core/logbook/entry';
import { type Mass, exactGrams } from '../core/quantity/mass';
import { nameKey } from './cells';
import { notWeighedIn } from './numbers';
import type { RowReading } from './reading';

export const ADDED: readonly (readonly [RegExp, AddedReason])[] = [
  [/commission|initial|new machine|start ?up|first fill|install/, 'commission'],
  [/retrofit|conver/, 'retrofit'],
  [/season|winter|summer/, 'seasonal'],
  [/recharge|after (?:a )?repair|put back|refill/, 'recharge'],
  [/top|leak|low|add/, 'topOff'],
];
export const RECOVERED: readonly (readonly [RegExp, RecoveredReason])[] = [
  [/retire|scrap|dispos|decommission|end of life/, 'retire'],
  [/retrofit|conver/, 'retrofit'],
  [/season|winter|summer/, 'seasonal'],
  [/repair|leak|service/, 'repair'],
];

export const reasonOf = <Reason>(
  words: readonly (readonly [RegExp, Reason])[],
  text: string,
  usual: Reason,
): Reason =>
  words.find(([pattern]) => pattern.test(nameKey(text.replace(/([a-z])([A-Z])/g, '$1 $2'))))?.[1] ?? usual;

type Direction = 'refrigerantAdded' | 'refrigerantRecovered';
const directionIn = (text: string): Direction | null => {
  const key = nameKey(text.replace(/([a-z])([A-Z])/g, '$1 $2'));
  if (/recover|remov|out|reclaim|withdr/.test(key)) return 'refrigerantRecovered';
  return /add|charg|in|top|fill/.test(key) ? 'refrigerantAdded' : null;
};

export interface Amount {
  kind: Direction;
  field: string;
  mass: Mass | null;
  why: string | null;
}

/** What the row says went in or out: one amount with its direction, or one under each heading. */
export function amountsOf(reading: RowReading): Amount[] {
  const one = (field: string, kind: Direction): Amount | null => {
    const why = notWeighedIn(reading.text(field));
    if (why !== null && reading.text(field) !== '')
      return { kind, field, mass: null, why: why || `${reading.text(field)}, as the list says` };
    const mass = reading.amount(field);
    if (mass === null) return null;
    if (exactGrams(mass) === 0n)
      return reading.fault(field, 'is nothing', 'Leave the row out where no gas moved.');
    return { kind, field, mass, why: null };
  };
  const isFilled = (field: string): boolean => !/^(?:0+(?:[.,]0+)?\s*[a-z]*)?$/i.test(reading.text(field));
  const both = (
    [
      ['added', 'refrigerantAdded'],
      ['recovered', 'refrigerantRecovered'],
    ] as const
  ).filter(([field]) => isFilled(field));
  if (both.length > 0) return both.flatMap(([field, kind]) => one(field, kind) ?? []);
  if (!reading.columns.has('mass')) {
    const field = reading.columns.has('added') ? 'added' : 'recovered';
    reading.fault(field, 'is empty', 'Write the weight with its unit, or “not weighed: why”.');
    return [];
  }
  const said = reading.text('kind');
  const direction =
    said === '' ? (directionIn(reading.text('reason')) ?? 'refrigerantAdded') : directionIn(said);
  if (direction === null) {
    reading.fault('kind', `“${said}” says neither in nor out`, 'Use added or recovered.');
    return [];
  }
  const amount = one('mass', direction);
  return amount ? [amount] : [];
}

export const amountWords = (amounts: readonly Amount[]): string =>
  amounts
    .map(
      ({ kind, mass, why }) =>
        `${kind === 'refrigerantAdded' ? 'added' : 'recovered'} ${mass ? ((mass as Mass & { 'x-typed'?: string })['x-typed'] ?? '') : `not weighed: ${why ?? ''}`}`,
    )
    .join(', ');
