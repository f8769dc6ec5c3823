/**
 * Due days of a case: repair and first test, follow-up test, plan. Clocks start at the opening, at the first
 * pass (or normal operation after an evacuation), or at the day the repair fell due.
 */
import { type Day, addDays, addMonths, dayOf } from '../quantity/day';
import type { MachineHistory } from '../logbook/history';
import { type Case, type ClosedBecause, counted, initialPassedOn, repairedOn, verifiedOn } from './case';
import { valueOn } from './figure';
import { type InForce, periodOn } from './inForce';
import { type Leak, isOpen } from './leaks';
import { type Pause, moved } from './mothballing';
import type { Obligation, Why } from './obligation';

export type CaseState = 'open' | 'tested' | 'verified' | 'plan' | 'closed';

export interface CaseStanding {
  case: Case;
  state: CaseState;
  repairDue: Day;
  initialPassedOn: Day | null;
  followUpDue: Day | null;
  followUpPassedOn: Day | null;
  obligations: Obligation[];
}

interface Dated {
  due: Day;
  start: Day;
  why: Why;
}

/** Window, shutdown and extension, before mothballing. An extension never shortens. */
function repairDeadline(each: Case, force: InForce): Dated {
  const { pack, openedOn, extension } = each;
  const { category } = periodOn(force, openedOn);
  const shutdown = each.shutdown && (pack.shutdown?.categories.includes(category) ?? false);
  const days = valueOn(shutdown && pack.shutdown ? pack.shutdown.repairWithin : pack.repairWithin, openedOn);
  const windowEnd = addDays(openedOn, days);
  const plain: Dated = {
    due: windowEnd,
    start: openedOn,
    why: { rule: 'repairWindow', openedOn, days, shutdown },
  };
  const longer = (due: Day, why: Why): Dated => (due > windowEnd ? { due, start: openedOn, why } : plain);
  if (!extension) return plain;
  if (extension.ground !== 'parts') {
    if (!pack.otherExtensions || extension.until == null) return plain;
    const until = dayOf(extension.until);
    return longer(until, { rule: 'otherExtension', openedOn, until });
  }
  const parts = pack.partsExtension;
  if (!parts) return plain;
  if ('fromOpening' in parts) {
    const capDays = valueOn(parts.fromOpening, openedOn);
    const why: Why = { rule: 'partsExtension', openedOn, deliveredOn: null, afterDelivery: null, capDays };
    return longer(addDays(openedOn, capDays), why);
  }
  const capDays = valueOn(shutdown ? parts.capWithShutdown : parts.cap, openedOn);
  const cap = addDays(openedOn, capDays);
  const deliveredOn = extension.partsDeliveredOn == null ? null : dayOf(extension.partsDeliveredOn);
  const afterDelivery = valueOn(parts.afterDelivery, openedOn);
  const wanted = deliveredOn === null ? cap : (Math.min(addDays(deliveredOn, afterDelivery), cap) as Day);
  return longer(wanted, { rule: 'partsExtension', openedOn, deliveredOn, afterDelivery, capDays });
}

/**
 * The day of one leak's second test: from its first pass, or from normal operation after a repair for which it
 * was evacuated; where months count, from its repair. Null while that has not happened.
 */
function followUpOfLeak(leak: Leak, each: Case, history: MachineHistory, until: Day): Dated | null {
  const { followUp } = each.pack;
  if ('monthsAfterRepair' in followUp) {
    const { repairedOn } = leak;
    if (repairedOn === null) return null;
    const months = valueOn(followUp.monthsAfterRepair, each.openedOn);
    const why: Why = { rule: 'followUpMonths', repairedOn, months };
    return { due: addMonths(repairedOn, months), start: repairedOn, why };
  }
  const passed = leak.firstPassOn;
  if (passed === null) return null;
  const upTo = leak.verifiedOn ?? until;
  const running = leak.evacuated
    ? history.normalOperations.find((day) => day >= passed && day <= upTo)
    : undefined;
  const start = running ?? passed;
  const days = valueOn(followUp.days, each.openedOn);
  return {
    due: addDays(start, days),
    start,
    why: { rule: 'followUpDays', start, days, fromNormalOperation: running !== undefined },
  };
}

/**
 * Each leak has days of its own; the case shows the earliest of those that wait for their second test, and once
 * every leak is verified the latest of all. Otherwise no day is known.
 */
function followUpDeadline(each: Case, history: MachineHistory, until: Day): Dated | null {
  const leaks = counted(each);
  const datesOf = (some: readonly Leak[]) =>
    some.flatMap((leak) => followUpOfLeak(leak, each, history, until) ?? []);
  const waiting = datesOf(leaks.filter(isOpen));
  if (waiting.length > 0) return waiting.reduce((first, next) => (next.due < first.due ? next : first));
  if (leaks.some(isOpen)) return null;
  return datesOf(leaks).reduce<Dated | null>(
    (last, next) => (last === null || next.due > last.due ? next : last),
    null,
  );
}

/** The plan's due day, and whether the present state asks for one or made it void. */
function planDeadline(
  each: Case,
  repairDue: Day,
  passedOn: Day | null,
  until: Day,
): (Dated & { void: boolean }) | null {
  const { plan } = each.pack;
  if (!plan) return null;
  const late = until > repairDue && (passedOn === null || passedOn > repairDue);
  const listed = late || each.exceededAgainOn !== null || each.planFiledOn !== null;
  if (!listed) return null;
  const isVoid = each.exceededAgainOn === null && passedOn !== null;
  if ('afterOpening' in plan.due) {
    const days = valueOn(plan.due.afterOpening, each.openedOn);
    const why: Why = { rule: 'planAfterOpening', openedOn: each.openedOn, days };
    return { due: addDays(each.openedOn, days), start: each.openedOn, why, void: isVoid };
  }
  const days = valueOn(plan.due.afterRepairDue, each.openedOn);
  const start = each.exceededAgainOn ?? repairDue;
  const why: Why =
    each.exceededAgainOn === null
      ? { rule: 'planAfterRepairDue', repairDue, days }
      : { rule: 'planAfterExceedance', exceededOn: each.exceededAgainOn, days };
  return { due: addDays(start, days), start, why, void: isVoid };
}

const CARRIED_OUT: readonly (ClosedBecause | null)[] = ['planCompleted', 'retrofitted', 'retired'];

/** A case's dates, state and obligations as of the history's day; a closed one keeps what it had. */
export function caseStanding(
  each: Case,
  history: MachineHistory,
  force: InForce,
  pauses: readonly Pause[],
): CaseStanding {
  const { pack, openedOn, planFiledOn, closedOn } = each;
  const until = closedOn ?? history.asOf;
  const shift = (deadline: Dated): Day => moved(deadline.due, deadline.start, pauses, until);
  const repair = repairDeadline(each, force);
  const repairDue = shift(repair);
  const passed = initialPassedOn(each);
  const v = verifiedOn(each);
  const followUp = followUpDeadline(each, history, until);
  // Deadlines counted in months stand still for no pause.
  const followUpDue = followUp && (followUp.why.rule === 'followUpMonths' ? followUp.due : shift(followUp));
  const plan = planDeadline(each, repairDue, passed, until);
  const ended = closedOn !== null || planFiledOn !== null;

  const obligations: Obligation[] = [];
  const add = (obligation: Omit<Obligation, 'pack' | 'caseOpenedOn'>) =>
    obligations.push({ ...obligation, pack, caseOpenedOn: openedOn });
  const movedDays = repairDue - repair.due;
  add({
    kind: 'repair',
    due: repairDue,
    doneOn: repairedOn(each),
    ended,
    why: repair.why,
    source: pack.repairWithin.source,
    movedDays,
  });
  if (pack.firstTestNeeded) {
    add({
      kind: 'initialTest',
      due: repairDue,
      doneOn: passed,
      ended,
      why: repair.why,
      source: pack.repairWithin.source,
      movedDays,
    });
  }
  if (followUp && followUpDue !== null) {
    const { source } = 'days' in pack.followUp ? pack.followUp.days : pack.followUp.monthsAfterRepair;
    add({
      kind: 'followUpTest',
      due: followUpDue,
      doneOn: v,
      ended,
      why: followUp.why,
      source,
      movedDays: followUpDue - followUp.due,
    });
  }
  if (plan && pack.plan) {
    const due = shift(plan);
    const { source } = pack.plan;
    add({
      kind: 'plan',
      due,
      doneOn: planFiledOn,
      ended: closedOn !== null || plan.void,
      why: plan.why,
      source,
      movedDays: due - plan.due,
    });
  }
  if (planFiledOn !== null && pack.plan) {
    const months = valueOn(pack.plan.carriedOutWithin, planFiledOn);
    add({
      kind: 'planDone',
      due: addMonths(planFiledOn, months),
      doneOn: CARRIED_OUT.includes(each.closedBecause) ? closedOn : null,
      ended: closedOn !== null,
      why: { rule: 'planDone', filedOn: planFiledOn, months },
      source: pack.plan.source,
    });
  }
  return {
    case: each,
    state: caseState(each, passed, v, history.asOf > repairDue),
    repairDue,
    initialPassedOn: passed,
    followUpDue,
    followUpPassedOn: v,
    obligations,
  };
}

function caseState(each: Case, passed: Day | null, v: Day | null, repairLate: boolean): CaseState {
  if (each.closedOn !== null) return 'closed';
  if (each.planFiledOn !== null || each.exceededAgainOn !== null) return 'plan';
  if (v !== null) return 'verified';
  if (passed !== null) return 'tested';
  return each.pack.plan && repairLate ? 'plan' : 'open';
}
