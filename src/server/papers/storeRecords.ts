/** The database as papers read it. */
import { setImmediate as turnOfOthers } from 'node:timers/promises';
import type { Appliance } from '../../core/logbook/tables';
import type { Packs } from '../../core/rules/packs/shipped';
import type { Records } from '../../papers/made';
import { machinesOfVisitIn } from '../../papers/make';
import type { MachineRows } from '../../record/foldedMachine';
import type { Clock } from '../clock';
import type { Store } from '../store/store';

export function storeRecords(store: Store, packs: Packs, clock: Clock): Records {
  const machine = async (id: string): Promise<MachineRows | null> => {
    const placed = await store.placed(id);
    return (
      placed && {
        ...placed,
        spaces: await store.spacesOf(placed.site.id),
        entries: await store.entriesBearingOn(id),
      }
    );
  };
  return {
    packs,
    company: () => store.company(),
    owner: async (id) => (await store.owners()).find((each) => each.id === id) ?? null,
    people: () => store.people(),
    machine,
    machineOfEntry: async (id) => (await store.entriesById([id]))[0]?.applianceId ?? null,
    machinesOfVisit: async (visit) => machinesOfVisitIn(await store.entriesOfVisit(visit), visit),
    machines: async function* () {
      for await (const document of store.documents('appliances')) {
        const rows = await machine((JSON.parse(document) as Appliance).id);
        if (rows) yield rows;
        await turnOfOthers();
      }
    },
    cylinders: (ids) => store.cylindersById(ids),
    today: (timezone) => clock.todayIn(timezone),
  };
}
