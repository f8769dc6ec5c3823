/**
 * Circuit maps as data: the parts of each kind of machine on a grid eight cells wide, and the pipes between them. Drawn by
 * the interface, searched by the core; the id of a part is the same in both, and in the logbook.
 */
import type { Appliance } from '../../logbook/tables';
import type { PartTypeName, Side } from './parts';

export interface MapPart {
  id: string;
  type: PartTypeName;
  column: number;
  row: number;
  /** where a person stands to reach it */
  where: string;
}

export interface Pipe {
  side: Side;
  /** ids of parts, one after the other */
  through: readonly string[];
}

export interface CircuitMap {
  parts: readonly MapPart[];
  pipes: readonly Pipe[];
  rows: number;
  /** first row of each place, with its name */
  places: readonly { where: string; fromRow: number }[];
}

export const LAYOUTS = [
  'split',
  'capillary',
  'twoRooms',
  'rack',
  'chiller',
  'waterCooled',
  'milkTank',
] as const;
export type LayoutName = (typeof LAYOUTS)[number];
export const isLayout = (text: string): text is LayoutName => LAYOUTS.some((each) => each === text);

type Placed = readonly [id: string, type: PartTypeName, column: number, row: number];

const placed = (where: string, prefix: string, cells: readonly Placed[], fromRow = 0): MapPart[] =>
  cells.map(([id, type, column, row]) => ({ id: `${prefix}${id}`, type, column, row: row + fromRow, where }));

const MOST_BRANCHES = 6;

/** Condensing unit with a receiver; its liquid leaves at the right, its suction comes back at the left. */
const unit = (where: string, prefix: string, water: boolean, fromRow = 0): MapPart[] =>
  placed(
    where,
    prefix,
    [
      ['compressor', 'compressor', 0, 1],
      ['dischargeValve', 'serviceValveDischarge', 1, 0],
      ['dischargeLine', 'dischargeLine', 2, 0],
      ...(water
        ? ([['condenser', 'waterCondenser', 4, 0]] as const)
        : ([
            ['condenser', 'condenser', 4, 0],
            ['condenserBends', 'condenserBends', 5, 0],
          ] as const)),
      ['headControl', 'headControl', 6, 0],
      ['receiver', 'receiver', 6, 1],
      ['receiverValve', 'receiverValve', 7, 1],
      ['pressureControl', 'pressureControl', 1, 2],
      ['suctionValve', 'serviceValveSuction', 0, 2],
      ['drier', 'drier', 7, 2],
      ['sightGlass', 'sightGlass', 6, 2],
    ],
    fromRow,
  );

const highSide = (prefix: string, water: boolean): string[] =>
  [
    'compressor',
    'dischargeValve',
    'dischargeLine',
    'condenser',
    ...(water ? [] : ['condenserBends']),
    'headControl',
    'receiver',
    'receiverValve',
    'drier',
    'sightGlass',
  ].map((id) => `${prefix}${id}`);

/** What stands in one cooled room: from the solenoid to the coil's bends. */
const room = (where: string, prefix: string, fromRow: number): MapPart[] =>
  placed(
    where,
    prefix,
    [
      ['solenoid', 'solenoid', 7, 0],
      ['flareNut', 'flareNut', 6, 0],
      ['expansionValve', 'expansionValve', 5, 0],
      ['evaporator', 'evaporator', 4, 0],
      ['evaporatorBends', 'evaporatorBends', 3, 0],
      ['drainPan', 'drainPan', 4, 1],
    ],
    fromRow,
  );

const roomPipes = (prefix: string, from: string, to: string): Pipe[] => [
  { side: 'high', through: [from, `${prefix}solenoid`, `${prefix}flareNut`, `${prefix}expansionValve`] },
  {
    side: 'low',
    through: [`${prefix}expansionValve`, `${prefix}evaporator`, `${prefix}evaporatorBends`, to],
  },
];

const lines = (fromRow: number): MapPart[] =>
  placed(
    'lines',
    '',
    [
      ['liquidLine', 'liquidLine', 7, 0],
      ['accessPort', 'accessPort', 0, 0],
      ['suctionLine', 'suctionLine', 0, 1],
    ],
    fromRow,
  );

function split(rooms: readonly string[], water = false): CircuitMap {
  const many = rooms.length > 1;
  const prefixOf = (index: number): string => (many ? `room${String(index + 1)}.` : '');
  const firstRoom = 5;
  return {
    parts: [
      ...unit('unit', '', water),
      ...lines(3),
      ...rooms.flatMap((name, index) => room(name, prefixOf(index), firstRoom + index * 2)),
    ],
    pipes: [
      { side: 'high', through: [...highSide('', water), 'liquidLine'] },
      ...rooms.flatMap((_, index) => roomPipes(prefixOf(index), 'liquidLine', 'suctionLine')),
      { side: 'low', through: ['suctionLine', 'accessPort', 'suctionValve', 'compressor'] },
    ],
    rows: firstRoom + rooms.length * 2,
    places: [
      { where: 'unit', fromRow: 0 },
      { where: 'lines', fromRow: 3 },
      ...rooms.map((name, index) => ({ where: name, fromRow: firstRoom + index * 2 })),
    ],
  };
}

const capillary = (): CircuitMap => ({
  parts: placed('cabinet', '', [
    ['compressor', 'compressor', 0, 1],
    ['dischargeLine', 'dischargeLine', 1, 0],
    ['condenser', 'condenser', 3, 0],
    ['condenserBends', 'condenserBends', 5, 0],
    ['drier', 'drier', 7, 1],
    ['capillary', 'capillary', 7, 2],
    ['capillaryJoint', 'capillary', 6, 3],
    ['evaporator', 'evaporator', 5, 3],
    ['evaporatorBends', 'evaporatorBends', 3, 3],
    ['buriedPipe', 'buriedPipe', 2, 3],
    ['drainPan', 'drainPan', 4, 4],
    ['suctionLine', 'suctionLine', 0, 3],
    ['accessPort', 'accessPort', 0, 2],
  ]),
  pipes: [
    {
      side: 'high',
      through: [
        'compressor',
        'dischargeLine',
        'condenser',
        'condenserBends',
        'drier',
        'capillary',
        'capillaryJoint',
      ],
    },
    {
      side: 'low',
      through: [
        'capillaryJoint',
        'evaporator',
        'evaporatorBends',
        'buriedPipe',
        'suctionLine',
        'accessPort',
        'compressor',
      ],
    },
  ],
  rows: 5,
  places: [{ where: 'cabinet', fromRow: 0 }],
});

function rack(circuits: readonly string[]): CircuitMap {
  const named = circuits.slice(0, MOST_BRANCHES);
  const firstRow = 4;
  const prefixOf = (index: number): string => `circuit${String(index + 1)}.`;
  return {
    parts: [
      ...placed('machine room', '', [
        ['compressor', 'compressor', 1, 1],
        ['suctionValve', 'serviceValveSuction', 1, 2],
        ['dischargeValve', 'serviceValveDischarge', 2, 0],
        ['dischargeLine', 'dischargeLine', 3, 0],
        ['oilSeparator', 'oilSeparator', 4, 0],
        ['condenser', 'condenser', 6, 0],
        ['condenserBends', 'condenserBends', 7, 0],
        ['receiver', 'receiver', 6, 1],
        ['relief', 'relief', 5, 1],
        ['receiverValve', 'receiverValve', 7, 1],
        ['drier', 'drier', 7, 2],
        ['sightGlass', 'sightGlass', 6, 2],
        ['pressureControl', 'pressureControl', 3, 2],
        ['accessPort', 'accessPort', 2, 2],
        ['suctionHeader', 'header', 0, 3],
        ['liquidHeader', 'liquidLine', 7, 3],
      ]),
      ...named.flatMap((name, index) =>
        placed(
          name,
          prefixOf(index),
          [
            ['liquidBallValve', 'ballValve', 7, 0],
            ['solenoid', 'solenoid', 6, 0],
            ['flareNut', 'flareNut', 5, 0],
            ['expansionValve', 'expansionValve', 4, 0],
            ['evaporator', 'evaporator', 3, 0],
            ['evaporatorBends', 'evaporatorBends', 2, 0],
            ['suctionBallValve', 'ballValve', 1, 0],
          ],
          firstRow + index,
        ),
      ),
    ],
    pipes: [
      {
        side: 'high',
        through: [
          'compressor',
          'dischargeValve',
          'dischargeLine',
          'oilSeparator',
          'condenser',
          'condenserBends',
          'receiver',
          'receiverValve',
          'drier',
          'sightGlass',
          'liquidHeader',
        ],
      },
      ...named.flatMap((_, index): Pipe[] => {
        const at = (id: string): string => `${prefixOf(index)}${id}`;
        return [
          {
            side: 'high',
            through: [
              'liquidHeader',
              at('liquidBallValve'),
              at('solenoid'),
              at('flareNut'),
              at('expansionValve'),
            ],
          },
          {
            side: 'low',
            through: [
              at('expansionValve'),
              at('evaporator'),
              at('evaporatorBends'),
              at('suctionBallValve'),
              'suctionHeader',
            ],
          },
        ];
      }),
      { side: 'low', through: ['suctionHeader', 'accessPort', 'suctionValve', 'compressor'] },
    ],
    rows: firstRow + named.length,
    places: [
      { where: 'machine room', fromRow: 0 },
      ...named.map((name, index) => ({ where: name, fromRow: firstRow + index })),
    ],
  };
}

const chiller = (): CircuitMap => ({
  parts: placed('machine room', '', [
    ['compressor', 'compressor', 1, 1],
    ['dischargeValve', 'serviceValveDischarge', 2, 0],
    ['dischargeLine', 'dischargeLine', 3, 0],
    ['condenser', 'waterCondenser', 5, 0],
    ['relief', 'relief', 6, 1],
    ['receiverValve', 'receiverValve', 7, 1],
    ['drier', 'drier', 7, 2],
    ['sightGlass', 'sightGlass', 7, 3],
    ['solenoid', 'solenoid', 6, 4],
    ['expansionValve', 'expansionValve', 5, 4],
    ['evaporator', 'evaporatorBarrel', 3, 4],
    ['suctionLine', 'suctionLine', 0, 4],
    ['accessPort', 'accessPort', 0, 3],
    ['suctionValve', 'serviceValveSuction', 0, 2],
    ['pressureControl', 'pressureControl', 2, 2],
  ]),
  pipes: [
    {
      side: 'high',
      through: [
        'compressor',
        'dischargeValve',
        'dischargeLine',
        'condenser',
        'receiverValve',
        'drier',
        'sightGlass',
        'solenoid',
        'expansionValve',
      ],
    },
    {
      side: 'low',
      through: ['expansionValve', 'evaporator', 'suctionLine', 'accessPort', 'suctionValve', 'compressor'],
    },
  ],
  rows: 5,
  places: [{ where: 'machine room', fromRow: 0 }],
});

/** A bulk milk tank: two condensing units, each with its own plate in the tank's floor. */
function milkTank(): CircuitMap {
  const rowsOfUnit = 5;
  const half = (number: number): { parts: MapPart[]; pipes: Pipe[] } => {
    const prefix = `unit${String(number)}.`;
    const where = `unit ${String(number)}`;
    const fromRow = (number - 1) * rowsOfUnit;
    const at = (id: string): string => `${prefix}${id}`;
    return {
      parts: [
        ...unit(where, prefix, false, fromRow),
        ...placed(
          where,
          prefix,
          [
            ['flareNut', 'flareNut', 7, 3],
            ['expansionValve', 'expansionValve', 6, 3],
            ['plate', 'buriedPipe', 4, 3],
            ['suctionLine', 'suctionLine', 2, 3],
            ['accessPort', 'accessPort', 0, 3],
          ],
          fromRow,
        ),
      ],
      pipes: [
        { side: 'high', through: [...highSide(prefix, false), at('flareNut'), at('expansionValve')] },
        {
          side: 'low',
          through: ['expansionValve', 'plate', 'suctionLine', 'accessPort', 'suctionValve', 'compressor'].map(
            at,
          ),
        },
      ],
    };
  };
  const halves = [half(1), half(2)];
  return {
    parts: halves.flatMap((each) => each.parts),
    pipes: halves.flatMap((each) => each.pipes),
    rows: 2 * rowsOfUnit - 1,
    places: [
      { where: 'unit 1', fromRow: 0 },
      { where: 'unit 2', fromRow: rowsOfUnit },
    ],
  };
}

/** The layout that a machine most likely has, from its kind and what it serves; a person can choose another. */
export function likelyLayout(appliance: Pick<Appliance, 'kind' | 'hermetic' | 'serves'>): LayoutName {
  switch (appliance.kind) {
    case 'rack':
      return 'rack';
    case 'chiller':
      return 'chiller';
    case 'milkTank':
      return 'milkTank';
    case 'reachIn':
    case 'iceMachine':
      return 'capillary';
    default:
      if (appliance.hermetic) return 'capillary';
      return (appliance.serves ?? []).length > 1 ? 'twoRooms' : 'split';
  }
}

/** The map of a layout; `spaces` are the names on the doors of what the machine cools. */
export function circuitMap(layout: LayoutName, spaces: readonly string[]): CircuitMap {
  switch (layout) {
    case 'split':
      return split([spaces[0] ?? 'box']);
    case 'waterCooled':
      return split([spaces[0] ?? 'box'], true);
    case 'twoRooms':
      return split(spaces.length > 1 ? spaces.slice(0, MOST_BRANCHES) : ['room 1', 'room 2']);
    case 'rack':
      return rack(spaces.length > 0 ? spaces : ['circuit 1', 'circuit 2', 'circuit 3']);
    case 'capillary':
      return capillary();
    case 'chiller':
      return chiller();
    case 'milkTank':
      return milkTank();
  }
}
