/** What answers each endpoint: calls a service and says what it found. */
import { FIRST_ENTRIES } from '../../../contract/machines';
import { isRowTable } from '../../../contract/rows';
import type { MachineSummary } from '../../../core/rules/summary';
import type { ApplianceStanding } from '../../../core/rules/standingDocument';
import { cylinderFlows } from '../../../core/visit/cylinders';
import type { PartTypeName } from '../../../core/circuit/parts';
import { verifyChain } from '../../exports/logbooks';
import type { Accounts } from '../../accounts/accounts';
import { signedBy } from '../../writing/writers';
import { invalid, notFound } from '../../problem';
import type { Services } from '../../services';
import { accountHandlers } from './accountHandlers';
import { officeHandlers } from './officeHandlers';
import { importHandlers } from './importHandlers';
import { changesPage } from './changes';
import type { Handlers } from './route';
import type { Served } from './served';

const read = <Value>(text: string): Value => JSON.parse(text) as Value;

function found<Thing>(thing: Thing | null, what: string): Thing {
  if (thing === null) throw notFound(what);
  return thing;
}

export function handlers(services: Services, accounts: Accounts, served: Served): Handlers {
  const {
    store,
    standings,
    database,
    keeper,
    appending,
    rows,
    board,
    clock,
    photos,
    issuing,
    importing,
    calendars,
  } = services;

  return {
    ...accountHandlers(accounts, served.address),
    ...officeHandlers(accounts, served),
    health: async () => {
      await store.company();
      return { ready: true as const };
    },
    clock: () => Promise.resolve({ fixedToday: clock.fixedToday, nowMs: clock.nowMs() }),
    company: () => store.company(),
    people: () => store.people(),
    owners: async ({ caller: { ownerId } }) =>
      (await store.owners()).filter(({ id }) => ownerId === null || id === ownerId),
    instruments: () => store.instruments(),
    rules: async () => ({ amendments: await store.amendments() }),
    sites: ({ query, caller }) => board.sites(query, caller.sites),
    site: async ({ parts }) => found(await store.site(parts.id), 'site'),
    spaces: ({ query }) => board.spaces(query),
    cylinders: ({ query }) => board.cylinders(query),
    machines: ({ query, caller }) => board.machines(query, caller.sites),
    machine: async ({ parts }) => {
      const { appliance, site } = found(await store.placed(parts.id), 'machine');
      const judged = await keeper.documentOf(appliance, site);
      return {
        appliance,
        site,
        spaces: await store.spacesOf(site.id),
        ...(await store.entriesBefore(parts.id, null, FIRST_ENTRIES)),
        total: await store.countEntries(parts.id),
        summary: read<MachineSummary>(judged.summary),
        standing: read<ApplianceStanding>(judged.document),
        packs: site.packs,
      };
    },
    machineEntries: async ({ parts, query }) => {
      if (!(await store.appliance(parts.id))) throw notFound('machine');
      return store.entriesBefore(parts.id, query.before ?? null, query.limit);
    },
    due: ({ query, caller }) => board.due(query, caller.sites),
    dueCounts: ({ query, caller }) => board.dueCounts(query, caller.sites),
    trips: ({ query, caller }) => board.trips(query, caller.sites),
    leaking: ({ query, caller }) => board.leaking(query, caller.sites),
    leaksOfKind: async ({ parts }) =>
      Object.fromEntries(
        (await standings.leaksOfKind(parts.kind)).map(({ type, times }) => [type as PartTypeName, times]),
      ),
    bottles: async ({ parts }) => {
      const ids = await store.cylinderIdsOf(parts.refrigerant);
      return cylinderFlows(ids, await store.gasOfCylinders(ids));
    },
    visits: ({ query, caller }) => board.visits(query, caller.sites),
    changes: ({ query }) => changesPage(store, query.before ?? null),
    row: async ({ parts: { table, id } }) => {
      const row = isRowTable(table) ? await store.rowOf(table, id) : null;
      if (!row) throw notFound('row');
      return { row: row as Record<string, unknown>, revisions: await store.revisionsOf(table, id) };
    },
    verify: () => verifyChain(database),
    papers: ({ query }) => issuing.list(query),
    paperPreview: ({ query }) => issuing.preview(query),
    issuePaper: ({ body, caller }) => issuing.issue({ ...body, by: caller.personId }),
    feeds: () => calendars.list(),
    makeFeed: ({ body, caller }) => calendars.make({ ...body, by: caller.personId }),
    withdrawFeed: ({ parts }) => calendars.withdraw(parts.id),
    ...importHandlers(importing),
    append: ({ body, caller }) => appending.append(signedBy(body, caller)),
    addMachine: ({ body, caller }) =>
      appending.addMachine({
        ...body,
        by: caller.personId,
        entries: signedBy(body.entries, caller),
      }),
    changeRows: ({ body: { changes, why }, caller }) =>
      rows.change(changes, { by: caller.personId, why: why ?? null }),
    amend: ({ body, caller }) => rows.amend({ ...body, by: caller.personId }),
    storePhoto: ({ body }) => {
      if (!Buffer.isBuffer(body) || body.length === 0)
        throw invalid([{ path: ['photo'], message: 'is missing; send the picture as the body' }]);
      return photos.store(body);
    },
  };
}
