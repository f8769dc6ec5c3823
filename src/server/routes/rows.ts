/** Rows put right, with their history; and everything that was written, newest first. */
import { type Request, Router } from 'express';
import * as api from '../../contract/api';
import { isRowTable, rowChanges } from '../../contract/rows';
import { notFound } from '../problem';
import type { Services } from '../services';
import { bodyOf, queryOf } from './body';

const CHANGES_OF_A_PAGE = 50;

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
    response.json({
      changes: page.map(({ sequence, sealed }) => {
        if (!('kind' in sealed))
          return { sequence, revision: sealed, entry: null, machineName: '', siteName: '' };
        const appliance = appliances.get(sealed.applianceId ?? '');
        return {
          sequence,
          revision: null,
          entry: sealed,
          machineName: appliance?.name ?? '',
          siteName: sites.get(appliance?.siteId ?? '')?.name ?? '',
        };
      }),
      before: links.length > page.length ? (page.at(-1)?.sequence ?? null) : null,
    });
  });
  return router;
}
