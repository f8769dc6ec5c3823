/**
 * What feeds what. One unit may cool several boxes, one box may have two systems, and a modular machine has circuits that
 * are appliances of their own: machines and cooled spaces are many to many.
 */
import { machineAsNamedToday } from '../logbook/olderNames';
import type { Appliance, Space } from '../logbook/tables';

export interface Feeds {
  /** what it is called at the unit, where that is another name than on the door */
  tag: string | null;
  spaces: readonly { space: Space; alsoCooledBy: readonly Appliance[] }[];
  /** other circuits of the same machine */
  circuits: readonly Appliance[];
}

/** What it is called at the unit. */
export const tagOf = (appliance: Appliance): string | null =>
  machineAsNamedToday(appliance).tag?.trim() || null;

/** `neighbours`: all machines of the site. */
export function feeds(
  appliance: Appliance,
  spaces: readonly Space[],
  neighbours: readonly Appliance[],
): Feeds {
  const others = neighbours.filter((each) => each.id !== appliance.id && each.siteId === appliance.siteId);
  const assembly = appliance.assembly?.trim() ?? '';
  return {
    tag: tagOf(appliance),
    spaces: spaces
      .filter((space) => appliance.serves?.includes(space.id))
      .map((space) => ({
        space,
        alsoCooledBy: others.filter((each) => each.serves?.includes(space.id)),
      })),
    circuits: assembly === '' ? [] : others.filter((each) => each.assembly?.trim() === assembly),
  };
}
