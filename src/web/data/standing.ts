/** Standings folded in the browser by the same core as the server's: for previews, workings and what-ifs. */
import { useMemo } from 'react';
import type { z } from 'zod';
import type { machineAnswer } from '../../contract/machines';
import type { Entry } from '../../core/logbook/entry';
import { deadIds } from '../../core/logbook/order';
import type { Day } from '../../core/quantity/day';
import { packsWith } from '../../core/rules/amend';
import { type Packs, SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { type Standing, standingFromEntries } from '../../core/rules/standing';
import { useRules } from './queries';

export type Machine = z.infer<typeof machineAnswer>;

/** The packs in force with the company's own figures. */
export function usePacks(): Packs {
  const amendments = useRules().data?.amendments;
  return useMemo(
    () =>
      amendments
        ? packsWith(
            SHIPPED_PACKS,
            amendments.map(({ recordedAt: _, ...amendment }) => amendment),
          )
        : SHIPPED_PACKS,
    [amendments],
  );
}

/**
 * The standing of a machine as of a day, with drafts that are not saved yet, and without one entry (which stays
 * dead with all that it had killed).
 */
export function standingWith(
  machine: Machine,
  packs: Packs,
  asOf: Day,
  drafts: readonly Entry[] = [],
  without: string | null = null,
): Standing {
  const bearing = [...machine.entries, ...drafts];
  const own = bearing.filter((entry) => entry.applianceId === machine.appliance.id && entry.id !== without);
  return standingFromEntries(machine.appliance, machine.site, own, asOf, packs, deadIds(bearing));
}
