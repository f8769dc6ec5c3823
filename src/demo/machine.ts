/** Short forms for the story of one machine. */
import type { Appliance } from '../core/logbook/tables';
import type { MassUnit } from '../core/quantity/mass';
import { type StoryWriter, mass } from './writer';

export class MachineStory {
  private leaks = 0;

  constructor(
    readonly story: StoryWriter,
    readonly appliance: Appliance,
    private readonly unit: MassUnit,
  ) {
    story.appliances.push(appliance);
  }

  log(kind: Parameters<StoryWriter['log']>[0], offset: number, by: string, rest: object = {}): string {
    return this.story.log(kind, this.appliance.id, offset, by, rest);
  }

  fullCharge(
    offset: number,
    by: string,
    value: number,
    method = 'weighed',
    note: string | null = null,
  ): this {
    this.log('fullChargeSet', offset, by, { method, mass: mass(value, this.unit), note });
    return this;
  }

  added(offset: number, by: string, value: number, reason = 'topOff', rest: object = {}): string {
    return this.log('refrigerantAdded', offset, by, { mass: mass(value, this.unit), reason, ...rest });
  }

  recovered(offset: number, by: string, value: number, reason = 'repair', rest: object = {}): string {
    return this.log('refrigerantRecovered', offset, by, { mass: mass(value, this.unit), reason, ...rest });
  }

  found(offset: number, by: string, component: string, location: string): string {
    this.leaks += 1;
    const leakId = `k${String(this.leaks)}`;
    this.log('leakFound', offset, by, { leakId, component, location, methods: ['electronic', 'bubbles'] });
    return leakId;
  }

  repaired(offset: number, by: string, leakId: string, how: string, evacuated = false): this {
    this.log('leakRepaired', offset, by, { leakId, how, evacuated });
    return this;
  }

  passed(offset: number, by: string, stage: 'initial' | 'followUp', leakIds: string[]): this {
    const proof =
      stage === 'initial'
        ? { testGas: 'nitrogenTrace', atJoint: { value: 150, unit: 'psig' }, method: 'bubbles' }
        : { testGas: 'refrigerant', method: 'electronic' };
    this.log('verificationTest', offset, by, { stage, result: 'pass', leakIds, ...proof });
    return this;
  }

  inspected(offset: number, by: string, rest: object = {}): this {
    this.log('leakInspection', offset, by, {
      methods: ['electronic'],
      allAccessibleInspected: true,
      ...rest,
    });
    return this;
  }
}
