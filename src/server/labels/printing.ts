/** Labels that are asked for, from what the logbook says today. */
import type { QueryRead } from '../../contract/endpoints';
import type { Cylinder } from '../../core/logbook/tables';
import type { StandingKeeper } from '../standings/standings';
import { invalid, notFound } from '../problem';
import type { Store } from '../store/store';
import {
  type Label,
  type LabelledMachine,
  cylinderLabel,
  chargeLabel,
  doNotAddLabel,
  machineLabel,
  partLabel,
} from './labels';
import { labelsPdf } from './pdf';

export class LabelPrinting {
  constructor(
    private readonly store: Store,
    private readonly keeper: StandingKeeper,
  ) {}

  async pdf(asked: QueryRead<'labels'>): Promise<Buffer> {
    const labels = await this.labelsOf(asked);
    if (labels.length === 0)
      throw invalid(
        [{ path: ['kind'], message: 'no case is open there, so no such label is printed' }],
        'There is no label to print.',
      );
    const copies = labels.flatMap((label) => Array.from({ length: asked.copies }, () => label));
    return labelsPdf(copies, asked.sheet, asked.skip);
  }

  private async labelsOf(asked: QueryRead<'labels'>): Promise<Label[]> {
    if (asked.kind === 'bottle') {
      const cylinder = (await this.store.rowOf('cylinders', asked.bottle ?? '')) as Cylinder | null;
      if (!cylinder) throw invalid([{ path: ['bottle'], message: 'names no bottle of this logbook' }]);
      return [cylinderLabel(cylinder)];
    }
    const machines = await this.machinesOf(asked);
    return machines.flatMap((machine) => {
      switch (asked.kind) {
        case 'charge':
          return chargeLabel(machine, asked.base);
        case 'part':
          return partLabel(machine, asked);
        case 'doNotAdd':
          return doNotAddLabel(machine, asked.base) ?? [];
        default:
          return machineLabel(machine, asked.base);
      }
    });
  }

  private async machinesOf({ machine, site }: QueryRead<'labels'>): Promise<LabelledMachine[]> {
    if (machine === undefined && site === undefined)
      throw invalid([{ path: ['machine'], message: 'is missing; name a machine, or a site' }]);
    const ids = machine === undefined ? await this.store.machinesOfSite(site ?? '') : [machine];
    const found: LabelledMachine[] = [];
    for (const id of ids) {
      const placed = await this.store.placed(id);
      if (!placed) continue;
      const standing = await this.keeper.standingOf(
        placed.appliance,
        placed.site,
        await this.store.entriesBearingOn(id),
      );
      found.push({ ...placed, standing });
    }
    if (found.length === 0) throw notFound('machine');
    return found;
  }
}
