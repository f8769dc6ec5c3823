/** What the screens read and write, through TanStack Query. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { z } from 'zod';
import * as api from '../../contract/api';
import type { Entry } from '../../core/logbook/entry';
import type { Appliance, Person, Site, Space } from '../../core/logbook/tables';
import type { Amendment } from '../../core/rules/amend';
import { type Day, dayOf } from '../../core/quantity/day';
import { dayAt } from '../../core/quantity/zone';
import { get, post } from './api';

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
    mutationFn: (entry: Entry) => post(api.appended, '/entries', entry),
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
