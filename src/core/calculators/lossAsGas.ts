/**
 * The fall of a pressure test as gas a year, and back: of the test gas at its own pressure exactly, of the refrigerant at work
 * as a range, since nobody knows whether a leak is molecular or laminar. Pa/s, kg a year, m³.
 */
import type { CubicMetres, Kilograms, Pascals } from '../quantity/si';
import { YEAR_S } from '../quantity/units';
import type { SaturationTable } from '../refrigerant/saturation';
import { restPressure } from './atWork';
import { NITROGEN_MOLAR_MASS, type Outcome, ROOM_K, calculated, figure } from './calculated';
import type { Range } from './series/explanation';
import { NITROGEN_VISCOSITY, leakRatios, massRate, throughputOf, vapourViscosity } from './vapourFlow';

export type HeldGas = 'nitrogen' | 'nitrogenTrace' | 'nitrogenHydrogen' | 'refrigerant';

/** kg/mol; a trace does not change it, and of the mixture five in a hundred are hydrogen. */
const MOLAR_MASS = {
  nitrogen: NITROGEN_MOLAR_MASS,
  nitrogenTrace: NITROGEN_MOLAR_MASS,
  nitrogenHydrogen: 0.95 * NITROGEN_MOLAR_MASS + 0.05 * 0.00201588,
} as const;

export interface HeldGases {
  /** kg a year that a fall of Pa/s is: `low` molecular, `high` laminar; both the same where no refrigerant is named */
  yearlyOf: (fall: number) => Range;
  /** Pa/s of the smallest fall that a leak of so many kg a year can make */
  fallOf: (yearly: Kilograms) => number;
}

/** `table` null: the figures are of the test gas itself. Test pressure Pa absolute. */
export function gasesOf(section: {
  testGas: HeldGas;
  table: SaturationTable | null;
  volume: CubicMetres;
  test: Pascals;
  /** Pa absolute at work; left out: what it stands at, at rest at 20 °C */
  working?: Pascals;
  atmosphere: Pascals;
}): HeldGases {
  const { testGas, table, volume } = section;
  const scale = scaleOf(section);
  const molarMass = table?.molarMass_kg_mol ?? MOLAR_MASS[testGas as keyof typeof MOLAR_MASS];
  return {
    yearlyOf: (fall) => {
      const yearly = (factor: number): Kilograms =>
        massRate(volume * fall * factor, molarMass, ROOM_K) * YEAR_S;
      return { low: yearly(scale.low), high: yearly(scale.high) };
    },
    fallOf: (yearly) => throughputOf(yearly / YEAR_S, molarMass, ROOM_K) / volume / scale.high,
  };
}

/** Throughput at work for each in the test. */
function scaleOf({
  testGas,
  table,
  test,
  working: given,
  atmosphere,
}: {
  testGas: HeldGas;
  table: SaturationTable | null;
  test: Pascals;
  working?: Pascals;
  atmosphere: Pascals;
}): Range {
  if (table === null || testGas === 'refrigerant') return { low: 1, high: 1 };
  const working = given ?? restPressure(table);
  const ratios = leakRatios(
    { inside: test, outside: atmosphere, viscosity: NITROGEN_VISCOSITY, molarMass: MOLAR_MASS[testGas] },
    {
      inside: working,
      outside: atmosphere,
      viscosity: vapourViscosity(table.name),
      molarMass: table.molarMass_kg_mol,
    },
  );
  const { molecular } = ratios;
  const laminar = test > atmosphere && working > atmosphere ? ratios.laminar : 1;
  return { low: Math.min(laminar, molecular), high: Math.max(laminar, molecular) };
}

/** A loss as gas a year with its working. `slope` Pa/s, of a fall under pressure or a climb under vacuum. */
export const yearlyOutcome = (yearly: Range, volume: CubicMetres, slope: number): Outcome<Range> =>
  calculated(yearly, {
    formula:
      'q = V × dp/dt; at work: molecular × p_w ÷ p × √(M of the test gas ÷ M), laminar × (p_w² − p_a²) ÷ (p² − p_a²) × ratio of viscosities; mass = q M ÷ (R T)',
    figures: [
      figure('volume', 'volume', volume),
      figure('change of pressure', 'pressureRate', slope),
      figure('leak as tested', 'throughput', volume * slope),
      figure('molecular', 'massRate', yearly.low / YEAR_S),
      figure('laminar', 'massRate', yearly.high / YEAR_S),
    ],
    source: 'Ideal gas at 20 °C; free molecular and laminar flow of one fine leak',
    validity: 'An estimate: nobody knows the kind of a leak, so the figure is a range.',
  });
