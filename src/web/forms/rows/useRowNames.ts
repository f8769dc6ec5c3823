/** What the ids that stand in revisions of rows are called. */
import type { Revision } from '../../../core/logbook/tables';
import { useOwners, useSitesById, useSpacesById } from '../../data/api/queries';
import type { RowNames } from '../../../record/rows/rowWords';

const byId = (rows: readonly { id: string; name: string }[] | undefined): ReadonlyMap<string, string> =>
  new Map((rows ?? []).map((each) => [each.id, each.name]));

const texts = (value: unknown): string[] =>
  [value].flat().filter((each): each is string => typeof each === 'string');

export function useRowNames(revisions: readonly Revision[]): RowNames {
  return {
    sites: byId(useSitesById(revisions.flatMap(({ row }) => texts(row['siteId']))).data?.rows),
    owners: byId(useOwners().data),
    spaces: byId(useSpacesById(revisions.flatMap(({ row }) => texts(row['serves']))).data),
  };
}
