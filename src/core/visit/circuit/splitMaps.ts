/** Maps of machines with a condensing unit and one or several cooled rooms. */
import { type CircuitMap, type MapPart, type Pipe, placed } from './map';

/** Condensing unit with a receiver; its liquid leaves at the right, its suction comes back at the left. */
export const unit = (where: string, prefix: string, water: boolean, fromRow = 0): MapPart[] =>
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

export const highSide = (prefix: string, water: boolean): string[] =>
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

export function split(rooms: readonly string[], water = false): CircuitMap {
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
