/** An obligation: something due by a day, with what it follows from. */
import type { PackId } from '../logbook/packNames';
import type { Day } from '../quantity/day';
import type { Source } from './figure';
import type { Pack } from './pack';

export const OBLIGATION_KINDS = [
  'repair',
  'initialTest',
  'followUpTest',
  'inspection',
  'plan',
  'planDone',
  'chronicReport',
  'detection',
  'detectionCheck',
] as const;
export type ObligationKind = (typeof OBLIGATION_KINDS)[number];
export type ObligationState = 'done' | 'void' | 'overdue' | 'dueSoon' | 'upcoming';

/** What a due day follows from, with the figures that a sentence needs; the words live in the interface. */
export type Why =
  | { rule: 'repairWindow'; openedOn: Day; days: number; shutdown: boolean }
  | {
      rule: 'partsExtension';
      openedOn: Day;
      deliveredOn: Day | null;
      afterDelivery: number | null;
      capDays: number;
    }
  | { rule: 'otherExtension'; openedOn: Day; until: Day }
  | { rule: 'followUpDays'; start: Day; days: number; fromNormalOperation: boolean }
  | { rule: 'followUpMonths'; repairedOn: Day; months: number }
  | { rule: 'planAfterRepairDue'; repairDue: Day; days: number }
  | { rule: 'planAfterExceedance'; exceededOn: Day; days: number }
  | { rule: 'planAfterOpening'; openedOn: Day; days: number }
  | { rule: 'planDone'; filedOn: Day; months: number }
  | { rule: 'series'; verifiedOn: Day; number: number; everyMonths: number }
  | {
      rule: 'always';
      since: Day;
      basis: 'inspection' | 'installed' | 'packFrom' | 'recordFrom';
      everyMonths: number;
    }
  | { rule: 'atAddition'; addedOn: Day }
  | { rule: 'chronic'; percent: number; reachedOn: Day; year: number }
  | { rule: 'detectionFixed'; installedOn: Day }
  | { rule: 'detectionAfterInstallation'; installedOn: Day; days: number }
  | { rule: 'detectionCheck'; since: Day; months: number };

export interface Obligation {
  pack: Pack;
  kind: ObligationKind;
  due: Day;
  doneOn: Day | null;
  /** the case, the plan or the machine ended otherwise */
  ended: boolean;
  caseOpenedOn: Day | null;
  why: Why;
  source: Source;
  /** days by which mothballing moved the due day */
  movedDays?: number;
}

const SOON_DAYS = 7;

/** The first that holds: done (late too), void, overdue, due within 7 days, upcoming. */
export function stateOf(
  obligation: Pick<Obligation, 'due' | 'doneOn' | 'ended'>,
  asOf: Day,
): ObligationState {
  if (obligation.doneOn !== null) return 'done';
  if (obligation.ended) return 'void';
  if (obligation.due < asOf) return 'overdue';
  return obligation.due <= asOf + SOON_DAYS ? 'dueSoon' : 'upcoming';
}

const text = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** By due day, pack, kind, and the day the case opened (none first). */
export const byDue = (a: Obligation, b: Obligation): number =>
  a.due - b.due ||
  text(a.pack.id, b.pack.id) ||
  text(a.kind, b.kind) ||
  (a.caseOpenedOn ?? -Infinity) - (b.caseOpenedOn ?? -Infinity) ||
  0;

/** Done, or void: it asks for nothing any more. */
export const isSettled = ({ doneOn, ended }: Pick<Obligation, 'doneOn' | 'ended'>): boolean =>
  doneOn !== null || ended;

/** Those that still ask for something. */
export const openObligations = (obligations: readonly Obligation[]): Obligation[] =>
  obligations.filter((each) => !isSettled(each));

/** Tells an obligation from the others of its machine. */
export const obligationKey = ({ pack, kind, due, caseOpenedOn }: Obligation): string =>
  [pack.id, kind, due, caseOpenedOn].join(' ');

/** What several packs ask alike. */
export interface MergedObligation {
  first: Obligation;
  packs: PackId[];
}

/** The same work of several packs on the same day is one to do, in the order of the first. */
export function mergedObligations(obligations: readonly Obligation[]): MergedObligation[] {
  const byKey = new Map<string, MergedObligation>();
  for (const each of obligations) {
    const key = [each.kind, each.due, each.doneOn, each.ended].join(' ');
    const known = byKey.get(key);
    if (!known) byKey.set(key, { first: each, packs: [each.pack.id] });
    else if (!known.packs.includes(each.pack.id)) known.packs.push(each.pack.id);
  }
  return [...byKey.values()];
}
