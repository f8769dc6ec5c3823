/** A machine with all that follows from its entries as of a day: what screens and papers are made from. */
import type { Entry } from '../core/logbook/entry';
import { leakLabels } from '../core/logbook/leakLabels';
import { supersededIds } from '../core/logbook/order';
import type { Appliance, Cylinder, Site, Space } from '../core/logbook/tables';
import type { Day } from '../core/quantity/day';
import type { MassSystem, MassUnit } from '../core/quantity/mass';
import { bareUnit, chargedUnit, massSystemOf } from '../core/rules/massSystem';
import type { Packs } from '../core/rules/packs/shipped';
import { type Standing, standingFromEntries } from '../core/rules/standing';
import type { Names } from '../words/names';
import { partNamesOf } from './circuitOf';

/** A machine and all that bears on it. */
export interface MachineRows {
  appliance: Appliance;
  site: Site;
  spaces: readonly Space[];
  /** its own, and those that reach over from another machine; in the order in which they were accepted */
  entries: readonly Entry[];
}

export interface FoldedMachine<Rows extends MachineRows = MachineRows> {
  machine: Rows;
  /** what its parts, leaks and bottles are called */
  names: Names;
  standing: Standing;
  /** the day of all this: today, or that of a paper */
  today: Day;
  /** in which units its weights are read, and that of a bare number */
  system: MassSystem;
  bareUnit: MassUnit;
  packs: Packs;
}

type OfMachine = Pick<MachineRows, 'appliance' | 'site' | 'entries'>;

/** The last standing of a machine as its entries are: a page, its sheets and its previews ask for the same one. */
const lastFolds = new WeakMap<readonly Entry[], { from: unknown[]; standing: Standing }>();

/**
 * The standing of a machine as of a day, with drafts that are not saved yet, and without one entry (which stays
 * superseded with all that it had superseded).
 */
export function standingWith(
  machine: OfMachine,
  packs: Packs,
  asOf: Day,
  drafts: readonly Entry[] = [],
  without: string | null = null,
): Standing {
  if (drafts.length > 0 || without !== null) return foldWith(machine, packs, asOf, drafts, without);
  const from = [machine.appliance, machine.site, packs, asOf];
  const last = lastFolds.get(machine.entries);
  if (last && from.every((each, index) => each === last.from[index])) return last.standing;
  const standing = foldWith(machine, packs, asOf, [], null);
  lastFolds.set(machine.entries, { from, standing });
  return standing;
}

function foldWith(
  machine: OfMachine,
  packs: Packs,
  asOf: Day,
  drafts: readonly Entry[],
  without: string | null,
): Standing {
  const bearing = [...machine.entries, ...drafts];
  const own = bearing.filter((entry) => entry.applianceId === machine.appliance.id && entry.id !== without);
  return standingFromEntries(machine.appliance, machine.site, own, asOf, packs, supersededIds(bearing));
}

/** `cylinders`: those that its entries name, as far as they are known. */
export function foldedMachine<Rows extends MachineRows>(
  machine: Rows,
  packs: Packs,
  today: Day,
  cylinders: readonly Cylinder[],
): FoldedMachine<Rows> {
  const standing = standingWith(machine, packs, today);
  const charged = chargedUnit(standing.history);
  const system = massSystemOf(machine.site, charged);
  return {
    machine,
    today,
    packs,
    system,
    bareUnit: bareUnit(system, charged),
    standing,
    names: {
      parts: partNamesOf({ machine, standing }),
      leaks: leakLabels(machine.entries),
      bottles: new Map(cylinders.map((each) => [each.id, each.serial])),
    },
  };
}
