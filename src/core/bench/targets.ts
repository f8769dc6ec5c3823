/** What the gauges should read on this box today: from box and ambient temperature to suction and head pressure. */
import type { Kelvins, KelvinsApart, Pascals } from '../quantity/si';
import { type SaturationTable, saturationPressure } from '../refrigerant/saturation';
import {
  type Outcome,
  TABLE_SOURCE,
  calculated,
  fahrenheitDegrees,
  figure,
  notPositive,
  tableValidity,
} from './calculated';

/** Difference between box and evaporating temperature by kind of box, K. */
export const EVAPORATOR_TD = {
  walkIn: fahrenheitDegrees(10),
  reachIn: fahrenheitDegrees(17.5),
} as const;
/** Condensing temperature above the air, or above the leaving water, K. */
export const CONDENSER_SPLIT = {
  standard: fahrenheitDegrees(30),
  highEfficiency: fahrenheitDegrees(20),
  waterCooled: fahrenheitDegrees(10),
} as const;
/** Where the air in the box and not the pipe was measured, the coil is colder by this, K. */
const AIR_NOT_PIPE = fahrenheitDegrees(2);

export interface Targets {
  evaporating: Kelvins;
  condensing: Kelvins;
  /** Pa absolute */
  suction: Pascals;
  head: Pascals;
}

/**
 * evaporating = box − TD (2 °F more where the air was measured); condensing = ambient or leaving water + split.
 * Temperatures K, differences K. Suction is the dew pressure, head the bubble pressure.
 */
export function targets(input: {
  table: SaturationTable;
  box: Kelvins;
  difference: number;
  airMeasured: boolean;
  ambient: Kelvins;
  split: KelvinsApart;
}): Outcome<Targets> {
  const bad = notPositive({ 'box temperature': input.box, 'ambient temperature': input.ambient });
  if (bad) return bad;
  const evaporating = input.box - input.difference - (input.airMeasured ? AIR_NOT_PIPE : 0);
  const condensing = input.ambient + input.split;
  const suction = saturationPressure(input.table, 'dew', evaporating);
  if (!suction.ok) return suction;
  const head = saturationPressure(input.table, 'bubble', condensing);
  if (!head.ok) return head;
  return calculated(
    { evaporating, condensing, suction: suction.value, head: head.value },
    {
      formula: 'evaporating = box − difference; condensing = ambient + split',
      figures: [
        figure('box', 'temperature', input.box),
        figure('difference to the coil', 'temperatureDifference', input.box - evaporating),
        figure('evaporating (dew)', 'temperature', evaporating),
        figure('suction', 'pressure', suction.value),
        figure('ambient, or leaving water', 'temperature', input.ambient),
        figure('split', 'temperatureDifference', input.split),
        figure('condensing (bubble)', 'temperature', condensing),
        figure('head', 'pressure', head.value),
      ],
      source: TABLE_SOURCE,
      validity: tableValidity(
        input.table.name,
        'For a machine that runs steadily near its box temperature. Head pressure control holds the head up in the cold.',
      ),
    },
  );
}
