/** What the drawing says that a machine has: the judge blames and asks only for that. */
import type { MachineKind } from './machineKind';
import type { CircuitMap } from '../circuit/map';
import type { PartTypeName } from '../circuit/parts';

export function machineKindOf({ parts }: CircuitMap): MachineKind {
  const has = (type: PartTypeName): boolean => parts.some((part) => part.type === type);
  const valve = has('expansionValve');
  const capillary = has('capillary');
  return {
    // Some cabinets have both: then either may be at fault.
    metering: valve === capillary ? null : valve ? 'valve' : 'capillary',
    solenoid: has('solenoid'),
    sightGlass: has('sightGlass'),
    drier: has('drier'),
  };
}
