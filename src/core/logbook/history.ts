/**
 * One machine's history: its effective entries up to a day, in order, sorted into what each part of the rules
 * reads. The fold from entries to history makes no judgement; that is the rules' work.
 */
import { type Day, dayOf } from '../quantity/day';
import { type ExactGrams, exactGrams } from '../quantity/mass';
import type { Entry, EntryKind, EntryOf } from './entry';
import { type DatedEntry, supersededIds, inOrder } from './order';
import type { Appliance } from './tables';

export interface Dated<Kind extends EntryKind> {
  day: Day;
  entry: EntryOf<Kind>;
}

export type GasEntry = Dated<'refrigerantAdded' | 'refrigerantRecovered' | 'retrofitted'>;
export type LeakWork = Dated<'leakFound' | 'leakRepaired' | 'verificationTest' | 'retrofitted'>;
/** Entries that bear on whichever case runs on their day. */
export type CaseBearing = Dated<
  'processShutdown' | 'extension' | 'planFiled' | 'planCompleted' | 'unrelatedLeak'
>;

export interface MachineHistory {
  appliance: Appliance;
  asOf: Day;
  entries: readonly DatedEntry[];
  fullCharges: readonly { day: Day; grams: ExactGrams; entry: EntryOf<'fullChargeSet'> }[];
  recordChanges: readonly Dated<'applianceChanged' | 'retrofitted'>[];
  gas: readonly GasEntry[];
  leakWork: readonly LeakWork[];
  caseBearing: readonly CaseBearing[];
  /** inspections that looked at all accessible parts */
  inspections: readonly Day[];
  detectionChecks: readonly Day[];
  normalOperations: readonly Day[];
  mothballings: readonly Day[];
  retrofits: readonly Day[];
  /** first retirement */
  retiredOn: Day | null;
  reports: readonly { year: number; day: Day }[];
}

/** Kinds of entries that the fold sorts out for the rules; all others are kept, shown, and read by no rule. */
const READ_KINDS: ReadonlySet<EntryKind> = new Set<EntryKind>([
  'fullChargeSet',
  'refrigerantAdded',
  'refrigerantRecovered',
  'retrofitted',
  'applianceChanged',
  'leakFound',
  'leakRepaired',
  'verificationTest',
  'processShutdown',
  'extension',
  'planFiled',
  'planCompleted',
  'unrelatedLeak',
  'leakInspection',
  'detectionCheck',
  'normalOperation',
  'mothballed',
  'retired',
  'reportFiled',
]);

/** Whether the rules read entries of this kind. */
export const isReadByLaw = (kind: EntryKind): boolean => READ_KINDS.has(kind);

/** Whether a standing may be another one with this entry: it is of a kind that is read, or takes another entry's place. */
export const bearsOnStanding = (entry: Entry): boolean => isReadByLaw(entry.kind) || entry.supersedes != null;

/** The full charge that an entry sets, in exact grams; a range counts by its midpoint. */
export function fullChargeOf(entry: EntryOf<'fullChargeSet'>): ExactGrams {
  if (entry.method === 'range' && entry.low && entry.high) {
    return ((exactGrams(entry.low) + exactGrams(entry.high)) / 2n) as ExactGrams;
  }
  if (!entry.mass) throw new Error(`Full charge ${entry.id} has no mass: read logbooks with readLogbook().`);
  return exactGrams(entry.mass);
}

/**
 * Folds a machine's entries. `entries` are those of this machine, any order, superseded ones too; `superseded` names the
 * superseded ones of the whole logbook (a correction may have moved an entry here from another machine).
 */
export function foldHistory(
  appliance: Appliance,
  entries: readonly Entry[],
  asOf: Day,
  superseded: ReadonlySet<string> = supersededIds(entries),
): MachineHistory {
  const ordered = inOrder(entries, asOf, superseded);
  const fullCharges: MachineHistory['fullCharges'][number][] = [];
  const recordChanges: MachineHistory['recordChanges'][number][] = [];
  const gas: GasEntry[] = [];
  const leakWork: LeakWork[] = [];
  const caseBearing: CaseBearing[] = [];
  const inspections: Day[] = [];
  const detectionChecks: Day[] = [];
  const normalOperations: Day[] = [];
  const mothballings: Day[] = [];
  const retrofits: Day[] = [];
  const reports: { year: number; day: Day }[] = [];
  let retiredOn: Day | null = null;
  for (const dated of ordered) {
    const { day, entry } = dated;
    switch (entry.kind) {
      case 'fullChargeSet':
        fullCharges.push({ day, grams: fullChargeOf(entry), entry });
        break;
      case 'refrigerantAdded':
      case 'refrigerantRecovered':
        gas.push(dated as GasEntry);
        break;
      case 'retrofitted':
        gas.push(dated as GasEntry);
        leakWork.push(dated as LeakWork);
        recordChanges.push({ day, entry });
        retrofits.push(day);
        break;
      case 'applianceChanged':
        recordChanges.push({ day, entry });
        break;
      case 'leakFound':
      case 'leakRepaired':
      case 'verificationTest':
        leakWork.push(dated as LeakWork);
        break;
      case 'processShutdown':
      case 'extension':
      case 'planFiled':
      case 'planCompleted':
      case 'unrelatedLeak':
        caseBearing.push(dated as CaseBearing);
        break;
      case 'leakInspection':
        if (entry.allAccessibleInspected !== false) inspections.push(day);
        break;
      case 'detectionCheck':
        detectionChecks.push(day);
        break;
      case 'normalOperation':
        normalOperations.push(day);
        break;
      case 'mothballed':
        mothballings.push(day);
        break;
      case 'retired':
        retiredOn ??= day;
        break;
      case 'reportFiled':
        reports.push({ year: entry.year, day });
        break;
      default:
    }
  }
  return {
    appliance,
    asOf,
    entries: ordered,
    fullCharges,
    recordChanges,
    gas,
    leakWork,
    caseBearing,
    inspections,
    detectionChecks,
    normalOperations,
    mothballings,
    retrofits,
    retiredOn,
    reports,
  };
}

/** The day on which a machine was installed, if its record says. */
export const installedOn = (appliance: Appliance): Day | null =>
  appliance.installedOn == null ? null : dayOf(appliance.installedOn);

/** The day from which this logbook answers for a machine, if its record says. */
export const recordFrom = (appliance: Appliance): Day | null =>
  appliance.recordFrom == null ? null : dayOf(appliance.recordFrom);
