/** Files that come in: planned without writing, written in one deed, taken back in one; and other logbooks merged. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { ImportState } from '../../contract/imports';
import type { Logbook } from '../../core/logbook/logbook';
import { type Company, charged, machine, openCompany, site } from '../company.testkit';
import { exportLogbook, verifyChain } from '../logbooks';

let company: Company;
beforeEach(async () => {
  company = await openCompany();
  await company.addSite(site('s', { name: 'Pier 9' }));
  await company.addMachine(machine('m', 's', { name: 'Rack 1' }), 100);
});
afterEach(() => company.close());

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
    const names = async () =>
      (await board.machines({ text: '', sort: 'name', limit: 50 } as never)).rows.map(
        ({ appliance }) => appliance.name,
      );
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
    await expect(company.services.importing.undo(state.id, 'p')).rejects.toThrow(
      /entries that this import did not write/,
    );
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
    expect(importing.stop('stop').state).toBe('stopped');
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
    const logbook = JSON.parse(JSON.stringify(await exportLogbook(other.services.database))) as Logbook;
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

  it('that is none is refused with what is wrong in it', async () => {
    expect(await planned('{"format":"green-abacus-logbook","version":1}', 'x.json')).toMatchObject({
      state: 'refused',
      refusal: expect.stringMatching(/no logbook that can be read: \$\.sites/) as string,
    });
  });
});
