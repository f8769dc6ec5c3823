/** Rows put right, with their history; and everything that was written, newest first. */
import { type Request, Router } from 'express';
import * as api from '../../contract/api';
import { isRowTable, rowChanges } from '../../contract/rows';
import { leakLabels } from '../../core/logbook/leakLabels';
import { massSystemOf } from '../../core/rules/massSystem';
import { notFound } from '../problem';
import type { Services } from '../services';
import type { Store } from '../store/store';
import { bodyOf, queryOf } from './body';

const CHANGES_OF_A_PAGE = 50;

/** What the leaks of these machines are called, by machine. */
async function leaksOf(
  store: Store,
  machines: readonly string[],
): Promise<Map<string, Record<string, string>>> {
  const labels = new Map<string, Record<string, string>>();
  for (const id of new Set(machines))
    labels.set(id, Object.fromEntries(leakLabels(await store.entriesBearingOn(id))));
  return labels;
}

export function rowRouter({ rows, store }: Services): Router {
  const router = Router();

  router.post('/rows', async (request, response) => {
    const { changes, by, why } = bodyOf(rowChanges, request);
    response.status(201).json(await rows.change(changes, { by: by ?? null, why: why ?? null }));
  });

  router.get('/rows/:table/:id', async (request: Request, response) => {
    const table = String(request.params['table']);
    const id = String(request.params['id']);
    const row = isRowTable(table) ? await store.rowOf(table, id) : null;
    if (!row) throw notFound('row');
    response.json({ row, revisions: await store.revisionsOf(table, id) });
  });

  router.get('/company', async (_request, response) => {
    response.json(await store.company());
  });
  router.get('/owners', async (_request, response) => {
    response.json(await store.owners());
  });
  router.get('/instruments', async (_request, response) => {
    response.json(await store.instruments());
  });

  router.get('/changes', async (request, response) => {
    const before = queryOf(api.changesQuery, request).before ?? null;
    const links = await store.linksBefore(before, CHANGES_OF_A_PAGE + 1);
    const page = links.slice(0, CHANGES_OF_A_PAGE);
    const appliances = new Map((await store.appliances()).map((each) => [each.id, each]));
    const sites = new Map((await store.sites()).map((each) => [each.id, each]));
    const leaks = await leaksOf(
      store,
      page.flatMap(({ sealed }) => ('kind' in sealed ? (sealed.applianceId ?? []) : [])),
    );
    response.json({
      changes: page.map(({ sequence, sealed }): api.Change => {
        const entry = 'kind' in sealed ? sealed : null;
        const appliance = appliances.get(entry?.applianceId ?? '');
        const site = sites.get(appliance?.siteId ?? '');
        return {
          sequence,
          revision: 'kind' in sealed ? null : sealed,
          entry,
          machineName: appliance?.name ?? '',
          siteName: site?.name ?? '',
          massSystem: massSystemOf(site ?? { packs: [] }),
          leaks: leaks.get(appliance?.id ?? '') ?? {},
        };
      }),
      before: links.length > page.length ? (page.at(-1)?.sequence ?? null) : null,
    });
  });
  return router;
}
