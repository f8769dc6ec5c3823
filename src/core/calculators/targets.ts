/** What the gauges should read on this box today: from box and ambient temperature to suction and head pressure. */
import type { Kelvins, KelvinsApart, Pascals } from '../quantity/si';
import { type SaturationTable, saturationPressure, saturationTemperature } from '../refrigerant/saturation';
import { refused } from '../result';
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
  /** Pa absolute; of a blend with glide the head is that of the middle of its glide */
  suction: Pascals;
  head: Pascals;
  /** Pa: the last vapour, and the first liquid, at the condensing temperature; the same without glide */
  headEnds: { dew: Pascals; bubble: Pascals };
}

/**
 * evaporating = box − TD (2 °F more where the air was measured); condensing = ambient or leaving water + split.
 * Temperatures K, differences K. Suction is the dew
 * pressure; a condenser is at its condensing temperature in the middle of the glide, so the head lies between dew and bubble.
 * Refuses differences of nothing or less, and a head that would not stand above the suction.
 */
export function targets(input: {
  table: SaturationTable;
  box: Kelvins;
  difference: number;
  airMeasured: boolean;
  ambient: Kelvins;
  split: KelvinsApart;
}): Outcome<Targets> {
  const bad = notPositive({
    'box temperature': input.box,
    'ambient temperature': input.ambient,
    'difference to the coil': input.difference,
    split: input.split,
  });
  if (bad) return bad;
  const evaporating = input.box - input.difference - (input.airMeasured ? AIR_NOT_PIPE : 0);
  const condensing = input.ambient + input.split;
  const suction = saturationPressure(input.table, 'dew', evaporating);
  if (!suction.ok) return suction;
  const bubble = saturationPressure(input.table, 'bubble', condensing);
  if (!bubble.ok) return bubble;
  const dew = saturationPressure(input.table, 'dew', condensing);
  if (!dew.ok) return dew;
  const head = middleOfGlide(input.table, condensing, dew.value, bubble.value);
  if (head <= suction.value) return refused({ reason: 'notInOrder', first: 'suction', second: 'head' });
  return calculated(
    {
      evaporating,
      condensing,
      suction: suction.value,
      head,
      headEnds: { dew: dew.value, bubble: bubble.value },
    },
    {
      formula: 'evaporating = box − difference; condensing = ambient + split',
      figures: [
        figure('box', 'temperature', input.box),
        figure('difference to the coil', 'temperatureDifference', input.box - evaporating),
        figure('evaporating (dew)', 'temperature', evaporating),
        figure('suction', 'pressure', suction.value),
        figure('ambient, or leaving water', 'temperature', input.ambient),
        figure('split', 'temperatureDifference', input.split),
        figure('condensing (middle of the glide)', 'temperature', condensing),
        figure('head', 'pressure', head),
        ...(bubble.value - dew.value > GLIDE_SHOWS
          ? [
              figure('head with the dew point there', 'pressure', dew.value),
              figure('head with the bubble point there', 'pressure', bubble.value),
            ]
          : []),
      ],
      source: TABLE_SOURCE,
      validity: tableValidity(
        input.table.name,
        'For a machine that runs steadily near its box temperature. Head pressure control holds the head up in the cold.',
      ),
    },
  );
}

/** Pa: less between dew and bubble no gauge shows. */
const GLIDE_SHOWS = 2000;

/** Pa at which dew and bubble point lie as far above as below the condensing temperature. */
function middleOfGlide(table: SaturationTable, condensing: Kelvins, dew: Pascals, bubble: Pascals): Pascals {
  // Without glide both are one.
  if (bubble === dew) return dew;
  let [low, high] = [dew, bubble];
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    const [last, first] = [
      saturationTemperature(table, 'dew', middle),
      saturationTemperature(table, 'bubble', middle),
    ];
    // At the end of the table: what was found so far.
    if (!last.ok || !first.ok) return middle;
    if (last.value + first.value > 2 * condensing) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}
