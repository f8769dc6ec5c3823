/** What an import by the command line was asked, and where it goes. */
import type { PlanFor, PlannedFile } from '../server/imports/planFile';
import type { Mapping } from '../sheets/mapping';

export interface Arguments {
  file: string;
  into: string | null;
  logbook: string | null;
  mapping: Mapping;
  dryRun: boolean;
  leaveOutFaulty: boolean;
}

/** What the rows are held against, and where they are written. */
export interface Target {
  plan: Pick<PlanFor, 'known' | 'knownMachines' | 'present' | 'remembered' | 'packs'>;
  write: (planned: PlannedFile) => Promise<void>;
  close: () => Promise<void>;
}
