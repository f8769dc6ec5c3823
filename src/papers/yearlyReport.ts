/** The yearly report of a pack: every machine that it covered in a year, its gas, rates, cases and inspections. */
import type { PackId } from '../core/logbook/packNames';
import { type Day, civil, dayText, newYearsDay } from '../core/quantity/day';
import { type ExactGrams, NO_MASS, exactGrams, grams, massText } from '../core/quantity/mass';
import { chronicPercentOf } from '../core/rules/calendarYears';
import { type JudgedRate, judgedRate } from '../core/rules/judgedRate';
import { type AdditionRate, PERCENT_SCALE } from '../core/rules/leakRate';
import type { Pack } from '../core/rules/pack';
import { yearLoss } from '../core/visit/yearLoss';
import type { FoldedMachine } from '../record/foldedMachine';
import { PACK_WORDS } from '../words/codes';
import { dayWords } from '../words/dates';
import { rateFigure } from '../words/rod';
import { lossShareWords } from '../words/yearLoss';
import { type PaperContext, packVersionWords } from './beside';
import { type Paper, linesOf, present, tableOr } from './paper';
import { timesWords } from '../words/counts';

/** What the report says of one machine. */
export interface MachineYear {
  site: string;
  machine: string;
  cells: readonly string[];
  exceeded: number;
  chronic: boolean;
  unknown: boolean;
  corrections: number;
}

/** Whether it covered on a day of the period on which the machine was not retired yet. */
function coveredIn({ standing }: FoldedMachine, pack: PackId, from: Day, to: Day): boolean {
  const { retiredOn } = standing.history;
  const last = retiredOn === null ? to : Math.min(to, retiredOn);
  return standing.force.periodsInForce.some(
    (periodInForce, index) =>
      last >= from &&
      periodInForce.from <= last &&
      (standing.force.periodsInForce[index + 1]?.from ?? Infinity) > from &&
      periodInForce.covering.some(({ id }) => id === pack),
  );
}

/** The pack covered on the day of an addition, or nobody can say whether it did. */
const bearsOn =
  (pack: PackId) =>
  ({ periodInForce }: AdditionRate): boolean =>
    periodInForce.fullCharge === null ||
    periodInForce.refrigerant === null ||
    periodInForce.covering.some(({ id }) => id === pack);

/** Null where the pack never covered it in that year. `view` is as of the end of the year, or of today. */
export function machineYear(view: FoldedMachine, pack: Pack, year: number): MachineYear | null {
  const { machine, standing, system } = view;
  const [from, to] = [newYearsDay(year), (newYearsDay(year + 1) - 1) as Day];
  if (!coveredIn(view, pack.id, from, to)) return null;
  const inYear = (day: Day): boolean => day >= from && day <= to;
  const sum = (kind: 'refrigerantAdded' | 'refrigerantRecovered'): string => {
    let total: ExactGrams = NO_MASS;
    let unknown = 0;
    for (const { day, entry } of standing.history.gas) {
      if (entry.kind !== kind || !inYear(day)) continue;
      if (entry.mass) total = (total + exactGrams(entry.mass)) as ExactGrams;
      else unknown += 1;
    }
    const words = massText(grams(total), system);
    return unknown === 0 ? words : `${words}, and ${timesWords(unknown)} not weighed`;
  };
  const bears = bearsOn(pack.id);
  const additions = standing.additions.filter((each) => inYear(each.gasDay.day) && bears(each));
  const unjudged = additions.filter(({ exceeds }) => (exceeds[pack.id] ?? null) === null).length;
  const exceeded = additions.filter(({ exceeds }) => exceeds[pack.id] === true).length;
  const loss = yearLoss(standing, year);
  const cases = standing.cases.filter(
    ({ case: each }) =>
      each.pack.id === pack.id && each.openedOn <= to && (each.closedOn === null || each.closedOn >= from),
  );
  const charge = standing.present.fullCharge;
  const unknown = additions.some(({ gasDay }) => gasDay.unknown) || charge === null;
  return {
    site: machine.site.name,
    machine: machine.appliance.name,
    cells: [
      machine.site.name,
      machine.appliance.name,
      standing.present.refrigerant?.name ?? 'not known',
      charge === null ? 'not known' : massText(grams(charge), system),
      sum('refrigerantAdded'),
      sum('refrigerantRecovered'),
      highestWords(additions.map((each) => judgedRate(each, standing.ledger))),
      loss.net === 0n && loss.unknown.length === 0 ? '–' : lossShareWords(loss),
      `${String(exceeded)}${unjudged > 0 ? `, and ${String(unjudged)} cannot be judged` : ''}`,
      cases.map(({ case: each }) => dayWords(each.openedOn)).join(', ') || '–',
      String(standing.history.inspections.filter(inYear).length),
    ],
    exceeded,
    chronic: (loss.millionths ?? 0) >= chronicPercentOf(pack, year) * PERCENT_SCALE,
    unknown,
    corrections: machine.entries.filter(
      (entry) => entry.supersedes != null && entry.on >= dayText(from) && entry.on <= dayText(to),
    ).length,
  };
}

/** The highest of the rates of a year, with what it bounds; how many of them nothing is known of. */
function highestWords(rates: readonly JudgedRate[]): string {
  if (rates.length === 0) return 'no addition';
  const figure = ({ percent, atLeastPercent }: JudgedRate): number => percent ?? atLeastPercent ?? 0;
  const highest = rates.reduce((a, b) => (figure(b) > figure(a) ? b : a));
  const unknown = rates.filter(({ exceeds }) => exceeds === null).length;
  if (figure(highest) === 0) return 'cannot be judged';
  return `${rateFigure(highest)}${unknown === 0 ? '' : `; ${String(unknown)} cannot be judged`}`;
}

const HEAD = [
  'Site',
  'Machine',
  'Refrigerant',
  'Full charge',
  'Added',
  'Recovered',
  'Highest rate',
  'Lost of the charge in the year',
  'Exceeded',
  'Cases opened',
  'Inspections',
];

export function yearlyReport(
  pack: Pack,
  year: number,
  asOf: Day,
  machines: readonly MachineYear[],
  beside: Pick<PaperContext, 'company' | 'owner'>,
): Paper {
  const count = (of: (each: MachineYear) => boolean): number => machines.filter(of).length;
  const complete = civil(asOf).year > year;
  return {
    title: `Yearly report ${String(year)}`,
    subject: `${PACK_WORDS[pack.id]} · ${String(year)}`,
    asOf,
    facts: [
      ['Rule', packVersionWords(pack)],
      ['Contractor', beside.company?.name ?? 'not recorded'],
      ...(beside.owner ? ([['Owner', beside.owner.name]] as const) : []),
      ['Year', `${String(year)}${complete ? '' : `, up to ${dayWords(asOf)} only`}`],
    ],
    blocks: present(
      {
        title: 'In short',
        wide: true,
        contents: [
          linesOf([
            { label: 'Machines that it covered:', words: String(machines.length) },
            {
              label: 'Of these exceeded a limit at least once:',
              words: String(count(({ exceeded }) => exceeded > 0)),
            },
            {
              label: `Lost ${String(chronicPercentOf(pack, year))} % of the charge or more:`,
              words: String(count(({ chronic }) => chronic)),
            },
            ...(count(({ unknown }) => unknown) > 0
              ? [
                  {
                    label: 'Cannot be judged whole:',
                    words: `${String(count(({ unknown }) => unknown))}, for want of a weight or of the full charge`,
                    weight: 'warning' as const,
                  },
                ]
              : []),
          ]),
        ],
      },
      {
        title: 'Machines',
        wide: true,
        contents: [
          tableOr(
            'No machine of this logbook was covered in that year.',
            'Machines',
            HEAD,
            machines.map(({ cells }) => cells),
          ),
        ],
      },
    ),
    corrections: machines.reduce((sum, { corrections }) => sum + corrections, 0),
  };
}
