/**
 * Takes entries into the logbook: checks them, seals them, folds the machines they touch, and stores all of it
 * in one batch. The same entry sent twice is accepted once.
 */
import type { Entry } from '../core/logbook/entry';
import { type KnownIds, entryProblems } from '../core/logbook/logbook';
import { deadIds } from '../core/logbook/order';
import type { Appliance } from '../core/logbook/tables';
import type { Problem } from '../core/logbook/problems';
import { acceptedReasons, senseOf } from '../core/logbook/sense';
import { dayText } from '../core/quantity/day';
import { noteProblems } from '../core/visit/notes';
import { standingFromEntries } from '../core/rules/standing';
import { senseContext } from '../core/rules/senseContext';
import type { Clock } from './clock';
import { type Judging } from './judging';
import { conflict, invalid, notFound, wantsReason } from './problem';
import { contentOf } from './store/seal';
import type { Rows } from './rows';
import type { Store } from './store/store';

export interface Appended {
  entries: Entry[];
  /** machines whose standing changed */
  machines: string[];
}

export class Appending {
  constructor(
    private readonly store: Store,
    private readonly judging: Judging,
    private readonly clock: Clock,
  ) {}

  /** `adding`: a machine that is new with these entries, and the rows to store and seal ahead of them. */
  append(
    entries: readonly Entry[],
    adding: { appliance: Appliance; rows: ReturnType<Rows['added']> } | null = null,
  ): Promise<Appended> {
    return this.store.database.write(async () => {
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
      // Each machine is read once: nothing else writes while this runs in the queue.
      const read = memoized((id: string) => this.store.entriesBearingOn(id));
      await this.check(fresh, adding?.appliance.id ?? null, read);
      const sealed = await this.store.sealed(fresh, adding?.rows.revisions);
      const touched = await this.touchedBy(fresh);
      if (adding && !touched.includes(adding.appliance.id)) touched.push(adding.appliance.id);
      const standings = await Promise.all(
        touched.map(async (id) => {
          const appliance = id === adding?.appliance.id ? adding.appliance : await this.store.appliance(id);
          if (!appliance) throw notFound('machine');
          return this.judging.standingOf(appliance, [...(await read(id)), ...fresh]);
        }),
      );
      await this.store.batch([
        ...(adding?.rows.statements ?? []),
        ...sealed.statements,
        ...standings.flatMap((standing) => this.store.replaceStanding(this.judging.stored(standing))),
      ]);
      return {
        entries: entries.map(
          (entry) => known.get(entry.id) ?? sealed.entries.find((each) => each.id === entry.id) ?? entry,
        ),
        machines: touched,
      };
    });
  }

  private async touchedBy(entries: readonly Entry[]): Promise<string[]> {
    const touched = new Set<string>();
    for (const entry of entries) for (const id of await this.store.machinesTouchedBy(entry)) touched.add(id);
    return [...touched];
  }

  private async check(
    entries: readonly Entry[],
    newAppliance: string | null,
    read: ReadMachine,
  ): Promise<void> {
    const ownIds = new Set(entries.map((entry) => entry.id));
    const targets = await this.store.entriesById(entries.flatMap((entry) => entry.supersedes ?? []));
    const appliances = new Set<string | null>(
      await this.store.knownAppliances(entries.flatMap((entry) => entry.applianceId ?? [])),
    );
    appliances.add(newAppliance);
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
      if (entry.applianceId != null && entry.applianceId !== newAppliance)
        await this.checkSense(entry, index, entries.length, read);
    }
  }

  private async checkSense(entry: Entry, index: number, count: number, read: ReadMachine): Promise<void> {
    const appliance = await this.store.appliance(entry.applianceId ?? '');
    const site = appliance && (await this.store.site(appliance.siteId));
    if (!appliance || !site) throw notFound('machine');
    const bearing = await read(appliance.id);
    const rest = bearing.filter((each) => each.id !== entry.supersedes && each.applianceId === appliance.id);
    const packs = await this.judging.currentPacks();
    const standing = standingFromEntries(
      appliance,
      site,
      rest,
      this.clock.todayIn(site.timezone),
      packs,
      deadIds(bearing),
    );
    const cylinderId = 'cylinderId' in entry ? entry.cylinderId : null;
    const cylinder = cylinderId == null ? null : await this.store.cylinder(cylinderId);
    const targetIsDead = entry.supersedes != null && (await this.isSuperseded(entry.supersedes, read));
    const sense = senseOf(entry, senseContext(entry, standing, cylinder, targetIsDead));
    if (sense.errors.length > 0) {
      throw invalid(
        sense.errors.map((error) => ({
          path: placed([error.field], index, count),
          message: senseSentence(error),
        })),
      );
    }
    const accepted = acceptedReasons(entry);
    const unanswered = sense.warnings.filter((warning) => accepted[warning] === undefined);
    if (unanswered.length > 0) throw wantsReason(unanswered);
  }

  private async isSuperseded(id: string, read: ReadMachine): Promise<boolean> {
    const [target] = await this.store.entriesById([id]);
    if (target?.applianceId == null) return false;
    return deadIds(await read(target.applianceId)).has(id);
  }
}

type ReadMachine = (id: string) => Promise<Entry[]>;

function memoized<Value>(work: (id: string) => Promise<Value>): (id: string) => Promise<Value> {
  const known = new Map<string, Promise<Value>>();
  return (id) => {
    const value = known.get(id) ?? work(id);
    known.set(id, value);
    return value;
  };
}

const placed = (path: Problem['path'], index: number, count: number): Problem['path'] =>
  count > 1 ? [index, ...path] : path;

/** Sent again, an entry is the same whatever the server added to it. */
function sameContent(stored: Entry, sent: Entry): boolean {
  const bare = (entry: Entry) => contentOf({ ...entry, recordedAt: undefined });
  return bare(stored) === bare(sent);
}

function senseSentence(error: ReturnType<typeof senseOf>['errors'][number]): string {
  switch (error.code) {
    case 'futureDate':
      return `lies in the future; today at the site is ${dayText(error.today)}`;
    case 'moreThanAnyMachine':
      return 'is more than any machine holds; check the figure and its unit';
    case 'rangeReversed':
      return 'must not be less than the low end';
    case 'notToBeLetOut':
      return `must not be outdoors: ${error.refrigerant} is never let out; recover it into a bottle`;
    case 'supersedesDead':
      return 'was corrected or voided already; correct the entry that replaced it';
  }
}
