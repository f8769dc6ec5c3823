/** Changes of accounts, each with the list read anew after it. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Role } from '../../contract/roles';
import { ask, type tell } from '../data/api/api';

const KEY = ['accounts'];
export type Offered = Awaited<ReturnType<typeof tell<'invite'>>>;
export interface Given {
  role: Role;
  ownerId: string | null;
}

/** Each change of accounts, and the list anew after it. */
export function useAccountChange<Asked>(change: (asked: Asked) => Promise<unknown>) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSettled: () => client.invalidateQueries({ queryKey: KEY }),
  });
}

export const useAccounts = () =>
  useQuery({ queryKey: KEY, queryFn: ({ signal }) => ask('accounts', {}, signal) });
