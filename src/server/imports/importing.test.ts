/** Files that come in: planned without writing, written in one deed, taken back in one; and other logbooks merged. */
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { ImportState } from '../../contract/imports';
import { holdFiles } from '../files/attachments';
import { contentHash } from '../files/keptFile';
import { type Company, added, charged, machine, openCompany, site } from '../company.testkit';
import { zipOf } from '../exports/write';
import { exported } from '../exported.testkit';
import { loadLogbook, verifyChain } from '../exports/logbooks';

// Each file is read by a process of its own: on a busy machine several of them take their time.
vi.setConfig({ testTimeout: 90_000 });

let company: Company;
beforeEach(async () => {
  company = await openCompany();
  await company.addSite(site('s', { name: 'Pier 9' }));
  await company.addMachine(machine('m', 's', { name: 'Rack 1' }), 100);
});
afterEach(() => company.close());

const names = async () =>
  (await company.services.board.machines({ text: '', sort: 'name', limit: 50 } as never)).rows.map(
    ({ appliance }) => appliance.name,
  );

let count = 0;
async function planned(
  text: string | Buffer,
  name = 'log.csv',
  mapping: Record<string, unknown> = {},
): Promise<ImportState> {
  const { importing } = company.services;
  const { file } = await importing.keep(Buffer.from(text), name);
  const id = `import-${String((count += 1))}`;
  await importing.begin({ id, file, name, mapping });
  for (;;) {
    const state = importing.stateOf(id);
    if (state.state !== 'reading') return state;
    await new Promise((resolve) => setTimeout(resolve, 30));
  }
}
const write = (id: string, rest: { leaveOut?: string[]; leaveOutFaulty?: boolean } = {}) =>
  company.services.importing.write(id, { by: 'p', leaveOut: [], leaveOutFaulty: false, ...rest });
const standingOf = async (id: string) =>
  (await company.services.board.machines({ ids: id } as never)).rows[0]?.summary.rod;

const LOG = 'Date,Machine,Added (lb)\n2026-06-01,Rack 1,30\n2026-07-01,Rack 1,1\n';
const MACHINES =
  'Site,Machine,Type,Refrigerant,Full charge (lb)\nPier 9,Cooler 2,walk-in,R-448A,40\nPier 10,Cooler 3,walk-in,R-448A,50\n';
const NEW_SITES = { newSites: { timezone: 'America/Chicago', packs: ['us-hfc'] } };

/** All that lists, counts and search say of the company. */
async function toldOfAll() {
  const { board, store } = company.services;
  const machines = await board.machines({ text: '', sort: 'name', limit: 50 } as never);
  const found = async (text: string) =>
    (await board.machines({ text, sort: 'name', limit: 50 } as never)).rows.map(
      ({ appliance }) => appliance.name,
    );
  return {
    machines: machines.rows.map(({ appliance, summary }) => [appliance.name, summary.state]),
    counts: [machines.count, machines.retired],
    search: [await found('cooler'), await found('rack'), await found('pier')],
    sites: (await board.sites({ text: '', limit: 50 } as never)).rows.map(({ name }) => name),
    due: (await board.due({ limit: 50 } as never)).rows.map(({ machineName, due }) => [machineName, due]),
    dueCounts: await board.dueCounts({}),
    people: (await store.people()).map(({ name }) => name),
    owners: await store.owners(),
    company: await store.company(),
  };
}

describe('an undo', () => {
  it('leaves lists, counts and search as those of a logbook that never had it, also for the machine after it', async () => {
    const before = await toldOfAll();
    const state = await planned(MACHINES, 'machines.csv', NEW_SITES);
    await write(state.id);
    expect(await toldOfAll()).not.toEqual(before);
    await company.services.importing.undo(state.id, 'p');
    expect(await toldOfAll()).toEqual(before);
    // The next machine takes a free place in the list, and is found by its own name alone.
    await company.addMachine(machine('n', 's', { name: 'Freezer 9' }), 50);
    const search = async (text: string) =>
      (await company.services.board.machines({ text, sort: 'name', limit: 9 } as never)).rows.map(
        ({ appliance }) => appliance.name,
      );
    expect([await search('cooler'), await search('freezer')]).toEqual([[], ['Freezer 9']]);
  });

  it('takes nothing back that was renamed, corrected, or is named by others since', async () => {
    const people = 'Name,Role,Certificate\nIke Fennimore,technician,608\nMarit Solane,technician,608\n';
    const state = await planned(people, 'people.csv');
    await write(state.id);
    const [ike, marit] = await company.services.store.people();
    await company.services.appending.append([charged('by-ike', 'm', 100, { by: ike?.id })]);
    await company.services.rows.change(
      [{ table: 'people', id: marit?.id ?? '', row: { ...marit, name: 'Marit S.' } as never }],
      { by: 'p', why: 'married' },
    );
    expect(await company.services.importing.whatUndoTakes(state.id)).toEqual({
      rows: 0,
      entries: 0,
      stays: [
        { words: 'person Marit S.', why: 'it was changed since' },
        { words: 'person Ike Fennimore', why: 'others use it' },
      ],
    });
    const log = await planned(LOG);
    await write(log.id);
    const gas = (await company.services.store.entriesBearingOn('m')).find(({ on }) => on === '2026-06-01');
    await company.services.appending.append([
      {
        ...(gas as never as { seal: unknown; recordedAt: unknown }),
        seal: undefined,
        recordedAt: undefined,
        id: 'put-right',
        supersedes: gas?.id,
        correctionReason: 'digits',
        mass: { value: 3, unit: 'lb' },
      } as never,
    ]);
    expect(await company.services.importing.whatUndoTakes(log.id)).toEqual({
      rows: 0,
      entries: 1,
      stays: [{ words: '1 entry', why: 'corrected or voided since' }],
    });
  });
});

describe('what was planned is checked again when it is written', () => {
  it('what somebody typed by hand meanwhile is not written twice', async () => {
    const state = await planned(LOG);
    await company.services.appending.append([
      {
        id: 'hand',
        kind: 'refrigerantAdded',
        applianceId: 'm',
        on: '2026-07-01',
        by: 'p',
        reason: 'topOff',
        mass: { value: 1, unit: 'lb' },
      } as never,
    ]);
    await expect(write(state.id)).rejects.toThrow(/changed meanwhile/);
    expect(company.services.importing.stateOf(state.id)).toMatchObject({
      state: 'ready',
      preview: { ready: 1, known: 1 },
    });
    expect((await write(state.id)).written).toEqual({ rows: 0, entries: 1 });
  });

  it('what changed nothing for it does not hold it up', async () => {
    const state = await planned(LOG);
    await company.services.appending.append([charged('later', 'm', 100)]);
    expect((await write(state.id)).written).toEqual({ rows: 0, entries: 2 });
  });

  it('a row that hangs on one that is left out is not written without it', async () => {
    const both = 'Date,Machine,Added (lb)\n2026-06-01,Cooler 2,3\n';
    const state = await planned(MACHINES, 'machines.csv', NEW_SITES);
    await expect(write(state.id, { leaveOut: ['list 2'] })).resolves.toMatchObject({ state: 'written' });
    const log = await planned(both);
    expect(log.preview?.faulty[0]?.message).toContain('“Cooler 2” is no machine of this logbook');
  });
});

describe('after the server ended', () => {
  it('a plan is there again, and a reading that was cut off says so and can be tried again', async () => {
    const ready = await planned(LOG);
    const { importing } = company.services;
    const { file } = await importing.keep(Buffer.from(LOG), 'log.csv');
    await importing.begin({ id: 'cut', file, name: 'log.csv', mapping: {} });
    await company.restart();
    const again = company.services.importing;
    expect(again.stateOf(ready.id)).toMatchObject({ state: 'ready', preview: { ready: 2 } });
    expect(again.stateOf('cut')).toMatchObject({
      state: 'refused',
      refusal: expect.stringContaining('try it again') as string,
    });
    await again.begin({ id: 'anew', file, name: 'log.csv', mapping: {} });
    for (; again.stateOf('anew').state === 'reading';)
      await new Promise((resolve) => setTimeout(resolve, 30));
    expect(again.stateOf('anew').state).toBe('ready');
    expect((await write(ready.id)).written).toEqual({ rows: 0, entries: 2 });
  });
});

describe('an import', () => {
  it('writes nothing until somebody says so, then all of it; its machines are judged at once', async () => {
    const state = await planned(LOG);
    expect(state.preview).toMatchObject({
      ready: 2,
      known: 0,
      faultyRows: 0,
      touched: 1,
      would: [{ machine: 'Rack 1', limit: 20 }],
    });
    expect(await company.services.store.countEntries('m')).toBe(1);
    expect((await write(state.id)).written).toEqual({ rows: 0, entries: 2 });
    expect(await company.services.store.countEntries('m')).toBe(3);
    expect(await standingOf('m')).toMatchObject({ exceeded: { limitPercent: 20 } });
    expect(await verifyChain(company.services.database)).toMatchObject({ intact: true });
  });

  it('of the same file adds nothing the second time', async () => {
    await write((await planned(LOG)).id);
    const again = await planned(LOG);
    expect(again.preview).toMatchObject({ ready: 0, known: 2 });
    expect((await write(again.id)).written).toEqual({ rows: 0, entries: 0 });
  });

  it('of a faulty list is refused whole, or leaves out what is wrong, or what somebody leaves out', async () => {
    const state = await planned(`${LOG}2026-08-01,Rack 7,1\n`);
    expect(state.preview?.faulty).toMatchObject([{ row: 4, column: 'Machine' }]);
    await expect(write(state.id)).rejects.toThrow();
    expect(await company.services.store.countEntries('m')).toBe(1);
    expect((await write(state.id, { leaveOutFaulty: true, leaveOut: ['list 3'] })).written).toEqual({
      rows: 0,
      entries: 1,
    });
  });

  it('is taken back whole: entries are voided, machines and sites are nowhere, and it can come again', async () => {
    const { board, importing, store } = company.services;
    const state = await planned(MACHINES, 'machines.csv', NEW_SITES);
    await write(state.id);
    expect(await names()).toEqual(['Cooler 2', 'Cooler 3', 'Rack 1']);
    const undone = await importing.undo(state.id, 'p');
    expect(undone.undoneAt).not.toBeNull();
    expect(await importing.undo(state.id, 'p')).toEqual(undone);
    expect(await names()).toEqual(['Rack 1']);
    expect((await board.sites({ text: '', limit: 50 } as never)).rows.map(({ name }) => name)).toEqual([
      'Pier 9',
    ]);
    expect(
      (await board.due({ limit: 50 } as never)).rows.every(({ machineName }) => machineName === 'Rack 1'),
    ).toBe(true);
    expect(await verifyChain(company.services.database)).toMatchObject({ intact: true });
    const again = await planned(MACHINES, 'machines.csv', NEW_SITES);
    expect(again.preview).toMatchObject({ ready: 2, known: 0 });
    await write(again.id);
    expect(await names()).toEqual(['Cooler 2', 'Cooler 3', 'Rack 1']);
    const [cooler] = (await board.machines({ text: 'cooler 2', sort: 'name', limit: 5 } as never)).rows;
    expect(cooler?.summary).toMatchObject({ rod: { allowanceGrams: expect.any(Number) as number } });
    expect((await store.people()).length).toBe(0);
  });

  it('is not taken back from under what was written since', async () => {
    const state = await planned(MACHINES, 'machines.csv', NEW_SITES);
    await write(state.id);
    const [row] = (
      await company.services.board.machines({ text: 'cooler 2', sort: 'name', limit: 5 } as never)
    ).rows;
    await company.services.appending.append([charged('later', row?.appliance.id ?? '', 41)]);
    const { importing, store } = company.services;
    const preview = await importing.whatUndoTakes(state.id);
    // Cooler 3 and its site go; Cooler 2, to which somebody wrote, stays with the charge that the import set.
    expect(preview).toEqual({
      rows: 2,
      entries: 1,
      stays: [{ words: 'machine Cooler 2', why: 'it has entries that this import did not write' }],
    });
    await importing.undo(state.id, 'p');
    expect(await names()).toEqual(['Cooler 2', 'Rack 1']);
    expect(await store.countEntries(row?.appliance.id ?? '')).toBe(2);
    expect(await verifyChain(company.services.database)).toMatchObject({ intact: true });
  });

  it('remembers how a list was understood', async () => {
    const text = 'When,Which,How much\n03/04/2026,Rack 1,12\n';
    const mapping = {
      columns: { When: 'on', Which: 'applianceId', 'How much': 'added' },
      dates: 'dmy',
      units: { 'How much': 'lb' },
    };
    await write((await planned(text, 'odd.csv', mapping)).id);
    const next = await planned(text.replace('03/04', '05/06'), 'odd2.csv');
    expect(next.preview).toMatchObject({ ready: 1, faulty: [] });
  });

  it('that reads long can be stopped, and what cannot be read is refused with a remedy', async () => {
    const { importing } = company.services;
    const { file } = await importing.keep(Buffer.from(LOG), 'log.csv');
    await importing.begin({ id: 'stop', file, name: 'log.csv', mapping: {} });
    expect((await importing.stop('stop')).state).toBe('stopped');
    await expect(write('stop')).rejects.toThrow(/not ready/);
    expect(await planned(Buffer.from('%PDF-1.7'), 'x.csv')).toMatchObject({
      state: 'refused',
      refusal: expect.stringContaining('PDF') as string,
    });
    await expect(
      importing.begin({ id: 'x', file: 'a'.repeat(64), name: 'x', mapping: {} }),
    ).rejects.toThrow();
    await expect(importing.begin({ id: 'x', file, name: 'x', mapping: { dates: 'ymd' } })).rejects.toThrow();
  });
});

describe('another logbook', () => {
  it('is merged: what is new comes with its history, what is there stays, what clashes is named', async () => {
    const other = await openCompany();
    await other.addSite(site('s', { name: 'Pier 9' }));
    await other.addSite(site('t', { name: 'Pier 20' }));
    await other.addMachine(machine('n', 't', { name: 'Rack 20' }), 60);
    await other.services.rows.change(
      [{ table: 'sites', id: 't', row: site('t', { name: 'Pier 20', address: '1 Quay' }) }],
      { by: 'p', why: 'asked' },
    );
    const logbook = await exported(other.services);
    await other.close();
    const state = await planned(JSON.stringify(logbook), 'other.json');
    expect(state.preview).toMatchObject({ kind: 'logbook', faulty: [] });
    await write(state.id);
    expect((await company.services.store.revisionsOf('sites', 't')).map(({ why }) => why)).toEqual([
      null,
      'asked',
      'brought in from other.json',
    ]);
    expect(await standingOf('n')).toMatchObject({ limit: true });
    expect((await planned(JSON.stringify(logbook), 'other.json')).preview).toMatchObject({ ready: 0 });
    const clash = {
      ...logbook,
      entries: logbook.entries.map((entry) => ({ ...entry, seal: undefined, note: 'another' })),
    };
    expect((await planned(JSON.stringify(clash), 'clash.json')).preview?.faulty).toMatchObject([
      { column: 'entries' },
    ]);
    expect(await verifyChain(company.services.database)).toMatchObject({ intact: true });
  });

  it('brings its own figures and its issued documents with their files, and an undo takes them back', async () => {
    const other = await openCompany();
    await other.addSite(site('t', { name: 'Pier 20' }));
    await other.addMachine(machine('n', 't', { name: 'Rack 20' }), 100);
    const picture = Buffer.from('a picture of a certificate');
    const pictureFile = `${contentHash(picture)}.jpg`;
    await other.services.photos.keep(pictureFile, picture);
    await other.services.rows.change(
      [
        {
          table: 'people',
          id: 'k',
          row: { id: 'k', name: 'Marit', certificates: [{ number: 'K-1', 'x-photo': pictureFile }] },
        },
      ],
      { by: 'p', why: null },
    );
    const issued = await other.services.issuing.issue({
      id: 'paper-1',
      request: { document: 'fullCharge', machine: 'n' },
      by: 'p',
      to: 'the owner',
      answers: {},
    });
    const figure = ['threshold', 'commercialRefrigeration'];
    await other.services.rows.amend({
      pack: 'us-hfc',
      figure,
      from: '2026-01-01',
      value: 5,
      reason: 'our contract says so',
      by: 'p',
    });
    const zip = await buffer(
      zipOf(other.services.database.db, other.services.clock, {}, other.services.photos.folder) as Readable,
    );
    await other.close();
    // Eight percent a year: within the law's twenty, and over the contract's five.
    await company.services.appending.append([added('g', 'm', 8)]);
    const limitOf = async () => {
      const { rows } = await company.services.board.machines({ ids: 'm' } as never);
      return rows[0]?.summary.state;
    };
    const before = await toldOfAll();
    expect(await limitOf()).toBe('healthy');
    const state = await planned(zip, 'other.zip');
    expect(state.preview?.rows.map(({ words }) => words)).toEqual([
      expect.stringMatching(/own figure.*: 5 % from 1 Jan 2026 \(our contract says so\); every machine/),
      expect.stringContaining(`${issued.number}, ${issued.title}`),
    ]);
    await write(state.id);
    expect(await limitOf()).toBe('overdue');
    const { issuing, importing, database, photos } = company.services;
    const file = await issuing.fileOf('paper-1');
    expect(file?.name).toBe(`${issued.number}.pdf`);
    expect(await holdFiles(database.db, photos.folder)).toEqual({ alteredFiles: [], missingFiles: [] });
    expect(photos.pathOf(pictureFile)).not.toBeNull();
    expect(await verifyChain(database)).toMatchObject({ intact: true });
    expect((await planned(zip, 'other.zip')).preview).toMatchObject({ ready: 0 });
    // A round through the file keeps them once.
    const whole = await exported(company.services);
    const third = await openCompany();
    await loadLogbook(third.services, whole);
    expect((await third.services.store.amendments()).map(({ value }) => value)).toEqual([5]);
    expect(await verifyChain(third.services.database)).toMatchObject({ intact: true });
    await third.close();

    await importing.undo(state.id, 'p');
    // By other figures machines are judged behind, one after the other.
    await vi.waitFor(async () => expect(await toldOfAll()).toEqual(before), 10_000);
    expect(await limitOf()).toBe('healthy');
    expect((await issuing.list({ limit: 9 })).rows).toEqual([]);
    expect(await verifyChain(database)).toMatchObject({ intact: true });
    expect((await planned(zip, 'other.zip')).preview?.ready).toBe(state.preview?.ready);
  });

  it('that is none is refused with what is wrong in it', async () => {
    expect(await planned('{"format":"green-abacus-logbook","version":1}', 'x.json')).toMatchObject({
      state: 'refused',
      refusal: expect.stringMatching(/no logbook that can be read: \$\.sites/) as string,
    });
  });
});
