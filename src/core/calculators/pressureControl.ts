/** Low-pressure control: cut-in and cut-out from the box range, and both conventions of the dial. Pa absolute, K. */
import type { Pascals } from '../quantity/si';
import { refused } from '../result';
import { type SaturationTable, saturationPressure } from '../refrigerant/saturation';
import { UNITS } from '../quantity/units';
import { type Outcome, TABLE_SOURCE, calculated, figure, notPositive, tableValidity } from './calculated';

/** Closer than this the compressor starts and stops too often: 5 psi. */
const CLOSEST = 5 * UNITS.pressure.psig.factor;

export type ControlWarning = 'belowAtmosphere' | 'tooClose';

export interface ControlSetting {
  cutIn: Pascals;
  cutOut: Pascals;
  differential: number;
  warnings: readonly ControlWarning[];
}

/** cut-out = cut-in − differential: 31 psig and 14 psi give 17 psig. */
export function fromDifferential(input: {
  cutIn: Pascals;
  differential: number;
  atmosphere: Pascals;
}): Outcome<ControlSetting> {
  return setting(input.cutIn, input.cutIn - input.differential, input.atmosphere, {
    formula: 'cut-out = cut-in − differential',
    source: 'Dial convention: cut-in and differential',
    validity: 'Dials are coarse: set, then watch the gauge at both ends.',
  });
}

/** differential = cut-in − cut-out. */
export function fromCutOut(input: {
  cutIn: Pascals;
  cutOut: Pascals;
  atmosphere: Pascals;
}): Outcome<ControlSetting> {
  return setting(input.cutIn, input.cutOut, input.atmosphere, {
    formula: 'differential = cut-in − cut-out',
    source: 'Dial convention: cut-in and cut-out',
    validity: 'Dials are coarse: set, then watch the gauge at both ends.',
  });
}

/**
 * Settings that hold a box between two temperatures: the coil at rest takes the temperature of the box, so cut-in is
 * the dew pressure at the warm end; running it is `difference` colder, so cut-out is the dew pressure at the cold end
 * less that. Refuses a range turned round.
 */
export function controlForBox(input: {
  table: SaturationTable;
  boxLow: number;
  boxHigh: number;
  difference: number;
  atmosphere: Pascals;
}): Outcome<ControlSetting> {
  const { table, boxLow, boxHigh, difference } = input;
  const bad = notPositive({ 'cold end of the box': boxLow, 'warm end of the box': boxHigh });
  if (bad) return bad;
  if (boxHigh <= boxLow)
    return refused({ reason: 'notInOrder', first: 'cold end of the box', second: 'warm end of the box' });
  const cutIn = saturationPressure(table, 'dew', boxHigh);
  if (!cutIn.ok) return cutIn;
  const cutOut = saturationPressure(table, 'dew', boxLow - difference);
  if (!cutOut.ok) return cutOut;
  return setting(cutIn.value, cutOut.value, input.atmosphere, {
    formula: 'cut-in = dew pressure at the warm end; cut-out = dew pressure at (cold end − difference)',
    source: TABLE_SOURCE,
    validity: tableValidity(
      table.name,
      'Where this control alone holds the box. With a thermostat and pump-down, cut-in goes below the coldest running suction instead.',
    ),
  });
}

function setting(
  cutIn: Pascals,
  cutOut: Pascals,
  atmosphere: Pascals,
  about: { formula: string; source: string; validity: string },
): Outcome<ControlSetting> {
  const bad = notPositive({ 'cut-in': cutIn, 'cut-out': cutOut });
  if (bad) return bad;
  const differential = cutIn - cutOut;
  if (differential <= 0) return refused({ reason: 'notInOrder', first: 'cut-out', second: 'cut-in' });
  const warnings: ControlWarning[] = [
    ...(cutOut < atmosphere ? (['belowAtmosphere'] as const) : []),
    ...(differential < CLOSEST ? (['tooClose'] as const) : []),
  ];
  return calculated(
    { cutIn, cutOut, differential, warnings },
    {
      ...about,
      figures: [
        figure('cut-in', 'pressure', cutIn),
        figure('cut-out', 'pressure', cutOut),
        figure('differential', 'pressureDifference', differential),
      ],
    },
  );
}
