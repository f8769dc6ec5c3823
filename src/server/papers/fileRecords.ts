/** A logbook file as papers read it. Its last day stands for today, so that the same file gives the same paper. */
import type { Entry } from '../../core/logbook/entry';
import type { Logbook } from '../../core/logbook/logbook';
import { bearingByMachine } from '../../core/logbook/order';
import type { Appliance } from '../../core/logbook/tables';
import { type Day, dayOf } from '../../core/quantity/day';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import type { MachineRows } from '../../record/foldedMachine';
import type { Records } from '../../papers/made';
import { machinesOfVisitIn } from '../../papers/make';

/** In the order in which they were accepted, as far as the file says it. */
const accepted = (entries: readonly Entry[]): Entry[] =>
  entries.toSorted((a, b) => {
    const [first, second] = [a.recordedAt ?? '', b.recordedAt ?? ''];
    return first < second ? -1 : first > second ? 1 : 0;
  });

export function fileRecords(logbook: Logbook): Records {
  const sites = new Map(logbook.sites.map((site) => [site.id, site]));
  const byMachine = bearingByMachine(accepted(logbook.entries));
  const last = logbook.entries.reduce((latest, { on }) => (on > latest ? on : latest), '');
  const rowsOf = (appliance: Appliance): MachineRows | null => {
    const site = sites.get(appliance.siteId);
    return site
      ? {
          appliance,
          site,
          spaces: (logbook.spaces ?? []).filter(({ siteId }) => siteId === site.id),
          entries: byMachine.get(appliance.id) ?? [],
        }
      : null;
  };
  const found = (id: string): MachineRows | null => {
    const appliance = logbook.appliances.find((each) => each.id === id);
    return appliance ? rowsOf(appliance) : null;
  };
  return {
    packs: SHIPPED_PACKS,
    company: () => Promise.resolve(logbook.company ?? null),
    owner: (id) => Promise.resolve((logbook.owners ?? []).find((each) => each.id === id) ?? null),
    people: () => Promise.resolve(logbook.people),
    machine: (id) => Promise.resolve(found(id)),
    machineOfEntry: (id) =>
      Promise.resolve(logbook.entries.find((each) => each.id === id)?.applianceId ?? null),
    machinesOfVisit: (visit) => Promise.resolve(machinesOfVisitIn(logbook.entries, visit)),
    machines: async function* () {
      for (const appliance of logbook.appliances) {
        const rows = rowsOf(appliance);
        if (rows) yield await Promise.resolve(rows);
      }
    },
    cylinders: (ids) => Promise.resolve(logbook.cylinders.filter(({ id }) => ids.includes(id))),
    today: (): Day => dayOf(last === '' ? '1970-01-01' : last),
  };
}
