/** The HTTP API under /api: routes check with the contract, call a service, answer JSON. */
import { type Request, type Response, Router } from 'express';
import * as api from '../../contract/api';
import type { Problem } from '../../core/logbook/problems';
import { amended } from '../../core/rules/amend';
import { leakingMachines } from '../leaking';
import { exportLogbook, verifyChain } from '../logbooks';
import { dueBoard, machineRows } from '../board';
import { conflict, invalid, notFound } from '../problem';
import type { Services } from '../services';
import { bodyOf } from './body';

const parameter = (request: Request, name: string): string => String(request.params[name]);

export function apiRouter({ store, judging, appending, clock }: Services): Router {
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

  router.post('/sites', async (request, response) => {
    const site = bodyOf(api.newSite, request);
    await store.database.write(async () => {
      const sites = await store.sites();
      if (sites.some((each) => each.id === site.id)) return;
      if (sites.some((each) => sameName(each.name, site.name))) {
        throw invalid([{ path: ['name'], message: 'names a site that exists already; choose another name' }]);
      }
      await store.batch([store.insertSite(site)]);
    });
    response.status(201).json(site);
  });

  router.post('/people', async (request, response) => {
    const person = bodyOf(api.newPerson, request);
    await store.database.write(async () => {
      const people = await store.people();
      if (people.some((each) => each.id === person.id)) return;
      if (people.some((each) => sameName(each.name, person.name))) {
        throw invalid([
          { path: ['name'], message: 'is the name of somebody here already; add what tells them apart' },
        ]);
      }
      await store.batch([store.insertPerson(person)]);
    });
    response.status(201).json(person);
  });

  router.post('/sites/:id/method', async (request, response) => {
    const change = bodyOf(api.methodChange, request);
    const id = parameter(request, 'id');
    const site = await store.database.write(async () => {
      const present = await store.site(id);
      if (!present) throw notFound('site');
      const list = present.leakRateMethod ?? [];
      if (list.some((each) => each.from === change.from)) {
        throw invalid([
          { path: ['from'], message: 'is a day on which the method changes already; choose another day' },
        ]);
      }
      const next = {
        ...present,
        leakRateMethod: [...list, change].sort((a, b) => (a.from < b.from ? -1 : 1)),
      };
      await store.batch([store.updateSite(next)]);
      return next;
    });
    await judging.refresh(true);
    response.status(201).json(site);
  });

  router.post('/machines', async (request, response) => {
    const { appliance, spaces, entries } = bodyOf(api.newMachine, request);
    if (await store.appliance(appliance.id)) {
      response.status(201).json({ entries: [], machines: [appliance.id] });
      return;
    }
    const problems: Problem[] = [];
    const wrong = (field: string, message: string) => problems.push({ path: ['appliance', field], message });
    if (!(await store.site(appliance.siteId))) wrong('siteId', 'names no site; add the site first');
    const neighbours = (await store.appliances()).filter((each) => each.siteId === appliance.siteId);
    if (neighbours.some((each) => sameName(each.name, appliance.name))) {
      wrong('name', 'is taken by another machine of this site; choose a name that tells them apart');
    }
    const knownSpaces = new Set([...(await store.spaces()), ...spaces].map((space) => space.id));
    if ((appliance.serves ?? []).some((space) => !knownSpaces.has(space)))
      wrong('serves', 'names a cooled space that does not exist');
    if (problems.length > 0) throw invalid(problems);
    const rows = [store.insertAppliance(appliance), ...spaces.map(store.insertSpace)];
    const result = await appending.append(entries, { appliance, rows });
    response.status(201).json(result);
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
      await store.batch([store.insertAmendment(amendment, new Date(clock.nowMs()).toISOString())]);
      judging.forgetPacks();
    });
    await judging.refresh(true);
    response.status(201).json(amendment);
  });

  return router;
}

const sameName = (a: string, b: string): boolean =>
  a.trim().toLocaleLowerCase() === b.trim().toLocaleLowerCase();
