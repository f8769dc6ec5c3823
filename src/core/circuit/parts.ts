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
  dischargeLine: { side: 'high', readily: 2, said: ['discharge line', 'discharge pipe', 'hot gas'] },
  oilSeparator: { side: 'high', readily: 1, said: ['oil separator', 'separator'] },
  condenser: { side: 'high', readily: 1, said: ['condenser'] },
  condenserBends: { side: 'high', readily: 2, said: ['condenser bend', 'condenser u-bend', 'return bend'] },
  waterCondenser: {
    side: 'high',
    readily: 1,
    said: ['condenser barrel', 'water-cooled condenser', 'tube sheet'],
  },
  headControl: { side: 'high', readily: 1, said: ['head pressure', 'head control'] },
  receiver: { side: 'high', readily: 1, said: ['receiver', 'fusible plug', 'level'] },
  receiverValve: {
    side: 'high',
    readily: 2,
    said: ['receiver valve', 'king valve', 'liquid valve'],
    valve: true,
  },
  relief: { side: 'high', readily: 2, said: ['relief', 'safety valve'] },
  drier: { side: 'high', readily: 2, said: ['drier', 'filter'] },
  sightGlass: { side: 'high', readily: 2, said: ['sight glass', 'indicator'] },
  liquidLine: { side: 'high', readily: 1, said: ['liquid line', 'liquid header'] },
  header: { side: 'low', readily: 1, said: ['header', 'manifold'] },
  solenoid: { side: 'high', readily: 1, said: ['solenoid'], valve: true },
  ballValve: { side: 'high', readily: 2, said: ['ball valve', 'stem', 'valve nut'], valve: true },
  flareNut: { side: 'high', readily: 3, said: ['flare', 'nut'] },
  expansionValve: { side: 'low', readily: 1, said: ['expansion valve', 'txv', 'power head'] },
  capillary: { side: 'high', readily: 2, said: ['capillary', 'cap tube'] },
  evaporator: { side: 'low', readily: 2, said: ['evaporator', 'coil', 'distributor'] },
  evaporatorBends: { side: 'low', readily: 3, said: ['u-bend', 'bend', 'end turn'] },
  evaporatorBarrel: { side: 'low', readily: 1, said: ['barrel', 'evaporator shell'] },
  buriedPipe: { side: 'low', readily: 1, said: ['rail', 'buried', 'plate', 'foam'], hidden: true },
  drainPan: { side: 'low', readily: 0, said: ['drain', 'pan'] },
  suctionLine: { side: 'low', readily: 2, said: ['suction line', 'suction pipe', 'suction header'] },
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
  },
} as const satisfies Record<string, PartType>;

export type PartTypeName = keyof typeof PART_TYPES;
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
