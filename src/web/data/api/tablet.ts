/** A tablet that several people share, switched by a PIN. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type TabletPerson, tabletAnswer } from '../../../contract/tablets';
import { door, useDoor } from './session';

const KEY = ['tablet'];
const NOBODY: TabletPerson[] = [];

/** Who is let in on this device by a PIN; none: it is no shared one, or that is not known yet. */
export function useTabletPeople(): TabletPerson[] {
  const { data } = useQuery({
    queryKey: KEY,
    queryFn: async ({ signal }) => tabletAnswer.parse(await (await fetch('/api/tablet', { signal })).json()),
    staleTime: Infinity,
  });
  return data?.people ?? NOBODY;
}

export const usePinSignIn = () =>
  useDoor((given: { person: string; pin: string }) => door('/tablet/sign-in', given));

function useTabletChange<Given extends object>(path: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (given: Given) => door(path, given),
    onSuccess: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
export const useShareTablet = () => useTabletChange<{ pin: string }>('/tablet/pin');
export const useLeaveTablet = () => useTabletChange<Record<string, never>>('/tablet/leave');
