/**
 * Circuit maps as data: searched by the core, drawn by the interface; the id of a part is the same in both, and in the
 * logbook.
 */
import type { Appliance } from '../logbook/tables';
import type { CircuitMap } from './map';
import { cabinetValve, capillary, chiller, rack } from './roundMaps';
import { milkTank, split } from './unitMaps';

export const LAYOUTS = [
  'split',
  'capillary',
  'cabinetValve',
  'twoRooms',
  'rack',
  'chiller',
  'waterCooled',
  'milkTank',
] as const;
export type LayoutName = (typeof LAYOUTS)[number];
export const isLayout = (text: string): text is LayoutName => LAYOUTS.some((each) => each === text);

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

/** The circuit of a layout; `spaces` are the names on the doors of what the machine cools, all of which are on it. */
export function circuitMap(layout: LayoutName, spaces: readonly string[]): CircuitMap {
  switch (layout) {
    case 'split':
      return split(spaces.length > 0 ? spaces : ['box']);
    case 'waterCooled':
      return split(spaces.length > 0 ? spaces : ['box'], true);
    case 'twoRooms':
      return split(spaces.length > 1 ? spaces : ['room 1', 'room 2']);
    case 'rack':
      return rack(spaces.length > 0 ? spaces : ['circuit 1', 'circuit 2', 'circuit 3']);
    case 'capillary':
      return capillary();
    case 'cabinetValve':
      return cabinetValve();
    case 'chiller':
      return chiller();
    case 'milkTank':
      return milkTank(spaces[0] ?? 'tank');
  }
}
