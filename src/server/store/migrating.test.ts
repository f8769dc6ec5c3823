/** A database of an older version is taken over with all that it holds. */
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createClient } from '@libsql/client';
import { expect, it } from 'vitest';
import { ENDPOINTS } from '../../contract/endpoints';
import type { Entry } from '../../core/logbook/entry';
import { systemClock } from '../clock';
import { TODAY, added, charged, entry, machine, site } from '../company.testkit';
import { verifyChain } from '../exports/logbooks';
import { openServices } from '../services';
import { CHAIN_START, sealedText } from './seal';

const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/** A file as the version before lists by the page left it: entries with their columns, standings of another shape. */
async function olderDatabase(url: string, entries: readonly Entry[]): Promise<void> {
  const client = createClient({ url });
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string; when: number }[];
  };
  const older = journal.entries.slice(0, 3);
  for (const { tag } of older)
    for (const statement of readFileSync(join(MIGRATIONS, `${tag}.sql`), 'utf8').split(
      '--> statement-breakpoint',
    ))
      await client.execute(statement);
  await client.execute(
    'CREATE TABLE __drizzle_migrations (id SERIAL PRIMARY KEY, hash text NOT NULL, created_at numeric)',
  );
  for (const { tag, when } of older)
    await client.execute({
      sql: 'INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)',
      args: [tag, when],
    });
  const row = (table: string, id: string, document: object) =>
    client.execute({
      sql: `INSERT INTO ${table} (id, document) VALUES (?, ?)`,
      args: [id, JSON.stringify(document)],
    });
  await row('sites', 's', site('s', { name: 'Almery Fish Hall' }));
  await row('people', 'p', { id: 'p', name: 'Ike' });
  await row('cylinders', 'b', { id: 'b', serial: 'B-1', refrigerant: 'R-448A' });
  await client.execute({
    sql: 'INSERT INTO appliances (id, site_id, document) VALUES (?, ?, ?)',
    args: ['a', 's', JSON.stringify(machine('a', 's'))],
  });
  let previous = CHAIN_START;
  for (const [index, each] of entries.entries()) {
    const { hash, document } = sealedText(each, previous);
    await client.execute({
      sql: `INSERT INTO entries (sequence, id, appliance_id, supersedes, hash, previous, document, kind, visit_id)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      args: [
        index + 1,
        each.id,
        each.applianceId ?? null,
        each.supersedes ?? null,
        hash,
        previous,
        document,
        each.kind,
        each.visitId ?? null,
      ],
    });
    previous = hash;
  }
  client.close();
}

it('opens a file of the version before with its chain, machines, bottles and visits', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'abacus-older-'));
  const url = `file:${join(folder, 'older.db')}`;
  await olderDatabase(url, [
    charged('c', 'a', 100),
    added('g', 'a', 30, { on: '2026-11-01', cylinderId: 'b', visitId: 'v1' }),
    entry('n1', 'a', { kind: 'readings', on: '2026-11-02', visitId: 'v1' }),
    entry('h', 'a', { kind: 'handover', tool: 'signed', on: '2026-11-03', visitId: 'v1', by: 'q' }),
    entry('w', 'a', { kind: 'readings', on: '2026-11-09', visitId: 'v2' }),
    entry('x', 'a', { kind: 'void', on: '2026-11-09', supersedes: 'w', correctionReason: 'wrong machine' }),
  ]);
  const services = await openServices(url, systemClock(TODAY));
  expect(await verifyChain(services.database)).toMatchObject({ entries: 6, intact: true });
  const machines = await services.board.machines(ENDPOINTS.machines.query.parse({ text: 'almery r448a' }));
  // 30 lb of 100 lb.
  expect(
    machines.rows.map((row) => [row.appliance.id, row.summary.latest?.percent, row.summary.state]),
  ).toEqual([['a', 30, 'caseOpen']]);
  const visits = await services.board.visits(ENDPOINTS.visits.query.parse({}));
  expect(visits.rows).toMatchObject([
    { visitId: 'v1', from: '2026-11-01', to: '2026-11-03', entries: 3, handedOver: true, by: 'p' },
  ]);
  expect(await services.store.cylinderIdsOf('R-448A')).toEqual(['b']);
  expect((await services.store.gasOfCylinders(['b'])).map((each) => each.id)).toEqual(['g']);
  expect(await services.store.namesake('sites', 'other', ' almery fish HALL ')).toBe('s');
  // It goes on where it stood: the next entry is tied to the last.
  await services.appending.append([added('next', 'a', 1)]);
  expect(await verifyChain(services.database)).toMatchObject({ entries: 7, intact: true });
  await services.close();
  rmSync(folder, { recursive: true });
}, 30_000);

it('has every migration in its journal', () => {
  const files = readdirSync(MIGRATIONS).filter((name) => name.endsWith('.sql'));
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { tag: string }[];
  };
  expect(journal.entries.map(({ tag }) => `${tag}.sql`)).toEqual(files.sort());
});
