/** What visits need beside the logbook: who is where, where such machines leak, instruments, what feeds what. */
import { type Request, Router } from 'express';
import * as api from '../../contract/api';
import { PART_TYPES, type PartTypeName, typeSaid } from '../../core/visit/circuit/parts';
import { dayText } from '../../core/quantity/day';
import { bottleFlows } from '../../core/visit/bottles';
import type { Services } from '../services';
import { queryOf } from './body';

const VISITS_OF_A_PAGE = 40;

export function visitRouter({ store, clock }: Services): Router {
  const router = Router();

  router.get('/visits', async (request, response) => {
    const { text, machine, visit, offset } = queryOf(api.visitsQuery, request);
    const appliances = new Map((await store.appliances()).map((each) => [each.id, each]));
    const sites = new Map((await store.sites()).map((each) => [each.id, each]));
    const found = await store.visits({
      text,
      applianceId: machine ?? null,
      visitId: visit ?? null,
      limit: VISITS_OF_A_PAGE + 1,
      offset,
    });
    const rows = found.slice(0, VISITS_OF_A_PAGE).flatMap((each) => {
      const appliance = appliances.get(each.applianceId);
      const site = appliance && sites.get(appliance.siteId);
      return appliance && site
        ? [
            {
              ...each,
              machineName: appliance.name,
              siteId: site.id,
              siteName: site.name,
              today: dayText(clock.todayIn(site.timezone)),
            },
          ]
        : [];
    });
    response.json({ rows, more: found.length > VISITS_OF_A_PAGE });
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

  return router;
}
