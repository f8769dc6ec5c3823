/** What the screens read and write, through TanStack Query. */
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { z } from 'zod';
import * as api from '../../contract/api';
import { type RowTable, rowAnswer, type rowChanges, rowsChanged } from '../../contract/rows';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Space } from '../../core/logbook/tables';
import type { Amendment } from '../../core/rules/amend';
import { type Day, dayOf } from '../../core/quantity/day';
import { dayAt } from '../../core/quantity/zone';
import { get, post, send } from './api';

const useGet = <Schema extends z.ZodType>(key: readonly string[], schema: Schema, path: string) =>
  useQuery({ queryKey: key, queryFn: () => get(schema, path) });

export const useClock = () => useGet(['clock'], api.clockAnswer, '/clock');
export const usePeople = () => useGet(['people'], api.peopleAnswer, '/people');
export const useSites = () => useGet(['sites'], api.sitesAnswer, '/sites');
export const useCylinders = () => useGet(['cylinders'], api.cylindersAnswer, '/cylinders');
export const useMachines = () => useGet(['machines'], api.machinesAnswer, '/machines');
export const useDue = () => useGet(['due'], api.dueAnswer, '/due');
export const useLeaking = () => useGet(['leaking'], api.leakingAnswer, '/leaking');
export const useRules = () => useGet(['rules'], api.rulesAnswer, '/rules');
export const useVerify = () => useGet(['verify'], api.verifyAnswer, '/verify');
/** The visit to several machines that has this id. */
export const useVisitRows = (visitId: string) =>
  useGet(['visits', visitId], api.visitsAnswer, `/visits?visit=${encodeURIComponent(visitId)}`);
/** All visits, page by page, narrowed by words. */
export const useVisitPages = (text: string) =>
  useInfiniteQuery({
    queryKey: ['visits', 'text', text],
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      get(api.visitsAnswer, `/visits?text=${encodeURIComponent(text)}&offset=${String(pageParam)}`),
    getNextPageParam: (last, pages) =>
      last.more ? pages.reduce((sum, page) => sum + page.rows.length, 0) : undefined,
    placeholderData: (before) => before,
  });
/** Everything that was written, newest first, page by page. */
export const useChanges = () =>
  useInfiniteQuery({
    queryKey: ['changes'],
    initialPageParam: null as number | null,
    queryFn: ({ pageParam }) =>
      get(api.changesAnswer, pageParam === null ? '/changes' : `/changes?before=${String(pageParam)}`),
    getNextPageParam: (last) => last.before ?? undefined,
  });
export const useCompany = () => useGet(['company'], api.companyAnswer, '/company');
export const useOwners = () => useGet(['owners'], api.ownersAnswer, '/owners');
export const useSpaces = () => useGet(['spaces'], api.spacesAnswer, '/spaces');
export const useRow = (table: RowTable, id: string) =>
  useGet(['row', table, id], rowAnswer, `/rows/${table}/${encodeURIComponent(id)}`);
export const useInstruments = () => useGet(['instruments'], api.instrumentsAnswer, '/instruments');
export const useLeaksOfKind = (kind: string) =>
  useGet(['leaks-of-kind', kind], api.leaksOfKindAnswer, `/leaks-of-kind/${kind}`);
export const useBottles = (refrigerant: string) =>
  useGet(['bottles', refrigerant], api.bottlesAnswer, `/bottles/${encodeURIComponent(refrigerant)}`);
export const useMachine = (id: string) =>
  useGet(['machine', id], api.machineAnswer, `/machines/${encodeURIComponent(id)}`);

/** Today at a site; null until the clock is known. */
export function useToday(timezone: string | undefined): Day | null {
  const clock = useClock().data;
  if (!clock || timezone === undefined) return null;
  return clock.fixedToday === null ? dayAt(clock.nowMs, timezone) : dayOf(clock.fixedToday);
}

/** Everything that entries change is read anew. */
function useRefreshing() {
  const client = useQueryClient();
  return () => client.invalidateQueries();
}

export function useAppend() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (entries: Entry | readonly Entry[]) => post(api.appended, '/entries', entries),
    onSuccess: refresh,
  });
}

/** Changes rows, each with what it said when it was read. */
export function useChangeRows() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (change: z.input<typeof rowChanges>) => post(rowsChanged, '/rows', change),
    onSuccess: refresh,
  });
}

export function useAddMachine() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (machine: { appliance: Appliance; spaces: Space[]; entries: Entry[]; by: string }) =>
      post(api.appended, '/machines', machine),
    onSuccess: refresh,
  });
}

export function useAmend() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (amendment: Amendment) => post(z.unknown(), '/rules/amendments', amendment),
    onSuccess: refresh,
  });
}

export const useStorePhoto = () =>
  useMutation({ mutationFn: (photo: Blob) => send(api.storedPhoto, '/photos', photo) });
