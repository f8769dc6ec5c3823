/** Full charge by components: each volume × density at its state, summed with a range. m³, K, kg. */
import type { CubicMetres, Kelvins, Metres } from '../../quantity/si';
import { type SaturationTable, saturatedState } from '../../refrigerant/saturation';
import { refused } from '../../result';
import { type Outcome, calculated, figure, notPositive, outOfRange } from '../calculated';
import { tubeVolume } from './hoses';

export interface Component {
  name: string;
  volume: CubicMetres;
  /** share of the volume that holds liquid, lowest and highest that are likely */
  liquid: { low: number; high: number };
  temperature: Kelvins;
}

/** Likely shares of liquid by kind of part; a receiver takes its level instead. */
export const LIQUID_SHARE = {
  liquidLine: { low: 1, high: 1 },
  suctionLine: { low: 0, high: 0 },
  dischargeLine: { low: 0, high: 0 },
  condenser: { low: 0.1, high: 0.25 },
  evaporator: { low: 0.15, high: 0.35 },
} as const;

/** m³ of a line from its outside diameter and wall, m. Refuses a wall that leaves no bore. */
export function lineVolume(input: { outside: Metres; wall: Metres; length: Metres }): Outcome<number> {
  const { outside, wall, length } = input;
  const bad = notPositive({ 'outside diameter': outside, wall, length });
  if (bad) return bad;
  const bore = outside - 2 * wall;
  if (bore <= 0)
    return refused({ reason: 'notInOrder', first: 'twice the wall', second: 'outside diameter' });
  return calculated(tubeVolume(bore, length), {
    formula: 'volume = π/4 × (outside − 2 × wall)² × length',
    figures: [
      figure('outside diameter', 'length', outside),
      figure('wall', 'length', wall),
      figure('length', 'length', length),
      figure('volume', 'volume', tubeVolume(bore, length)),
    ],
    source: 'Volume of a cylinder',
    validity: 'Fittings are left out.',
  });
}

export interface ComponentCharge {
  /** kg, halfway between low and high */
  charge: number;
  low: number;
  high: number;
  parts: readonly { name: string; low: number; high: number }[];
}

/** low and high = Σ volume × (share × liquid density + (1 − share) × vapour density). */
export function chargeByComponents(
  table: SaturationTable,
  parts: readonly Component[],
): Outcome<ComponentCharge> {
  if (parts.length === 0) return refused({ reason: 'tooFewReadings', have: 0, need: 1 });
  const each: { name: string; low: number; high: number }[] = [];
  for (const part of parts) {
    const bad =
      notPositive({ [`volume of ${part.name}`]: part.volume }) ??
      outOfRange(`liquid in ${part.name}`, 'share', part.liquid.low, 0, 1) ??
      outOfRange(`liquid in ${part.name}`, 'share', part.liquid.high, part.liquid.low, 1);
    if (bad) return bad;
    const state = saturatedState(table, part.temperature);
    if (!state.ok) return state;
    const { liquidDensity, vapourDensity } = state.value;
    const held = (share: number): number =>
      part.volume * (share * liquidDensity + (1 - share) * vapourDensity);
    each.push({ name: part.name, low: held(part.liquid.low), high: held(part.liquid.high) });
  }
  const low = each.reduce((sum, part) => sum + part.low, 0);
  const high = each.reduce((sum, part) => sum + part.high, 0);
  return calculated(
    { charge: (low + high) / 2, low, high, parts: each },
    {
      formula: 'charge = Σ volume × (liquid share × liquid density + rest × vapour density)',
      figures: [
        ...each.map((part) => figure(part.name, 'mass', (part.low + part.high) / 2)),
        figure('lowest', 'mass', low),
        figure('highest', 'mass', high),
      ],
      source: 'Saturated densities of the table; liquid shares of condenser and evaporator as likely ranges',
      validity: 'An estimate to begin with; the first good weigh-in is better and worth keeping.',
    },
  );
}
