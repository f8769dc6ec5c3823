/** The machines that one request of entries names: their rows and records, remembered or read, and kept for the next one. */
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Site } from '../../core/logbook/tables';
import { notFound } from '../problem';
import type { RecentMachines } from '../standings/recentMachines';
import type { Store } from '../store/store';

/** The machines of a request, each read once and only if asked for: nothing else writes while it runs in the queue. */
export class RequestMachines {
  private readonly records = new Map<string, Promise<readonly Entry[]>>();
  private readonly rows = new Map<string, Promise<{ appliance: Appliance; site: Site }>>();

  constructor(
    private readonly store: Store,
    private readonly recent: RecentMachines,
    private readonly adding: Appliance | null,
  ) {}

  bearing(id: string): Promise<readonly Entry[]> {
    const record =
      this.records.get(id) ??
      Promise.resolve(this.recent.get(id)?.bearing ?? this.store.entriesBearingOn(id));
    this.records.set(id, record);
    return record;
  }

  known(id: string): Promise<{ appliance: Appliance; site: Site }> {
    const row = this.rows.get(id) ?? Promise.resolve(this.recent.get(id) ?? this.readRow(id));
    this.rows.set(id, row);
    return row;
  }

  isKnown = (id: string): boolean => id === this.adding?.id || this.recent.get(id) !== null;

  private async readRow(id: string): Promise<{ appliance: Appliance; site: Site }> {
    const { adding } = this;
    const site = id === adding?.id ? await this.store.site(adding.siteId) : null;
    const placed = adding && site ? { appliance: adding, site } : await this.store.placed(id);
    if (!placed) throw notFound('machine');
    return placed;
  }

  /** After the entries are stored: the machines whose records were read go on with them. */
  async keep(touched: readonly string[], stored: readonly Entry[]): Promise<void> {
    for (const id of touched) {
      const record = this.records.get(id);
      // What reaches over from another machine is read anew, as the store finds it.
      const own = stored.every((each) => each.applianceId === id);
      if (!record || !own) {
        this.recent.forgetRecord(id);
        continue;
      }
      const { appliance, site } = await this.known(id);
      this.recent.keep(id, { appliance, site, bearing: [...(await record), ...stored] });
    }
  }
}
