/**
 * Cautions, at the step where each matters, for this refrigerant and this kind of machine. Codes in the order of danger;
 * the words live in the interface. They warn and never block; local code and the licence holder decide.
 */
import type { ApplianceKind } from '../logbook/tables';
import { isFlammable, isHydrocarbon, refrigerant } from '../refrigerant/refrigerant';
import type { Step } from './steps';

export const CAUTIONS = [
  'toxicGas',
  'flammableAir',
  'flammableHotWork',
  'hotWork',
  'carbonDioxide',
  'lockedRoom',
  'roof',
  'lockOut',
  'nitrogen',
  'designPressure',
  'fanAndSoap',
  'cylinder80',
  'neverLetOut',
  'liquidFreezes',
  'criticalCharge',
  'blendsAsLiquid',
  'gaugeAboveAtmosphere',
  'certified',
  'openBeforeFlame',
  'liveMeasuring',
  'inverterAmps',
  'liquidInSips',
  'hydrocarbonOutdoors',
] as const;
export type CautionCode = (typeof CAUTIONS)[number];

/** These can kill where they are forgotten: they stand open. The others remind. */
export const KILLS: readonly CautionCode[] = [
  'toxicGas',
  'flammableAir',
  'flammableHotWork',
  'hotWork',
  'openBeforeFlame',
  'carbonDioxide',
  'lockedRoom',
  'lockOut',
];

export interface CautionFacts {
  /** null: nobody knows it, so it may burn and be toxic */
  refrigerant: string | null;
  kind: ApplianceKind;
  /** a leak was found, or parts stand, on a roof */
  roof: boolean;
  hermetic: boolean;
  glide: boolean;
}

const HANDS_ON: readonly Step[] = [
  'read',
  'search',
  'isolate',
  'repair',
  'hold',
  'evacuate',
  'charge',
  'prove',
];

export function cautionsOf(step: Step, facts: CautionFacts): CautionCode[] {
  const gas = facts.refrigerant === null ? null : refrigerant(facts.refrigerant);
  const flammable = gas === null || isFlammable(gas.name);
  const toxic = gas === null || gas.safetyClass.startsWith('B');
  const handsOn = HANDS_ON.includes(step);
  const at = (...steps: Step[]): boolean => steps.includes(step);
  const held: Record<CautionCode, boolean> = {
    toxicGas: toxic && (handsOn || at('arrive')),
    flammableAir: flammable && (at('arrive', 'search', 'isolate', 'charge') || (handsOn && at('read'))),
    flammableHotWork: flammable && at('repair'),
    hotWork: !flammable && at('repair'),
    carbonDioxide: (gas === null || gas.name === 'R-744') && (handsOn || at('arrive')),
    lockedRoom: ['walkIn', 'rack', 'condensingUnit'].includes(facts.kind) && at('arrive', 'search'),
    roof: (facts.roof || ['walkIn', 'rack', 'condensingUnit'].includes(facts.kind)) && at('before', 'arrive'),
    lockOut: at('read', 'repair'),
    nitrogen: at('raise', 'hold'),
    designPressure: at('raise', 'hold'),
    fanAndSoap: at('search'),
    cylinder80: at('isolate'),
    neverLetOut: at('isolate', 'raise'),
    liquidFreezes: at('isolate', 'charge'),
    criticalCharge: at('charge') && (facts.kind === 'reachIn' || facts.hermetic),
    blendsAsLiquid: at('charge') && facts.glide,
    gaugeAboveAtmosphere: at('evacuate'),
    certified: at('isolate', 'charge'),
    openBeforeFlame: at('repair'),
    liveMeasuring: at('read', 'prove'),
    inverterAmps: at('read', 'prove'),
    liquidInSips: at('charge'),
    hydrocarbonOutdoors: at('isolate') && gas !== null && isHydrocarbon(gas),
  };
  return CAUTIONS.filter((code) => held[code]);
}
