/** Gas in and out of a machine by days, with the rate that each addition made. */
import type { Day } from '../../core/quantity/day';
import { type MassUnit, exactGrams, grams, gramsIn } from '../../core/quantity/mass';
import { judgedRate } from '../../core/rules/judgedRate';
import { rateFigure } from '../../words/rod';
import type { MachineView } from '../data/api/machineView';

export interface Point {
  day: Day;
  added: number | null;
  recovered: number | null;
  /** percent a year, or the least that is known of it */
  rate: number | null;
  rateWords: string | null;
  unknown: boolean;
}

export function pointsOf({ standing }: MachineView, unit: MassUnit): Point[] {
  const byDay = new Map<Day, Point>();
  for (const { day, entry } of standing.history.gas) {
    if (entry.kind === 'retrofitted') continue;
    const point = byDay.get(day) ?? {
      day,
      added: null,
      recovered: null,
      rate: null,
      rateWords: null,
      unknown: false,
    };
    if (!entry.mass) point.unknown = true;
    else {
      const amount = grams(exactGrams(entry.mass)) / gramsIn(unit);
      if (entry.kind === 'refrigerantAdded') point.added = (point.added ?? 0) + amount;
      else point.recovered = (point.recovered ?? 0) - amount;
    }
    byDay.set(day, point);
  }
  for (const rate of standing.additions) {
    const point = byDay.get(rate.gasDay.day);
    if (!point) continue;
    const judged = judgedRate(rate, standing.ledger);
    point.rate = judged.percent ?? (judged.atLeastPercent || null);
    point.rateWords = rateFigure(judged);
  }
  return [...byDay.values()].sort((a, b) => a.day - b.day);
}
