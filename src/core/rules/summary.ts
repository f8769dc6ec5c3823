/** What a list shows of a machine: its state, the rod, and what falls due next. */
import { dayText } from '../quantity/day';
import { type MassUnit, grams, gramsDown } from '../quantity/mass';
import type { LeakRateMethod } from '../logbook/fields';
import type { PackId } from '../logbook/packNames';
import { strictestOf } from './headroom';
import { type Bound, judgedRate } from './judgedRate';
import type { MachineState } from './machineState';
import { PERCENT_SCALE, thresholdOn } from './leakRate';
import { chargedUnit } from './massSystem';
import type { Standing } from './standing';
import { type ObligationKind, stateOf } from './obligation';
import { type Unjudged, unjudged } from './unjudged';

export type HeadroomSummary =
  | { limit: false; why: 'retired' }
  /** no covering pack has a limit; `anyLeak`: to one that covers any leak counts */
  | { limit: false; why: 'noLimit'; anyLeak: boolean }
  | { limit: false; why: 'cannotJudge'; unjudged: UnjudgedSummary }
  | {
      limit: true;
      pack: PackId;
      method: LeakRateMethod;
      thresholdPercent: number;
      allowanceGrams: number;
      freeGrams: number;
      /** days that nobody weighed: what was weighed alone leaves no room */
      notWeighed: string[];
      /** the rate of an unverified case or of today's gas that lies above the limit of its day, with that limit */
      exceeded: Exceeded | null;
    };

export interface Exceeded {
  on: string;
  percent: number;
  bound: Bound;
  /** days on which gas was taken out that nobody weighed, and that lies behind the rate */
  takenOut: string[];
  limitPercent: number;
  pack: PackId;
  method: LeakRateMethod;
}

/** `Unjudged` in plain figures, as the server stores it. */
export type UnjudgedSummary =
  | { code: 'refrigerant' }
  | { code: 'fullCharge'; atLeastGrams: number | null; wouldCover: PackId[] }
  | { code: 'notWeighed'; days: string[] };

export function unjudgedSummary(each: Unjudged): UnjudgedSummary {
  switch (each.code) {
    case 'refrigerant':
      return each;
    case 'fullCharge':
      return {
        code: each.code,
        atLeastGrams: each.atLeast === null ? null : grams(each.atLeast),
        wouldCover: each.wouldCover.map((pack) => pack.id),
      };
    case 'notWeighed':
      return { code: each.code, days: each.days.map(dayText) };
  }
}

export interface MachineSummary {
  id: string;
  asOf: string;
  state: MachineState;
  /** null: nobody knows it */
  refrigerant: string | null;
  fullChargeGrams: number | null;
  packs: PackId[];
  rod: HeadroomSummary;
  /** the rate of the last addition, with the method and the limit of its day */
  latest: { on: string; percent: number | null; method: LeakRateMethod; limitPercent: number | null } | null;
  nextDue: { kind: ObligationKind; due: string; pack: PackId } | null;
  openLeaks: number;
  /** unit in which its full charge was set: lists show its weights so */
  chargedUnit: MassUnit | null;
  /** why the machine cannot be judged today; null where it can */
  unjudged: UnjudgedSummary | null;
}

/** The addition by which the running, unverified case exceeded, or today's gas does: the one furthest above its limit. */
function exceededOf(standing: Standing): Exceeded | null {
  const running = standing.cases.filter((each) => each.state !== 'closed' && each.state !== 'verified');
  const candidates = running.flatMap((each) => {
    const addition = standing.additions.find(
      (rate) => rate.gasDay.day === (each.case.exceededAgainOn ?? each.case.openedBy?.gasDay.day),
    );
    return addition ? [{ addition, pack: each.case.pack }] : [];
  });
  const last = standing.additions.at(-1);
  if (last?.gasDay.day === standing.history.asOf) {
    candidates.push(
      ...last.periodInForce.covering
        .filter((pack) => pack.opens === 'percent')
        .map((pack) => ({ addition: last, pack })),
    );
  }
  let most: Exceeded | null = null;
  for (const { addition, pack } of candidates) {
    const { bound, takenOut, ...judged } = judgedRate(addition, standing.ledger);
    const percent = judged.percent ?? judged.atLeastPercent;
    if (percent === null || pack.threshold[addition.periodInForce.category] === null) continue;
    const limitPercent = thresholdOn(pack, addition.periodInForce, addition.gasDay.day);
    if (percent <= limitPercent || (most && percent - limitPercent <= most.percent - most.limitPercent))
      continue;
    most = {
      on: dayText(addition.gasDay.day),
      percent,
      bound,
      takenOut: takenOut.map(dayText),
      limitPercent,
      pack: pack.id,
      method: addition.method,
    };
  }
  return most;
}

export function headroomSummary(standing: Standing): HeadroomSummary {
  const { headroom, present } = standing;
  if (!headroom.known) {
    if (headroom.why === 'retired') return { limit: false, why: headroom.why };
    const cannot = unjudged(standing);
    return cannot
      ? { limit: false, why: 'cannotJudge', unjudged: unjudgedSummary(cannot) }
      : { limit: false, why: 'noLimit', anyLeak: present.covering.some((pack) => pack.opens === 'anyLeak') };
  }
  const { pack, method, thresholdPercent, allowance, free, notWeighed } = headroom.headroom;
  return {
    limit: true,
    pack: pack.id,
    method,
    thresholdPercent,
    allowanceGrams: gramsDown(allowance),
    freeGrams: gramsDown(free),
    notWeighed: notWeighed.map(dayText),
    exceeded: exceededOf(standing),
  };
}

/** A machine without a limit sorts behind all that have one. */
const NO_LIMIT_ROOM = 2;

/** The share of the allowance that is free, 0 to 1; below 0 by how much an unverified case exceeds; 2 where nothing limits. */
export const roomOf = (rod: HeadroomSummary): number =>
  rod.limit
    ? rod.freeGrams / rod.allowanceGrams -
      (rod.exceeded ? rod.exceeded.percent / rod.exceeded.limitPercent : 0)
    : NO_LIMIT_ROOM;

const SMALL_SHARE = 0.2;

function stateOfMachine(standing: Standing, rod: HeadroomSummary, cannot: Unjudged | null): MachineState {
  const { asOf } = standing.history;
  if (standing.history.retiredOn !== null) return 'retired';
  const states = standing.obligations.map((each) => stateOf(each, asOf));
  if (states.includes('overdue')) return 'overdue';
  if (
    standing.cases.some((each) => each.state === 'open' || each.state === 'tested' || each.state === 'plan')
  )
    return 'caseOpen';
  if (cannot !== null) return 'unknown';
  if (states.includes('dueSoon') || standing.leaks.hasOpen()) return 'watch';
  if (rod.limit) return rod.freeGrams < rod.allowanceGrams * SMALL_SHARE ? 'watch' : 'healthy';
  return 'healthy';
}

export function summaryOf(standing: Standing): MachineSummary {
  const { asOf } = standing.history;
  const rod = headroomSummary(standing);
  const cannot = unjudged(standing);
  const latest = standing.additions.at(-1);
  const next = standing.obligations.find((each) => !['done', 'void'].includes(stateOf(each, asOf)));
  return {
    id: standing.history.appliance.id,
    asOf: dayText(asOf),
    state: stateOfMachine(standing, rod, cannot),
    refrigerant: standing.present.refrigerant?.name ?? null,
    fullChargeGrams: standing.present.fullCharge === null ? null : grams(standing.present.fullCharge),
    packs: standing.present.covering.map((pack) => pack.id),
    rod,
    latest: latest
      ? {
          on: dayText(latest.gasDay.day),
          percent: latest.millionths === null ? null : latest.millionths / PERCENT_SCALE,
          method: latest.method,
          limitPercent: strictestOf(latest.periodInForce, latest.gasDay.day)?.percent ?? null,
        }
      : null,
    nextDue: next ? { kind: next.kind, due: dayText(next.due), pack: next.pack.id } : null,
    openLeaks: standing.leaks.open().length,
    chargedUnit: chargedUnit(standing.history),
    unjudged: cannot && unjudgedSummary(cannot),
  };
}
