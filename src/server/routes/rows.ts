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

/** The machines that a page names, each read once: what they and their leaks are called, and their units. */
async function machinesOf(store: Store, ids: readonly string[]) {
  const machines = new Map<string, Pick<api.Change, 'machineName' | 'siteName' | 'massSystem' | 'leaks'>>();
  for (const id of new Set(ids)) {
    const appliance = await store.appliance(id);
    const site = appliance && (await store.site(appliance.siteId));
    machines.set(id, {
      machineName: appliance?.name ?? '',
      siteName: site?.name ?? '',
      massSystem: massSystemOf(site ?? { packs: [] }),
      leaks: Object.fromEntries(leakLabels(await store.entriesBearingOn(id))),
    });
  }
  return machines;
}

const NO_MACHINE = { machineName: '', siteName: '', massSystem: massSystemOf({ packs: [] }), leaks: {} };

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
    const machines = await machinesOf(
      store,
      page.flatMap(({ sealed }) => ('kind' in sealed ? (sealed.applianceId ?? []) : [])),
    );
    response.json({
      changes: page.map(({ sequence, sealed }): api.Change => {
        if (!('kind' in sealed)) return { sequence, revision: sealed, entry: null, ...NO_MACHINE };
        return {
          sequence,
          revision: null,
          entry: sealed,
          ...(machines.get(sealed.applianceId ?? '') ?? NO_MACHINE),
        };
      }),
      before: links.length > page.length ? (page.at(-1)?.sequence ?? null) : null,
    });
  });
  return router;
}
