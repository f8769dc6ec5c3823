/** The saturation table of one refrigerant: only the one that is shown is loaded, and none where it is not known. */
import { skipToken, useQuery } from '@tanstack/react-query';
import { loadSaturation } from '../../../core/refrigerant/tables';

export const useTable = (name: string | null) =>
  useQuery({
    queryKey: ['saturation', name],
    queryFn: name === null ? skipToken : () => loadSaturation(name),
    staleTime: Infinity,
  });
