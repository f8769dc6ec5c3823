/**
 * The parts of a refrigerating circuit that a search looks at, by type: on which side they stand, how often such a part is
 * the one that leaks (judgement, as a weight), and whether bubbles can show it.
 */
export type Side = 'low' | 'high';

export interface PartType {
  side: Side;
  /** how readily this type leaks: 0 seldom, 3 often */
  readily: 0 | 1 | 2 | 3;
  /** words by which people name it in a note */
  said: readonly string[];
  /** leaks into its own housing, where no bubble shows outside */
  hidden?: true;
  /** opens on the outside when the compressor's way is shut here */
  ofCompressor?: true;
  /** a valve that can be shut */
  valve?: true;
  /** lines meet in it, however many */
  joins?: true;
  /** hangs on a part, in no flow */
  stub?: true;
  /** no refrigerant stands in it */
  dry?: true;
}

export const PART_TYPES = {
  compressor: { side: 'high', readily: 1, said: ['compressor', 'head gasket', 'terminal', 'shaft seal'] },
  serviceValveSuction: {
    side: 'low',
    readily: 2,
    said: ['suction service valve', 'suction valve'],
    ofCompressor: true,
    valve: true,
  },
  serviceValveDischarge: {
    side: 'high',
    readily: 2,
    said: ['discharge service valve', 'discharge valve'],
    ofCompressor: true,
    valve: true,
  },
  dischargeLine: {
    side: 'high',
    readily: 2,
    said: ['discharge line', 'discharge pipe', 'hot gas'],
    joins: true,
  },
  oilSeparator: { side: 'high', readily: 1, said: ['oil separator', 'separator'] },
  condenser: { side: 'high', readily: 1, said: ['condenser'] },
  condenserBends: { side: 'high', readily: 2, said: ['condenser bend', 'condenser u-bend', 'return bend'] },
  waterCondenser: {
    side: 'high',
    readily: 1,
    said: ['condenser barrel', 'water-cooled condenser', 'tube sheet'],
  },
  headControl: { side: 'high', readily: 1, said: ['head pressure', 'head control'] },
  receiver: { side: 'high', readily: 1, said: ['receiver', 'level'] },
  receiverValve: {
    side: 'high',
    readily: 2,
    said: ['receiver valve', 'king valve', 'liquid valve'],
    valve: true,
  },
  relief: { side: 'high', readily: 2, said: ['relief', 'safety valve'], stub: true },
  drier: { side: 'high', readily: 2, said: ['drier', 'filter'] },
  sightGlass: { side: 'high', readily: 2, said: ['sight glass', 'indicator'] },
  liquidLine: { side: 'high', readily: 1, said: ['liquid line', 'liquid header'], joins: true },
  header: { side: 'low', readily: 1, said: ['header', 'manifold'], joins: true },
  solenoid: { side: 'high', readily: 1, said: ['solenoid'], valve: true },
  ballValve: { side: 'high', readily: 2, said: ['ball valve', 'stem', 'valve nut'], valve: true },
  flareNut: { side: 'high', readily: 3, said: ['flare', 'nut'] },
  expansionValve: { side: 'low', readily: 1, said: ['expansion valve', 'txv', 'power head'] },
  capillary: { side: 'high', readily: 2, said: ['capillary', 'cap tube'] },
  evaporator: { side: 'low', readily: 2, said: ['evaporator', 'coil', 'distributor'] },
  evaporatorBends: { side: 'low', readily: 3, said: ['u-bend', 'bend', 'end turn'] },
  evaporatorBarrel: { side: 'low', readily: 1, said: ['barrel', 'evaporator shell'] },
  buriedPipe: { side: 'low', readily: 1, said: ['rail', 'buried', 'plate', 'foam'], hidden: true },
  drainPan: { side: 'low', readily: 0, said: ['drain', 'pan'], stub: true, dry: true },
  suctionLine: {
    side: 'low',
    readily: 2,
    said: ['suction line', 'suction pipe', 'suction header'],
    joins: true,
  },
  accessPort: { side: 'low', readily: 3, said: ['access', 'port', 'core', 'stub', 'clamp-on', 'cap'] },
  accumulator: { side: 'low', readily: 1, said: ['accumulator'] },
  vibrationAbsorber: { side: 'low', readily: 3, said: ['vibration absorber', 'absorber', 'flexible'] },
  hotGasValve: { side: 'high', readily: 1, said: ['hot gas valve', 'defrost valve'], valve: true },
  checkValve: { side: 'high', readily: 1, said: ['check valve'] },
  pressureControl: {
    side: 'low',
    readily: 2,
    said: ['pressure control', 'pressure switch', 'bellows'],
    hidden: true,
    stub: true,
  },
  tee: { side: 'low', readily: 1, said: ['tee'], joins: true },
  gaugeTee: { side: 'low', readily: 2, said: ['gauge tee'], stub: true },
  pigtail: { side: 'low', readily: 3, said: ['pigtail'], stub: true },
  processTube: { side: 'low', readily: 3, said: ['process tube', 'pinched-off stub'], stub: true },
  fusiblePlug: { side: 'high', readily: 2, said: ['fusible plug'], stub: true },
  equaliser: { side: 'low', readily: 2, said: ['equaliser', 'equalizer'] },
  oilReturn: { side: 'high', readily: 1, said: ['oil return'] },
  waterValve: { side: 'high', readily: 1, said: ['water valve'], stub: true },
  /** what another program or a person calls by a name that is none of these */
  other: { side: 'low', readily: 1, said: [] },
} as const satisfies Record<string, PartType>;

export type PartTypeName = keyof typeof PART_TYPES;
/** A type of ours, or `other` for a word that is none. */
export const knownType = (name: string): PartTypeName =>
  Object.hasOwn(PART_TYPES, name) ? (name as PartTypeName) : 'other';
export const partType = (name: PartTypeName): PartType => PART_TYPES[name];

/** The type that a note speaks of, by the longest of its words that stands in it; null where none does. */
export function typeSaid(text: string): PartTypeName | null {
  const lower = text.toLowerCase();
  let best: { type: PartTypeName; length: number } | null = null;
  for (const [name, { said }] of Object.entries(PART_TYPES) as [PartTypeName, PartType][]) {
    for (const words of said)
      if (lower.includes(words) && words.length > (best?.length ?? 0))
        best = { type: name, length: words.length };
  }
  return best?.type ?? null;
}
