/** Recovery cylinder: how much it may hold, how full it is, what still fits. kg, m³. */
import type { CubicMetres, Density, Kilograms } from '../../quantity/si';
import { type SaturationTable, liquidDensity, saturationPressure } from '../../refrigerant/saturation';
import { refused } from '../../result';
import { type Outcome, calculated, figure, notPositive } from '../calculated';

const FILL_LIMIT = 0.8;
const FILL_WARNING = 0.75;
/** 77 °F, 25 °C, in K */
const REFERENCE_K = 298.15;
/** Pa: an ordinary recovery bottle is made for gases below this at 77 °F; R-744 stands at 64 bar. */
const ORDINARY_BOTTLE = 3e6;

/** kg: 0.8 × water capacity × liquid density at 77 °F ÷ 1 kg/L. 23.8 L of a gas of 1.206 kg/L: 22.96 kg. */
export const fillLimit = (waterCapacity: CubicMetres, density: Density): number =>
  FILL_LIMIT * waterCapacity * density;

export interface CylinderRoom {
  /** kg of gas allowed */
  limit: number;
  /** kg in it now: gross − tare */
  held: number;
  /** kg that still fit; below nothing when it is too full */
  room: number;
  /** liquid's share of the bottle at 77 °F if all were liquid */
  share: number;
  state: 'ok' | 'nearlyFull' | 'tooFull';
  /** kg on the scale at which to stop */
  stopAt: number;
}

/**
 * `gross` and `tare` kg, `waterCapacity` m³. Refuses another gas than the bottle holds, a gross below the tare, and any
 * addition that would bring it beyond 80 %.
 * A gas whose pressure at 77 °F no ordinary bottle is made for is refused too.
 * Gases without liquid at 77 °F (above their critical point) are refused with the range of the table.
 */
export function cylinderRoom(input: {
  table: SaturationTable;
  /** what the bottle holds already, null when empty */
  holds: string | null;
  waterCapacity: CubicMetres;
  tare: Kilograms;
  gross: number;
  /** kg about to go in; 0 where it is only a question of room */
  adding: number;
}): Outcome<CylinderRoom> {
  const { table, holds, waterCapacity, tare, gross, adding } = input;
  const bad = notPositive({ 'water capacity': waterCapacity, tare, 'weight now': gross });
  if (bad) return bad;
  if (holds !== null && holds !== table.name)
    return refused({ reason: 'mixedGases', held: holds, given: table.name });
  if (gross < tare) return refused({ reason: 'notInOrder', first: 'tare', second: 'weight now' });
  const pressure = saturationPressure(table, 'bubble', REFERENCE_K);
  if (!pressure.ok) return pressure;
  if (pressure.value > ORDINARY_BOTTLE)
    return refused({ reason: 'beyondBottle', refrigerant: table.name, pressure: pressure.value });
  const density = liquidDensity(table, REFERENCE_K);
  if (!density.ok) return density;
  const limit = fillLimit(waterCapacity, density.value);
  const held = gross - tare;
  if (adding > 0 && held + adding > limit)
    return refused({ reason: 'beyondFill', room: Math.max(0, limit - held), given: adding });
  const share = held / (waterCapacity * density.value);
  return calculated(
    {
      limit,
      held,
      room: limit - held,
      share,
      state: share > FILL_LIMIT ? 'tooFull' : share >= FILL_WARNING ? 'nearlyFull' : 'ok',
      stopAt: tare + limit,
    },
    {
      formula: 'limit = 0.8 × water capacity × liquid density at 77 °F; room = limit − (weight now − tare)',
      figures: [
        figure('water capacity', 'volume', waterCapacity),
        figure('liquid density at 77 °F', 'density', density.value),
        figure('limit', 'mass', limit),
        figure('tare', 'mass', tare),
        figure('weight now', 'mass', gross),
        figure('held', 'mass', held),
        figure('room', 'mass', limit - held),
        figure('filled', 'share', share),
      ],
      source: 'Recovery cylinders: 80 % of the volume as liquid at 77 °F (25 °C)',
      validity:
        'The stamp on the bottle and its test date rule; a lower limit there comes first. Oil takes room too.',
    },
  );
}
