/** Gas let go by opening a section: its volume times the density of the vapour at what pressure was left. */
import type { CubicMetres, Density, Kelvins, Kilograms, Pascals } from '../quantity/si';
import {
  type SaturationTable,
  pressureRange,
  saturationPressure,
  saturationTemperature,
  temperatureRange,
  vapourDensity,
} from '../refrigerant/saturation';
import { type Result, ok } from '../result';
import {
  type CalculatorRefusal,
  GAS_CONSTANT,
  type Outcome,
  calculated,
  figure,
  notPositive,
  outOfRange,
} from './calculated';

/**
 * kg/m³ of vapour at a pressure (Pa absolute) and temperature (K). At saturation it is the table's; warmer, the shortfall
 * from an ideal gas, 1 − Z, shrinks as (T_dew/T)³, about as a second virial coefficient does. Below the table the gas is
 * ideal. A pressure above saturation has liquid.
 */
export function gasDensity(
  table: SaturationTable,
  pressure: Pascals,
  temperature: Kelvins,
): Result<{ density: Density; liquidPresent: boolean }, CalculatorRefusal> {
  const bad = notPositive({ pressure, temperature });
  if (bad) return bad;
  const dew = saturationPressure(table, 'dew', temperature);
  // Warmer than the table, as near the critical point, a thin gas is still a gas.
  const warmer =
    !dew.ok && temperature > temperatureRange(table).to && pressure < pressureRange(table, 'dew').to;
  if (!dew.ok && !warmer) return dew;
  if (dew.ok && pressure >= dew.value) {
    const saturated = vapourDensity(table, temperature);
    return saturated.ok ? ok({ density: saturated.value, liquidPresent: true }) : saturated;
  }
  const ideal = (at: number): number => (pressure * table.molarMass_kg_mol) / (GAS_CONSTANT * at);
  if (pressure < pressureRange(table, 'dew').from) {
    return ok({ density: ideal(temperature), liquidPresent: false });
  }
  const boiling = saturationTemperature(table, 'dew', pressure);
  if (!boiling.ok) return boiling;
  const saturated = vapourDensity(table, boiling.value);
  if (!saturated.ok) return saturated;
  const shortfall = 1 - ideal(boiling.value) / saturated.value;
  const compressibility = 1 - shortfall * (boiling.value / temperature) ** 3;
  return ok({ density: ideal(temperature) / compressibility, liquidPresent: false });
}

/** kg/m³: how much refrigerant machines hold for each m³ inside; trade judgement, from full receivers to long dry lines. */
const FILL = { least: 250, usual: 400, most: 700 } as const;

/**
 * m³ inside a machine by its full charge (kg), where nobody knows the volume: an estimate with its range.
 * `volumeByCharge(4).usual` // => 0.01
 */
export function volumeByCharge(fullCharge: number): { least: number; usual: number; most: number } {
  return { least: fullCharge / FILL.most, usual: fullCharge / FILL.usual, most: fullCharge / FILL.least };
}

/** m³ that a machine may have inside: as it is known, else the least and the most that its charge (kg) stands in; none without. */
export function volumesInside(volume: CubicMetres | null, fullCharge: Kilograms | null): CubicMetres[] {
  if (volume !== null) return [volume];
  if (fullCharge === null) return [];
  const { least, most } = volumeByCharge(fullCharge);
  return [least, most];
}

export interface Release {
  /** kg of refrigerant */
  mass: number;
  density: Density;
  /** true: saturated, so liquid may be left and the figure says only what was vapour */
  liquidPresent: boolean;
}

/** From the pressure before to that after (Pa absolute; null: all that was in it). `traceShare` is 1 for refrigerant, else the share of the pressure that a trace in nitrogen makes up. */
export function release(input: {
  table: SaturationTable;
  volume: CubicMetres;
  left: Pascals;
  after?: Pascals | null;
  temperature: Kelvins;
  traceShare: number;
}): Outcome<Release> {
  const { table, volume, left, after = null, temperature, traceShare } = input;
  const bad = notPositive({ volume }) ?? outOfRange('trace in the nitrogen', 'share', traceShare, 0, 1);
  if (bad) return bad;
  const higher = after === null ? null : outOfRange('pressure after', 'pressure', after, 0, left);
  if (higher) return higher;
  const partial = left * traceShare;
  const dense = gasDensity(table, partial, temperature);
  if (!dense.ok) return dense;
  const { density, liquidPresent } = dense.value;
  const kept = after === null ? null : gasDensity(table, after * traceShare, temperature);
  if (kept && !kept.ok) return kept;
  const mass = volume * (density - (kept?.value.density ?? 0));
  return calculated(
    { mass, density, liquidPresent },
    {
      formula:
        after === null
          ? 'gas let go = volume × vapour density at the pressure left'
          : 'gas let go = volume × (vapour density before − after)',
      figures: [
        figure('volume', 'volume', volume),
        figure('pressure left', 'pressure', left),
        ...(after === null ? [] : [figure('pressure after', 'pressure', after)]),
        ...(traceShare === 1 ? [] : [figure('trace in the nitrogen', 'share', traceShare)]),
        figure('temperature', 'temperature', temperature),
        figure('vapour density', 'density', density),
        figure('let go', 'mass', mass),
      ],
      source: 'Vapour density of the saturation table, carried to the temperature; ideal gas below the table',
      validity:
        'Vapour only; what stands in the part at atmospheric pressure stays in the air of the part and counts too. Recorded as an estimate.',
    },
  );
}
