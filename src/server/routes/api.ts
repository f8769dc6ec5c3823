/** The HTTP API under /api: routes check with the contract, call a service, answer JSON. */
import { type Request, type Response, Router } from 'express';
import * as api from '../../contract/api';
import { amended } from '../../core/rules/amend';
import { leakingMachines } from '../leaking';
import { figureId } from '../../contract/rows';
import { exportLogbook, verifyChain } from '../logbooks';
import { dueBoard, machineRows } from '../board';
import { conflict, invalid, notFound } from '../problem';
import type { Services } from '../services';
import { bodyOf } from './body';

const parameter = (request: Request, name: string): string => String(request.params[name]);

export function apiRouter({ store, judging, appending, rows, clock }: Services): Router {
  const router = Router();
  const get = (path: string, answer: (request: Request) => Promise<unknown>) =>
    router.get(path, async (request: Request, response: Response) => {
      response.json(await answer(request));
    });

  get('/clock', () => Promise.resolve({ fixedToday: clock.fixedToday, nowMs: clock.nowMs() }));
  get('/sites', () => store.sites());
  get('/people', () => store.people());
  get('/cylinders', () => store.cylinders());
  get('/spaces', () => store.spaces());
  get('/machines', async () => {
    await judging.refresh();
    return machineRows(store);
  });
  get('/due', async () => {
    await judging.refresh();
    return dueBoard(store, clock);
  });
  get('/leaking', () => leakingMachines(store, judging));
  get('/verify', () => verifyChain(store));
  get('/rules', async () => ({ amendments: await store.amendments() }));
  router.get('/logbook', async (_request, response) => {
    response.attachment('green-abacus-logbook.json').json(await exportLogbook(store));
  });

  get('/machines/:id', async (request) => {
    const id = parameter(request, 'id');
    const appliance = await store.appliance(id);
    const site = appliance && (await store.site(appliance.siteId));
    if (!appliance || !site) throw notFound('machine');
    await judging.refresh();
    const spaces = (await store.spaces()).filter((space) => space.siteId === site.id);
    return {
      appliance,
      site,
      spaces,
      entries: await store.entriesBearingOn(id),
      standing: await store.standing(id),
      packs: site.packs,
    };
  });

  router.post('/entries', async (request, response) => {
    const body: unknown = request.body;
    const entries = Array.isArray(body) ? bodyOf(api.newEntries, request) : [bodyOf(api.newEntry, request)];
    response.status(201).json(await appending.append(entries));
  });

  router.post('/machines', async (request, response) => {
    const { appliance, spaces, entries, by } = bodyOf(api.newMachine, request);
    if (await store.appliance(appliance.id)) {
      response.status(201).json({ entries: [], machines: [appliance.id] });
      return;
    }
    const fresh = [
      ...spaces.map((row) => ({ table: 'spaces' as const, id: row.id, row })),
      { table: 'appliances' as const, id: appliance.id, row: appliance },
    ];
    const problems = await rows.machineProblems(
      appliance,
      fresh.map((each) => ({ ...each, before: null })),
    );
    if (problems.length > 0)
      throw invalid(problems.map((each) => ({ ...each, path: ['appliance', ...each.path] })));
    const added = rows.added(fresh, { by: by ?? null, why: null });
    response.status(201).json(await appending.append(entries, { appliance, rows: added }));
  });

  router.post('/rules/amendments', async (request, response) => {
    const amendment = bodyOf(api.newAmendment, request);
    await store.database.write(async () => {
      const pack = (await judging.currentPacks())[amendment.pack];
      const changed = amended(pack, amendment);
      if (!changed.ok) {
        throw changed.refusal.reason === 'noSuchFigure'
          ? invalid([{ path: ['figure'], message: 'is no figure of this pack' }])
          : conflict('This figure has another value from that day already; choose another day.');
      }
      const recordedAt = new Date(clock.nowMs()).toISOString();
      const { by, reason } = amendment;
      const sealed = await store.sealed(
        [],
        [{ table: 'figures', id: figureId(amendment), row: amendment, recordedAt, by, why: reason }],
      );
      await store.batch([store.insertAmendment(amendment, recordedAt), ...sealed.statements]);
      judging.forgetPacks();
    });
    await judging.refresh(true);
    response.status(201).json(amendment);
  });

  return router;
}
