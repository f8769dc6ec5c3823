import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Entry } from '../../core/logbook/entry';
import { type ApplianceStanding, logbookStandings } from '../../core/rules/standingDocument';
import { dayOf } from '../../core/quantity/day';
import { systemClock } from '../clock';
import { exported } from '../exported.testkit';
import { verifyChain } from '../exports/logbooks';
import { HttpProblem } from '../problem';
import { type Services, openServices } from '../services';
import { type Link, firstBreak } from './seal';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';

const TODAY = '2026-11-23';
let folder: string;
let services: Services;

const site = {
  id: 's',
  name: 'Almery Fish Hall',
  timezone: 'America/Chicago',
  packs: ['us-ods' as const, 'us-hfc' as const],
};
const appliance = (id: string) => ({
  id,
  siteId: 's',
  name: id,
  kind: 'rack' as const,
  category: 'commercialRefrigeration' as const,
  refrigerant: 'R-448A',
});
const entry = (id: string, rest: object): Entry =>
  ({ id, by: 'p', on: '2026-06-01', applianceId: 'a', ...rest }) as Entry;
const topOff = (id: string, pounds: number, rest: object = {}) =>
  entry(id, { kind: 'refrigerantAdded', mass: { value: pounds, unit: 'lb' }, reason: 'topOff', ...rest });

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'abacus-'));
  services = await openServices(`file:${join(folder, 'test.db')}`, systemClock(TODAY));
  const { rows, appending } = services;
  await rows.change([{ table: 'sites', id: 's', row: site }], { by: 'p', why: null });
  for (const id of ['a', 'b']) {
    await appending.addMachine({
      appliance: appliance(id),
      spaces: [],
      by: 'p',
      entries: [
        entry(`charge-${id}`, {
          kind: 'fullChargeSet',
          on: '2020-01-01',
          applianceId: id,
          method: 'weighed',
          mass: { value: 100, unit: 'lb' },
        }),
      ],
    });
  }
});

afterEach(async () => {
  await services.close();
  rmSync(folder, { recursive: true });
});

const standing = async (id: string) => {
  const placed = await services.store.placed(id);
  if (!placed) return null;
  const { document } = await services.keeper.documentOf(placed.appliance, placed.site);
  return JSON.parse(document) as ApplianceStanding;
};
const chain = async () => {
  const links: Link[] = [];
  for await (const link of services.store.chain()) links.push(link);
  return links;
};
const problemOf = async (work: Promise<unknown>) => {
  const error: unknown = await work.then(
    () => null,
    (reason: unknown) => reason,
  );
  if (!(error instanceof HttpProblem)) throw new Error(`expected a problem, got ${String(error)}`);
  return error.document;
};

describe('appending', () => {
  it('lands 200 appends made at once, each once, in one unbroken chain', async () => {
    await Promise.all(
      Array.from({ length: 200 }, (_, index) =>
        services.appending.append([topOff(`t${String(index)}`, 0.01)]),
      ),
    );
    expect(await verifyChain(services.database)).toEqual({
      entries: 202,
      revisions: 3,
      intact: true,
      brokenAt: null,
      alteredRows: [],
    });
    // 200 × 0.01 lb = 2 lb = 907.18474 g
    expect((await standing('a'))?.additions[0]?.netGrams).toBe(907.1847);
  });

  it('takes an entry that is sent again once, and refuses other content under its id', async () => {
    await services.appending.append([topOff('x', 2)]);
    await services.appending.append([topOff('x', 2)]);
    expect((await verifyChain(services.database)).entries).toBe(3);
    expect(await problemOf(services.appending.append([topOff('x', 3)]))).toMatchObject({ status: 409 });
  });

  it('judges both machines when a correction moves an entry to another one', async () => {
    await services.appending.append([topOff('x', 30)]);
    expect((await standing('a'))?.cases).toHaveLength(1);
    await services.appending.append([
      topOff('y', 30, { applianceId: 'b', supersedes: 'x', correctionReason: 'wrong machine' }),
    ]);
    expect((await standing('a'))?.cases).toHaveLength(0);
    expect((await standing('b'))?.additions.map((each) => each.netGrams)).toEqual([13607.7711]);
  });

  it('refuses what cannot be, naming the field, and writes nothing', async () => {
    const cases: [object, string][] = [
      [{ on: '2026-11-24' }, '$.on'],
      [{ mass: { value: 200_000, unit: 'lb' } }, '$.mass'],
      [{ supersedes: 'nobody', correctionReason: 'x' }, '$.supersedes'],
      [{ applianceId: 'nobody' }, '$.applianceId'],
      [{ mass: null }, '$.massUnknown'],
    ];
    for (const [wrong, path] of cases) {
      const document = await problemOf(services.appending.append([topOff('x', 1, wrong)]));
      expect(document.errors?.map((error) => error.path)).toContain(path);
    }
    expect((await verifyChain(services.database)).entries).toBe(2);
  });

  it('asks for a reason where something odd may be, and takes the entry with one', async () => {
    expect(await problemOf(services.appending.append([topOff('x', 140)]))).toMatchObject({
      warnings: ['moreThanFullCharge'],
    });
    await services.appending.append([
      topOff('x', 140, { 'x-accepted': { moreThanFullCharge: 'receiver was added last year' } }),
    ]);
    expect((await standing('a'))?.additions).toHaveLength(1);
  });

  it('refuses to correct an entry that was corrected already', async () => {
    await services.appending.append([topOff('x', 1)]);
    await services.appending.append([topOff('y', 2, { supersedes: 'x', correctionReason: 'misread' })]);
    const again = topOff('z', 3, { supersedes: 'x', correctionReason: 'misread' });
    expect((await problemOf(services.appending.append([again]))).errors?.[0]?.path).toBe('$.supersedes');
  });
});

describe('the chain', () => {
  it('shows an altered, a removed and an inserted entry', async () => {
    await services.appending.append([topOff('x', 1), topOff('y', 2)]);
    const links = await chain();
    expect(firstBreak(links)).toBeNull();
    const altered = links.map((link) =>
      link.id === 'x' ? { ...link, sealed: { ...link.sealed, on: '2026-06-02' } } : link,
    );
    expect(firstBreak(altered)).toMatchObject({ id: 'x', why: 'content' });
    expect(firstBreak(links.filter((link) => link.id !== 'x'))).toMatchObject({ id: 'y' });
    const [, , third] = links;
    if (!third) throw new Error('The chain has no third link.');
    const sealed = { ...third.sealed, id: 'forged' };
    const forged = [...links.slice(0, 3), { sequence: 4, id: 'forged', sealed }];
    expect(firstBreak(forged)).toMatchObject({ id: 'forged', why: 'previous' });
  });
});

it('gives the same standing as compute does for the exported logbook', async () => {
  await services.appending.append([
    topOff('x', 12),
    topOff('y', 3, { on: '2026-08-01' }),
    topOff('z', 1, { on: '2026-09-01', applianceId: 'b' }),
  ]);
  await services.appending.append([
    topOff('w', 4, { on: '2026-08-02', supersedes: 'y', correctionReason: 'wrong day' }),
  ]);
  const computed = logbookStandings(await exported(services), dayOf(TODAY), SHIPPED_PACKS);
  for (const each of computed.appliances)
    expect(await standing(each.id)).toEqual(JSON.parse(JSON.stringify(each)));
});
