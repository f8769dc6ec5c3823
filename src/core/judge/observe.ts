/**
 * Numbers into readings: pressures and temperatures against saturation and the targets of this box. Pa absolute, K.
 * A number that the table cannot place gives no reading; it is left out and named, never guessed.
 */
import type { Kelvins, KelvinsApart, Pascals } from '../quantity/si';
import { type SaturationTable, saturationTemperature } from '../refrigerant/saturation';
import { type BenchRefusal, fahrenheitDegrees } from '../bench/calculated';
import { standingCheck } from '../bench/standingCheck';
import { bandOf, subcooling, superheat, SUBCOOLING, SUPERHEAT } from '../bench/superheat';
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
  /** share of the rated current */
  ampsShare: number | null;
}

/** Nearer to its target than this counts as normal, K of saturation. */
const NORMAL_K = fahrenheitDegrees(7);
/** A head within this of ambient saturation condenses next to nothing, K. */
const NEAR_AMBIENT_K = fahrenheitDegrees(6);
const AMPS = { low: 0.7, high: 1.05 } as const;
const NO_SUBCOOLING_K = fahrenheitDegrees(2);

/** A reading that says nothing by itself, and the one that it must be held against. */
export interface Lacking {
  reading: 'suction' | 'head' | 'suctionLine' | 'liquidLine' | 'standing' | 'amps';
  needs: 'suction' | 'head' | 'box' | 'ambient' | 'rated';
}

export interface SignsRead {
  observed: Observed;
  lacking: readonly Lacking[];
  refusals: readonly BenchRefusal[];
}

export function observe(numbers: Numbers): SignsRead {
  const refusals: BenchRefusal[] = [];
  const keep = <Value>(
    outcome: { ok: true; value: Value } | { ok: false; refusal: BenchRefusal },
  ): Value | null => {
    if (outcome.ok) return outcome.value;
    refusals.push(outcome.refusal);
    return null;
  };
  const { table, suction, head, suctionLine, liquidLine, box, ambient, ampsShare } = numbers;
  const found: { -readonly [R in keyof Observed]: Observed[R] } = {};
  if (suction !== null) {
    if (suction < numbers.atmosphere) found.suction = 'vacuum';
    else if (box !== null) {
      const at = keep(saturationTemperature(table, 'dew', suction));
      const goal = box - numbers.difference;
      if (at !== null) found.suction = sided(at, goal, NORMAL_K);
    }
  }
  if (head !== null && ambient !== null) {
    const at = keep(saturationTemperature(table, 'bubble', head));
    const goal = ambient + numbers.split;
    if (at !== null) found.head = at < ambient + NEAR_AMBIENT_K ? 'nearAmbient' : sided(at, goal, NORMAL_K);
  }
  if (suction !== null && suctionLine !== null) {
    const state = keep(superheat({ table, suction, lineTemperature: suctionLine }));
    if (state) found.superheat = BANDS[bandOf(state.value.difference, SUPERHEAT)];
  }
  if (head !== null && liquidLine !== null) {
    const state = keep(subcooling({ table, liquid: head, lineTemperature: liquidLine }));
    if (state)
      found.subcooling =
        state.value.difference < NO_SUBCOOLING_K ? 'none' : BANDS[bandOf(state.value.difference, SUBCOOLING)];
  }
  if (numbers.standing !== null && ambient !== null) {
    const check = keep(
      standingCheck({
        table,
        standing: numbers.standing,
        ambient,
        doubt: fahrenheitDegrees(3),
        resolution: 7000,
      }),
    );
    if (check) found.standing = STANDING[check.value.verdict];
  }
  if (ampsShare !== null) found.amps = BANDS[bandOf(ampsShare, AMPS)];
  return { observed: found, lacking: lackingOf(numbers), refusals };
}

function lackingOf(numbers: Numbers): Lacking[] {
  const { suction, head, box, ambient, atmosphere } = numbers;
  // In vacuum it is low whatever the box.
  const suctionSays = suction !== null && suction < atmosphere;
  const wanted: [
    reading: Lacking['reading'],
    given: number | null,
    needs: Lacking['needs'],
    has: number | null,
  ][] = [
    ['suction', suctionSays ? null : suction, 'box', box],
    ['head', head, 'ambient', ambient],
    ['suctionLine', numbers.suctionLine, 'suction', suction],
    ['liquidLine', numbers.liquidLine, 'head', head],
    ['standing', numbers.standing, 'ambient', ambient],
  ];
  return wanted.flatMap(([reading, given, needs, has]) =>
    given !== null && has === null ? [{ reading, needs }] : [],
  );
}

const BANDS = { below: 'low', within: 'normal', above: 'high' } as const;
const STANDING = { liquidPresent: 'saturation', vapourOnly: 'below', airOrWrongGas: 'above' } as const;

const sided = (value: number, goal: number, width: number): 'low' | 'normal' | 'high' =>
  BANDS[bandOf(value, { low: goal - width, high: goal + width })];
