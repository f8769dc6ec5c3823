/** What hoses keep, and what to weigh so that the right charge is inside. m, kg, kg/m³. */
import type { CubicMetres, Density, Metres } from '../../quantity/si';
import { type Outcome, calculated, figure, notPositive } from '../calculated';

/**
 * m³ in a round bore. 5 ft of hose with 0.19 in bore: 27.9 cm³.
 * `tubeVolume(0.004826, 1.524)` // => 0.0000279
 */
export const tubeVolume = (bore: Metres, length: Metres): number => (Math.PI / 4) * bore ** 2 * length;

export interface HoseContent {
  volume: CubicMetres;
  mass: number;
}

/** `density` kg/m³ of what is in the hose at its state; several equal hoses by `count`. */
export function hoseContent(input: {
  bore: Metres;
  length: Metres;
  count: number;
  density: Density;
}): Outcome<HoseContent> {
  const { bore, length, count, density } = input;
  const bad = notPositive({
    'hose bore': bore,
    'hose length': length,
    'number of hoses': count,
    density,
  });
  if (bad) return bad;
  const volume = tubeVolume(bore, length) * count;
  return calculated(
    { volume, mass: volume * density },
    {
      formula: 'kept = π/4 × bore² × length × hoses × density',
      figures: [
        figure('hose bore', 'length', bore),
        figure('hose length', 'length', length),
        figure('hoses', 'number', count),
        figure('volume', 'volume', volume),
        figure('density', 'density', density),
        figure('kept', 'mass', volume * density),
      ],
      source: 'Volume of a cylinder; density of the saturation table',
      validity:
        'Hose bores differ by maker: a hose called 1/4 in has about 0.19 in. Manifold and valves are left out.',
    },
  );
}

export interface WeighOut {
  /** kg that must leave the bottle */
  weigh: number;
  /** kg that stays in the hoses when they come off */
  kept: number;
  /** the hoses hold more than the machine: any slip is a wrong charge */
  hoseHoldsMore: boolean;
}

/**
 * The weight to take from the bottle so that `charge` kg is inside. Hoses pulled empty into the low side keep vapour at
 * suction pressure (`vapour` kg/m³); taken off full they keep liquid (`liquid` kg/m³).
 */
export function weighOut(input: {
  charge: number;
  hoseVolume: number;
  liquid: number;
  vapour: number;
  pulledEmpty: boolean;
}): Outcome<WeighOut> {
  const { charge, hoseVolume, liquid, vapour, pulledEmpty } = input;
  const bad = notPositive({
    'charge to be inside': charge,
    'hose volume': hoseVolume,
    'liquid density': liquid,
    'vapour density': vapour,
  });
  if (bad) return bad;
  const kept = hoseVolume * (pulledEmpty ? vapour : liquid);
  return calculated(
    { weigh: charge + kept, kept, hoseHoldsMore: hoseVolume * liquid > charge },
    {
      formula: 'weigh = charge to be inside + what stays in the hoses',
      figures: [
        figure('charge to be inside', 'mass', charge),
        figure('hose volume', 'volume', hoseVolume),
        figure(pulledEmpty ? 'vapour at suction' : 'liquid', 'density', pulledEmpty ? vapour : liquid),
        figure('stays in the hoses', 'mass', kept),
        figure('weigh', 'mass', charge + kept),
      ],
      source: 'Volume of the hoses × density at their state',
      validity: 'Hoses purged or evacuated before; a scale that reads finer than a tenth of the charge.',
    },
  );
}
