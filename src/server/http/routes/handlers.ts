/** What answers each endpoint: calls a service and says what it found. */
import { FIRST_ENTRIES } from '../../../contract/machines';
import { isRowTable } from '../../../contract/rows';
import type { MachineSummary } from '../../../core/rules/summary';
import type { ApplianceStanding } from '../../../core/rules/standingDocument';
import { cylinderFlows } from '../../../core/visit/cylinders';
import type { PartTypeName } from '../../../core/visit/circuit/parts';
import { verifyChain } from '../../exports/logbooks';
import { invalid, notFound } from '../../problem';
import type { Services } from '../../services';
import { changesPage } from './changes';
import type { Handlers } from './route';

const read = <Value>(text: string): Value => JSON.parse(text) as Value;

export function handlers(services: Services): Handlers {
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
    clock: () => Promise.resolve({ fixedToday: clock.fixedToday, nowMs: clock.nowMs() }),
    company: () => store.company(),
    people: () => store.people(),
    owners: () => store.owners(),
    instruments: () => store.instruments(),
    rules: async () => ({ amendments: await store.amendments() }),
    sites: ({ query }) => board.sites(query),
    site: async ({ parts }) => {
      const site = await store.site(parts.id);
      if (!site) throw notFound('site');
      return site;
    },
    spaces: ({ query }) => board.spaces(query),
    cylinders: ({ query }) => board.cylinders(query),
    machines: ({ query }) => board.machines(query),
    machine: async ({ parts }) => {
      const placed = await store.placed(parts.id);
      if (!placed) throw notFound('machine');
      const { appliance, site } = placed;
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
    due: ({ query }) => board.due(query),
    dueCounts: ({ query }) => board.dueCounts(query),
    trips: ({ query }) => board.trips(query),
    leaking: ({ query }) => board.leaking(query),
    leaksOfKind: async ({ parts }) =>
      Object.fromEntries(
        (await standings.leaksOfKind(parts.kind)).map(({ type, times }) => [type as PartTypeName, times]),
      ),
    bottles: async ({ parts }) => {
      const ids = await store.cylinderIdsOf(parts.refrigerant);
      return cylinderFlows(ids, await store.gasOfCylinders(ids));
    },
    visits: ({ query }) => board.visits(query),
    changes: ({ query }) => changesPage(store, query.before ?? null),
    row: async ({ parts: { table, id } }) => {
      const row = isRowTable(table) ? await store.rowOf(table, id) : null;
      if (!row) throw notFound('row');
      return { row: row as Record<string, unknown>, revisions: await store.revisionsOf(table, id) };
    },
    verify: () => verifyChain(database),
    papers: ({ query }) => issuing.list(query),
    paperPreview: ({ query }) => issuing.preview(query),
    issuePaper: ({ body }) => issuing.issue(body),
    feeds: () => calendars.list(),
    makeFeed: ({ body }) => calendars.make(body),
    withdrawFeed: ({ parts }) => calendars.withdraw(parts.id),
    imports: ({ query }) => importing.list(query),
    importState: ({ parts }) => Promise.resolve(importing.stateOf(parts.id)),
    sendImportFile: ({ body, query }) => importing.keep(body, query.name),
    beginImport: ({ body }) => importing.begin(body),
    stopImport: ({ parts }) => importing.stop(parts.id),
    writeImport: ({ parts, body }) => importing.write(parts.id, body),
    undoPreview: ({ parts }) => importing.whatUndoTakes(parts.id),
    undoImport: ({ parts, body }) => importing.undo(parts.id, body.by),
    append: ({ body }) => appending.append(body),
    addMachine: ({ body }) => appending.addMachine(body),
    changeRows: ({ body: { changes, by, why } }) =>
      rows.change(changes, { by: by ?? null, why: why ?? null }),
    amend: ({ body }) => rows.amend(body),
    storePhoto: ({ body }) => {
      if (!Buffer.isBuffer(body) || body.length === 0)
        throw invalid([{ path: ['photo'], message: 'is missing; send the picture as the body' }]);
      return photos.store(body);
    },
  };
}
