/** What the screens read and write, through TanStack Query. Each question is kept under its endpoint's name. */
import { useEffect, useMemo } from 'react';
import {
  type QueryClient,
  keepPreviousData,
  useInfiniteQuery,
  useMutation,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import type { AnswerOf, BodyOf, DocumentName, QueryOf } from '../../../contract/endpoints';
import type { RowTable } from '../../../contract/rows';
import type { Entry } from '../../../core/logbook/entry';
import type { Cylinder } from '../../../core/logbook/tables';
import type { Amendment } from '../../../core/rules/amend';
import { type Day, dayOf } from '../../../core/quantity/day';
import { dayAt } from '../../../core/quantity/zone';
import { type Asking, ask, send, tell } from './api';
import { machineAfter, readMachine } from './machine';

const useAsk = <Name extends DocumentName>(name: Name, asking: Asking<Name> = {}, enabled = true) =>
  useQuery({
    queryKey: [name, asking],
    queryFn: ({ signal }) => ask(name, asking, signal),
    enabled,
  });

/** Endpoints that answer a page of rows, with where the next one begins. */
type PageName = {
  [Name in DocumentName]: AnswerOf<Name> extends { rows: unknown[]; next: string | null } ? Name : never;
}[DocumentName];

/** A list page by page; while another question is asked, what was found before stays. `further`: asked otherwise of later pages. */
export function usePages<Name extends PageName>(
  name: Name,
  query: QueryOf<Name>,
  further: Partial<QueryOf<Name>> = {},
) {
  return useInfiniteQuery({
    queryKey: [name, 'pages', query],
    initialPageParam: undefined as string | undefined,
    queryFn: ({ pageParam, signal }) =>
      ask(
        name,
        {
          query: {
            ...(query as object),
            ...(pageParam === undefined ? {} : further),
            after: pageParam,
          } as QueryOf<Name>,
        },
        signal,
      ),
    getNextPageParam: (last) => (last as { next: string | null }).next ?? undefined,
    placeholderData: keepPreviousData,
  });
}

export const useClock = () => useAsk('clock');
export const usePeople = () => useAsk('people');
export const useOwners = () => useAsk('owners');
export const useCompany = () => useAsk('company');
export const useInstruments = () => useAsk('instruments');
export const useRules = () => useAsk('rules');
export const useVerify = () => useAsk('verify');

/** The first sites by name that have these words in it; `next` is null where these are all. */
export const useSites = (text = '') => useAsk('sites', { query: { text } });
export const useSitePages = () => usePages('sites', {});
export const useSite = (id: string | null) => useAsk('site', { parts: { id: id ?? '' } }, id !== null);
const listed = (ids: readonly string[]): string => [...new Set(ids)].sort().join(',');
export const useSitesById = (ids: readonly string[]) =>
  useAsk('sites', { query: { ids: listed(ids) } }, ids.length > 0);
export const useSpacesById = (ids: readonly string[]) =>
  useAsk('spaces', { query: { ids: listed(ids) } }, ids.length > 0);
export const useSpaces = (site: string | null) =>
  useAsk('spaces', { query: { site: site ?? '' } }, site !== null);

const MOST_BOTTLES = 500;
const NONE: Cylinder[] = [];
/** All bottles of a refrigerant, by serial; none where it is not known. */
export function useCylindersOf(refrigerant: string | null): Cylinder[] | undefined {
  const query = { refrigerant: refrigerant ?? '', limit: MOST_BOTTLES };
  const cylinders = useAsk('cylinders', { query }, refrigerant !== null).data?.rows;
  return refrigerant === null ? NONE : cylinders;
}
export const useCylinderPages = () => usePages('cylinders', { limit: MOST_BOTTLES });
/** Bottles that are named somewhere. */
export function useCylindersById(ids: readonly string[]): Cylinder[] | undefined {
  const asked = listed(ids);
  const query = useAsk('cylinders', { query: { ids: asked } }, asked !== '');
  return asked === '' ? NONE : query.data?.rows;
}
/** Bottles to choose from at a machine: those of its gas first, then others as far as they are listed, and the one that is named. */
export function useCylindersToHand(refrigerant: string | null, named: string): Cylinder[] {
  const own = useCylindersOf(refrigerant) ?? NONE;
  const others = useCylinderPages().data?.pages[0]?.rows ?? NONE;
  const chosen = useCylindersById(named === '' ? [] : [named]) ?? NONE;
  return useMemo(
    () => [...new Map([...own, ...others, ...chosen].map((each) => [each.id, each])).values()],
    [own, others, chosen],
  );
}
export const useCylinderFlows = (refrigerant: string) => useAsk('bottles', { parts: { refrigerant } });

export type MachinesAsked = Omit<QueryOf<'machines'>, 'after'>;
/** The first machines that fit. */
export const useMachines = (query: MachinesAsked, enabled = true) => useAsk('machines', { query }, enabled);
export const useMachinePages = (query: MachinesAsked, further: MachinesAsked = {}) =>
  usePages('machines', query, further);
export const useMachinesOfSite = (site: string) => useMachinePages({ site, sort: 'name', limit: 200 });

export const useDuePages = (site: string | null) => usePages('due', site === null ? {} : { site });
export const useTripPages = () => usePages('trips', {});
const ASK_AGAIN_MS = 2000;

/** How much is due; asked again and again while machines are still being judged for today, and lists anew when all are. */
export function useDueCounts(site: string | null) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: ['dueCounts', { site }],
    queryFn: ({ signal }) => ask('dueCounts', { query: site === null ? {} : { site } }, signal),
    refetchInterval: ({ state }) => ((state.data?.left ?? 0) > 0 ? ASK_AGAIN_MS : false),
    placeholderData: keepPreviousData,
  });
  const judging = (query.data?.left ?? 0) > 0;
  useEffect(() => {
    if (judging)
      return () => void client.invalidateQueries({ predicate: isOf(['machines', 'due', 'trips']) });
  }, [judging, client]);
  return query;
}

const isOf =
  (names: readonly DocumentName[]) =>
  ({ queryKey: [name] }: { queryKey: readonly unknown[] }): boolean =>
    names.includes(name as DocumentName);

export const useLeakingPages = () => usePages('leaking', { limit: 500 });
export const useLeaksOfKind = (kind: string) => useAsk('leaksOfKind', { parts: { kind } });

/** The visit to several machines that has this id. */
export const useVisitRows = (visitId: string) => useAsk('visits', { query: { visit: visitId } });
/** Visits to one machine, newest first. */
export const useVisitsOf = (machineId: string) => useAsk('visits', { query: { machine: machineId } });
/** All visits, narrowed by words. */
export const useVisitPages = (text: string) => usePages('visits', { text });

/** Everything that was written, newest first, page by page. */
export const useChanges = () =>
  useInfiniteQuery({
    queryKey: ['changes'],
    initialPageParam: undefined as number | undefined,
    queryFn: ({ pageParam, signal }) => ask('changes', { query: { before: pageParam } }, signal),
    getNextPageParam: (last) => last.before ?? undefined,
  });
export const useRow = (table: RowTable, id: string) => useAsk('row', { parts: { table, id } });

const machineKey = (id: string) => ['machine', id];

/** A machine with its whole record. A long one is read on page by page; what is there already: `useMachineHead`. */
export function useMachine(id: string) {
  const client = useQueryClient();
  return useQuery({
    queryKey: machineKey(id),
    queryFn: ({ signal }) =>
      readMachine(id, signal, (head) => client.setQueryData(['machineHead', id], head)),
  });
}

/** What is known of a machine before the whole of a long record is read. */
export const useMachineHead = (id: string) =>
  useQuery<AnswerOf<'machine'> & { read: number }>({ queryKey: ['machineHead', id], enabled: false }).data;

/** Today at a site; null until the clock is known. */
export function useToday(timezone: string | undefined): Day | null {
  const clock = useClock().data;
  if (!clock || timezone === undefined) return null;
  return clock.fixedToday === null ? dayAt(clock.nowMs, timezone) : dayOf(clock.fixedToday);
}

/** What an entry can change beside the machines that the answer names. */
const CHANGED_BY_ENTRIES: readonly DocumentName[] = [
  'machines',
  'due',
  'dueCounts',
  'trips',
  'leaking',
  'leaksOfKind',
  'bottles',
  'visits',
  'changes',
  'verify',
];

/** After an append: the records that it touched go on with it, and only lists that it can change are asked for anew. */
async function refreshAfter(client: QueryClient, { entries, machines }: AnswerOf<'append'>): Promise<void> {
  for (const id of machines)
    client.setQueryData<AnswerOf<'machine'>>(
      machineKey(id),
      (known) => known && machineAfter(known, entries),
    );
  await client.invalidateQueries({ predicate: isOf(CHANGED_BY_ENTRIES) });
}

export function useAppend() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (entries: Entry | readonly Entry[]) => tell('append', [entries].flat() as Entry[]),
    onSuccess: (appended) => refreshAfter(client, appended),
  });
}

/**
 * What rows say stands in many places: everything is read anew. A first answer that is still on its way was asked for
 * before the change and would count as fresh, so it is given up.
 */
export async function readAllAnew(client: QueryClient): Promise<void> {
  await client.cancelQueries();
  await client.invalidateQueries();
}

export function useAllAnew() {
  const client = useQueryClient();
  return () => readAllAnew(client);
}

/** Changes rows, each with what it said when it was read. */
export function useChangeRows() {
  const refresh = useAllAnew();
  return useMutation({
    mutationFn: (change: BodyOf<'changeRows'>) => tell('changeRows', change),
    onSettled: refresh, // also where it was refused: the row may be another by now
  });
}

export function useAddMachine() {
  const refresh = useAllAnew();
  return useMutation({
    mutationFn: (machine: BodyOf<'addMachine'>) => tell('addMachine', machine),
    onSuccess: refresh,
  });
}

export function useAmend() {
  const refresh = useAllAnew();
  return useMutation({ mutationFn: (amendment: Amendment) => tell('amend', amendment), onSuccess: refresh });
}

export const useFeeds = () => useAsk('feeds');

function useFeedDeed<Asked = undefined>(mutationFn: (asked: Asked) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: () => client.invalidateQueries({ queryKey: ['feeds'] }),
  });
}
export const useMakeFeed = () => useFeedDeed((feed: BodyOf<'makeFeed'>) => tell('makeFeed', feed));
export const useWithdrawFeed = (id: string) =>
  useFeedDeed(() => tell('withdrawFeed', undefined, { parts: { id } }));

export const useImportPages = () => usePages('imports', {});

export const useIssuedPages = (machine: string | null) =>
  usePages('papers', machine === null ? {} : { machine });
export const usePaperPreview = (request: QueryOf<'paperPreview'>) =>
  useAsk('paperPreview', { query: request });

export function useIssuePaper() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (issue: BodyOf<'issuePaper'>) => tell('issuePaper', issue),
    onSuccess: () =>
      Promise.all(
        ['papers', 'owners', 'changes'].map((key) => client.invalidateQueries({ queryKey: [key] })),
      ),
  });
}

export const useStorePhoto = () => useMutation({ mutationFn: (photo: Blob) => send('storePhoto', photo) });
