/** Gas let go by opening a section: its volume times the density of the vapour at what pressure was left. */
import type { CubicMetres, Density, Kelvins, Pascals } from '../quantity/si';
import {
  type SaturationTable,
  pressureRange,
  saturationPressure,
  saturationTemperature,
  vapourDensity,
} from '../refrigerant/saturation';
import { type Result, ok } from '../result';
import {
  type BenchRefusal,
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
): Result<{ density: Density; liquidPresent: boolean }, BenchRefusal> {
  const bad = notPositive({ pressure, temperature });
  if (bad) return bad;
  const dew = saturationPressure(table, 'dew', temperature);
  if (!dew.ok) return dew;
  if (pressure >= dew.value) {
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

export interface Release {
  /** kg of refrigerant */
  mass: number;
  density: Density;
  /** true: saturated, so liquid may be left and the figure says only what was vapour */
  liquidPresent: boolean;
}

/** `traceShare` is 1 for refrigerant, else the share of the pressure that a trace in nitrogen makes up. */
export function release(input: {
  table: SaturationTable;
  volume: CubicMetres;
  left: number;
  temperature: Kelvins;
  traceShare: number;
}): Outcome<Release> {
  const { table, volume, left, temperature, traceShare } = input;
  const bad = notPositive({ volume }) ?? outOfRange('trace in the nitrogen', 'share', traceShare, 0, 1);
  if (bad) return bad;
  const partial = left * traceShare;
  const dense = gasDensity(table, partial, temperature);
  if (!dense.ok) return dense;
  const { density, liquidPresent } = dense.value;
  return calculated(
    { mass: volume * density, density, liquidPresent },
    {
      formula: 'gas let go = volume × vapour density at the pressure left',
      figures: [
        figure('volume', 'volume', volume),
        figure('pressure left', 'pressure', left),
        ...(traceShare === 1 ? [] : [figure('trace in the nitrogen', 'share', traceShare)]),
        figure('temperature', 'temperature', temperature),
        figure('vapour density', 'density', density),
        figure('let go', 'mass', volume * density),
      ],
      source: 'Vapour density of the saturation table, carried to the temperature; ideal gas below the table',
      validity:
        'Vapour only; what stands in the part at atmospheric pressure stays in the air of the part and counts too. Recorded as an estimate.',
    },
  );
}
