/** Is there liquid left? Saturation at ambient against the pressure of a machine at rest. */
import type { Kelvins, Pascals } from '../quantity/si';
import { type Line, type SaturationTable, saturationPressure } from '../refrigerant/saturation';
import {
  type Outcome,
  TABLE_SOURCE,
  calculated,
  figure,
  notPositive,
  tableValidity,
  DOUBT_K,
  isTuned,
} from './calculated';

export type StandingVerdict = 'liquidPresent' | 'vapourOnly' | 'airOrWrongGas';

export interface StandingCheck {
  verdict: StandingVerdict;
  /** Pa absolute: with liquid the gauge stands between these */
  lowest: number;
  highest: number;
  /** standing pressure ÷ dew pressure at ambient, for vapour only: the share of a full house of vapour */
  share: number;
  /** the verdict rests on less than the table of this refrigerant is sure of */
  doubtful: boolean;
}

export interface StandingInput {
  table: SaturationTable;
  standing: Pascals;
  ambient: Kelvins;
  doubt: number;
  resolution: number;
}

/**
 * `standing` Pa absolute, `ambient` K at the coldest place that holds refrigerant, `doubt` K of that temperature,
 * `resolution` Pa of the gauge. Equal: liquid present; below: vapour only; above: air or another gas.
 * Above the critical temperature the table ends and the pressure says nothing: `outsideTable`.
 */
export function standingCheck(input: StandingInput): Outcome<StandingCheck> {
  const { table, standing, ambient, doubt, resolution } = input;
  const bad = notPositive({ 'standing pressure': standing, 'ambient temperature': ambient });
  if (bad) return bad;
  const dew = saturationPressure(table, 'dew', ambient);
  const low = saturationPressure(table, 'dew', ambient - doubt);
  const high = saturationPressure(table, 'bubble', ambient + doubt);
  for (const looked of [dew, low, high]) if (!looked.ok) return looked;
  if (!dew.ok || !low.ok || !high.ok) throw new Error('A refusal was passed over.');
  const lowest = low.value - resolution;
  const highest = high.value + resolution;
  const verdict = standing < lowest ? 'vapourOnly' : standing > highest ? 'airOrWrongGas' : 'liquidPresent';
  return calculated(
    { verdict, lowest, highest, share: standing / dew.value, doubtful: isDoubtful(input) },
    {
      formula:
        'with liquid: dew pressure at (ambient − doubt) ≤ standing ≤ bubble pressure at (ambient + doubt)',
      figures: [
        figure('standing pressure', 'pressure', standing),
        figure('ambient', 'temperature', ambient),
        figure('doubt of the temperature', 'temperatureDifference', doubt),
        figure('lowest with liquid', 'pressure', lowest),
        figure('highest with liquid', 'pressure', highest),
      ],
      source: TABLE_SOURCE,
      validity: tableValidity(
        table.name,
        'Only at rest, with every part near one temperature and the solenoid open; the coldest part rules.',
      ),
    },
  );
}

/** Would the verdict change if the table were off by a kelvin either way? Asked only of tables that are not surer. */
function isDoubtful({ table, standing, ambient, doubt }: StandingInput): boolean {
  if (!isTuned(table.name)) return false;
  const near = (line: Line, edge: number): boolean => {
    const low = saturationPressure(table, line, edge - DOUBT_K);
    const high = saturationPressure(table, line, edge + DOUBT_K);
    return low.ok && high.ok && standing > low.value && standing < high.value;
  };
  return near('dew', ambient - doubt) || near('bubble', ambient + doubt);
}
