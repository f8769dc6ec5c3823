/**
 * What readings amount to: saturation beside each pressure, superheat, subcooling, split and the difference at the coil,
 * what each figure should be, and whether it is high, low or right. Pa absolute, K.
 */
import { type Band, SUBCOOLING, SUPERHEAT, bandOf, subcooling, superheat } from '../../calculators/superheat';
import { targets } from '../../calculators/targets';
import { type Observed, READING_NAMES } from '../../diagnosis/readings';
import {
  type Lacking,
  type Numbers,
  observe,
  subcoolingShown,
  superheatShown,
} from '../../diagnosis/observe';
import type { Kelvins, KelvinsApart, Pascals } from '../../quantity/si';
import {
  type SaturationTable,
  saturationPressure,
  saturationTemperature,
} from '../../refrigerant/saturation';
import { valueOf } from '../notes/stated';
import { type ReadingsSoFar, readNumber } from '../visitRecord';
import { roughly } from './roughly';

export type Mark = 'high' | 'low' | 'right';
const MARK: Record<Band, Mark> = { above: 'high', below: 'low', within: 'right' };

export interface Figures {
  /** K: dew at the suction, bubble at the head */
  saturatedSuction: Kelvins | null;
  saturatedHead: Kelvins | null;
  superheat: KelvinsApart | null;
  subcooling: KelvinsApart | null;
  /** condensing above the air, or above the water that leaves */
  split: KelvinsApart | null;
  /** box above evaporating */
  coilDifference: KelvinsApart | null;
  /** what the gauges should read for this box and this air; null while either is not known */
  aim: { suction: Pascals; head: Pascals } | null;
  marks: Partial<
    Record<
      'suction' | 'head' | 'suctionLine' | 'liquidLine' | 'superheat' | 'subcooling' | 'amps' | 'split',
      Mark
    >
  >;
  observed: Observed;
  /** readings that say nothing, for want of another */
  lacking: readonly Lacking[];
}

export interface MachineRead {
  table: SaturationTable;
  atmosphere: Pascals;
  /** K between box and coil that is usual for this kind */
  difference: KelvinsApart;
  split: KelvinsApart;
  /** share of the full charge that was weighed out in this visit; null: it was not, or not all of it */
  recovered: number | null;
}

const SIDE: Partial<Record<string, Mark>> = {
  vacuum: 'low',
  nearAmbient: 'low',
  low: 'low',
  normal: 'right',
  high: 'high',
};
/** Off its split by more than this is high or low, K. */
const SPLIT_WIDTH_K = (10 * 5) / 9;

export function figuresOf(so: ReadingsSoFar, machine: MachineRead): Figures {
  const number = (name: string): number | null => readNumber(so, name);
  const { table } = machine;
  // A gauge may be read by its degrees: they stand for the pressure of that side.
  const standsFor = (line: 'dew' | 'bubble', kelvins: number | null): number | null => {
    const found = kelvins === null ? null : saturationPressure(table, line, kelvins);
    return found?.ok ? found.value : null;
  };
  const suction = number('suction') ?? standsFor('dew', number('saturationLow'));
  const head = number('head') ?? standsFor('bubble', number('saturationHigh'));
  const [box, air, waterOut] = [number('box'), number('ambient'), number('waterOut')];
  const [amps, rated] = [number('amps'), number('rated')];
  const [suctionLine, liquidLine] = [number('suctionLine'), number('liquidLine')];
  const at = (line: 'dew' | 'bubble', pressure: number | null): number | null => {
    const found = pressure === null ? null : saturationTemperature(table, line, pressure);
    return found?.ok ? found.value : null;
  };
  const [saturatedSuction, saturatedHead] = [at('dew', suction), at('bubble', head)];
  const over =
    suction !== null && suctionLine !== null
      ? superheat({ table, suction, lineTemperature: suctionLine })
      : null;
  const under =
    head !== null && liquidLine !== null
      ? subcooling({ table, liquid: head, lineTemperature: liquidLine })
      : null;
  const aim =
    box !== null && air !== null
      ? targets({
          table,
          box,
          ambient: air,
          difference: machine.difference,
          split: machine.split,
          airMeasured: true,
        })
      : null;
  const given: Numbers = {
    table,
    atmosphere: machine.atmosphere,
    suction,
    head,
    suctionLine,
    liquidLine,
    box,
    ambient: air,
    standing: number('standing'),
    difference: machine.difference,
    split: machine.split,
    amps,
    rated,
    atRest: valueOf(so.signs['running']) === 'no',
    headHeldAt: null,
    recovered: machine.recovered,
  };
  const read = observe(given);
  const rough = roughly(so, (limits) => observe({ ...given, ...limits }).observed);
  // What an instrument worked out by itself counts where this machine's own figures do not say it.
  const [shownOver, shownUnder] = [number('superheat'), number('subcooling')];
  const readOff: Observed = {
    ...(shownOver === null ? {} : { superheat: superheatShown(shownOver) }),
    ...(shownUnder === null ? {} : { subcooling: subcoolingShown(shownUnder) }),
  };
  const sink = waterOut ?? air;
  const split = saturatedHead !== null && sink !== null ? saturatedHead - sink : null;
  const mark = (name: 'suction' | 'head' | 'amps'): Partial<Record<typeof name, Mark>> => {
    const found = SIDE[read.observed[name] ?? rough[name] ?? ''];
    return found ? { [name]: found } : {};
  };
  return {
    saturatedSuction,
    saturatedHead,
    superheat: over?.ok ? over.value.value.difference : null,
    subcooling: under?.ok ? under.value.value.difference : null,
    split,
    coilDifference: box !== null && saturatedSuction !== null ? box - saturatedSuction : null,
    aim: aim?.ok ? { suction: aim.value.value.suction, head: aim.value.value.head } : null,
    marks: {
      ...mark('suction'),
      ...mark('head'),
      ...mark('amps'),
      ...(over?.ok ? { suctionLine: MARK[bandOf(over.value.value.difference, SUPERHEAT)] } : {}),
      ...(under?.ok ? { liquidLine: MARK[bandOf(under.value.value.difference, SUBCOOLING)] } : {}),
      ...(shownOver === null ? {} : { superheat: MARK[bandOf(shownOver, SUPERHEAT)] }),
      ...(shownUnder === null ? {} : { subcooling: MARK[bandOf(shownUnder, SUBCOOLING)] }),
      ...(split === null ? {} : { split: splitMark(split, machine.split) }),
    },
    observed: { ...rough, ...readOff, ...read.observed, ...signsOf(so) },
    lacking: read.lacking,
  };
}

/** What was seen, felt or heard, by its reading. */
const signsOf = ({ signs }: ReadingsSoFar): Observed =>
  Object.fromEntries(
    READING_NAMES.flatMap((name) => {
      const value = valueOf(signs[name]);
      return value === null ? [] : [[name, value]];
    }),
  );

const splitMark = (split: KelvinsApart, usual: KelvinsApart): Mark =>
  MARK[bandOf(split, { low: usual - SPLIT_WIDTH_K, high: usual + SPLIT_WIDTH_K })];
