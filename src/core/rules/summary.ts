/** What a list shows of a machine: its state, the rod, and what falls due next. */
import { type Day, dayText } from '../quantity/day';
import { grams } from '../quantity/mass';
import type { LeakRateMethod, PackId } from '../logbook/fields';
import type { HeadroomAnswer } from './headroom';
import { PERCENT_SCALE, thresholdOn } from './leakRate';
import type { Standing } from './standing';
import { stateOf } from './obligation';

export const MACHINE_STATES = ['overdue', 'caseOpen', 'watch', 'healthy', 'unknown', 'retired'] as const;
/** overdue: a duty is late; caseOpen: a case runs unverified; watch: due within 7 days or headroom below a fifth */
export type MachineState = (typeof MACHINE_STATES)[number];

export type Rod =
  | { limit: false; why: Extract<HeadroomAnswer, { known: false }>['why'] }
  | {
      limit: true;
      pack: PackId;
      method: LeakRateMethod;
      thresholdPercent: number;
      allowanceGrams: number;
      freeGrams: number;
      /** percent by which an unverified case or today's gas lies above the threshold; 0 within it */
      overPercent: number;
    };

export interface MachineSummary {
  id: string;
  asOf: string;
  state: MachineState;
  refrigerant: string;
  fullChargeGrams: number | null;
  packs: PackId[];
  rod: Rod;
  latest: { on: string; percent: number | null; method: LeakRateMethod } | null;
  nextDue: { kind: string; due: string; pack: PackId } | null;
  openLeaks: number;
}

/** By how many percent the running, unverified case exceeded, or today's gas does. */
function overPercent(standing: Standing): number {
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
      ...last.spell.covering
        .filter((pack) => pack.opens === 'percent')
        .map((pack) => ({ addition: last, pack })),
    );
  }
  return candidates.reduce((most, { addition, pack }) => {
    if (addition.millionths === null || pack.threshold[addition.spell.category] === null) return most;
    const threshold = thresholdOn(pack, addition.spell, addition.gasDay.day);
    return Math.max(most, addition.millionths / PERCENT_SCALE - threshold);
  }, 0);
}

export function rodOf(standing: Standing): Rod {
  const { headroom } = standing;
  if (!headroom.known) return { limit: false, why: headroom.why };
  const { pack, method, thresholdPercent, allowance, free } = headroom.headroom;
  return {
    limit: true,
    pack: pack.id,
    method,
    thresholdPercent,
    allowanceGrams: grams(allowance),
    freeGrams: grams(free),
    overPercent: overPercent(standing),
  };
}

const SMALL_SHARE = 0.2;

function stateOfMachine(standing: Standing, rod: Rod, asOf: Day): MachineState {
  if (standing.history.retiredOn !== null) return 'retired';
  const states = standing.obligations.map((each) => stateOf(each, asOf));
  if (states.includes('overdue')) return 'overdue';
  if (
    standing.cases.some((each) => each.state === 'open' || each.state === 'tested' || each.state === 'plan')
  )
    return 'caseOpen';
  if (states.includes('dueSoon') || standing.leaks.hasOpen()) return 'watch';
  if (rod.limit) return rod.freeGrams < rod.allowanceGrams * SMALL_SHARE ? 'watch' : 'healthy';
  return rod.why === 'noLimit' ? 'healthy' : 'unknown';
}

export function summaryOf(standing: Standing): MachineSummary {
  const { asOf } = standing.history;
  const rod = rodOf(standing);
  const latest = standing.additions.at(-1);
  const next = standing.obligations.find((each) => !['done', 'void'].includes(stateOf(each, asOf)));
  return {
    id: standing.history.appliance.id,
    asOf: dayText(asOf),
    state: stateOfMachine(standing, rod, asOf),
    refrigerant: standing.present.refrigerant.name,
    fullChargeGrams: standing.present.fullCharge === null ? null : grams(standing.present.fullCharge),
    packs: standing.present.covering.map((pack) => pack.id),
    rod,
    latest: latest
      ? {
          on: dayText(latest.gasDay.day),
          percent: latest.millionths === null ? null : latest.millionths / PERCENT_SCALE,
          method: latest.method,
        }
      : null,
    nextDue: next ? { kind: next.kind, due: dayText(next.due), pack: next.pack.id } : null,
    openLeaks: standing.leaks.open().length,
  };
}
