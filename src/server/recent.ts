/**
 * Machines that were written to lately, as they were read: a visit writes to the same one again and again, and its record
 * need not be read and parsed anew for each entry. Holds until a row changes or somebody else writes to the database.
 */
import type { Entry } from '../core/logbook/entry';
import type { Appliance, Site } from '../core/logbook/tables';

export interface RecentMachine {
  appliance: Appliance;
  site: Site;
  /** its entries, and those elsewhere that correct or rival them */
  bearing: readonly Entry[];
}

/** Enough for every technician of a large company; no more than some tens of megabytes. */
const MOST_MACHINES = 200;
const MOST_ENTRIES = 50_000;

export class RecentMachines {
  private readonly machines = new Map<string, RecentMachine>();
  private entries = 0;
  private version: unknown = null;

  /** `version` of the database: another one than before means that somebody else wrote. */
  stillHolds(version: unknown): boolean {
    const same = version === this.version;
    this.version = version;
    return same;
  }

  get = (id: string): RecentMachine | null => this.machines.get(id) ?? null;

  keep(id: string, machine: RecentMachine): void {
    this.forget(id);
    this.machines.set(id, machine);
    this.entries += machine.bearing.length;
    for (const oldest of this.machines.keys()) {
      if (this.machines.size <= MOST_MACHINES && this.entries <= MOST_ENTRIES) break;
      this.forget(oldest);
    }
  }

  forget(id: string): void {
    this.entries -= this.machines.get(id)?.bearing.length ?? 0;
    this.machines.delete(id);
  }

  clear(): void {
    this.machines.clear();
    this.entries = 0;
  }
}
