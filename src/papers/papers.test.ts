/** What documents say: read as an inspector reads them, with figures worked out by hand from the handbook's examples. */
import { describe, expect, it } from 'vitest';
import type { PaperRequest } from '../contract/papers';
import type { Entry } from '../core/logbook/entry';
import {
  type Fact,
  added,
  charge,
  followUpPass,
  found,
  gas,
  initialPass,
  inspected,
  kg,
  lb,
  note,
  recovered,
  repaired,
  storyOf,
  topOff,
} from '../core/testkit/facts';
import { makePapers } from './make';
import { paper, read, records } from './paper.testkit';

const CASE: Fact[] = [
  gas('2026-03-01'),
  topOff('2026-06-01', 12),
  note('leakFound', '2026-06-02', { leakId: 'k1', component: 'flare nut', location: 'roof' }),
  repaired('2026-06-03'),
  initialPass('2026-06-04'),
  followUpPass('2026-06-10'),
];
const FILE: PaperRequest = { document: 'leakRepairFile', machine: 'a', pack: 'us-hfc', opened: '2026-06-01' };

describe('the leak-repair file', () => {
  it('tells the exceedance with its working, repairs, both tests and the dates that were kept', async () => {
    const text = read(await paper(FILE, records(CASE)));
    // 12 lb of 100 lb after 92 days: 47.608696 %, told as one reads it.
    expect(text).toContain('brought the leak rate to 47.6 % a year, annualizing, limit 20 % (US HFC rules)');
    expect(text).toContain('12 lb ÷ 100 lb × 365 ÷ 92 days × 100 = 47.6 %');
    expect(text).toContain(
      'k1 | flare nut, roof | 2 Jun 2026 | 3 Jun 2026 | 4 Jun 2026 | 10 Jun 2026 | tested again',
    );
    expect(text).toContain('4 Jun 2026 | first test | passed | the whole machine | not recorded');
    expect(text).toMatch(/Repair \| 1 Jul 2026 \| 3 Jun 2026 \| kept \|/);
    expect(text).toMatch(/Second test after repair \| 14 Jun 2026 \| 10 Jun 2026 \| kept/);
  });

  it('says by how much a date was missed, and what still waits', async () => {
    const late = [
      gas('2026-03-01'),
      topOff('2026-06-01', 12),
      found('2026-06-02'),
      repaired('2026-07-11'),
      initialPass('2026-07-12'),
    ];
    const text = read(await paper(FILE, records(late)));
    expect(text).toMatch(/Repair \| 1 Jul 2026 \| 11 Jul 2026 \| missed by 10 days/);
    // First test 12 July, ten days for the second: 22 July, 124 days before 23 November.
    expect(text).toMatch(/Second test after repair \| 22 Jul 2026 \| – \| missed, 124 days late/);
  });

  it('tells more time with its reason', async () => {
    const facts = [
      ...CASE.slice(0, 3),
      note('extension', '2026-06-20', { ground: 'parts', why: 'valve from the maker' }),
    ];
    const text = read(await paper(FILE, records(facts)));
    expect(text).toContain('# More time');
    expect(text).toContain('valve from the maker');
    expect(text).toContain('28 Nov 2026');
  });

  it('is refused with a sentence where no such case opened', async () => {
    const made = await makePapers({ ...FILE, opened: '2026-06-02' }, records(CASE));
    expect(made).toEqual({
      ok: false,
      refusal: 'No case of US HFC rules opened on 2 Jun 2026 on this machine.',
    });
  });
});

describe('a paper after a correction', () => {
  const corrected: Fact[] = [
    ...CASE,
    added('2026-06-01', 'topOff', 13, { supersedes: 'e0002', correctionReason: 'digits swapped' }),
  ];

  it('says what was corrected, from what to what, and why', async () => {
    const file = await paper(FILE, records(corrected));
    expect(file.corrections).toBe(1);
    expect(read(file)).toContain(
      'Corrected: gas added 13 lb, top-off; before: gas added 12 lb, top-off (digits swapped), by p',
    );
  });

  it('tells it on the yearly report, on the determination of the charge only where that was touched', async () => {
    const yearly = await paper({ document: 'yearly', pack: 'us-hfc', year: 2026 }, records(corrected));
    expect(yearly.corrections).toBe(1);
    const full = await paper({ document: 'fullCharge', machine: 'a' }, records(corrected));
    expect(full.corrections).toBe(0);
  });
});

describe('what is not known', () => {
  it('is said as not weighed with its reason, never as a figure', async () => {
    const facts = [gas('2026-03-01'), topOff('2026-05-01', null), topOff('2026-06-01', 12)];
    const from = records(facts);
    const report = read(await paper({ document: 'chronicReport', machine: 'a', year: 2026 }, from));
    expect(report).toContain('not weighed: no scale');
    expect(report).toContain('not by what was weighed; more may have been lost');
    expect(report).toContain('Counts as lost: at least 12 lb');
    expect(report).toContain('Share of the full charge: at least 12 %');
    expect(report).toContain('Not known: 1 May 2026 not weighed');
    const yearly = read(await paper({ document: 'yearly', pack: 'us-hfc', year: 2026 }, from));
    expect(yearly).toContain(', and once not weighed');
    expect(yearly).toContain('Cannot be judged whole: 1, for want of a weight or of the full charge');
  });

  it('names a missing owner, address, contractor and certificate', async () => {
    const text = read(await paper({ document: 'fullCharge', machine: 'a' }, records([])));
    expect(text).toContain('Owner: not recorded');
    expect(text).toContain('Contractor: not recorded');
    expect(text).toContain('address not recorded');
    expect(text).toContain('p: certificate not recorded');
  });

  it('names the days of work with gas on which no certificate of its own was valid', async () => {
    const people = (expires: string | null) => [
      { id: 'p', name: 'Tobiah Renn', certificates: [{ scheme: '608', number: 'T-1', expires }] },
    ];
    // The look round after it ended asks for none.
    const facts = [
      gas('2026-03-01'),
      topOff('2026-06-01', 1),
      topOff('2026-06-02', 1),
      inspected('2026-06-03'),
    ];
    const told = async (expires: string | null) =>
      read(
        await paper({ document: 'machineRecord', machine: 'a' }, records(facts, { people: people(expires) })),
      );
    expect(await told('2026-05-31')).toContain(
      'Tobiah Renn: 608 T-1, valid until 31 May 2026. Without a valid certificate on record for work with refrigerant on 1 Jun 2026 and 2 Jun 2026',
    );
    expect(await told('2026-06-02')).not.toContain('Without a valid certificate');
    expect(await told(null)).not.toContain('Without a valid certificate');
  });

  it('cannot judge 125 % without a full charge, and does not say no', async () => {
    const text = read(
      await paper(
        { document: 'chronicReport', machine: 'a', year: 2026 },
        records([topOff('2026-06-01', 12)], {}, { pounds: null }),
      ),
    );
    expect(text).toContain('125 % or more: cannot be judged: full charge not known');
  });
});

describe('the other documents', () => {
  it('a chronic leaker is reported with 130 % and the day of its report', async () => {
    // 65 lb twice of 100 lb: 130 % (handbook, example 10).
    const facts = [gas('2026-01-10'), topOff('2026-02-01', 65), topOff('2026-09-01', 65)];
    const text = read(await paper({ document: 'chronicReport', machine: 'a', year: 2026 }, records(facts)));
    expect(text).toContain('Counts as lost: 130 lb');
    expect(text).toContain('Share of the full charge: 130 %');
    expect(text).toContain('125 % or more: yes: a report is due on 1 March 2027');
  });

  it('a determination by a range says both ends and the middle that counts', async () => {
    const range = note('fullChargeSet', '2026-02-01', {
      method: 'range',
      low: kg(50),
      high: kg(60),
      note: 'by the receiver',
    });
    const text = read(
      await paper({ document: 'fullCharge', machine: 'a' }, records([charge('2020-05-05', lb(90)), range])),
    );
    expect(text).toMatch(/5 May 2020 \| 90 lb \(40\.82 kg\) \|.*until 1 Feb 2026/);
    // 90 lb is 40.823 kg; the machine is weighed in kg since.
    expect(text).toMatch(/50 kg to 60 kg; 55 kg, the middle, counts \|.*by the receiver \| since 1 Feb 2026/);
  });

  it('seasonal moves stand with what is still out', async () => {
    const facts = [recovered('2025-10-15', 'seasonal', 30), added('2026-05-01', 'seasonal', 20)];
    const text = read(await paper({ document: 'seasonal', machine: 'a' }, records(facts)));
    expect(text).toContain('15 Oct 2025 | 30 lb | –');
    expect(text).toContain('Out since 15 Oct 2025: 10 lb');
  });

  it('an inspection states what was looked at, what was not, and which leaks it found', async () => {
    const facts = [
      found('2026-05-01'),
      inspected('2026-05-01', {
        methods: ['electronic', 'bubbles'],
        leaksFound: ['k1'],
        partsLeftOut: [{ part: 'line in the ceiling', reason: 'asbestos sign' }],
      }),
    ];
    const entry = storyOf(facts).find(({ kind }) => kind === 'leakInspection') as Entry;
    const text = read(await paper({ document: 'inspection', entry: entry.id }, records(facts)));
    expect(text).toContain('Methods: detector, bubbles');
    expect(text).toContain('Statement: All visible and accessible parts were inspected.');
    expect(text).toContain('line in the ceiling | asbestos sign');
    expect(text).toContain('k1 place not recorded');
  });

  it('a plan tells its dates, and what was answered when it was issued', async () => {
    const facts = [...CASE.slice(0, 2), note('planFiled', '2026-06-20', { plan: 'retrofit' })];
    const entry = storyOf(facts).find(({ kind }) => kind === 'planFiled') as Entry;
    const text = read(
      await paper({ document: 'plan', entry: entry.id }, records(facts), { steps: 'new valves in March' }),
    );
    expect(text).toContain('Plan to convert the machine');
    expect(text).toContain('Steps: new valves in March');
    expect(text).toContain('Refrigerant: not recorded');
    // Filed 20 June 2026, carried out within a year.
    expect(text).toContain('20 Jun 2027');
  });

  it('an entry that is something else, or superseded, makes no paper', async () => {
    const facts = [...CASE, note('void', '2026-06-02', { supersedes: 'e0003', correctionReason: 'no leak' })];
    expect(await makePapers({ document: 'plan', entry: 'e0002' }, records(CASE))).toEqual({
      ok: false,
      refusal: 'This entry is no plan.',
    });
    expect((await makePapers({ document: 'inspection', entry: 'e0003' }, records(facts))).ok).toBe(false);
    expect((await makePapers({ document: 'inspection', entry: 'none' }, records(facts))).ok).toBe(false);
  });

  it('the record of a period holds what happened in it and nothing else', async () => {
    const text = read(
      await paper(
        { document: 'machineRecord', machine: 'a', from: '2026-06-02', to: '2026-06-05' },
        records(CASE),
      ),
    );
    expect(text).toContain('2 Jun 2026 to 5 Jun 2026');
    expect(text).toContain('Leak repaired');
    expect(text).not.toContain('10 Jun 2026 | Test');
    expect(text).not.toContain('# Gas added and recovered');
  });
});

it('the reason that was given for what looked odd stands on every paper that tells the gas', async () => {
  const odd = added('2026-06-01', 'topOff', 130, {
    visitId: 'v',
    'x-accepted': { moreThanFullCharge: 'a receiver was added' },
  });
  const from = records([gas('2026-03-01'), odd]);
  for (const request of [
    { document: 'serviceRecord', visit: 'v' },
    { document: 'machineRecord', machine: 'a' },
    { document: 'chronicReport', machine: 'a', year: 2026 },
    FILE,
  ] as PaperRequest[])
    expect(read(await paper(request, from)), request.document).toContain(
      'looked odd, reason given: a receiver was added',
    );
});
