/** Is the pump fit for the goal? By what it reaches alone, valved off from everything, and the hours on its oil. */
import { type Outcome, calculated, figure, notPositive, outOfRange } from '../calculated';

/** A pump that reaches a fifth of the goal alone has speed left at the goal. */
const WELL_BELOW = 0.2;
/** Oil takes up water with every hour of pumping; fresh oil is the cheapest deep vacuum, h. */
const OIL_HOURS = 10;

export interface PumpCheck {
  /** strong: speed left at the goal; weak: it gets there slowly; cannot: it does not get there */
  pump: 'strong' | 'weak' | 'cannot';
  oilDue: boolean;
}

/** `ultimate` and `goal` Pa, `oilHours` h since the oil was changed. */
export function pumpCheck(input: { ultimate: number; goal: number; oilHours: number }): Outcome<PumpCheck> {
  const { ultimate, goal, oilHours } = input;
  const bad = notPositive({ 'what the pump reaches alone': ultimate, goal });
  if (bad) return bad;
  const hours = outOfRange('hours on the oil', 'number', oilHours, 0, 1e5);
  if (hours) return hours;
  return calculated(
    {
      pump: ultimate >= goal ? 'cannot' : ultimate > WELL_BELOW * goal ? 'weak' : 'strong',
      oilDue: oilHours >= OIL_HOURS,
    },
    {
      formula: 'strong: alone it reaches a fifth of the goal; weak: less than the goal; cannot: not the goal',
      figures: [
        figure('reaches alone', 'vacuum', ultimate),
        figure('goal', 'vacuum', goal),
        figure('hours on the oil', 'number', oilHours),
      ],
      source: 'Speed left at a pressure: 1 − ultimate ÷ pressure',
      validity:
        'Measured at the pump, valved off, warm, ballast shut. Oil that looks milky is due at any hour.',
    },
  );
}
