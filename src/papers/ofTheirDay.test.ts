/** Papers tell what held on the day that they are about: its owner, its figures, the machines and rules of that time. */
import { describe, expect, it } from 'vitest';
import type { Logbook } from '../core/logbook/logbook';
import { amended } from '../core/rules/amend';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import {
  type Fact,
  type Scene,
  charge,
  found,
  gas,
  initialPass,
  lb,
  note,
  repaired,
  sceneOf,
  topOff,
} from '../core/testkit/facts';
import { paper, read, records } from './paper.testkit';

const YEARLY = { document: 'yearly', pack: 'us-hfc', year: 2026 } as const;
const yearly = async (facts: readonly Fact[], scene: Scene = {}) =>
  read(await paper(YEARLY, records(facts, {}, scene)));

describe('the machine record', () => {
  const two = [
    gas('2026-03-01'),
    topOff('2026-06-01', 12),
    found('2026-06-02', 'k1'),
    found('2026-06-02', 'k2'),
    repaired('2026-06-03', 'k1'),
  ];
  const table = async (facts: readonly Fact[], scene: Scene = {}) =>
    read(await paper({ document: 'machineRecord', machine: 'a' }, records(facts, {}, scene)));

  it('gives the first test of a case, of one leak while the other waits', async () => {
    expect(await table([...two, initialPass('2026-06-04', 'k1')])).toMatch(
      /US HFC rules \| 1 Jun 2026 \| .* \| 1 Jul 2026 \| 4 Jun 2026 \(k1\); not yet k2 \| not yet/,
    );
    const both = [...two, repaired('2026-06-05', 'k2'), initialPass('2026-06-06', 'k1', 'k2')];
    expect(await table(both)).toMatch(/\| 1 Jul 2026 \| 6 Jun 2026 \| not yet/);
  });

  it('says that a rule asks for none, not that none was done', async () => {
    const eu = { packs: ['eu' as const], kilograms: 100, appliance: { refrigerant: 'R-404A' } };
    expect(await table([found('2026-06-02'), repaired('2026-06-03')], eu)).toMatch(
      /European Union \| 2 Jun 2026 \| .* \| none needed \| not yet/,
    );
  });
});

describe('the owner on a paper', () => {
  it('is the owner of its day, whoever bought the site since', async () => {
    const rows: Partial<Logbook> = {
      sites: [
        {
          ...sceneOf({}).site,
          ownerId: 'first',
          owners: [{ from: '2026-07-01', ownerId: 'second' }],
        },
      ],
      owners: [
        { id: 'first', name: 'Selkirk Quay Stores' },
        { id: 'second', name: 'Harbour Hall Trust' },
      ],
    };
    const told = async (asOf: string) =>
      read(
        await paper(
          { document: 'machineRecord', machine: 'a', asOf },
          records([gas('2026-03-01'), topOff('2026-06-01', 12)], rows),
        ),
      );
    expect(await told('2026-06-30')).toContain('Owner: Selkirk Quay Stores');
    expect(await told('2026-06-30')).not.toContain('Harbour Hall Trust');
    expect(await told('2026-07-01')).toContain('Owner: Harbour Hall Trust');
  });
});

describe('the yearly report', () => {
  it('counts heavy losses from the figure that holds that year, also where it is the company’s own', async () => {
    // 60 lb of 100 lb lost in the year: 60 %.
    const facts = [gas('2025-03-01'), topOff('2026-06-01', 60)];
    expect(await yearly(facts)).toContain('Lost 125 % of the charge or more: 0');
    const own = amended(SHIPPED_PACKS['us-hfc'], {
      pack: 'us-hfc',
      figure: ['chronic', 'percent'],
      from: '2026-01-01',
      value: 60,
      reason: 'our contract',
      by: 'p',
    });
    if (!own.ok) throw new Error(own.refusal.reason);
    const packs = { ...SHIPPED_PACKS, 'us-hfc': own.value };
    const text = read(await paper(YEARLY, { ...records(facts), packs }));
    expect(text).toContain('Lost 60 % of the charge or more: 1');
    // The year before had the law's figure.
    const before = read(await paper({ ...YEARLY, year: 2025 }, { ...records(facts), packs }));
    expect(before).toContain('Lost 125 % of the charge or more');
  });

  it('leaves out a machine that was retired before the year, and tells one that was retired in it', async () => {
    const none = 'No machine of this logbook was covered in that year.';
    expect(await yearly([gas('2016-03-01'), note('retired', '2018-05-01')])).toContain(none);
    expect(await yearly([gas('2016-03-01'), note('retired', '2025-12-31')])).toContain(none);
    expect(await yearly([gas('2016-03-01'), note('retired', '2026-01-01')])).not.toContain(none);
  });

  it('counts nothing of days on which the pack did not cover, and does not call them unjudged', async () => {
    // Ten pounds are below what the pack covers, until the charge was found to be a hundred.
    const facts = [gas('2025-03-01'), topOff('2026-02-01', 5), charge('2026-05-01', lb(100))];
    const text = await yearly(facts, { pounds: 10 });
    expect(text).toMatch(/R-448A \| 100 lb \| 5 lb \| 0 oz \| no addition \| .* \| 0 \| – \| 0/);
    expect(text).not.toContain('annot be judged');
  });
});
