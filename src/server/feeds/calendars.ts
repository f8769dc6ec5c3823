/** Calendars by a secret address: what is due of the company, a site, an owner or a person, as whole days. */
import { randomBytes } from 'node:crypto';
import ical, { ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import type { DueRow } from '../../contract/api';
import type { AnswerOf, BodyRead } from '../../contract/endpoints';
import type { FeedRow } from '../../contract/feeds';

import { addDays, dayOf, dayText } from '../../core/quantity/day';
import type { Board } from '../standings/board';
import type { Clock } from '../clock';
import { invalid, notFound } from '../problem';
import type { Database } from '../store/database';
import type { FeedStore, ToldEvent } from '../store/feeds';
import type { Store } from '../store/store';
import { type Deadline, certificateDeadlines, deadlinesOf, toldNow } from './events';

const TOKEN_BYTES = 24;
const PAGE = 100;
const NAMES = { company: 'all machines', site: 'site', owner: 'owner', person: 'person' } as const;

export class Calendars {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly feeds: FeedStore,
    private readonly board: Board,
    private readonly clock: Clock,
  ) {}

  list = (): Promise<FeedRow[]> => this.feeds.all();

  async make({ id, scope, of, by }: BodyRead<'makeFeed'>): Promise<FeedRow> {
    const name = await this.nameOf(scope, of ?? null);
    return this.database.write(async () => {
      const known = (await this.feeds.all()).find((each) => each.id === id);
      if (known) return known;
      const feed: FeedRow = {
        id,
        token: randomBytes(TOKEN_BYTES).toString('base64url'),
        scope,
        of: of ?? null,
        name,
        by,
        madeAt: this.now(),
        withdrawnAt: null,
      };
      await this.database.batch([this.feeds.put(feed)]);
      return feed;
    });
  }

  async withdraw(id: string): Promise<FeedRow> {
    return this.database.write(async () => {
      const feed = (await this.feeds.all()).find((each) => each.id === id);
      if (!feed) throw notFound('calendar');
      const next = { ...feed, withdrawnAt: feed.withdrawnAt ?? this.now() };
      await this.database.batch([this.feeds.put(next)]);
      return next;
    });
  }

  /** The calendar behind an address; null: there is none, or it was withdrawn. */
  async textOf(token: string): Promise<string | null> {
    const feed = (await this.feeds.all()).find((each) => each.token === token && each.withdrawnAt === null);
    if (!feed) return null;
    const people = (await this.store.people()).filter(({ id }) => feed.scope === 'company' || id === feed.of);
    const deadlines = [
      ...(await this.deadlines(feed)),
      ...(feed.scope === 'company' || feed.scope === 'person' ? certificateDeadlines(people) : []),
    ];
    const events = await this.database.write(async () => {
      const { events: told, changed } = toldNow(deadlines, await this.feeds.told(feed.id), this.now());
      await this.database.batch(changed.map((event) => this.feeds.tell(feed.id, event)));
      return told;
    }, true);
    return calendarText(feed, events);
  }

  private async deadlines(feed: FeedRow): Promise<Deadline[]> {
    const obligations = await this.dutiesOf(feed);
    const sites = await this.store.sitesById([...new Set(obligations.map(({ siteId }) => siteId))]);
    return deadlinesOf(obligations, new Map(sites.map((site) => [site.id, site.address ?? ''])));
  }

  private now = (): string => new Date(this.clock.nowMs()).toISOString();

  private async nameOf(scope: FeedRow['scope'], of: string | null): Promise<string> {
    if (scope === 'company') return NAMES.company;
    const table = { site: 'sites', owner: 'owners', person: 'people' } as const;
    const row = (await this.store.rowOf(table[scope], of ?? '')) as { name?: string } | null;
    if (!row) throw invalid([{ path: ['of'], message: `names no ${NAMES[scope]} of this logbook` }]);
    return row.name ?? NAMES[scope];
  }

  private async dutiesOf({ scope, of }: FeedRow): Promise<DueRow[]> {
    const pageAfter = await this.pagesOf(scope, of ?? '');
    const obligations: DueRow[] = [];
    for (let after: string | null = null; ;) {
      const page = await pageAfter(after);
      obligations.push(...page.rows);
      if (page.next === null) return obligations;
      after = page.next;
    }
  }

  private async pagesOf(
    scope: FeedRow['scope'],
    of: string,
  ): Promise<(after: string | null) => Promise<AnswerOf<'due'>>> {
    if (scope === 'person') return (after) => this.board.dutiesServedBy(of, after, PAGE);
    const own = scope === 'site' ? [of] : scope === 'owner' ? await this.board.sitesOfOwner(of) : null;
    return (after) => this.board.due({ after: after ?? undefined, limit: PAGE }, own);
  }
}

function calendarText({ name, scope }: FeedRow, events: readonly ToldEvent[]): string {
  const calendar = ical({
    name: `Due: ${name}`,
    description: `Deadlines of ${scope === 'company' ? 'all machines' : name}`,
    prodId: { company: 'Green Abacus', product: 'deadlines', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 3600,
  });
  for (const event of events)
    calendar.createEvent({
      id: event.uid,
      sequence: event.sequence,
      stamp: new Date(event.changedAt),
      lastModified: new Date(event.changedAt),
      start: new Date(`${event.due}T00:00:00Z`),
      end: new Date(`${dayText(addDays(dayOf(event.due), 1))}T00:00:00Z`),
      timezone: null,
      allDay: true,
      summary: event.summary,
      description: event.description,
      location: event.location || null,
      status: event.cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
  return calendar.toString();
}
