/**
 * One process at a time serves a company. Whoever does keeps a write transaction open on a small file in its folder: the system
 * lets go of it at the moment that process ends, however it ended.
 */
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { createClient } from '@libsql/client';
import { isBusy } from '../store/database';

export const HOLD = 'in-use.db';
const AGAIN_MS = 200;

export type Release = () => void;

/** null: another process has it, and did not let go within `waitMs`. */
export async function hold(folder: string, waitMs = 0): Promise<Release | null> {
  const until = performance.now() + waitMs;
  for (;;) {
    const client = createClient({ url: `file:${join(folder, HOLD)}`, timeout: 0, concurrency: 1 });
    try {
      const held = await client.transaction('write');
      return () => {
        held.close();
        client.close();
      };
    } catch (error) {
      client.close();
      if (!isBusy(error)) throw error;
      if (performance.now() >= until) return null;
      await pause(AGAIN_MS);
    }
  }
}
