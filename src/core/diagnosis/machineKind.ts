/** What a machine has, so that it is blamed and asked only for that: null where nobody knows. */
import type { CauseName } from './causes';
import type { Reading } from './readings';

export interface MachineKind {
  /** a valve that meters by superheat, or a capillary or fixed opening */
  metering: 'valve' | 'capillary' | null;
  solenoid: boolean | null;
  sightGlass: boolean | null;
  drier: boolean | null;
}

export const anyMachine: MachineKind = { metering: null, solenoid: null, sightGlass: null, drier: null };

/** A cabinet with a capillary has neither valve nor solenoid; plugged, the capillary is its restriction. */
export function canBe({ metering, solenoid }: MachineKind, cause: CauseName): boolean {
  if (cause === 'valveStarving' || cause === 'valveFlooding') return metering !== 'capillary';
  if (cause === 'pumpedDown') return solenoid !== false;
  return true;
}

export function canRead({ solenoid, sightGlass, drier }: MachineKind, reading: Reading): boolean {
  if (reading === 'sightGlass' || reading === 'indicator') return sightGlass !== false;
  if (reading === 'solenoidCold') return solenoid !== false;
  if (reading === 'drierDrop') return drier !== false;
  return true;
}
