/** Appending one entry through the server's own path against a bare insert of one row into the same kind of file. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import type { Entry } from '../src/core/logbook/entry';
import { systemClock } from '../src/server/clock';
import { openServices } from '../src/server/services';
import { type Comparison, compare } from './measure';
import { randomEntries } from './stories';

const APPENDS = 20;

export async function benchAppend(): Promise<Comparison[]> {
  const folder = mkdtempSync(join(tmpdir(), 'bench-'));
  const services = await openServices(`file:${join(folder, 'app.db')}`, systemClock('2026-11-23'));
  const { rows, appending } = services;
  const appliance = {
    id: 'a',
    siteId: 's',
    name: 'a',
    kind: 'rack' as const,
    category: 'commercialRefrigeration' as const,
    refrigerant: 'R-448A',
  };
  const changing = { by: null, why: null };
  await rows.change(
    [{ table: 'sites', id: 's', row: { id: 's', name: 's', timezone: 'UTC', packs: ['us-hfc'] } }],
    changing,
  );
  await appending.addMachine({ appliance, spaces: [], entries: randomEntries(100, 5) });
  const bare = createClient({ url: `file:${join(folder, 'bare.db')}` });
  await bare.execute('PRAGMA journal_mode = WAL');
  await bare.execute('CREATE TABLE rows (id TEXT PRIMARY KEY, document TEXT)');
  let number = 0;
  const entry = (): Entry =>
    ({
      id: `n${String((number += 1)).padStart(6, '0')}`,
      kind: 'leakInspection',
      on: '2026-11-01',
      by: 'p',
      applianceId: 'a',
      methods: ['electronic'],
    }) as Entry;
  const result = await compare(
    `${String(APPENDS)} appends to a machine of 100 entries and more: checked, sealed, folded, stored`,
    'bare inserts of the same rows',
    {
      subject: async () => {
        for (let index = 0; index < APPENDS; index += 1) await appending.append([entry()]);
      },
      baseline: async () => {
        for (let index = 0; index < APPENDS; index += 1) {
          const row = entry();
          await bare.execute({ sql: 'INSERT INTO rows VALUES (?, ?)', args: [row.id, JSON.stringify(row)] });
        }
      },
      perRun: APPENDS,
      unit: 'appends/s',
      runs: 11,
      warmUp: 2,
    },
  );
  bare.close();
  await services.close();
  rmSync(folder, { recursive: true });
  return [result];
}
