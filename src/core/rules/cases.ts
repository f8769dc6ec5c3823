/**
 * Cases of one pack: from detection or exceedance to closure, read forward over the days of a machine.
 * Each day is read in four steps: the addition is judged; the other entries in order; the entries that bear on
 * a case, in order; retirement. At most one case of a pack runs at a time.
 */
import { type DayOfEntries, caseDays } from './caseDays';
import { type Day, addMonths } from '../quantity/day';
import type { CaseBearing, LeakWork, MachineHistory } from '../logbook/history';
import { valueOn } from './figure';
import { type InForce, periodOn } from './inForce';
import type { AdditionRate } from './leakRate';
import { type Leak, LeakAccount, applyPass, failWhole } from './leaks';
import type { Pack } from './pack';
import { type ClosedBecause, type Case, judgement, openedCase, verifiedOn } from './case';

/** All cases of a pack as of the history's day, as they opened. */
export function casesOf(
  pack: Pack,
  history: MachineHistory,
  force: InForce,
  rates: readonly AdditionRate[],
): Case[] {
  // Most machines never had anything that opens a case; they are spared the reading.
  const mayOpen =
    pack.opens === 'anyLeak'
      ? history.leakWork.length > 0
      : rates.some((rate) => judgement(rate, pack) === true);
  if (!mayOpen) return [];
  const days = caseDays(history, rates);
  // An `unrelatedLeak` reaches back to the day of its addition; what follows is then read anew.
  const unrelated = new Map<string, Day>();
  for (;;) {
    const reading = new CaseReading(pack, history, force, unrelated);
    const answered = reading.read(days);
    if (answered === null) return reading.cases;
    unrelated.set(answered.entryId, answered.additionOn);
  }
}

class CaseReading {
  readonly cases: Case[] = [];
  private readonly account: LeakAccount;
  /** the running case, while it holds every leak that is open */
  private joined: Case | null = null;
  private readonly unrelatedDays: ReadonlySet<Day>;

  constructor(
    private readonly pack: Pack,
    private readonly history: MachineHistory,
    private readonly force: InForce,
    private readonly unrelated: ReadonlyMap<string, Day>,
  ) {
    this.account = new LeakAccount(pack.firstTestNeeded);
    this.unrelatedDays = new Set(unrelated.values());
  }

  /** Reads all days; stops at an `unrelatedLeak` that answers an addition, which must then be read anew. */
  read(days: readonly DayOfEntries[]): { entryId: string; additionOn: Day } | null {
    for (const each of days) {
      this.presumeBefore(each.day);
      if (each.addition) this.judge(each.addition);
      for (const work of each.work) this.apply(work);
      for (const bearing of each.bearing) {
        const answered = this.bear(bearing);
        if (answered) return answered;
      }
      if (this.history.retiredOn === each.day) this.close('retired', each.day);
    }
    this.presumeBefore((this.history.asOf + 1) as Day);
    return null;
  }

  private get running(): Case | null {
    const last = this.cases.at(-1);
    return last?.closedOn === null ? last : null;
  }

  private mayOpen(day: Day): boolean {
    return this.running === null && (this.history.retiredOn === null || day <= this.history.retiredOn);
  }

  private open(day: Day, openedBy: AdditionRate | null): void {
    this.cases.push(openedCase(this.pack, day, openedBy, this.account.open()));
  }

  private close(because: ClosedBecause, day: Day): void {
    const running = this.running;
    if (!running) return;
    running.closedOn = day;
    running.closedBecause = because;
    // A closed case keeps what it had.
    running.liveLeaks = running.leaks;
    running.leaks = running.leaks.map((leak) => ({ ...leak }));
    running.wholeMachine = { ...running.wholeMachine };
  }

  /** Closes a case that nothing was added to for 12 months after it was verified, if that lies before `day`. */
  private presumeBefore(day: Day): void {
    const running = this.running;
    if (!running || this.pack.opens !== 'percent') return;
    if (running.decided || running.undecidable) return;
    if (running.planFiledOn !== null || running.exceededAgainOn !== null) return;
    const v = verifiedOn(running);
    if (v === null || this.pack.presumedAfter === null) return;
    const presumedOn = addMonths(v, valueOn(this.pack.presumedAfter, v));
    if (presumedOn < day) this.close('presumed', presumedOn);
  }

  private judge(addition: AdditionRate): void {
    if (this.pack.opens !== 'percent') return;
    const { day } = addition.gasDay;
    const exceeds = judgement(addition, this.pack);
    const running = this.running;
    if (!running) {
      if (exceeds === true && this.mayOpen(day)) this.open(day, addition);
      return;
    }
    if (running.decided || running.exceededAgainOn !== null || verifiedOn(running) === null) return;
    if (exceeds === null) running.undecidable = true;
    else this.decide(running, addition, exceeds);
  }

  /** The next addition after v decides alone. A leak that is open then moves no date of a case that goes into plan. */
  private decide(running: Case, addition: AdditionRate, exceeds: boolean): void {
    const { day } = addition.gasDay;
    running.decided = true;
    if (!exceeds) {
      if (running.planFiledOn === null) this.close('confirmed', day);
    } else if (this.unrelatedDays.has(day)) {
      this.close('unrelated', day);
      this.open(day, addition);
    } else if (this.pack.plan) {
      running.exceededAgainOn = day;
    } else {
      this.close('exceeded', day);
      this.open(day, addition);
    }
  }

  /** What is open joins the running case: what this work opened, or all where it was not joined by the work before. */
  private join(running: Case, opened: readonly Leak[]): void {
    const joining = this.joined === running ? opened : this.account.open();
    const known = joining.length > 1 ? new Set(running.leaks) : null;
    for (const leak of joining)
      if (!(known ? known.has(leak) : running.leaks.includes(leak))) running.leaks.push(leak);
    this.joined = running;
  }

  private apply(work: LeakWork): void {
    const { day, entry } = work;
    if (entry.kind === 'retrofitted') {
      this.close('retrofitted', day);
      return;
    }
    const opened = this.account.apply(work);
    const running = this.running;
    if (running) {
      this.applyToWholeMachine(running, work);
      const verified = verifiedOn(running) !== null;
      if (this.pack.opens === 'anyLeak' || !verified) this.join(running, opened);
      else this.joined = null;
      if (!verified) {
        running.decided = false;
        running.undecidable = false;
      }
    } else if (
      this.pack.opens === 'anyLeak' &&
      opened.length > 0 &&
      this.mayOpen(day) &&
      this.coversOn(day)
    ) {
      this.open(day, null);
    }
    this.closeVerified(day);
  }

  private applyToWholeMachine(running: Case, { day, entry }: LeakWork): void {
    if (running.leaks.length > 0 || entry.kind !== 'verificationTest' || (entry.leakIds ?? []).length > 0)
      return;
    if (entry.result === 'pass') applyPass(running.wholeMachine, entry.stage, day, this.pack.firstTestNeeded);
    else failWhole([running.wholeMachine]);
  }

  private coversOn(day: Day): boolean {
    return periodOn(this.force, day).covering.includes(this.pack);
  }

  /** Any-leak packs: a case closes when every leak is verified and no plan was filed. */
  private closeVerified(day: Day): void {
    const running = this.running;
    if (
      running &&
      this.pack.opens === 'anyLeak' &&
      running.planFiledOn === null &&
      verifiedOn(running) !== null
    ) {
      this.close('verified', day);
    }
  }

  private bear({ day, entry }: CaseBearing): { entryId: string; additionOn: Day } | null {
    if (entry.pack != null && entry.pack !== this.pack.id) return null;
    const last = this.cases.at(-1);
    const target = last && (last.closedOn === null || last.closedOn === day) ? last : null;
    if (!target) return null;
    switch (entry.kind) {
      case 'processShutdown':
        target.shutdown = true;
        return null;
      case 'extension':
        target.extension = entry;
        return null;
      case 'planFiled':
        if (this.pack.plan) this.filePlan(target, day);
        return null;
      case 'planCompleted':
        if (target.closedOn === null && target.planFiledOn !== null) this.close('planCompleted', day);
        return null;
      case 'unrelatedLeak': {
        const additionOn = target.exceededAgainOn;
        if (additionOn === null || this.unrelated.has(entry.id)) return null;
        const inPlanForIt = target.planFiledOn === null || target.planFiledOn >= additionOn;
        return inPlanForIt ? { entryId: entry.id, additionOn } : null;
      }
    }
  }

  private filePlan(target: Case, day: Day): void {
    target.planFiledOn ??= day;
    // A case is closed as verified only where no plan was filed; one filed that day keeps it running.
    if (target.closedBecause === 'verified') {
      target.closedOn = null;
      target.closedBecause = null;
      target.leaks = target.liveLeaks;
      this.joined = null;
    }
  }
}
