/** Extra charge that floods the condenser of a head-pressure-controlled unit in the cold. m³, K, kg. */
import type { Kelvins } from '../../quantity/si';
import { type SaturationTable, liquidDensity } from '../../refrigerant/saturation';
import { fromSi, toSi } from '../../quantity/measure';
import { type Outcome, calculated, figure, notPositive, outOfRange } from '../calculated';
import { FLOODED_SHARE } from './floodedShare';

export interface WinterCharge {
  extra: number;
  share: number;
}

/** extra = condenser's internal volume × flooded share × liquid density at the ambient (cold liquid is the heavier). */
export function winterCharge(input: {
  table: SaturationTable;
  condenserVolume: number;
  ambient: Kelvins;
  evaporating: Kelvins;
}): Outcome<WinterCharge> {
  const { table, condenserVolume, ambient, evaporating } = input;
  const { ambients, rows, held } = FLOODED_SHARE;
  const edge = (fahrenheit: number): number => toSi('temperature', fahrenheit, '°F');
  const bad =
    notPositive({ 'condenser volume': condenserVolume }) ??
    outOfRange('lowest ambient', 'temperature', ambient, edge(ambients.from), edge(ambients.to)) ??
    outOfRange('evaporating temperature', 'temperature', evaporating, edge(-40), edge(40));
  if (bad) return bad;
  // A gas that has no liquid at what is held cannot flood a condenser.
  const condensing = liquidDensity(table, edge(held));
  if (!condensing.ok) return condensing;
  const density = liquidDensity(table, ambient);
  if (!density.ok) return density;
  const split = between(
    rows.map((row) => ({ x: row.evaporating, y: row.split })),
    fromSi('temperature', evaporating, '°F'),
  );
  const share = Math.max(0, 1 - split / (held - fromSi('temperature', ambient, '°F')));
  const extra = condenserVolume * share * density.value;
  return calculated(
    { extra, share },
    {
      formula: 'extra = condenser volume × flooded share × liquid density',
      figures: [
        figure('condenser volume', 'volume', condenserVolume),
        figure('lowest ambient', 'temperature', ambient),
        figure('evaporating', 'temperature', evaporating),
        figure('flooded share', 'share', share),
        figure('liquid density at the ambient', 'density', density.value),
        figure('extra', 'mass', extra),
      ],
      source: 'Heat balance of a condenser held at 90 °F: share = 1 − split ÷ (90 °F − ambient)',
      validity: 'Heads held at 90 °F by flooding. The receiver must hold this charge again in summer.',
    },
  );
}

/** Straight lines between points whose x falls; x lies within them. */
function between(points: readonly { x: number; y: number }[], x: number): number {
  for (let index = 0; index < points.length - 1; index += 1) {
    const [right, left] = [points[index], points[index + 1]];
    if (right && left && x <= right.x && x >= left.x)
      return left.y + ((x - left.x) / (right.x - left.x)) * (right.y - left.y);
  }
  const nearest = x >= (points[0]?.x ?? 0) ? points[0] : points[points.length - 1];
  return nearest?.y ?? 0;
}
