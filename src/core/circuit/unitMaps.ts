/** Circuits with a condensing unit: one room, several rooms, water-cooled, and one unit of a milk tank. */
import type { PipingLine } from '../logbook/piping';
import { type CircuitMap, type MapSection, type SectionKind, line, mapOf, section } from './map';

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

/** From the compressor to the sight glass. */
const highSide = (water: boolean, ...on: string[]): PipingLine[] => [
  line('discharge', ['compressor', 'dischargeValve', 'dischargeLine', 'condenser']),
  line('liquid', [
    'condenser',
    ...(water ? [] : ['condenserBends']),
    ...['headControl', 'receiver', 'receiverValve', 'drier', 'sightGlass', ...on],
  ]),
];

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

const roomLines = (prefix: string): PipingLine[] => [
  line('liquid', ['liquidLine', `${prefix}solenoid`, `${prefix}flareNut`, `${prefix}expansionValve`]),
  line('suction', [
    `${prefix}expansionValve`,
    `${prefix}evaporator`,
    `${prefix}evaporatorBends`,
    'suctionLine',
  ]),
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
      ...highSide(water, 'liquidLine'),
      ...rooms.flatMap((_, index) => roomLines(prefixOf(index))),
      line('suction', ['suctionLine', 'accessPort', 'suctionValve', 'compressor']),
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
      ...highSide(false, 'flareNut', 'expansionValve'),
      line('suction', ['expansionValve', 'plate', 'suctionLine', 'accessPort', 'suctionValve', 'compressor']),
    ],
  );
}
