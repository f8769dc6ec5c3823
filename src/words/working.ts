/** Workings: a formula with the figures put in, what was used, and the rule behind it. */
import { dayWords, daysWords } from './dates';
import { METHOD_WORDS, PACK_WORDS } from './codes';
import { type LeakLabels, labelOf } from '../core/logbook/leakLabels';
import { addDays, dayText } from '../core/quantity/day';
import {
  type ExactGrams,
  type MassSystem,
  grams,
  gramsDown,
  type MassUnit,
  gramsIn,
} from '../core/quantity/mass';
import type { LeakRateMethod } from '../core/logbook/fields';
import type { Headroom } from '../core/rules/headroom';
import {
  type AdditionRate,
  type DaysSince,
  type GasLedger,
  PERCENT_SCALE,
  firstIndexFrom,
  thresholdOn,
  weighedOf,
} from '../core/rules/leakRate';
import type { GasDay } from '../core/rules/gasDays';
import type { Standing } from '../core/rules/standing';
import { notWeighedWords, takenOutWords } from './rod';

export interface WorkingSaid {
  formula: string;
  steps: string[];
  source: string;
}

const UNIT = { pounds: 'lb', kilograms: 'kg' } as const satisfies Record<MassSystem, MassUnit>;

/** Up to four decimals: a working shows what was computed, not what is easy to read. */
export function massFigure(mass: ExactGrams, system: MassSystem): string {
  return `${String(Number((grams(mass) / gramsIn(UNIT[system])).toFixed(4)))} ${UNIT[system]}`;
}

/** The same rounded down, so that typing it never exceeds. */
function roomFigure(room: ExactGrams, system: MassSystem): string {
  const units = gramsDown(room) / gramsIn(UNIT[system]);
  return `${String(Math.floor(units * 1e4 + 1e-6) / 1e4)} ${UNIT[system]}`;
}

/** All six decimals on a screen; on a paper as many as one reads. */
const percentFigure = (millionths: number, decimals: number): string =>
  `${String(Number((millionths / PERCENT_SCALE).toFixed(decimals)))} %`;
const ALL_DECIMALS = 6;

function sinceWords(since: DaysSince): string {
  if (since.basis === 'unknown') return 'No earlier gas day and no installation day: a full year, 365 days';
  const from = since.basis === 'gasDay' ? 'the gas day before' : 'installation';
  return `Days from ${from}, ${dayWords(since.since ?? (0 as never))}: ${String(since.days)}${since.days === 365 ? ' (at most 365 count)' : ''}`;
}

/** What counts of a gas day; of one that nobody weighed whole, what was weighed. */
function countsWords({ unknown, net, mayRepay }: GasDay, system: MassSystem): string {
  const figure = massFigure(net, system);
  const most = mayRepay.length === 0 ? '' : `${takenOutWords(mayRepay.map(dayText))}, so this is the most`;
  if (!unknown) return `${figure} counts${most}`;
  return net === 0n ? 'not weighed' : `${figure} counts, and some was not weighed${most}`;
}

function gasSteps(ledger: GasLedger, from: number, to: number, system: MassSystem): string[] {
  return ledger.days
    .slice(from, to)
    .filter((each) => each.unknown || each.net > 0n)
    .map((each) => `${dayWords(each.day)}: ${countsWords(each, system)}`);
}

const MISSING = 'Unknown: a weight or the full charge is missing';

/** The figures of a formula: those of all that counts or, by the site's method, of what was weighed alone. */
function figuredBy(
  method: LeakRateMethod,
  rate: AdditionRate,
  lost: ExactGrams | null,
  weighed: ExactGrams,
  millionths: number | null,
): { lost: ExactGrams; millionths: number; words: string } | null {
  if (lost !== null && millionths !== null) return { lost, millionths, words: '' };
  return method === rate.method && rate.atLeastMillionths !== null
    ? { lost: weighed, millionths: rate.atLeastMillionths, words: ', at least: from what was weighed alone' }
    : null;
}

export function annualizingWorking(
  rate: AdditionRate,
  ledger: GasLedger,
  system: MassSystem,
  labels: LeakLabels = new Map(),
  decimals = ALL_DECIMALS,
): WorkingSaid {
  const { annualizing, periodInForce } = rate;
  const { lost, since, chainFrom, millionths } = annualizing;
  const figured = figuredBy(
    'annualizing',
    rate,
    lost,
    weighedOf(ledger, chainFrom, rate.index + 1),
    millionths,
  );
  const steps = gasSteps(ledger, chainFrom, rate.index + 1, system);
  if (steps.length > 1)
    steps.push(`One chain: gas for the same leak, ${labelOf(labels, rate.gasDay.leakId ?? '')}`);
  steps.push(sinceWords(since));
  if (since.days < 30)
    steps.push('A few days make the formula give very high rates; the rule asks for it all the same.');
  return {
    formula:
      figured === null || periodInForce.fullCharge === null
        ? MISSING
        : `${massFigure(figured.lost, system)} ÷ ${massFigure(periodInForce.fullCharge, system)} × 365 ÷ ${daysWords(since.days)} × 100 = ${percentFigure(figured.millionths, decimals)}${figured.words}`,
    steps,
    source: '40 CFR 82.152 and 84.102, annualizing',
  };
}

export function rollingWorking(
  rate: AdditionRate,
  ledger: GasLedger,
  system: MassSystem,
  decimals = ALL_DECIMALS,
): WorkingSaid {
  const { rolling, periodInForce, gasDay } = rate;
  const first = firstIndexFrom(ledger, rolling.from);
  const figured = figuredBy(
    'rolling',
    rate,
    rolling.lost,
    weighedOf(ledger, first, rate.index + 1),
    rolling.millionths,
  );
  return {
    formula:
      figured === null || periodInForce.fullCharge === null
        ? MISSING
        : `${massFigure(figured.lost, system)} ÷ ${massFigure(periodInForce.fullCharge, system)} × 100 = ${percentFigure(figured.millionths, decimals)}${figured.words}`,
    steps: [
      `Window: ${dayWords(rolling.from)} to ${dayWords(gasDay.day)}`,
      ...(rolling.afterRepair
        ? [
            `A second test showed every leak repaired on ${dayWords(addDays(rolling.from, -1))}; only what came after it counts`,
          ]
        : []),
      ...gasSteps(ledger, first, rate.index + 1, system),
    ],
    source: '40 CFR 82.152 and 84.102, rolling average',
  };
}

/** One line a pack: threshold, whether it is exceeded, and where that stands. */
export function verdicts(
  rate: AdditionRate,
): { pack: string; threshold: number; exceeds: boolean | null; source: string }[] {
  return rate.periodInForce.covering.flatMap((pack) => {
    const figure = pack.threshold[rate.periodInForce.category];
    const exceeds = rate.exceeds[pack.id];
    if (!figure || exceeds === undefined || pack.opens !== 'percent') return [];
    return [
      {
        pack: PACK_WORDS[pack.id],
        threshold: thresholdOn(pack, rate.periodInForce, rate.gasDay.day),
        exceeds,
        source: figure.source.cite,
      },
    ];
  });
}

export function headroomWorking(
  headroom: Headroom,
  standing: Standing,
  system: MassSystem,
  labels: LeakLabels = new Map(),
): WorkingSaid {
  const { thresholdPercent, fullCharge, earned, spent, free, since, windowFrom, on, method, notWeighed } =
    headroom;
  const share = `${String(thresholdPercent)} % × ${massFigure(fullCharge, system)}`;
  const figure = headroom.pack.threshold[standing.present.category];
  return {
    formula:
      since === null
        ? `${share} − ${massFigure(spent, system)} = ${roomFigure(free, system)}`
        : `${share} × ${daysWords(since.days)} ÷ 365 − ${massFigure(spent, system)} = ${roomFigure(free, system)}`,
    steps: [
      `As of ${dayWords(on)}, ${METHOD_WORDS[method]}`,
      ...(since === null ? [] : [sinceWords(since)]),
      ...(windowFrom === null ? [] : [`Window from ${dayWords(windowFrom)}`]),
      ...(headroom.leakId === null
        ? []
        : [`Taken as gas for leak ${labelOf(labels, headroom.leakId)}, which is still open`]),
      ...(notWeighed.length > 0
        ? [`${notWeighedWords(notWeighed.map(dayText))}: what was weighed alone leaves nothing`]
        : []),
      ...(spent > earned ? ['Less than nothing counts as nothing'] : []),
    ],
    source: `${PACK_WORDS[headroom.pack.id]}, ${figure?.source.cite ?? headroom.pack.source.cite}`,
  };
}
