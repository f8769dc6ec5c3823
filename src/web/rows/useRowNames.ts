/** What the ids that stand in rows are called. */
import { useOwners, useSites, useSpaces } from '../data/queries';
import type { RowNames } from './rowWords';

const byId = (rows: readonly { id: string; name: string }[] | undefined): ReadonlyMap<string, string> =>
  new Map((rows ?? []).map((each) => [each.id, each.name]));

export function useRowNames(): RowNames {
  return {
    sites: byId(useSites().data),
    owners: byId(useOwners().data),
    spaces: byId(useSpaces().data),
  };
}
