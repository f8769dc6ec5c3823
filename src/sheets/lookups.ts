/** The rows of the logbook by the names that lists use, with those that the same import adds. */
import type { Entry } from '../core/logbook/entry';
import type { Appliance, Cylinder, Owner, Person, Site } from '../core/logbook/tables';
import type { Day } from '../core/quantity/day';
import { looseKey } from './cells';
import { nearest } from './nearestName';

/** What is in the logbook already. */
export interface KnownRows {
  sites: readonly Site[];
  owners: readonly Owner[];
  people: readonly Person[];
  appliances: readonly Appliance[];
  cylinders: readonly Cylinder[];
  /** every entry of a machine, superseded ones too, and those elsewhere that correct one of them */
  entriesOf: (applianceId: string) => readonly Entry[];
  /** whether an entry with this id is there already */
  hasEntry: (id: string) => boolean;
  /** whether it was voided again with the import that wrote it: brought in once more, it is new */
  isUndone: (id: string) => boolean;
  todayAt: (timezone: string) => Day;
}

/** Things by any of their names. */
export class ByName<Thing extends { id: string }> {
  private readonly found = new Map<string, Thing[]>();
  private readonly names: { key: string; name: string }[] = [];

  constructor(
    things: readonly Thing[],
    private readonly namesOf: (thing: Thing) => readonly (string | null | undefined)[],
  ) {
    for (const thing of things) this.add(thing);
  }

  add(thing: Thing): void {
    const [first] = this.namesOf(thing);
    for (const name of this.namesOf(thing)) {
      if (name == null || name.trim() === '') continue;
      const key = looseKey(name);
      const same = this.found.get(key) ?? [];
      if (same.some(({ id }) => id === thing.id)) continue;
      this.found.set(key, [...same, thing]);
      this.names.push({ key, name: first ?? name });
    }
  }

  /** Several where the name may mean each of them; one that is spelled just so goes first and alone. */
  get(text: string): readonly Thing[] {
    const meant = this.found.get(looseKey(text)) ?? [];
    if (meant.length < 2) return meant;
    const exact = meant.filter((thing) => this.namesOf(thing).some((name) => name?.trim() === text.trim()));
    return exact.length > 0 ? exact : meant;
  }

  nearest = (text: string): string | null => nearest(looseKey(text), this.names);
}

export class Lookups {
  readonly sites;
  readonly owners;
  readonly people;
  readonly machines;
  /** machines by serial number and tag alone */
  readonly tags;
  readonly cylinders;

  constructor(readonly known: KnownRows) {
    this.sites = new ByName(known.sites, ({ name, id }) => [name, id]);
    this.owners = new ByName(known.owners, ({ name, id }) => [name, id]);
    this.people = new ByName(known.people, ({ name, id }) => [name, id]);
    this.machines = new ByName(known.appliances, ({ name, tag, serialNumber, id }) => [
      name,
      tag,
      serialNumber,
      id,
    ]);
    this.tags = new ByName(known.appliances, ({ tag, serialNumber }) => [serialNumber, tag]);
    this.cylinders = new ByName(known.cylinders, ({ serial, id }) => [serial, id]);
    this.siteById = new Map(known.sites.map((site) => [site.id, site]));
  }

  private readonly siteById: Map<string, Site>;

  siteOf = (id: string): Site | null => this.siteById.get(id) ?? null;

  addMachine(machine: Appliance): void {
    this.machines.add(machine);
    this.tags.add(machine);
  }

  addSite(site: Site): void {
    this.sites.add(site);
    this.siteById.set(site.id, site);
  }
}
