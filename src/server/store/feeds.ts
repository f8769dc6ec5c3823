/** Calendars and what each told last. Knows columns, no rules. */
import { eq } from 'drizzle-orm';
import type { FeedRow } from '../../contract/feeds';
import type { Statement, Tables } from './database';
import * as t from './schema';
import { json, parsed } from './sealedStore';

/** A deadline as a calendar told it. */
export interface ToldEvent {
  uid: string;
  sequence: number;
  due: string;
  summary: string;
  description: string;
  location: string;
  cancelled: boolean;
  /** when it was told so, instant */
  changedAt: string;
}

export class FeedStore {
  constructor(private readonly db: Tables) {}

  async all(): Promise<FeedRow[]> {
    return parsed(await this.db.select().from(t.feeds));
  }

  put = (feed: FeedRow): Statement =>
    this.db
      .insert(t.feeds)
      .values({ id: feed.id, document: json(feed) })
      .onConflictDoUpdate({ target: t.feeds.id, set: { document: json(feed) } });

  async told(feedId: string): Promise<ToldEvent[]> {
    return parsed(await this.db.select().from(t.feedEvents).where(eq(t.feedEvents.feedId, feedId)));
  }

  tell = (feedId: string, event: ToldEvent): Statement =>
    this.db
      .insert(t.feedEvents)
      .values({ feedId, uid: event.uid, document: json(event) })
      .onConflictDoUpdate({
        target: [t.feedEvents.feedId, t.feedEvents.uid],
        set: { document: json(event) },
      });
}
