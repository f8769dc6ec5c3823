/** What the screens read and write, through TanStack Query. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { z } from 'zod';
import * as api from '../../contract/api';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Person, Site, Space } from '../../core/logbook/tables';
import type { Amendment } from '../../core/rules/amend';
import { type Day, dayOf } from '../../core/quantity/day';
import { dayAt } from '../../core/quantity/zone';
import type { Instrument } from '../../core/visit/instrument';
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
export const useVisits = () => useGet(['visits'], api.visitsAnswer, '/visits');
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

export function useAddPerson() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (person: Person) => post(z.unknown(), '/people', person),
    onSuccess: refresh,
  });
}

export function useAddSite() {
  const refresh = useRefreshing();
  return useMutation({ mutationFn: (site: Site) => post(z.unknown(), '/sites', site), onSuccess: refresh });
}

export function useAddMachine() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (machine: { appliance: Appliance; spaces: Space[]; entries: Entry[] }) =>
      post(api.appended, '/machines', machine),
    onSuccess: refresh,
  });
}

export function useChangeMethod(siteId: string) {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (change: { from: string; method: 'annualizing' | 'rolling' }) =>
      post(z.unknown(), `/sites/${encodeURIComponent(siteId)}/method`, change),
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

export function useAddInstrument() {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (instrument: Instrument) => post(api.newInstrument, '/instruments', instrument),
    onSuccess: refresh,
  });
}

export function useChangeFeeds(machineId: string) {
  const refresh = useRefreshing();
  return useMutation({
    mutationFn: (change: z.input<typeof api.feedsChange>) =>
      post(z.unknown(), `/machines/${encodeURIComponent(machineId)}/feeds`, change),
    onSuccess: refresh,
  });
}

export const useStorePhoto = () =>
  useMutation({ mutationFn: (photo: Blob) => send(api.storedPhoto, '/photos', photo) });
