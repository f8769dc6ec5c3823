/**
 * Machines that were written to lately, as they were read and as they were judged: a visit writes to the same one again and
 * again, and its record need not be read, parsed and stored anew for each entry. Holds until a row changes or somebody else
 * writes to the database; record and judgement of a machine are forgotten together.
 */
import { LRUCache } from 'lru-cache';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Site } from '../../core/logbook/tables';
import type { Standing } from '../../core/rules/standing';
import type { MachineStanding } from '../store/machineStanding';

export interface RecentMachine {
  appliance: Appliance;
  site: Site;
  /** its entries, and those elsewhere that correct or rival them */
  bearing: readonly Entry[];
}

/** What was stored last of a machine; its text is made when somebody asks for it. */
export interface RecentStanding {
  standing: Standing;
  judged: MachineStanding;
  document: string | null;
}

/** Enough for every technician of a large company; no more than some tens of megabytes. */
const MOST_MACHINES = 200;
const MOST_ENTRIES = 50_000;

export class RecentMachines {
  private readonly machines = new LRUCache<string, RecentMachine>({
    max: MOST_MACHINES,
    maxSize: MOST_ENTRIES,
    sizeCalculation: ({ bearing }) => Math.max(bearing.length, 1),
  });
  private readonly judgements = new LRUCache<string, RecentStanding>({ max: MOST_MACHINES });
  private version: unknown = null;

  /** `version` of the database: another one than before means that somebody else wrote, and nothing holds any more. */
  holdTo(version: unknown): void {
    if (version !== this.version) this.clear();
    this.version = version;
  }

  get = (id: string): RecentMachine | null => this.machines.get(id) ?? null;

  judgement = (id: string): RecentStanding | null => this.judgements.get(id) ?? null;

  keep = (id: string, machine: RecentMachine): void => void this.machines.set(id, machine);

  keepJudgement = (id: string, judgement: RecentStanding): void => void this.judgements.set(id, judgement);

  /** While another one is being stored nobody knows which is kept; the record stays as it is. */
  forgetJudgement = (id: string): void => void this.judgements.delete(id);

  forget(id: string): void {
    this.forgetRecord(id);
    this.forgetJudgement(id);
  }

  /** Its record is to be read anew; what was stored of its judgement stays. */
  forgetRecord = (id: string): void => void this.machines.delete(id);

  clear(): void {
    this.machines.clear();
    this.judgements.clear();
  }
}
