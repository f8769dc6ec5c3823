/** Once the first screen stands and the device is idle: what most likely comes next is fetched, for signal may be gone by then. */
import { useEffect } from 'react';
import { SCREENS } from './places';

const NEXT = [
  () => import('../forms/gas/LogGas'),
  () => import('../forms/WriteDialog'),
  ...SCREENS.flatMap(({ ahead }) => ahead ?? []),
];

const SETTLED_MS = 2000;

export function useFetchedAhead(): void {
  useEffect(() => {
    const wait = window.setTimeout(() => {
      // One that does not come now comes when it is opened.
      for (const fetchIt of NEXT) fetchIt().catch(() => undefined);
    }, SETTLED_MS);
    return () => window.clearTimeout(wait);
  }, []);
}
