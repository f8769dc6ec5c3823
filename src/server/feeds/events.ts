/** Deadlines as events of a calendar: each with an id that stays, a number that grows when it changes, and an end when it is gone. */
import { createHash } from 'node:crypto';
import type { DueRow } from '../../contract/api';
import type { Person } from '../../core/logbook/tables';
import { OBLIGATION_WORDS, PACK_WORDS } from '../../words/codes';
import { whyWords } from '../../words/why';
import type { ToldEvent } from '../store/feeds';

export type Deadline = Pick<ToldEvent, 'uid' | 'due' | 'summary' | 'description' | 'location'>;

const uidOf = (...parts: readonly string[]): string =>
  `${createHash('sha256').update(parts.join('\u0000')).digest('hex').slice(0, 32)}@green-abacus.invalid`;

/** Duties under the ids of what they follow from, not of their day: a day that moves is the same duty. */
export function deadlinesOf(
  obligations: readonly DueRow[],
  addresses: ReadonlyMap<string, string> = new Map(),
): Deadline[] {
  const seen = new Map<string, number>();
  return obligations.map((obligation) => {
    const { why } = obligation;
    const number = 'number' in why ? String(why.number) : 'year' in why ? String(why.year) : '';
    const key = [
      obligation.machineId,
      obligation.kind,
      obligation.pack,
      obligation.caseOpenedOn ?? '',
      number,
    ].join('\u0000');
    const ordinal = (seen.get(key) ?? 0) + 1;
    seen.set(key, ordinal);
    return {
      uid: uidOf(key, String(ordinal)),
      due: obligation.due,
      summary: `${OBLIGATION_WORDS[obligation.kind]}: ${obligation.machineName}`,
      description: `${whyWords(why)}. ${obligation.packs.map((pack) => PACK_WORDS[pack]).join(', ')}, ${obligation.cite}`,
      // What a map finds: the address, where one is recorded.
      location: [obligation.siteName, addresses.get(obligation.siteId)?.replaceAll('\n', ', ')]
        .filter(Boolean)
        .join(', '),
    };
  });
}

export const certificateDeadlines = (people: readonly Person[]): Deadline[] =>
  people.flatMap((person) =>
    (person.certificates ?? []).flatMap(({ scheme, number, expires }) =>
      expires == null
        ? []
        : [
            {
              uid: uidOf('certificate', person.id, scheme ?? '', number ?? ''),
              due: expires,
              summary: `Certificate ends: ${person.name}`,
              description: [scheme, number].filter(Boolean).join(' '),
              location: '',
            },
          ],
    ),
  );

/** What was told before, brought to what is so now; `changed` is what has to be told anew. */
export function toldNow(
  deadlines: readonly Deadline[],
  before: readonly ToldEvent[],
  now: string,
): { events: ToldEvent[]; changed: ToldEvent[] } {
  const known = new Map(before.map((event) => [event.uid, event]));
  const changed: ToldEvent[] = [];
  const events = deadlines.map((deadline) => {
    const told = known.get(deadline.uid);
    known.delete(deadline.uid);
    if (
      told &&
      !told.cancelled &&
      told.due === deadline.due &&
      told.summary === deadline.summary &&
      told.description === deadline.description &&
      told.location === deadline.location
    )
      return told;
    const next = { ...deadline, sequence: told ? told.sequence + 1 : 0, cancelled: false, changedAt: now };
    changed.push(next);
    return next;
  });
  for (const gone of known.values()) {
    const next = gone.cancelled
      ? gone
      : { ...gone, cancelled: true, sequence: gone.sequence + 1, changedAt: now };
    if (!gone.cancelled) changed.push(next);
    events.push(next);
  }
  return { events, changed };
}
