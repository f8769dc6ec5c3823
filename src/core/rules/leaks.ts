/**
 * The account of a machine's leaks. A leak goes through four states strictly in order: found, repaired,
 * tested, verified; it is open until verified. Each pack keeps its own account of the same leaks: where first
 * tests are not needed, a follow-up test verifies a repaired leak too.
 */
import type { Day } from '../quantity/day';
import type { LeakWork } from '../logbook/history';

export type LeakStateInLaw = 'found' | 'repaired' | 'tested' | 'verified';

export interface Leak {
  id: string;
  state: LeakStateInLaw;
  openedOn: Day;
  repairedOn: Day | null;
  evacuated: boolean;
  firstPassOn: Day | null;
  verifiedOn: Day | null;
}

export const isOpen = (leak: Leak): boolean => leak.state !== 'verified';

export class LeakAccount {
  /** the present leak of each id: one that is found again after it was verified is a new leak */
  readonly byId = new Map<string, Leak>();

  constructor(private readonly firstTestNeeded: boolean) {}

  open(): Leak[] {
    return [...this.byId.values()].filter(isOpen);
  }

  hasOpen(): boolean {
    for (const leak of this.byId.values()) if (isOpen(leak)) return true;
    return false;
  }

  /** Applies one entry; gives back the leaks that became open by it. */
  apply({ day, entry }: LeakWork): Leak[] {
    switch (entry.kind) {
      case 'retrofitted':
        return [];
      case 'leakFound': {
        const { leak, isNew } = this.openLeak(entry.leakId, day);
        backToFound(leak);
        return isNew ? [leak] : [];
      }
      case 'leakRepaired': {
        const { leak, isNew } = this.openLeak(entry.leakId, day);
        leak.state = 'repaired';
        leak.firstPassOn = null;
        leak.repairedOn = day;
        leak.evacuated = entry.evacuated ?? false;
        return isNew ? [leak] : [];
      }
      case 'verificationTest': {
        const named = entry.leakIds ?? [];
        const leaks =
          named.length === 0 ? this.byId.values() : named.flatMap((id) => this.byId.get(id) ?? []);
        if (entry.result === 'pass') {
          for (const leak of leaks) applyPass(leak, entry.stage, day, this.firstTestNeeded);
          return [];
        }
        return named.length === 0 ? failWhole(leaks) : failNamed(leaks);
      }
    }
  }

  private openLeak(id: string, day: Day): { leak: Leak; isNew: boolean } {
    const present = this.byId.get(id);
    if (present && isOpen(present)) return { leak: present, isNew: false };
    const leak: Leak = {
      id,
      state: 'found',
      openedOn: day,
      repairedOn: null,
      evacuated: false,
      firstPassOn: null,
      verifiedOn: null,
    };
    this.byId.set(id, leak);
    return { leak, isNew: true };
  }
}

function backToFound(leak: Leak): void {
  leak.state = 'found';
  leak.repairedOn = null;
  leak.evacuated = false;
  leak.firstPassOn = null;
  leak.verifiedOn = null;
}

/** A passed test: one step on, or nothing; a first pass keeps its date. */
export function applyPass(
  leak: Leak,
  stage: 'initial' | 'followUp',
  day: Day,
  firstTestNeeded: boolean,
): void {
  if (stage === 'initial' && leak.state === 'repaired') {
    leak.state = 'tested';
    leak.firstPassOn = day;
  } else if (
    stage === 'followUp' &&
    (leak.state === 'tested' || (!firstTestNeeded && leak.state === 'repaired'))
  ) {
    leak.state = 'verified';
    leak.verifiedOn = day;
  }
}

/** A failed test of the whole machine: tested leaks are only repaired again; the others stay. */
export function failWhole(leaks: Iterable<Leak>): Leak[] {
  for (const leak of leaks) {
    if (leak.state === 'tested') {
      leak.state = 'repaired';
      leak.firstPassOn = null;
    }
  }
  return [];
}

/** A failed test that names leaks: each is back to found, also from verified. */
function failNamed(leaks: Iterable<Leak>): Leak[] {
  const reopened: Leak[] = [];
  for (const leak of leaks) {
    if (leak.state === 'verified') reopened.push(leak);
    backToFound(leak);
  }
  return reopened;
}

/** Leak states after the last entry, and the days on which a follow-up test showed every leak repaired. */
export function foldLeaks(
  work: readonly LeakWork[],
  firstTestNeeded = true,
): { account: LeakAccount; shownRepairedOn: Day[] } {
  const account = new LeakAccount(firstTestNeeded);
  const shownRepairedOn: Day[] = [];
  for (const each of work) {
    account.apply(each);
    const { entry } = each;
    if (
      entry.kind === 'verificationTest' &&
      entry.stage === 'followUp' &&
      entry.result === 'pass' &&
      !account.hasOpen()
    ) {
      if (shownRepairedOn.at(-1) !== each.day) shownRepairedOn.push(each.day);
    }
  }
  return { account, shownRepairedOn };
}
