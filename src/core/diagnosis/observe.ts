/**
 * Numbers into readings: pressures and temperatures against what this refrigerant, box and air ask. Pa absolute, K.
 * A number that the table cannot place, or that has nothing to be compared with, gives no reading; it is named, never guessed.
 * A machine at rest has no suction and head: what stands in it is its standing pressure.
 */
import { toSi } from '../quantity/measure';
import type { Kelvins, KelvinsApart, Pascals } from '../quantity/si';
import { type SaturationTable, pressureRange, saturationTemperature } from '../refrigerant/saturation';
import { type CalculatorRefusal, fahrenheitDegrees } from '../calculators/calculated';
import { standingCheck } from '../calculators/standingCheck';
import { bandOf, subcooling, superheat, SUBCOOLING, SUPERHEAT } from '../calculators/superheat';
import type { Observed } from './readings';

export interface Numbers {
  table: SaturationTable;
  atmosphere: Pascals;
  suction: Pascals | null;
  head: Pascals | null;
  suctionLine: Kelvins | null;
  liquidLine: Kelvins | null;
  box: Kelvins | null;
  ambient: Kelvins | null;
  /** K between box and coil, and between ambient and condensing */
  difference: number;
  split: KelvinsApart;
  /** at rest, compressor off long enough */
  standing: Pascals | null;
  /** A: read, and on the plate */
  amps: number | null;
  rated: number | null;
  /** the compressor stands still */
  atRest: boolean;
  /** K: what a head-pressure control holds the condensing at; null where nobody knows of one */
  headHeldAt: Kelvins | null;
  /** share of the full charge that was weighed out; null: it was not */
  recovered: number | null;
}

/** Nearer to its target than this counts as normal, K of saturation. */
const NORMAL_K = fahrenheitDegrees(7);
/** A head within this of ambient saturation condenses next to nothing, K. */
const NEAR_AMBIENT_K = fahrenheitDegrees(6);
const AMPS = { low: 0.7, high: 1.05 } as const;
const NO_SUBCOOLING_K = fahrenheitDegrees(2);
/** In the cold a head control may hold the head at what 90 °F asks; so high a head says nothing there, K. */
const HELD_AT_MOST_K = toSi('temperature', 90, '°F');
/** No box asks for a coil as cold as this, no air is: such a pressure is low whatever it is compared with, K. */
const COLDER_THAN_ANY_COIL_K = 228;
const COLDER_THAN_ANY_AIR_K = 240;
/** Sides at rest that differ by no more than this share have come together. */
const EQUALISED = 0.15;
/** Shares of the charge that was weighed out: a hose keeps a little, so from the first on it is all. */
export const RECOVERED = { all: 0.93, part: 0.5 } as const;

/** A reading that says nothing by itself, and the one that it must be held against. */
export interface Lacking {
  reading: 'suction' | 'head' | 'suctionLine' | 'liquidLine' | 'standing' | 'amps';
  needs: 'suction' | 'head' | 'box' | 'ambient' | 'rated' | 'standing';
}

export interface SignsRead {
  observed: Observed;
  lacking: readonly Lacking[];
  refusals: readonly CalculatorRefusal[];
}

export function observe(numbers: Numbers): SignsRead {
  const refusals: CalculatorRefusal[] = [];
  const keep = <Value>(
    outcome: { ok: true; value: Value } | { ok: false; refusal: CalculatorRefusal },
  ): Value | null => {
    if (outcome.ok) return outcome.value;
    refusals.push(outcome.refusal);
    return null;
  };
  const { table, suctionLine, liquidLine, box, ambient, amps, rated } = numbers;
  const { suction, head, standing } = atRestOr(numbers);
  const found: { -readonly [R in keyof Observed]: Observed[R] } = {};
  if (suction !== null) {
    const at = keep(saturationTemperature(table, 'dew', suction));
    const goal = box === null ? null : box - numbers.difference;
    const said = at === null ? null : goal === null ? withoutBox(at) : sided(at, goal, NORMAL_K);
    // A freezer on a gas of low pressure runs below the atmosphere as it should.
    if (said !== null) found.suction = said === 'low' && suction < numbers.atmosphere ? 'vacuum' : said;
  }
  if (head !== null && ambient !== null) {
    const first = keep(saturationTemperature(table, 'bubble', head));
    const last = first === null ? null : keep(saturationTemperature(table, 'dew', head));
    // A condenser stands at its condensing temperature in the middle of the glide.
    const at = first === null || last === null ? null : (first + last) / 2;
    const asked = ambient + numbers.split;
    const held = numbers.headHeldAt;
    const goal = Math.max(asked, held ?? asked);
    const most = Math.max(goal, held ?? HELD_AT_MOST_K);
    if (at !== null)
      found.head =
        at < ambient + NEAR_AMBIENT_K
          ? 'nearAmbient'
          : BANDS[bandOf(at, { low: goal - NORMAL_K, high: most + NORMAL_K })];
  }
  if (suction !== null && suctionLine !== null) {
    const state = keep(superheat({ table, suction, lineTemperature: suctionLine }));
    if (state) found.superheat = superheatShown(state.value.difference);
  }
  if (head !== null && liquidLine !== null) {
    const state = keep(subcooling({ table, liquid: head, lineTemperature: liquidLine }));
    if (state) found.subcooling = subcoolingShown(state.value.difference);
  }
  if (standing !== null && ambient !== null) {
    const check = keep(
      standingCheck({ table, standing, ambient, doubt: fahrenheitDegrees(3), resolution: 7000 }),
    );
    if (check) found.standing = STANDING[check.value.verdict];
  } else if (standing !== null && emptyAnywhere(table, standing)) found.standing = 'below';
  if (amps !== null && rated !== null && rated > 0 && !numbers.atRest)
    found.amps = BANDS[bandOf(amps / rated, AMPS)];
  if (numbers.recovered !== null)
    found.recovered =
      numbers.recovered >= RECOVERED.all ? 'all' : numbers.recovered >= RECOVERED.part ? 'part' : 'little';
  return { observed: found, lacking: lackingOf(numbers), refusals };
}

const withoutBox = (saturation: Kelvins): 'low' | null =>
  saturation < COLDER_THAN_ANY_COIL_K ? 'low' : null;

function emptyAnywhere(table: SaturationTable, standing: Pascals): boolean {
  const at = saturationTemperature(table, 'dew', standing);
  return at.ok ? at.value < COLDER_THAN_ANY_AIR_K : standing < pressureRange(table, 'dew').from;
}

/**
 * What runs has a suction and a head; what rests has what stands in it: both sides, where they came together. Where they did
 * not, one of them may still be of the time when it ran, so neither speaks.
 */
function atRestOr({
  atRest,
  suction,
  head,
  standing,
}: Numbers): Pick<Numbers, 'suction' | 'head' | 'standing'> {
  if (!atRest) return { suction, head, standing };
  const together =
    suction !== null && head !== null && Math.abs(head - suction) <= EQUALISED * Math.max(head, suction);
  return { suction: null, head: null, standing: standing ?? (together ? (suction + head) / 2 : null) };
}

function lackingOf(numbers: Numbers): Lacking[] {
  const { box, ambient, amps, rated, table } = numbers;
  const { suction, head, standing } = atRestOr(numbers);
  // At rest, and not together: only the standing pressure would say what stands in it.
  const apart = numbers.atRest && standing === null;
  const dew = suction === null ? null : saturationTemperature(table, 'dew', suction);
  const suctionSays = dew?.ok === true && withoutBox(dew.value) !== null;
  const wanted: [
    reading: Lacking['reading'],
    given: number | null,
    needs: Lacking['needs'],
    has: number | null,
  ][] = [
    ['suction', apart ? numbers.suction : null, 'standing', null],
    ['head', apart ? numbers.head : null, 'standing', null],
    ['suction', suctionSays ? null : suction, 'box', box],
    ['head', head, 'ambient', ambient],
    ['suctionLine', numbers.atRest ? null : numbers.suctionLine, 'suction', suction],
    ['liquidLine', numbers.atRest ? null : numbers.liquidLine, 'head', head],
    ['standing', standing !== null && emptyAnywhere(table, standing) ? null : standing, 'ambient', ambient],
    ['amps', numbers.atRest ? null : amps, 'rated', rated],
  ];
  return wanted.flatMap(([reading, given, needs, has]) =>
    given !== null && has === null ? [{ reading, needs }] : [],
  );
}

const BANDS = { below: 'low', within: 'normal', above: 'high' } as const;
const STANDING = { liquidPresent: 'saturation', vapourOnly: 'below', airOrWrongGas: 'above' } as const;

const sided = (value: number, goal: number, width: number): 'low' | 'normal' | 'high' =>
  BANDS[bandOf(value, { low: goal - width, high: goal + width })];

/** What K of superheat or subcooling show of the machine, computed or read off an instrument. */
export const superheatShown = (kelvins: KelvinsApart): 'low' | 'normal' | 'high' =>
  BANDS[bandOf(kelvins, SUPERHEAT)];
export const subcoolingShown = (kelvins: KelvinsApart): 'none' | 'low' | 'normal' | 'high' =>
  kelvins < NO_SUBCOOLING_K ? 'none' : BANDS[bandOf(kelvins, SUBCOOLING)];
