/**
 * What an owner's representative may ask for: lists are narrowed to the sites that are the owner's today, and whatever is
 * asked for by an id must stand there. An endpoint that she may call does not compile without its line.
 */
import type { RepresentativeName } from '../../contract/access';
import type { PaperRequest } from '../../contract/papers';
import type { Services } from '../services';
import type { Caller } from '../caller';

interface Asked {
  parts: Record<string, string>;
  query: Record<string, unknown>;
}
type Needs = Pick<Services, 'store' | 'board' | 'issuing'>;
/** Whether what is asked for is hers. */
type Test = (asked: Asked, caller: Caller, needs: Needs) => Promise<boolean> | boolean;

/** Its handler narrows it by the caller's sites, or by the owner. */
const NARROWED: Test = () => true;
/** Nothing of a site stands in it; a photo is asked for by a hash that only its entry tells. */
const SHARED: Test = () => true;

const isOwnSite = (id: unknown, { sites }: Caller): boolean => sites?.includes(String(id)) ?? true;

async function isOwnMachine(id: unknown, caller: Caller, { store }: Needs): Promise<boolean> {
  const placed = await store.placed(String(id));
  return placed !== null && isOwnSite(placed.site.id, caller);
}

const machineInPath: Test = ({ parts }, caller, needs) => isOwnMachine(parts['id'], caller, needs);

/** A part that is said to be hers: the owner, or one of her sites. */
const ownPart: Test = ({ query: { owner, site } }, caller) =>
  (owner !== undefined || site !== undefined) &&
  (owner === undefined || owner === caller.ownerId) &&
  (site === undefined || isOwnSite(site, caller));

/** A document of her machine, of a visit to her sites alone, or of her own as the owner. */
async function isOwnPaper(request: PaperRequest, caller: Caller, needs: Needs): Promise<boolean> {
  const { machine, visit, owner } = request;
  const tests: (boolean | Promise<boolean>)[] = [];
  if (owner !== undefined) tests.push(owner === caller.ownerId);
  if (machine !== undefined) tests.push(isOwnMachine(machine, caller, needs));
  if (visit !== undefined) tests.push(isOwnVisit(visit, caller, needs));
  return tests.length > 0 && (await Promise.all(tests)).every(Boolean);
}

const MOST_OF_A_VISIT = 200;

async function isOwnVisit(visit: string, caller: Caller, { board }: Needs): Promise<boolean> {
  const { rows } = await board.visits({ text: '', visit, limit: MOST_OF_A_VISIT });
  return rows.length > 0 && rows.every(({ siteId }) => isOwnSite(siteId, caller));
}

/** Bottles that gas of her machines came from or went into. */
const areOwnBottles: Test = async ({ query }, caller, needs) => {
  const ids = typeof query['ids'] === 'string' ? query['ids'].split(',').filter(Boolean) : [];
  const moved = await needs.store.gasOfCylinders(ids);
  const machines = [...new Set(moved.map(({ applianceId }) => applianceId))];
  const own = await Promise.all(machines.map((id) => isOwnMachine(id, caller, needs)));
  const named = new Set(
    moved.flatMap((entry) =>
      own[machines.indexOf(entry.applianceId)] && 'cylinderId' in entry ? entry.cylinderId : [],
    ),
  );
  return ids.length > 0 && ids.every((id) => named.has(id));
};

export const OWN: Readonly<Record<RepresentativeName, Test>> = {
  company: SHARED,
  people: SHARED,
  rules: SHARED,
  photo: SHARED,
  notices: SHARED,
  setNotices: SHARED,
  tryNotice: SHARED,
  owners: NARROWED,
  sites: NARROWED,
  machines: NARROWED,
  due: NARROWED,
  dueCounts: NARROWED,
  trips: NARROWED,
  leaking: NARROWED,
  visits: NARROWED,
  cylinders: areOwnBottles,
  site: ({ parts }, caller) => isOwnSite(parts['id'], caller),
  spaces: ({ query }, caller) => query['ids'] === undefined && isOwnSite(query['site'], caller),
  machine: machineInPath,
  machineEntries: machineInPath,
  papers: ({ query }, caller, needs) => isOwnMachine(query['machine'], caller, needs),
  paperPreview: ({ query }, caller, needs) => isOwnPaper(query as PaperRequest, caller, needs),
  paperFile: async ({ parts }, caller, needs) => {
    const issued = await needs.issuing.byId(parts['id'] ?? '');
    return issued !== null && isOwnPaper(issued.request, caller, needs);
  },
  logbook: ownPart,
  logbookZip: ownPart,
  workbook: ownPart,
  tableFile: ownPart,
};
