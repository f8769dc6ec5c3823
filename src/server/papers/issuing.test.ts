/** Documents that leave the house: numbered, kept, sealed, issued anew after a correction. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import type { PaperRequest } from '../../contract/papers';
import { type Company, added, entry, machine, openCompany, site } from '../company.testkit';
import { exported } from '../exported.testkit';
import { loadLogbook, verifyChain } from '../exports/logbooks';
import { readLogbook } from '../../core/logbook/logbook';

let company: Company;
beforeAll(async () => {
  company = await openCompany();
  await company.services.rows.change(
    [{ table: 'owners', id: 'o', row: { id: 'o', name: 'Kaldvik Harbour' } }],
    { by: 'p', why: null },
  );
  await company.addSite(site('s', { ownerId: 'o' }));
  await company.addMachine(machine('m', 's'), 100);
  await company.services.appending.append([
    added('g0', 'm', 1, { on: '2026-03-01', reason: 'commission' }),
    added('g1', 'm', 12, { on: '2026-06-01' }),
    entry('plan', 'm', { kind: 'planFiled', on: '2026-06-20', plan: 'retire' }),
  ]);
});
afterAll(() => company.close());

const FILE: PaperRequest = { document: 'leakRepairFile', machine: 'm', pack: 'us-hfc', opened: '2026-06-01' };
const issue = (id: string, request = FILE, answers: Record<string, string> = {}) =>
  company.services.issuing.issue({ id, request, by: 'p', to: 'the authority', answers });

describe('issuing', () => {
  it('asks once what no entry says, and remembers it with the owner', async () => {
    const { issuing, store } = company.services;
    const first = await issuing.preview(FILE);
    expect(first.asks.map(({ key }) => key)).toEqual(['address', 'contact', 'numbers', 'x-signs']);
    await issue('i1', FILE, { address: '4 Quay', 'x-signs': 'Runa Holt, harbour master' });
    expect((await issuing.preview(FILE)).asks.map(({ key }) => key)).toEqual(['contact', 'numbers']);
    expect((await store.owners())[0]).toMatchObject({
      address: '4 Quay',
      'x-signs': 'Runa Holt, harbour master',
    });
    expect((await issuing.preview(FILE)).papers[0]?.facts).toContainEqual([
      'Owner',
      'Kaldvik Harbour, 4 Quay',
    ]);
  });

  it('of the same record the same file goes out again, under the same number; sent twice it is issued once', async () => {
    const again = await issue('i2');
    const [, first] = (await company.services.issuing.list({ limit: 50 })).rows;
    expect([again.number, again.file]).toEqual([first?.number, first?.file]);
    expect(await issue('i2')).toEqual(again);
    expect((await company.services.issuing.list({ limit: 50 })).rows.length).toBe(2);
  });

  it('after a correction it has the next number, and says what changed', async () => {
    const [before] = (await company.services.issuing.list({ limit: 50 })).rows;
    await new Promise((resolve) => setTimeout(resolve, 5));
    await company.services.appending.append([
      added('g2', 'm', 13, { on: '2026-06-01', supersedes: 'g1', correctionReason: 'digits swapped' }),
    ]);
    const next = await issue('i3');
    expect(next.version).toBe((before?.version ?? 0) + 1);
    expect(next.changed).toEqual([
      expect.stringMatching(
        /^Corrected: gas added 13 lb, top-off.*; before: gas added 12 lb, top-off.* \(digits swapped\)/,
      ),
    ]);
    expect(next.file).not.toBe(before?.file);
    const kept = await company.services.issuing.fileOf('i1');
    expect(
      readFileSync(kept?.path ?? '')
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    expect(kept?.name).toMatch(/^LR-[0-9A-Z]{6}-1\.pdf$/);
  });

  it('answers of a paper stand on it, and are proposed the next time', async () => {
    const PLAN: PaperRequest = { document: 'plan', entry: 'plan' };
    await issue('i4', PLAN, { steps: 'May: pump out' });
    const { asks } = await company.services.issuing.preview(PLAN);
    expect(asks.find(({ key }) => key === 'steps')?.value).toBe('May: pump out');
  });

  it('is sealed, kept with the logbook, and what was altered is found', async () => {
    const { database } = company.services;
    expect(await verifyChain(database)).toMatchObject({ intact: true });
    const read = readLogbook(await exported(company.services));
    if (!read.ok) throw new Error('no logbook');
    const other = await openCompany();
    await loadLogbook(other.services, read.value);
    expect((await other.services.issuing.list({ limit: 50 })).rows.map(({ id }) => id)).toEqual([
      'i4',
      'i3',
      'i2',
      'i1',
    ]);
    expect(await verifyChain(other.services.database)).toMatchObject({ intact: true });
    await other.services.database.write(() =>
      other.services.database.batch([
        `UPDATE issued SET document = replace(document, 'the authority', 'nobody')`,
      ]),
    );
    expect((await verifyChain(other.services.database)).alteredRows.length).toBe(4);
    await other.close();
  });

  it('is refused with what is wrong, and nothing is issued', async () => {
    await expect(issue('bad', { ...FILE, opened: '2026-06-02' })).rejects.toThrow(
      /No case of US HFC rules opened/,
    );
    await expect(issue('bad', { document: 'inspection', entry: 'g1' })).rejects.toThrow();
    expect((await company.services.issuing.list({ limit: 50 })).rows.some(({ id }) => id === 'bad')).toBe(
      false,
    );
  });

  it('a machine may be listed alone', async () => {
    await company.addMachine(machine('m2', 's'));
    expect((await company.services.issuing.list({ machine: 'm2', limit: 50 })).rows).toEqual([]);
    expect((await company.services.issuing.list({ machine: 'm', limit: 2 })).next).not.toBeNull();
  });
});
