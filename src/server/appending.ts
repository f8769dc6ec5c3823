/**
 * Takes entries into the logbook: checks them, seals them, folds the machines they touch, and stores all of it
 * in one batch. The same entry sent twice is accepted once.
 */
import { senseProblemWords } from '../words/refusals';
import { machineProblems } from './rowProblems';
import { placed, sameContent } from './sentEntry';
import type { Entry } from '../core/logbook/entry';
import { type KnownIds, entryProblems } from '../core/logbook/logbook';
import { deadIds } from '../core/logbook/order';
import { bearsOnStanding } from '../core/logbook/history';
import type { Appliance, Space } from '../core/logbook/tables';
import type { Problem } from '../core/logbook/problems';
import { acceptedReasons, readsRecord, senseOf } from '../core/logbook/sense';
import { noteProblems } from '../core/visit/noteProblems';
import { machineFacts } from '../core/rules/machineFacts';
import type { Clock } from './clock';
import type { Judging, Put } from './judging';
import { conflict, invalid, wantsReason } from './problem';
import type { RecentMachines } from './recent';
import { RequestMachines } from './requestMachines';
import type { Rows } from './rows';
import type { Database } from './store/database';
import type { Store } from './store/store';
import { visitsAfter } from './store/visits';

export interface Appended {
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

export class Appending {
  constructor(
    private readonly database: Database,
    private readonly store: Store,
    private readonly judging: Judging,
    private readonly rows: Rows,
    private readonly recent: RecentMachines,
    private readonly clock: Clock,
  ) {}

  append(entries: readonly Entry[]): Promise<Appended> {
    return this.database.write(() => this.taken(entries, null));
  }

  /** Sent again, a machine that is there already is no error, and is not changed. */
  addMachine({ appliance, spaces, entries, by }: NewMachine): Promise<Appended> {
    return this.database.write(async () => {
      if (await this.store.appliance(appliance.id)) return { entries: [], machines: [appliance.id] };
      const fresh = [
        ...spaces.map((row) => ({ table: 'spaces' as const, id: row.id, row })),
        { table: 'appliances' as const, id: appliance.id, row: appliance },
      ];
      const problems = await machineProblems(
        this.store,
        appliance,
        fresh.map((each) => ({ ...each, before: null })),
      );
      if (problems.length > 0)
        throw invalid(problems.map((each) => ({ ...each, path: ['appliance', ...each.path] })));
      return this.taken(entries, {
        appliance,
        rows: this.rows.added(fresh, { by: by ?? null, why: null }),
      });
    });
  }

  /** `adding`: a machine that is new with these entries, and the rows to store and seal ahead of them. */
  private async taken(
    entries: readonly Entry[],
    adding: { appliance: Appliance; rows: ReturnType<Rows['added']> } | null,
  ): Promise<Appended> {
    const known = new Map(
      (await this.store.entriesById(entries.map((entry) => entry.id))).map((entry) => [entry.id, entry]),
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
      if (!stored) fresh.push({ ...entry, recordedAt: new Date(this.clock.nowMs()).toISOString() });
    }
    if (!this.recent.stillHolds(await this.database.version())) {
      this.recent.clear();
      this.judging.forgetLately();
    }
    const machines = new RequestMachines(this.store, this.recent, adding?.appliance ?? null);
    await this.check(fresh, machines);
    const sealed = await this.store.sealed(fresh, adding?.rows.revisions);
    const touched = await this.touchedBy(fresh);
    if (adding && !touched.includes(adding.appliance.id)) touched.push(adding.appliance.id);
    const judged = await this.judged(touched, fresh, machines);
    await this.database.batch([
      ...(adding?.rows.statements ?? []),
      ...sealed.statements,
      ...visitsAfter(sealed.from, sealed.entries, await this.visitsCorrected(fresh)),
      ...judged.flatMap((each) => each.statements),
    ]);
    for (const each of judged) this.judging.remember(each);
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
  ): Promise<Put[]> {
    const puts: Put[] = [];
    for (const id of touched) {
      if (!fresh.some(bearsOnStanding) && (await this.judging.isOfToday(id))) continue;
      const { appliance, site } = await machines.known(id);
      const standing = await this.judging.standingOf(appliance, site, [
        ...(await machines.bearing(id)),
        ...fresh,
      ]);
      puts.push(await this.judging.put(standing, site));
    }
    return puts;
  }

  private async visitsCorrected(entries: readonly Entry[]): Promise<string[]> {
    const targets = await this.store.entriesById(entries.flatMap((entry) => entry.supersedes ?? []));
    return [...targets, ...entries].flatMap((entry) =>
      entries.some((each) => each.supersedes === entry.id) ? (entry.visitId ?? []) : [],
    );
  }

  private async touchedBy(entries: readonly Entry[]): Promise<string[]> {
    const touched = new Set<string>();
    for (const entry of entries) for (const id of await this.store.machinesTouchedBy(entry)) touched.add(id);
    return [...touched];
  }

  private async check(entries: readonly Entry[], machines: RequestMachines): Promise<void> {
    const ownIds = new Set(entries.map((entry) => entry.id));
    const targets = await this.store.entriesById(entries.flatMap((entry) => entry.supersedes ?? []));
    const named = [...new Set(entries.flatMap((entry) => entry.applianceId ?? []))];
    const appliances = new Set([
      ...named.filter(machines.isKnown),
      ...(await this.store.knownAppliances(named.filter((id) => !machines.isKnown(id)))),
    ]);
    if (ownIds.size < entries.length)
      throw invalid([{ path: [], message: 'has an id that stands twice; give each entry its own' }]);
    const known: KnownIds = {
      appliance: (id) => appliances.has(id),
      entry: (id) => ownIds.has(id) || targets.some((target) => target.id === id),
    };
    const problems = entries.flatMap((entry, index) =>
      [...entryProblems(entry, known), ...noteProblems(entry)].map((problem): Problem => ({
        ...problem,
        path: placed(problem.path, index, entries.length),
      })),
    );
    if (problems.length > 0) throw invalid(problems);
    for (const [index, entry] of entries.entries()) {
      if (entry.applianceId == null) continue;
      // Siblings of the request that come before it are in the record already, as far as it is concerned.
      await this.checkSense(
        entry,
        { index, count: entries.length, earlier: entries.slice(0, index) },
        machines,
      );
    }
  }

  private async checkSense(
    entry: Entry,
    { index, count, earlier }: Among,
    machines: RequestMachines,
  ): Promise<void> {
    const { appliance, site } = await machines.known(entry.applianceId ?? '');
    const cylinderId = 'cylinderId' in entry ? entry.cylinderId : null;
    const cylinder = cylinderId == null ? null : await this.store.cylinder(cylinderId);
    const targetIsDead =
      entry.supersedes != null && (await this.isSuperseded(entry.supersedes, earlier, machines));
    const bearing = readsRecord(entry) ? [...(await machines.bearing(appliance.id)), ...earlier] : null;
    const sense = senseOf(entry, {
      today: this.judging.todayAt(site),
      cylinder,
      targetIsDead,
      machine:
        bearing &&
        machineFacts(
          entry,
          await this.judging.standingOf(
            appliance,
            site,
            bearing.filter((each) => each.id !== entry.supersedes),
            deadIds(bearing),
          ),
        ),
    });
    if (sense.errors.length > 0) {
      throw invalid(
        sense.errors.map((error) => ({
          path: placed([error.field], index, count),
          message: senseProblemWords(error),
        })),
      );
    }
    const accepted = acceptedReasons(entry);
    const unanswered = sense.warnings.filter((warning) => accepted[warning] === undefined);
    if (unanswered.length > 0) throw wantsReason(unanswered);
  }

  private async isSuperseded(
    id: string,
    earlier: readonly Entry[],
    machines: RequestMachines,
  ): Promise<boolean> {
    if (earlier.some((each) => each.supersedes === id)) return true;
    const [target] = await this.store.entriesById([id]);
    if (target?.applianceId == null) return false;
    return deadIds(await machines.bearing(target.applianceId)).has(id);
  }
}

/** Where an entry stands in its request, and what stands before it there. */
interface Among {
  index: number;
  count: number;
  earlier: readonly Entry[];
}
