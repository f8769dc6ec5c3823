/** The saturation table of one refrigerant: only the one that is shown is loaded. */
import { useQuery } from '@tanstack/react-query';
import { loadSaturation } from '../../core/refrigerant/tables';

export const useTable = (name: string) =>
  useQuery({ queryKey: ['saturation', name], queryFn: () => loadSaturation(name), staleTime: Infinity });
