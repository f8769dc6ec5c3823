/** Maps of self-contained machines, racks, chillers and milk tanks. */
import { type CircuitMap, MOST_BRANCHES, type MapPart, type Pipe, placed } from './map';
import { highSide, unit } from './splitMaps';

export const capillary = (): CircuitMap => ({
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

export function rack(circuits: readonly string[]): CircuitMap {
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

export const chiller = (): CircuitMap => ({
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
export function milkTank(): CircuitMap {
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
