/** The ground of forecasts, folded machine by machine; between two machines other requests get their turn. */
import type { z } from 'zod';
import type { leakingAnswer } from '../contract/api';
import { leakingMachine } from '../core/judge/leakingMachine';
import type { Judging } from './judging';
import type { Store } from './store/store';

export async function leakingMachines(
  store: Store,
  judging: Judging,
): Promise<z.infer<typeof leakingAnswer>> {
  const rows: z.infer<typeof leakingAnswer> = [];
  for (const appliance of await store.appliances()) {
    const standing = await judging.standingOf(appliance, await store.entriesBearingOn(appliance.id));
    rows.push({ applianceId: appliance.id, leaking: leakingMachine(standing) });
  }
  return rows;
}
