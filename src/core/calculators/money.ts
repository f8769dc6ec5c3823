/** Twelve months of top-offs against a repair, in money as entered and in tonnes of CO2 equivalent. */
import type { Kilograms } from '../quantity/si';
import { type Refrigerant, refrigerant } from '../refrigerant/refrigerant';
import { type Outcome, calculated, figure, notPositive, outOfRange } from './calculated';

export interface LeakCosts {
  refrigerant: string;
  /** kg */
  fullCharge: Kilograms;
  /** kg a day */
  rate: number;
  /** share of the full charge below which it no longer holds its box: a top-off is due then */
  workingMinimum: number;
  /** money, in one currency */
  gasPerKg: number;
  visit: number;
  /** more energy and risk to product for each month with the leak */
  perMonth: number;
  repair: number;
}

export interface MoneyMonth {
  month: number;
  /** money spent since today, the end of this month */
  topOffs: number;
  repair: number;
}

export interface LeakMoney {
  months: readonly MoneyMonth[];
  /** days between top-offs */
  every: number;
  topOffCount: number;
  /** kg a year */
  gas: number;
  /** t CO2e a year */
  co2e: number;
  /** first month at whose end the repair is the cheaper way; null within the year */
  repairPaysIn: number | null;
}

const MONTHS = 12;
const MONTH_DAYS = 365 / 12;

/**
 * A top-off falls due each time the leak has taken (1 − working minimum) of the charge; it costs a visit and that gas.
 * Repairing costs the repair and one top-off's gas at once, nothing after.
 */
export function leakMoney(costs: LeakCosts): Outcome<LeakMoney> {
  const bad =
    notPositive({ 'full charge': costs.fullCharge, 'leak rate': costs.rate }) ??
    outOfRange('working minimum', 'share', costs.workingMinimum, 0.01, 0.99);
  if (bad) return bad;
  for (const [field, value] of Object.entries({
    'price of gas': costs.gasPerKg,
    'visit cost': costs.visit,
    'energy and product a month': costs.perMonth,
    'repair cost': costs.repair,
  })) {
    const negative = outOfRange(field, 'number', value, 0, 1e9);
    if (negative) return negative;
  }
  const { gwp }: Refrigerant = refrigerant(costs.refrigerant);
  const portion = (1 - costs.workingMinimum) * costs.fullCharge;
  const every = portion / costs.rate;
  const oneTopOff = costs.visit + portion * costs.gasPerKg;
  const after = (month: number): MoneyMonth => ({
    month,
    topOffs: Math.floor((month * MONTH_DAYS) / every + 1e-9) * oneTopOff + month * costs.perMonth,
    repair: costs.repair + portion * costs.gasPerKg,
  });
  const months = Array.from({ length: MONTHS + 1 }, (_, month) => after(month));
  const gas = costs.rate * 365;
  return calculated(
    {
      months,
      every,
      topOffCount: Math.floor(365 / every + 1e-9),
      gas,
      co2e: (gas * gwp) / 1000,
      repairPaysIn: months.find((each) => each.repair <= each.topOffs)?.month ?? null,
    },
    {
      formula:
        'top-offs: visits × (visit + gas each) + months × (energy and product); repair: repair + gas once',
      figures: [
        figure('gas at each top-off', 'mass', portion),
        figure('between top-offs', 'duration', every * 86_400),
        figure('one top-off, money', 'number', oneTopOff),
        figure('gas a year', 'mass', gas),
        figure('GWP (100 years, fourth report)', 'number', gwp),
        figure('t CO2e a year', 'number', (gas * gwp) / 1000),
      ],
      source: 'Prices as entered; global warming potential of the refrigerant’s components by mass',
      validity:
        'A leak seldom shrinks: the true cost of going on is likely higher. What the law asks is a matter of its own.',
    },
  );
}
