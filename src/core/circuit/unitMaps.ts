/** Circuits with a condensing unit: one room, several rooms, water-cooled, and one unit of a milk tank. */
import { type CircuitMap, type MapSection, type Pipe, type SectionKind, mapOf, section } from './map';

/** Condensing unit with a receiver, from the compressor along the high side; `more` stands in the same section. */
const unit = (
  kind: SectionKind,
  where: string,
  prefix: string,
  water: boolean,
  more: Parameters<typeof section>[3] = [],
): MapSection =>
  section(kind, where, prefix, [
    ['compressor', 'compressor'],
    ['dischargeValve', 'serviceValveDischarge'],
    ['dischargeLine', 'dischargeLine'],
    ...(water
      ? ([['condenser', 'waterCondenser']] as const)
      : ([
          ['condenser', 'condenser'],
          ['condenserBends', 'condenserBends'],
        ] as const)),
    ['headControl', 'headControl'],
    ['receiver', 'receiver'],
    ['receiverValve', 'receiverValve'],
    ['drier', 'drier'],
    ['sightGlass', 'sightGlass'],
    ['pressureControl', 'pressureControl'],
    ['suctionValve', 'serviceValveSuction'],
    ...more,
  ]);

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
const room = (where: string, prefix: string): MapSection =>
  section('room', where, prefix, [
    ['solenoid', 'solenoid'],
    ['flareNut', 'flareNut'],
    ['expansionValve', 'expansionValve'],
    ['evaporator', 'evaporator'],
    ['evaporatorBends', 'evaporatorBends'],
    ['drainPan', 'drainPan'],
  ]);

const roomPipes = (prefix: string): Pipe[] => [
  {
    side: 'high',
    through: ['liquidLine', `${prefix}solenoid`, `${prefix}flareNut`, `${prefix}expansionValve`],
  },
  {
    side: 'low',
    through: [`${prefix}expansionValve`, `${prefix}evaporator`, `${prefix}evaporatorBends`, 'suctionLine'],
  },
];

/** One unit and every room that it cools: a second room is searched like the first. */
export function split(rooms: readonly string[], water = false): CircuitMap {
  const many = rooms.length > 1;
  const prefixOf = (index: number): string => (many ? `room${String(index + 1)}.` : '');
  return mapOf(
    [
      unit('unit', 'unit', '', water),
      section('lines', 'lines', '', [
        ['liquidLine', 'liquidLine'],
        ['suctionLine', 'suctionLine'],
        ['accessPort', 'accessPort'],
      ]),
      ...rooms.map((name, index) => room(name, prefixOf(index))),
    ],
    [
      { side: 'high', through: [...highSide('', water), 'liquidLine'] },
      ...rooms.flatMap((_, index) => roomPipes(prefixOf(index))),
      { side: 'low', through: ['suctionLine', 'accessPort', 'suctionValve', 'compressor'] },
    ],
  );
}

/** One condensing unit of a bulk milk tank, with its plate in the tank's floor: a second unit is a machine of its own. */
export function milkTank(tank: string): CircuitMap {
  return mapOf(
    [
      unit('tankUnit', tank, '', false, [
        ['flareNut', 'flareNut'],
        ['expansionValve', 'expansionValve'],
        ['plate', 'buriedPipe'],
        ['suctionLine', 'suctionLine'],
        ['accessPort', 'accessPort'],
      ]),
    ],
    [
      { side: 'high', through: [...highSide('', false), 'flareNut', 'expansionValve'] },
      {
        side: 'low',
        through: ['expansionValve', 'plate', 'suctionLine', 'accessPort', 'suctionValve', 'compressor'],
      },
    ],
  );
}
