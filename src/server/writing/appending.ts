/**
 * Takes entries into the logbook: checks them, seals them, folds the machines they touch, and stores all of it
 * in one batch. The same entry sent twice is accepted once.
 */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import { senseProblemWords } from '../../words/refusals';
import { machineProblems } from './rowProblems';
import { placed, sameContent } from './sentEntry';
import type { Entry } from '../../core/logbook/entry';
import { type KnownIds, entryProblems } from '../../core/logbook/logbook';
import { bearsOnStanding } from '../../core/logbook/history';
import type { Appliance, Cylinder, Space } from '../../core/logbook/tables';
import type { Problem } from '../../core/logbook/problems';
import { acceptedReasons, readsRecord, senseOf } from '../../core/logbook/sense';
import { noteProblems } from '../../core/visit/notes/noteProblems';
import { GrowingRecord } from '../../core/rules/machineFacts';
import type { Clock } from '../clock';
import type { StandingKeeper, PutStanding } from '../standings/standings';
import { conflict, invalid, wantsReason } from '../problem';
import { PHOTO_NAME, type Photos } from '../files/photos';
import type { RecentMachines } from '../standings/recentMachines';
import { RequestMachines } from './requestMachines';
import type { Rows } from './rows';
import type { Database } from '../store/database';
import type { Store } from '../store/store';
import { visitsAfter, visitsCorrected } from '../store/visits';

export interface AppendResult {
  entries: Entry[];
  /** machines whose record changed */
  machines: string[];
}

/** A machine that is new with its first entries. */
export interface NewMachine {
  appliance: Appliance;
  spaces: readonly Space[];
  entries: readonly Entry[];
  by?: string | null | undefined;
}

interface AppendingNeeds {
  database: Database;
  store: Store;
  keeper: StandingKeeper;
  rows: Rows;
  recent: RecentMachines;
  photos: Photos;
  clock: Clock;
}

export class Appending {
  constructor(private readonly needs: AppendingNeeds) {}

  append(entries: readonly Entry[]): Promise<AppendResult> {
    return this.needs.database.write(() => this.taken(entries, null));
  }

  /** Sent again, a machine that is there already is no error, and is not changed. */
  addMachine({ appliance, spaces, entries, by }: NewMachine): Promise<AppendResult> {
    return this.needs.database.write(async () => {
      if (await this.needs.store.appliance(appliance.id)) return { entries: [], machines: [appliance.id] };
      const fresh = [
        ...spaces.map((row) => ({ table: 'spaces' as const, id: row.id, row })),
        { table: 'appliances' as const, id: appliance.id, row: appliance },
      ];
      const problems = await machineProblems(
        this.needs.store,
        appliance,
        fresh.map((each) => ({ ...each, before: null })),
      );
      if (problems.length > 0)
        throw invalid(problems.map((each) => ({ ...each, path: ['appliance', ...each.path] })));
      return this.taken(entries, {
        appliance,
        rows: this.needs.rows.added(fresh, { by: by ?? null, why: null }),
      });
    });
  }

  /** `adding`: a machine that is new with these entries, and the rows to store and seal ahead of them. */
  private async taken(
    entries: readonly Entry[],
    adding: { appliance: Appliance; rows: ReturnType<Rows['added']> } | null,
  ): Promise<AppendResult> {
    const known = new Map(
      (await this.needs.store.entriesById(entries.map((entry) => entry.id))).map((entry) => [
        entry.id,
        entry,
      ]),
    );
    const fresh: Entry[] = [];
    for (const entry of entries) {
      const stored = known.get(entry.id);
      if (stored && !sameContent(stored, entry)) {
        throw conflict(
          'This entry is in the logbook already, with other content.',
          'Correct it with a new entry that supersedes it.',
        );
      }
      if (!stored) fresh.push({ ...entry, recordedAt: new Date(this.needs.clock.nowMs()).toISOString() });
    }
    this.needs.recent.holdTo(await this.needs.database.version());
    const machines = new RequestMachines(this.needs.store, this.needs.recent, adding?.appliance ?? null);
    const targets = await this.needs.store.entriesById(fresh.flatMap((entry) => entry.supersedes ?? []));
    await this.check(fresh, targets, machines);
    const sealed = await this.needs.store.sealed(fresh, adding?.rows.revisions);
    const touched = [...new Set(fresh.flatMap(await this.needs.store.machinesTouchedBy(fresh)))];
    if (adding && !touched.includes(adding.appliance.id)) touched.push(adding.appliance.id);
    const judged = await this.judged(touched, fresh, machines);
    await this.needs.database.batch([
      ...(adding?.rows.statements ?? []),
      ...sealed.statements,
      ...visitsAfter(sealed.from, sealed.entries, visitsCorrected(fresh, targets)),
      ...judged.flatMap((each) => each.statements),
    ]);
    for (const each of judged) this.needs.keeper.remember(each);
    await machines.keep(touched, sealed.entries);
    return {
      entries: entries.map(
        (entry) => known.get(entry.id) ?? sealed.entries.find((each) => each.id === entry.id) ?? entry,
      ),
      machines: touched,
    };
  }

  /** The standings that these entries change. What no rule reads changes none that is of today. */
  private async judged(
    touched: readonly string[],
    fresh: readonly Entry[],
    machines: RequestMachines,
  ): Promise<PutStanding[]> {
    const puts: PutStanding[] = [];
    for (const id of touched) {
      if (!fresh.some(bearsOnStanding) && (await this.needs.keeper.isOfToday(id))) continue;
      const { appliance, site } = await machines.known(id);
      const standing = await this.needs.keeper.standingOf(appliance, site, [
        ...(await machines.bearing(id)),
        ...fresh,
      ]);
      puts.push(await this.needs.keeper.put(standing, site));
    }
    return puts;
  }

  private async check(
    entries: readonly Entry[],
    targets: readonly Entry[],
    machines: RequestMachines,
  ): Promise<void> {
    const ownIds = new Set(entries.map((entry) => entry.id));
    const targetIds = new Set(targets.map((target) => target.id));
    const named = [...new Set(entries.flatMap((entry) => entry.applianceId ?? []))];
    const appliances = new Set([
      ...named.filter(machines.isKnown),
      ...(await this.needs.store.knownAppliances(named.filter((id) => !machines.isKnown(id)))),
    ]);
    if (ownIds.size < entries.length)
      throw invalid([{ path: [], message: 'has an id that stands twice; give each entry its own' }]);
    const known: KnownIds = {
      appliance: (id) => appliances.has(id),
      entry: (id) => ownIds.has(id) || targetIds.has(id),
    };
    const problems = entries.flatMap((entry, index) =>
      [...entryProblems(entry, known), ...noteProblems(entry)].map((problem): Problem => ({
        ...problem,
        path: placed(problem.path, index, entries.length),
      })),
    );
    problems.push(...this.notStored(entries));
    if (problems.length > 0) throw invalid(problems);
    const checked: RequestContext = {
      machines,
      targets,
      records: new Map(),
      cylinders: await this.cylindersOf(entries),
    };
    for (const [index, entry] of entries.entries()) {
      if (entry.applianceId != null)
        await this.checkSense(entry, checked, entries.slice(0, index), (path) =>
          placed(path, index, entries.length),
        );
      // What comes before it in the request is in the record already, as far as the next one is concerned.
      for (const record of checked.records.values()) (await record).take(entry);
      // Hundreds take a while: whoever reads meanwhile gets a turn.
      if (index % 25 === 24) await turnOfOthers();
    }
  }

  /** A photo is stored before an entry names it. */
  private notStored(entries: readonly Entry[]): Problem[] {
    return entries.flatMap((entry, index) =>
      (entry.attachments ?? []).flatMap((name, at) =>
        PHOTO_NAME.test(name) && this.needs.photos.pathOf(name) === null
          ? [
              {
                path: placed(['attachments', at], index, entries.length),
                message: 'names a photo that is not stored here; send the photo first',
              },
            ]
          : [],
      ),
    );
  }

  private async cylindersOf(entries: readonly Entry[]): Promise<ReadonlyMap<string, Cylinder>> {
    const ids = entries.flatMap((entry) => ('cylinderId' in entry ? (entry.cylinderId ?? []) : []));
    return new Map((await this.needs.store.cylindersById([...new Set(ids)])).map((each) => [each.id, each]));
  }

  private async checkSense(
    entry: Entry,
    { machines, targets, records, cylinders }: RequestContext,
    earlier: readonly Entry[],
    at: (path: Problem['path']) => Problem['path'],
  ): Promise<void> {
    const recordOf = (id: string): Promise<GrowingRecord> => {
      const record = records.get(id) ?? this.recordOf(id, machines, earlier);
      records.set(id, record);
      return record;
    };
    const id = entry.applianceId ?? '';
    const target = targets.find((each) => each.id === entry.supersedes);
    // A target among the siblings is in the record of whoever corrects it.
    const bears = entry.supersedes == null ? null : await recordOf(target?.applianceId ?? id);
    const { site } = await machines.known(id);
    const sense = senseOf(entry, {
      today: this.needs.keeper.todayAt(site),
      cylinder: cylinders.get(('cylinderId' in entry ? entry.cylinderId : null) ?? '') ?? null,
      targetIsSuperseded: entry.supersedes != null && bears !== null && bears.isSuperseded(entry.supersedes),
      machine: readsRecord(entry) ? (await recordOf(id)).factsFor(entry) : null,
    });
    if (sense.errors.length > 0) {
      throw invalid(
        sense.errors.map((error) => ({ path: at([error.field]), message: senseProblemWords(error) })),
      );
    }
    const accepted = acceptedReasons(entry);
    const unanswered = sense.warnings.filter((warning) => accepted[warning] === undefined);
    if (unanswered.length > 0) throw wantsReason(unanswered);
  }

  private async recordOf(
    id: string,
    machines: RequestMachines,
    earlier: readonly Entry[],
  ): Promise<GrowingRecord> {
    const machine = await machines.known(id);
    const today = this.needs.keeper.todayAt(machine.site);
    const bearing = [...(await machines.bearing(id)), ...earlier];
    return new GrowingRecord(machine, bearing, today, await this.needs.keeper.currentPacks());
  }
}

/** What the entries of one request are checked with, each read once. */
interface RequestContext {
  machines: RequestMachines;
  /** entries that are corrected */
  targets: readonly Entry[];
  records: Map<string, Promise<GrowingRecord>>;
  cylinders: ReadonlyMap<string, Cylinder>;
}
