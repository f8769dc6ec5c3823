/** Which part of the logbook is taken out: of a site, of an owner, of a period, or all; whole enough to be read again. */
import { sql } from 'drizzle-orm';
import type { ExportScope } from '../../contract/exports';
import { supersededIds } from '../../core/logbook/order';
import { ownerOn } from '../../core/logbook/ownership';
import type { Appliance, Cylinder, Owner, Person, Site, Space } from '../../core/logbook/tables';
import type { Day } from '../../core/quantity/day';
import type { Clock } from '../clock';
import type { Tables } from '../store/database';
import type { Store } from '../store/store';

export interface Scope {
  /** what it is a part of the whole by; null: it is all */
  part: ExportScope | null;
  site: (site: Site) => boolean;
  space: (space: Space) => boolean;
  appliance: (appliance: Appliance) => boolean;
  cylinder: (cylinder: Cylinder) => boolean;
  owner: (owner: Owner) => boolean;
  person: (person: Person) => boolean;
  /** of one site or owner: only what is theirs, and who wrote it */
  narrow: boolean;
  entry: (id: string) => boolean;
  /** whether the entry that this one corrects stays outside: it stands in the part as if it were the first */
  cut: (id: string) => boolean;
  /** rows by table and id, for their history */
  row: (table: string, id: string) => boolean;
}

const ALL: Scope = {
  part: null,
  site: () => true,
  space: () => true,
  appliance: () => true,
  cylinder: () => true,
  owner: () => true,
  person: () => true,
  narrow: false,
  entry: () => true,
  cut: () => false,
  row: () => true,
};

const isWhole = (asked: ExportScope): boolean => Object.values(asked).every((value) => value === undefined);

/** Whose a site is, is asked of the clock's today. */
export async function scopeOf(db: Tables, store: Store, clock: Clock, asked: ExportScope): Promise<Scope> {
  const todayAt = (site: Site): Day => clock.todayIn(site.timezone);
  if (isWhole(asked)) return ALL;
  const sites = new Set<string>();
  const owners = new Set<string>(asked.owner === undefined ? [] : [asked.owner]);
  for await (const document of store.documents('sites')) {
    const site = JSON.parse(document) as Site;
    if (
      (asked.site === undefined || site.id === asked.site) &&
      (asked.owner === undefined || ownerOn(site, todayAt(site)) === asked.owner)
    ) {
      sites.add(site.id);
      const owner = ownerOn(site, todayAt(site));
      if (owner !== null) owners.add(owner);
    }
  }
  const machines = new Set<string>();
  for await (const document of store.documents('appliances')) {
    const appliance = JSON.parse(document) as Appliance;
    if (sites.has(appliance.siteId)) machines.add(appliance.id);
  }
  const { ids, cut, cylinders, people } = await entriesOf(db, machines, asked);
  const narrow = asked.site !== undefined || asked.owner !== undefined;
  return {
    part: asked,
    site: ({ id }) => sites.has(id),
    space: ({ siteId }) => sites.has(siteId),
    appliance: ({ id }) => machines.has(id),
    cylinder: ({ id, ownerId }) =>
      !narrow || cylinders.has(id) || (asked.owner !== undefined && ownerId === asked.owner),
    owner: ({ id }) => !narrow || owners.has(id),
    person: ({ id }) => !narrow || people.has(id),
    narrow,
    entry: (id) => ids.has(id),
    cut: (id) => cut.has(id),
    row: (table, id) => {
      if (table === 'sites') return sites.has(id);
      if (table === 'appliances') return machines.has(id);
      if (table === 'spaces') return !narrow;
      if (table === 'owners') return !narrow || owners.has(id);
      if (table === 'people') return !narrow || people.has(id);
      if (table === 'instruments') return !narrow;
      return table === 'cylinders' ? !narrow || cylinders.has(id) : table !== 'issued';
    },
  };
}

/**
 * Entries of these machines in the period, with all that corrects them or that they correct. What was moved to a machine
 * outside stays there: here it is left out, and what came from there begins here.
 */
async function entriesOf(
  db: Tables,
  machines: ReadonlySet<string>,
  { from, to, site, owner }: ExportScope,
): Promise<{
  ids: ReadonlySet<string>;
  cut: ReadonlySet<string>;
  cylinders: ReadonlySet<string>;
  people: ReadonlySet<string>;
}> {
  const rows = await db.all<EntryRow>(
    sql`SELECT id, appliance_id, supersedes, cylinder_id, document ->> '$.kind' AS kind, document ->> '$.on' AS day, document ->> '$.by' AS by_person FROM entries`,
  );
  const narrow = site !== undefined || owner !== undefined;
  const ids = new Set<string>();
  const linked = new Map<string, string[]>();
  for (const row of rows) {
    const own = row.appliance_id === null ? !narrow : machines.has(row.appliance_id);
    if (own && (from === undefined || row.day >= from) && (to === undefined || row.day <= to))
      ids.add(row.id);
    if (row.supersedes === null) continue;
    for (const [a, b] of [
      [row.id, row.supersedes],
      [row.supersedes, row.id],
    ] as const)
      linked.set(a, [...(linked.get(a) ?? []), b]);
  }
  const machineOf = new Map(rows.map((row) => [row.id, row.appliance_id]));
  const waiting = [...ids];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop())
    for (const other of linked.get(next) ?? []) {
      const machine = machineOf.get(other) ?? null;
      // A correction that moved an entry to a machine of another owner stays with that owner.
      if (ids.has(other) || (machine !== null && !machines.has(machine))) continue;
      ids.add(other);
      waiting.push(other);
    }
  dropRevived(ids, rows);
  const cut = rows.filter(({ id, supersedes }) => ids.has(id) && supersedes !== null && !ids.has(supersedes));
  // A void of what is not here says nothing here.
  for (const { id, kind } of cut) if (kind === 'void') ids.delete(id);
  return {
    ids,
    cut: new Set(cut.map(({ id }) => id)),
    cylinders: new Set(rows.flatMap((row) => (ids.has(row.id) ? (row.cylinder_id ?? []) : []))),
    people: new Set(rows.flatMap((row) => (ids.has(row.id) ? (row.by_person ?? []) : []))),
  };
}

interface EntryRow {
  id: string;
  kind: string;
  appliance_id: string | null;
  supersedes: string | null;
  cylinder_id: string | null;
  by_person: string | null;
  day: string;
}

/** What is superseded in the whole never comes to life because its correction lies outside the part. */
function dropRevived(ids: Set<string>, rows: readonly EntryRow[]): void {
  const superseded = supersededIds(rows);
  for (;;) {
    const inside = rows.filter(({ id }) => ids.has(id));
    const supersededInside = supersededIds(
      inside.filter(({ supersedes }) => supersedes === null || ids.has(supersedes)),
    );
    const revived = inside.filter(({ id }) => superseded.has(id) && !supersededInside.has(id));
    if (revived.length === 0) return;
    for (const { id } of revived) ids.delete(id);
  }
}
