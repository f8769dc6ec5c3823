/** What visits need beside the logbook: who is where, where such machines leak, instruments, what feeds what. */
import { type Request, Router } from 'express';
import * as api from '../../contract/api';
import { PART_TYPES, type PartTypeName, typeSaid } from '../../core/visit/circuit/parts';
import { dayText } from '../../core/quantity/day';
import { bottleFlows } from '../../core/visit/bottles';
import { TAG } from '../../core/visit/feeds';
import { invalid, notFound } from '../problem';
import type { Services } from '../services';
import { bodyOf } from './body';

const MOST_VISITS = 300;

export function visitRouter({ store, clock }: Services): Router {
  const router = Router();

  router.get('/visits', async (_request, response) => {
    const appliances = new Map((await store.appliances()).map((each) => [each.id, each]));
    const sites = new Map((await store.sites()).map((each) => [each.id, each]));
    const rows = (await store.visits(MOST_VISITS)).flatMap((visit) => {
      const appliance = appliances.get(visit.applianceId);
      const site = appliance && sites.get(appliance.siteId);
      return appliance && site
        ? [
            {
              ...visit,
              machineName: appliance.name,
              siteId: site.id,
              siteName: site.name,
              today: dayText(clock.todayIn(site.timezone)),
            },
          ]
        : [];
    });
    response.json(rows);
  });

  router.get('/leaks-of-kind/:kind', async (request: Request, response) => {
    const times: Partial<Record<PartTypeName, number>> = {};
    for (const entry of await store.leaksOfKind(String(request.params['kind']))) {
      if (entry.kind !== 'leakFound') continue;
      const type = typeSaid(entry.component ?? '') ?? typeSaid(entry.location ?? '');
      if (type !== null && type in PART_TYPES) times[type] = (times[type] ?? 0) + 1;
    }
    response.json(times);
  });

  router.get('/bottles/:refrigerant', async (request: Request, response) => {
    const name = String(request.params['refrigerant']);
    const ids = (await store.cylinders()).filter((each) => each.refrigerant === name).map((each) => each.id);
    response.json(bottleFlows(ids, await store.gasOfBottles(ids)));
  });

  router.get('/instruments', async (_request, response) => {
    response.json(await store.instruments());
  });
  router.post('/instruments', async (request, response) => {
    const instrument = bodyOf(api.newInstrument, request);
    await store.database.write(() => store.batch([store.putInstrument(instrument)]));
    response.status(201).json(instrument);
  });

  router.post('/machines/:id/feeds', async (request, response) => {
    const change = bodyOf(api.feedsChange, request);
    const appliance = await store.database.write(async () => {
      const present = await store.appliance(String(request.params['id']));
      if (!present) throw notFound('machine');
      const known = (await store.spaces()).filter((space) => space.siteId === present.siteId);
      const added = change.newSpaces.filter((space) => !known.some((each) => each.id === space.id));
      const ids = new Set([...known, ...added].map((space) => space.id));
      if (change.serves.some((id) => !ids.has(id)))
        throw invalid([{ path: ['serves'], message: 'names a cooled space that this site does not have' }]);
      const next = {
        ...present,
        serves: change.serves,
        assembly: change.assembly?.trim() || null,
        [TAG]: change.tag?.trim() || undefined,
      };
      await store.batch([
        ...added.map((space) => store.insertSpace({ ...space, siteId: present.siteId })),
        store.updateAppliance(next),
      ]);
      return next;
    });
    response.status(201).json(appliance);
  });
  return router;
}
