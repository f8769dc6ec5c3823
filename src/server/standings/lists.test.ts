/** Lists by the page: put together they are the whole list in one order, also while entries are being added. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MACHINE_SORTS, type MachineRow, type MachineSort } from '../../contract/machines';
import { ENDPOINTS, type QueryRead } from '../../contract/endpoints';
import { seeded } from '../../core/testkit/seeded';
import { APPLIANCE_KINDS } from '../../core/logbook/tables';
import { MACHINE_STATES } from '../../core/rules/machineState';
import { roomOf } from '../../core/rules/summary';
import { type Company, added, entry, machine, openCompany, site } from '../company.testkit';

const MACHINES = 60;
let company: Company;

const asked = (query: object): QueryRead<'machines'> => ENDPOINTS.machines.query.parse(query);
const dueAsked = (query: object): QueryRead<'due'> => ENDPOINTS.due.query.parse(query);

/** All pages of the machines, and what is done between two of them. */
async function allMachines(
  query: object,
  limit: number,
  between: () => Promise<unknown> = () => Promise.resolve(),
) {
  const rows: MachineRow[] = [];
  for (let after: string | undefined; ;) {
    const page = await company.services.board.machines(asked({ ...query, limit, after }));
    rows.push(...page.rows);
    if (page.next === null) return rows;
    after = page.next;
    await between();
  }
}

async function allDue(limit: number, between: () => Promise<unknown> = () => Promise.resolve()) {
  const rows = [];
  for (let after: string | undefined; ;) {
    const page = await company.services.board.due(dueAsked({ limit, after }));
    rows.push(...page.rows);
    if (page.next === null) return rows;
    after = page.next;
    await between();
  }
}

const random = seeded(7);
const oneOf = <Item>(items: readonly Item[]): Item => items[Math.floor(random() * items.length)] as Item;
let made = 0;
const day = () =>
  `2026-${String(1 + Math.floor(random() * 10)).padStart(2, '0')}-1${String(Math.floor(random() * 10))}`;

/** Something happens at some machine: gas, an inspection, a leak. */
async function happening() {
  const id = `m${String(Math.floor(random() * MACHINES))}`;
  const name = `e${String((made += 1))}`;
  const on = day();
  await company.services.appending.append([
    oneOf([
      added(name, id, 1 + random() * 30, { on }),
      entry(name, id, { kind: 'leakInspection', on, methods: ['electronic'] }),
      entry(name, id, {
        kind: 'leakFound',
        on,
        leakId: name,
        component: oneOf(['flare nut', 'drier', 'Schrader']),
      }),
      entry(name, id, { kind: 'readings', on, suction: '22 psig', visitId: `v${id}` }),
    ]),
  ]);
}

beforeAll(async () => {
  company = await openCompany();
  const zones = ['America/Chicago', 'Europe/Berlin', 'Pacific/Auckland'];
  for (let index = 0; index < 5; index += 1)
    await company.addSite(
      site(`s${String(index)}`, {
        name: `${['Mill', 'Quay', 'Dairy', 'Ärzte', 'Orchard'][index] ?? ''} Row`,
        timezone: zones[index % 3] ?? 'UTC',
        packs: index % 2 === 0 ? ['us-hfc'] : ['eu', 'house'],
      }),
    );
  for (let index = 0; index < MACHINES; index += 1)
    await company.addMachine(
      machine(`m${String(index)}`, `s${String(index % 5)}`, {
        name: `${oneOf(['Rack', 'Freezer', 'cooler'])} ${String(index)}`,
        kind: oneOf(APPLIANCE_KINDS),
        refrigerant: oneOf(['R-448A', 'R-404A', 'R-290']),
        ...(index === 8 ? { serialNumber: 'KX-4471', model: 'Polar 30' } : {}),
      }),
      index % 7 === 0 ? undefined : 20 + index * 7,
    );
  for (let index = 0; index < 150; index += 1) await happening();
  await company.services.appending.append([entry('gone', 'm3', { kind: 'retired', on: '2026-11-01' })]);
}, 60_000);
afterAll(() => company.close());

describe('machines', () => {
  const keyOf: Record<MachineSort, (row: MachineRow) => string | number> = {
    state: ({ summary }) => MACHINE_STATES.indexOf(summary.state),
    name: ({ appliance }) =>
      appliance.name.toLowerCase().replace(/\d+/g, (digits) => digits.padStart(9, '0')),
    site: ({ siteName }) => siteName.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase(),
    charge: ({ summary }) => summary.fullChargeGrams ?? -1,
    room: ({ summary }) => roomOf(summary.rod),
    due: ({ summary }) => summary.nextDue?.due ?? '9999',
  };

  it.each(MACHINE_SORTS.flatMap((sort) => ['0', '1'].map((descending) => [sort, descending] as const)))(
    'by %s (descending: %s): pages of seven are the whole list, in order, each once',
    async (sort, descending) => {
      const rows = await allMachines({ sort, descending }, 7);
      expect(new Set(rows.map((row) => row.appliance.id)).size).toBe(rows.length);
      expect(rows).toHaveLength(MACHINES - 1);
      const keys = rows.map(keyOf[sort]);
      const sorted = [...keys].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
      expect(keys).toEqual(descending === '1' ? sorted.reverse() : sorted);
    },
  );

  it('by name: the same while entries are being added between the pages', async () => {
    const before = await allMachines({ sort: 'name' }, 200);
    const during = await allMachines({ sort: 'name' }, 7, happening);
    expect(during.map((row) => row.appliance.id)).toEqual(before.map((row) => row.appliance.id));
  });

  it('narrowed in every way they are those that a plain filter finds, and counted so', async () => {
    const all = await allMachines({ sort: 'name' }, 200);
    const retired = await allMachines({ sort: 'name', state: 'retired' }, 200);
    expect(retired.map((row) => row.appliance.id)).toEqual(['m3']);
    const cases: [object, (row: MachineRow) => boolean][] = [
      [{ kind: 'rack' }, (row) => row.appliance.kind === 'rack'],
      [{ site: 's2' }, (row) => row.siteId === 's2'],
      ...MACHINE_STATES.map((state): [object, (row: MachineRow) => boolean] => [
        { state },
        (row) => row.summary.state === state,
      ]),
      [{ unjudged: '1' }, (row) => row.summary.unjudged !== null],
      [{ text: 'rack' }, (row) => /rack/i.test(row.appliance.name)],
      [{ text: 'R448' }, (row) => row.summary.refrigerant === 'R-448A'],
      [{ text: 'arzte free' }, (row) => row.siteId === 's3' && /freezer/i.test(row.appliance.name)],
      [
        { text: 'ROW mill', kind: 'chiller' },
        (row) => row.siteId === 's0' && row.appliance.kind === 'chiller',
      ],
      [{ text: 'kx4471' }, (row) => row.appliance.id === 'm8'],
      [{ text: 'polar' }, (row) => row.appliance.id === 'm8'],
      [{ text: 'ack' }, () => false],
      [{ withRoom: '1' }, ({ summary: { rod } }) => rod.limit && rod.exceeded === null],
    ];
    for (const [query, fits] of cases) {
      const wanted = [...all, ...retired].filter(
        (row) => fits(row) && ('state' in query || row.summary.state !== 'retired'),
      );
      const found = await allMachines({ ...query, sort: 'name' }, 5);
      expect([query, found.map((row) => row.appliance.id).sort()]).toEqual([
        query,
        wanted.map((row) => row.appliance.id).sort(),
      ]);
      if ('withRoom' in query) continue;
      const { count } = await company.services.board.machines(asked(query));
      expect([query, count]).toEqual([query, wanted.length]);
    }
  });

  it('say how many are retired and stay out', async () => {
    expect((await company.services.board.machines(asked({}))).retired).toBe(1);
    expect((await company.services.board.machines(asked({ site: 's3' }))).retired).toBe(1);
    expect((await company.services.board.machines(asked({ site: 's1' }))).retired).toBe(0);
  });

  it('are told by their ids, retired ones too, and strangers are passed over', async () => {
    const { rows } = await company.services.board.machines(asked({ ids: 'm3,m5,nobody' }));
    expect(rows.map((row) => row.appliance.id).sort()).toEqual(['m3', 'm5']);
  });

  it('have a new name and a new site at once', async () => {
    const { rows } = company.services;
    // Written to just before, so that it is remembered as it was.
    await company.services.appending.append([added('before', 'm8', 1)]);
    const row = machine('m8', 's1', { name: 'Zulu unit' });
    await rows.change([{ table: 'appliances', id: 'm8', row }], { by: 'p', why: 'moved' });
    expect((await allMachines({ text: 'zulu' }, 5)).map((each) => each.siteName)).toEqual(['Quay Row']);
    await rows.change(
      [
        {
          table: 'sites',
          id: 's1',
          row: site('s1', { name: 'Harbour End', timezone: 'Europe/Berlin', packs: ['eu'] }),
        },
      ],
      { by: 'p', why: 'renamed' },
    );
    // The answer did not wait for its machines; what a search finds follows once they are judged.
    await company.services.keeper.turning.turnOver();
    expect((await allMachines({ text: 'harbour zulu' }, 5)).map((each) => each.appliance.id)).toEqual(['m8']);
    expect(await allMachines({ text: 'quay' }, 5)).toEqual([]);
    // What is written afterwards knows the new name, too.
    await company.services.appending.append([added('after', 'm8', 1)]);
    expect((await allMachines({ text: 'harbour zulu' }, 5)).map((each) => each.appliance.id)).toEqual(['m8']);
  });
});

describe('due', () => {
  const keyOf = (row: { machineId: string; kind: string; due: string }) =>
    [row.due, row.machineId, row.kind].join(' ');

  it('by the page is the whole list by day, each duty once', async () => {
    const whole = await allDue(100);
    const pages = await allDue(3);
    expect(pages).toEqual(whole);
    expect(whole.length).toBeGreaterThan(25);
    const days = whole.map((row) => row.due);
    expect(days).toEqual([...days].sort());
    expect(new Set(whole.map(keyOf)).size).toBe(whole.length);
  });

  it('loses and doubles nothing that stands throughout while entries are being added', async () => {
    const before = await allDue(100);
    const during = await allDue(3, happening);
    const after = new Set((await allDue(100)).map(keyOf));
    const times = new Map<string, number>();
    for (const row of during) times.set(keyOf(row), (times.get(keyOf(row)) ?? 0) + 1);
    const throughout = before.map(keyOf).filter((key) => after.has(key));
    expect(throughout.length).toBeGreaterThan(15);
    expect(throughout.filter((key) => times.get(key) !== 1)).toEqual([]);
    const days = during.map((row) => row.due);
    expect(days).toEqual([...days].sort());
  });

  it('is counted by groups and by site as its rows are', async () => {
    const rows = await allDue(100);
    const { groups } = await company.services.board.dueCounts({});
    const left = (row: (typeof rows)[number]) => (Date.parse(row.due) - Date.parse(row.today)) / 86_400_000;
    expect(groups).toEqual({
      overdue: rows.filter((row) => left(row) < 0).length,
      week: rows.filter((row) => left(row) >= 0 && left(row) <= 7).length,
      month: rows.filter((row) => left(row) > 7 && left(row) <= 31).length,
      later: rows.filter((row) => left(row) > 31).length,
    });
    const trips = await company.services.board.trips({ limit: 100 });
    for (const trip of trips.rows) {
      const own = rows.filter((row) => row.siteId === trip.siteId);
      expect([trip.late, trip.due]).toEqual([
        own.filter((row) => left(row) < 0).length,
        own.filter((row) => left(row) <= 31).length,
      ]);
      const counts = await company.services.board.dueCounts({ site: trip.siteId });
      expect(counts.groups.overdue).toBe(trip.late);
    }
    expect(trips.rows.map((trip) => trip.late)).toEqual(
      trips.rows.map((trip) => trip.late).sort((a, b) => b - a),
    );
  });
});

describe('what is kept beside the entries is what they say', () => {
  const all = <Row>(query: string) => company.services.database.db.all<Row>(query);

  it('machines by kind and state, duties by day, leaks by part, and visits', async () => {
    for (let index = 0; index < 40; index += 1) await happening();
    expect(
      await all(
        'select kind, state, unjudged, machines from machine_tallies where machines > 0 order by 1, 2, 3',
      ),
    ).toEqual(
      await all(
        'select kind, state, unjudged, count(*) as machines from standings group by 1, 2, 3 order by 1, 2, 3',
      ),
    );
    expect(await all('select * from duty_days order by 1, 2')).toEqual(
      await all(
        `select 'site ' || site_id as scope, due, count(*) as duties from duties group by 1, 2
         union all select 'zone ' || timezone, due, count(*) from duties group by 1, 2 order by 1, 2`,
      ),
    );
    expect(await all('select kind, type, times from leak_tallies where times > 0 order by 1, 2')).toEqual(
      await all('select kind, type, sum(times) as times from leak_parts group by 1, 2 order by 1, 2'),
    );
    expect(
      (await all<{ times: number }>('select sum(times) as times from leak_tallies'))[0]?.times,
    ).toBeGreaterThan(20);
    expect(await all('select count(*) as visits, sum(entries) as entries from visits')).toEqual(
      await all(
        `select count(distinct document ->> 'visitId' || appliance_id) as visits, count(*) as entries from entries where document ->> 'visitId' is not null`,
      ),
    );
  });
});
