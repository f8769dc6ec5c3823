/** Circuits that stand in one place: cabinets, chillers, and racks with all of their circuits. */
import type { PipingLine } from '../logbook/piping';
import { type CircuitMap, line, mapOf, section } from './map';
import type { PartTypeName } from './parts';

/** A cabinet by what stands between its drier and its coil, and between its coil and its suction line. */
function cabinet(
  metering: readonly (readonly [id: string, type: PartTypeName])[],
  fed: readonly PipingLine[],
  behind: readonly (readonly [id: string, type: PartTypeName])[],
): CircuitMap {
  const last = metering.at(-1)?.[0] ?? 'drier';
  return mapOf(
    [
      section('cabinet', 'cabinet', '', [
        ['compressor', 'compressor'],
        ['dischargeLine', 'dischargeLine'],
        ['condenser', 'condenser'],
        ['condenserBends', 'condenserBends'],
        ['drier', 'drier'],
        ...metering,
        ['evaporator', 'evaporator'],
        ['evaporatorBends', 'evaporatorBends'],
        ...behind,
        ['drainPan', 'drainPan'],
        ['suctionLine', 'suctionLine'],
        ['accessPort', 'accessPort'],
      ]),
    ],
    [
      line('discharge', ['compressor', 'dischargeLine', 'condenser']),
      ...fed,
      line('suction', [
        ...[last, 'evaporator', 'evaporatorBends', ...behind.map(([id]) => id)],
        ...['suctionLine', 'accessPort', 'compressor'],
      ]),
    ],
  );
}

export const capillary = (): CircuitMap =>
  cabinet(
    [
      ['capillary', 'capillary'],
      ['capillaryJoint', 'capillary'],
    ],
    [
      line('liquid', ['condenser', 'condenserBends', 'drier', 'capillary']),
      line('capillary', ['capillary', 'capillaryJoint']),
    ],
    [['buriedPipe', 'buriedPipe']],
  );

/** A cabinet with an expansion valve and a sight glass, and no receiver. */
export const cabinetValve = (): CircuitMap =>
  cabinet(
    [
      ['sightGlass', 'sightGlass'],
      ['flareNut', 'flareNut'],
      ['expansionValve', 'expansionValve'],
    ],
    [line('liquid', ['condenser', 'condenserBends', 'drier', 'sightGlass', 'flareNut', 'expansionValve'])],
    [],
  );

const circuitLines = (prefix: string): PipingLine[] => [
  line('liquid', [
    'liquidHeader',
    ...['liquidBallValve', 'solenoid', 'flareNut', 'expansionValve'].map((id) => `${prefix}${id}`),
  ]),
  line('suction', [
    ...['expansionValve', 'evaporator', 'evaporatorBends', 'suctionBallValve'].map((id) => `${prefix}${id}`),
    'suctionHeader',
  ]),
];

/** A rack with every one of its circuits, however many: a search counts over all of them. */
export function rack(circuits: readonly string[]): CircuitMap {
  const prefixOf = (index: number): string => `circuit${String(index + 1)}.`;
  return mapOf(
    [
      section('rack', 'machine room', '', [
        ['compressor', 'compressor'],
        ['dischargeValve', 'serviceValveDischarge'],
        ['dischargeLine', 'dischargeLine'],
        ['oilSeparator', 'oilSeparator'],
        ['condenser', 'condenser'],
        ['condenserBends', 'condenserBends'],
        ['receiver', 'receiver'],
        ['relief', 'relief'],
        ['receiverValve', 'receiverValve'],
        ['drier', 'drier'],
        ['sightGlass', 'sightGlass'],
        ['liquidHeader', 'liquidLine'],
        ['suctionHeader', 'header'],
        ['accessPort', 'accessPort'],
        ['pressureControl', 'pressureControl'],
        ['suctionValve', 'serviceValveSuction'],
      ]),
      ...circuits.map((name, index) =>
        section('rackCircuit', name, prefixOf(index), [
          ['liquidBallValve', 'ballValve'],
          ['solenoid', 'solenoid'],
          ['flareNut', 'flareNut'],
          ['expansionValve', 'expansionValve'],
          ['evaporator', 'evaporator'],
          ['evaporatorBends', 'evaporatorBends'],
          ['suctionBallValve', 'ballValve'],
        ]),
      ),
    ],
    [
      line('discharge', ['compressor', 'dischargeValve', 'dischargeLine', 'oilSeparator', 'condenser']),
      line('liquid', [
        ...['condenser', 'condenserBends', 'receiver', 'receiverValve', 'drier', 'sightGlass'],
        'liquidHeader',
      ]),
      ...circuits.flatMap((_, index) => circuitLines(prefixOf(index))),
      line('suction', ['suctionHeader', 'accessPort', 'suctionValve', 'compressor']),
    ],
  );
}

export const chiller = (): CircuitMap =>
  mapOf(
    [
      section('chiller', 'machine room', '', [
        ['compressor', 'compressor'],
        ['dischargeValve', 'serviceValveDischarge'],
        ['dischargeLine', 'dischargeLine'],
        ['condenser', 'waterCondenser'],
        ['relief', 'relief'],
        ['receiverValve', 'receiverValve'],
        ['drier', 'drier'],
        ['sightGlass', 'sightGlass'],
        ['solenoid', 'solenoid'],
        ['expansionValve', 'expansionValve'],
        ['evaporator', 'evaporatorBarrel'],
        ['suctionLine', 'suctionLine'],
        ['accessPort', 'accessPort'],
        ['pressureControl', 'pressureControl'],
        ['suctionValve', 'serviceValveSuction'],
      ]),
    ],
    [
      line('discharge', ['compressor', 'dischargeValve', 'dischargeLine', 'condenser']),
      line('liquid', ['condenser', 'receiverValve', 'drier', 'sightGlass', 'solenoid', 'expansionValve']),
      line('suction', [
        ...['expansionValve', 'evaporator', 'suctionLine', 'accessPort', 'suctionValve', 'compressor'],
      ]),
    ],
  );
