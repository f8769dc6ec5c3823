/**
 * How long the pump must run: volume, pump and hoses. Conductance of a tube for air at 20 °C in all kinds of flow,
 * in series with the pump; dt = −(V/S) dp/p. Shows why quarter-inch hoses with cores in take an hour. m, m³, m³/s, Pa.
 */
import type { CubicMetres, Metres, Pascals } from '../../quantity/si';
import { refused } from '../../result';
import { type Outcome, calculated, figure, notPositive } from '../calculated';

export interface HoseSet {
  bore: Metres;
  length: Metres;
  /** hoses side by side */
  count: number;
  /** valve cores left in at the machine's end */
  coresIn: boolean;
}

export interface Pump {
  /** m³/s at its inlet */
  speed: number;
  /** Pa: what it reaches alone, on its present oil */
  ultimate: number;
}

/**
 * A valve core left in chokes like a short fine tube: an opening of about 1.6 mm over 15 mm. Cores differ; the point is
 * that it outweighs a good hose.
 */
const CORE = { bore: 1.6e-3, length: 15e-3 } as const;

/**
 * m³/s of a round tube at the mean pressure in it:
 * C = 12.1 d³/l × (1 + 192 d p + 237 d² p²)/(1 + 236 d p) L/s with d, l in cm and p in mbar.
 */
export function tubeConductance(bore: Metres, length: Metres, meanPressure: Pascals): number {
  const d = bore * 100;
  const dp = (d * meanPressure) / 100;
  return ((0.0121 * d ** 3) / (length * 100)) * ((1 + 192 * dp + 237 * dp ** 2) / (1 + 236 * dp));
}

/** Pa·m³/s through one tube between two pressures. */
const through = (tube: { bore: Metres; length: Metres }, from: Pascals, to: Pascals): number =>
  tubeConductance(tube.bore, tube.length, (from + to) / 2) * (from - to);

/** Where a rising function of a pressure between `low` and `high` is nothing; halved until no float lies between. */
function balanced(low: Pascals, high: Pascals, tooMuch: (pressure: Pascals) => boolean): Pascals {
  for (let round = 0; round < 60; round += 1) {
    const middle = (low + high) / 2;
    if (tooMuch(middle)) high = middle;
    else low = middle;
  }
  return low;
}

/** Pa·m³/s from the system through the hoses to the pump's inlet; a core and its hose each at their own mean pressure. */
function throughSet(hoses: HoseSet, system: Pascals, inlet: Pascals): number {
  if (!hoses.coresIn) return hoses.count * through(hoses, system, inlet);
  const joint = balanced(
    inlet,
    system,
    (middle) => through(hoses, middle, inlet) > through(CORE, system, middle),
  );
  return hoses.count * through(hoses, joint, inlet);
}

/** m³/s taken from the system at `pressure`: what passes the hoses is what the pump takes at its inlet. */
export function speedAt(pressure: Pascals, pump: Pump, hoses: HoseSet): number {
  const inlet = balanced(
    pump.ultimate,
    pressure,
    (each) => pump.speed * (each - pump.ultimate) > throughSet(hoses, pressure, each),
  );
  return (pump.speed * (inlet - pump.ultimate)) / pressure;
}

export interface PumpDown {
  seconds: number;
  /** curve for drawing: s, Pa */
  curve: readonly { at: number; pressure: Pascals }[];
  /** share of the pump's speed that arrives at the system at the end */
  arriving: number;
}

const STEPS = 240;

/** s from `from` to `to` Pa. Refuses a goal that this pump cannot reach. Simpson's rule over ln (p − ultimate). */
export function pumpDown(input: {
  volume: CubicMetres;
  from: number;
  to: number;
  pump: Pump;
  hoses: HoseSet;
}): Outcome<PumpDown> {
  const { volume, from, to, pump, hoses } = input;
  const bad = notPositive({
    volume,
    'pump speed': pump.speed,
    'hose bore': hoses.bore,
    'hose length': hoses.length,
    'number of hoses': hoses.count,
    goal: to,
  });
  if (bad) return bad;
  if (!(from > to)) return refused({ reason: 'notInOrder', first: 'goal', second: 'start' });
  if (!(to > pump.ultimate))
    return refused({ reason: 'notInOrder', first: 'ultimate vacuum of the pump', second: 'goal' });
  // Even steps of ln (p − ultimate): near what the pump reaches alone, time runs out by halves of that difference.
  const above = (index: number): number =>
    (from - pump.ultimate) * ((to - pump.ultimate) / (from - pump.ultimate)) ** (index / STEPS);
  const step = Math.log((from - pump.ultimate) / (to - pump.ultimate)) / STEPS;
  const slowness = (index: number): number => {
    const pressure = pump.ultimate + above(index);
    return (volume * above(index)) / (pressure * speedAt(pressure, pump, hoses));
  };
  const curve = [{ at: 0, pressure: from }];
  let at = 0;
  for (let index = 0; index < STEPS; index += 1) {
    at += (step / 6) * (slowness(index) + 4 * slowness(index + 0.5) + slowness(index + 1));
    curve.push({ at, pressure: pump.ultimate + above(index + 1) });
  }
  const last = speedAt(to, pump, hoses);
  return calculated(
    { seconds: at, curve, arriving: last / pump.speed },
    {
      formula:
        'dt = −(V ÷ S) dp ÷ p; 1 ÷ S = 1 ÷ pump + Σ 1 ÷ C; C = 12.1 d³/l × (1 + 192 dp + 237 d²p²) ÷ (1 + 236 dp)',
      figures: [
        figure('volume', 'volume', volume),
        figure('pump', 'flow', pump.speed),
        figure('ultimate vacuum of the pump', 'vacuum', pump.ultimate),
        figure('hose bore', 'length', hoses.bore),
        figure('hose length', 'length', hoses.length),
        figure('hoses side by side', 'number', hoses.count),
        figure('speed that arrives at the goal', 'flow', last),
        figure('time', 'duration', at),
      ],
      source: 'Tube conductance for air at 20 °C, all kinds of flow (d, l in cm, p in mbar)',
      validity:
        'A dry, tight, warm system: moisture and oil that give off gas come on top. The first seconds from atmosphere are turbulent and a little slower. Cores are taken as 1.6 mm over 15 mm.',
    },
  );
}
