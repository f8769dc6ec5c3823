/** What a row may not say, whatever its fields: a name that is taken, a place that is not there. */
import type { RowOf } from '../../contract/rows';
import type { Problem } from '../../core/logbook/problems';
import type { Appliance } from '../../core/logbook/tables';
import type { CheckedRow } from './rowRevision';
import { nameKey } from '../store/keys';
import type { Store } from '../store/store';

export async function rowProblems(
  store: Store,
  { table, id, row }: CheckedRow,
  all: readonly CheckedRow[],
): Promise<Problem[]> {
  const problems: Problem[] = [];
  const wrong = (field: string, message: string) => problems.push({ path: [field], message });
  switch (table) {
    case 'sites': {
      const site = row as RowOf<'sites'>;
      if ((await store.namesake('sites', id, site.name)) !== null || twin('sites', id, site.name, all))
        wrong('name', 'names a site that exists already; choose another name');
      const days = (site.leakRateMethod ?? []).map((each) => each.from);
      if (new Set(days).size < days.length)
        wrong('leakRateMethod', 'changes twice on one day; choose another day');
      break;
    }
    case 'people': {
      const { name } = row as RowOf<'people'>;
      if ((await store.namesake('people', id, name)) !== null || twin('people', id, name, all))
        wrong('name', 'is the name of somebody here already; add what tells them apart');
      break;
    }
    case 'appliances':
      problems.push(...(await machineProblems(store, row as RowOf<'appliances'>, all)));
      break;
    case 'spaces':
      if (!(await siteKnown(store, (row as RowOf<'spaces'>).siteId, all)))
        wrong('siteId', 'names no site; add the site first');
      break;
    case 'cylinders': {
      const { serial } = row as RowOf<'cylinders'>;
      if ((await store.namesake('cylinders', id, serial)) !== null || twin('cylinders', id, serial, all))
        wrong('serial', 'is the serial of another bottle; check which one it is');
      break;
    }
    default:
  }
  return problems;
}

async function siteKnown(store: Store, siteId: string, all: readonly CheckedRow[]): Promise<boolean> {
  return (
    all.some((each) => each.table === 'sites' && each.id === siteId) || (await store.site(siteId)) !== null
  );
}

/** What a machine's record may not say, whatever its fields: a place that is not there, a name that is taken. */
export async function machineProblems(
  store: Store,
  appliance: Appliance,
  all: readonly CheckedRow[] = [],
): Promise<Problem[]> {
  const problems: Problem[] = [];
  const wrong = (field: string, message: string) => problems.push({ path: [field], message });
  if (!(await siteKnown(store, appliance.siteId, all))) wrong('siteId', 'names no site; add the site first');
  const taken =
    (await store.namesake('appliances', appliance.id, appliance.name, appliance.siteId)) !== null ||
    all.some(
      ({ table, id, row }) =>
        table === 'appliances' &&
        id !== appliance.id &&
        (row as Appliance).siteId === appliance.siteId &&
        nameKey((row as Appliance).name) === nameKey(appliance.name),
    );
  if (taken) wrong('name', 'is taken by another machine of this site; choose a name that tells them apart');
  const spaces = [
    ...(await store.spacesOf(appliance.siteId)),
    ...all.flatMap((each) => (each.table === 'spaces' ? [each.row as RowOf<'spaces'>] : [])),
  ].filter((space) => space.siteId === appliance.siteId);
  if ((appliance.serves ?? []).some((served) => !spaces.some((space) => space.id === served)))
    wrong('serves', 'names a cooled space that this site does not have');
  return problems;
}

/** Whether another row of the same request has this name. */
function twin(
  table: 'sites' | 'people' | 'cylinders',
  id: string,
  name: string,
  all: readonly CheckedRow[],
): boolean {
  return all.some((each) => {
    const { name: called, serial } = each.row as { name?: string; serial?: string };
    return each.table === table && each.id !== id && nameKey(called ?? serial ?? '') === nameKey(name);
  });
}
