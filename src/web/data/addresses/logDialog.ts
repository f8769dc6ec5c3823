/** Opens the log-gas sheet from anywhere by the address. */
import { useSearchParams } from 'react-router';

const LOG_KEYS = ['log', 'machine', 'supersedes', 'leak', 'direction'];

export function useLogDialog() {
  const [params, setParams] = useSearchParams();
  const without = () => new URLSearchParams([...params].filter(([key]) => !LOG_KEYS.includes(key)));
  return {
    open: params.get('log') === 'gas',
    machineId: params.get('machine'),
    supersedes: params.get('supersedes'),
    leakId: params.get('leak'),
    direction:
      params.get('direction') === 'recovered'
        ? ('refrigerantRecovered' as const)
        : ('refrigerantAdded' as const),
    close: () => setParams(without()),
    openFor: (rest: { machine?: string; supersedes?: string; direction?: string }) => {
      const next = without();
      next.set('log', 'gas');
      for (const [key, value] of Object.entries(rest)) next.set(key, value);
      setParams(next);
    },
  };
}
