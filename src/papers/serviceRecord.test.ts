/** The service record of a visit: what a technician leaves behind, in the order found, done, tested, gas, runs. */
import { describe, expect, it } from 'vitest';
import type { Fact } from '../core/testkit/facts';
import {
  added,
  charge,
  found,
  initialPass,
  kg,
  note,
  recovered,
  repaired,
  topOff,
} from '../core/testkit/facts';
import type { PaperRequest } from '../contract/papers';
import { makePapers } from './make';
import { paper, read, records } from './paper.testkit';

const DAY = '2026-11-20';
const VISIT: PaperRequest = { document: 'serviceRecord', visit: 'v' };
const here = (fact: Fact): Fact => ({ ...fact, visitId: 'v' }) as Fact;
const told = (tool: string, rest: object, kind: Parameters<typeof note>[0] = 'readings', on = DAY): Fact =>
  here(note(kind, on, { tool, ...rest }));
const text = async (...facts: Fact[]): Promise<string> =>
  read(await paper(VISIT, records([told('visitBegun', {}), ...facts])));
/** What stands under a heading, up to the next. */
const under = (all: string, title: string): string =>
  all
    .split('\n# ')
    .find((block) => block.startsWith(title))
    ?.slice(title.length)
    .trim() ?? 'no such heading';

describe('what was found', () => {
  it('says nothing of a suspicion as if it were found, and says the suspicion', async () => {
    const all = await text(told('spot', { part: 'drier', mark: 'hit', grade: 'detectorHit' }, 'search'));
    expect(under(all, 'Leaks')).toMatch(/^Suspected, not found: /);
  });

  it('names a leak by its label and place, and how far it came', async () => {
    const leak = here(note('leakFound', DAY, { leakId: 'k1', component: 'flare nut', location: 'roof' }));
    expect(under(await text(leak), 'Leaks')).toMatch(/^k1 flare nut, roof: /);
    const closed = await text(leak, here(repaired(DAY)), here(initialPass(DAY, 'k1')));
    expect(under(closed, 'Leaks')).toMatch(/^k1 flare nut, roof: first test passed/);
  });

  it('tells a verdict that was withdrawn, with the reason: somebody may have heard it', async () => {
    const all = await text(
      here(note('leakFound', DAY, { leakId: 'k1', component: 'U-bend' })),
      told('withdrawal', { leakId: 'k1', why: 'soap of the last search', toldOwner: 'no' }, 'search'),
    );
    expect(under(all, 'Leaks')).toContain('told before as found, was none: soap of the last search');
  });

  it('says “none found” only where somebody searched', async () => {
    expect(under(await text(), 'Leaks')).toBe('not recorded');
    const searched = await text(told('spot', { part: 'drier', mark: 'lookedAt' }, 'search'));
    expect(under(searched, 'Leaks')).toBe('none found');
    expect(under(searched, 'Searched')).toBe('1 part looked at, nothing found there');
  });
});

describe('gas', () => {
  it('sums what was weighed, and says what nobody weighed and why', async () => {
    const all = await text(
      here(added(DAY, 'topOff', 5)),
      here(added(DAY, 'topOff', 2.5)),
      here(added(DAY, 'topOff', null)),
    );
    // 5 lb and 2.5 lb: 7 lb 8 oz.
    expect(under(all, 'Gas')).toMatch(/^Added: 7 lb 8 oz.*not weighed/);
    expect(under(all, 'Gas')).toContain('no scale');
    expect(under(all, 'Gas')).toContain('Recovered: none recorded');
    expect(under(all, 'Gas')).toContain('Estimated release: not recorded');
  });

  it('a whole charge said to be recovered without a weight is no figure', async () => {
    const all = await text(told('isolation', { way: 'recoverAll' }));
    expect(under(all, 'Gas')).toContain('Recovered: said to be the whole charge; no weight is recorded');
    const weighed = await text(told('isolation', { way: 'recoverAll' }), here(recovered(DAY, 'repair', 90)));
    expect(under(weighed, 'Gas')).toContain('Recovered: 90 lb');
  });
});

describe('what is left behind', () => {
  it('a valve that stands shut is said, and that of a compressor stops its start', async () => {
    const shut = (rest: object) => told('valve', { valve: 'suction valve', state: 'leftShut', ...rest });
    expect(under(await text(shut({ why: 'parts on order' })), 'Left as')).toContain(
      'suction valve stands shut: parts on order',
    );
    expect(under(await text(shut({ ofCompressor: true })), 'Left as')).toContain('Do not start');
    const open = await text(shut({}), told('valve', { valve: 'suction valve', state: 'open' }));
    expect(under(open, 'Left as')).not.toContain('stands shut');
  });

  it('what is due now stands on it; of a machine that cannot be judged never “nothing is due”', async () => {
    const exceeded = read(
      await paper(VISIT, records([topOff('2026-05-01', 3), told('visitBegun', {}), here(topOff(DAY, 30))])),
    );
    // 30 days from 20 November 2026, as of that day.
    expect(under(exceeded, 'Due now')).toContain('Repair: 20 Dec 2026, in 30 days (US HFC rules)');
    const unknown = read(
      await paper(VISIT, records([told('visitBegun', {}), here(topOff(DAY, 3))], {}, { pounds: null })),
    );
    expect(under(unknown, 'Due now')).not.toContain('Nothing is due');
    expect(under(unknown, 'Due now')).toMatch(/annot be judged/);
  });
});

describe('a paper of its day', () => {
  it('tells the machine as it was on the last day of the visit', async () => {
    const facts = [told('visitBegun', {}), here(topOff(DAY, 3)), charge('2026-11-22', kg(20))];
    const all = read(await paper(VISIT, records(facts)));
    expect(all).toContain('Visit: 20 Nov 2026');
    // 100 lb as the scene has it; the 20 kg came two days later.
    expect(all).toContain('Full charge: 100 lb');
    expect(all).not.toContain('20 kg');
  });

  it('over two days it says from when to when', async () => {
    const all = await text(told('proof', { defrost: 'works' }, 'readings', '2026-11-22'));
    expect(all).toContain('Visit: 20 Nov 2026 to 22 Nov 2026');
    expect(under(all, 'How it runs')).toMatch(/works/);
  });

  it('says what was changed since somebody signed it, and nothing before', async () => {
    const signed = told('signed', { name: 'Prue Castellan', path: 'M0 0L1 1' }, 'handover');
    const late = here(
      note('void', '2026-11-21', { supersedes: 'e0002', correctionReason: 'on the other rack' }),
    );
    const before = await paper(VISIT, records([told('visitBegun', {}), here(found(DAY)), signed]));
    expect(before.corrections).toBe(0);
    expect(read(before)).toContain('signed Prue Castellan');
    const after = await paper(VISIT, records([told('visitBegun', {}), here(found(DAY)), signed, late]));
    expect(after.corrections).toBe(1);
    expect(under(read(after), 'Changed since it was signed')).toContain('on the other rack');
  });

  it('a visit without an entry on this machine makes no paper', async () => {
    const made = await makePapers({ ...VISIT, machine: 'b' }, records([told('visitBegun', {})]));
    expect(made).toEqual({
      ok: false,
      refusal: 'The logbook has nothing of such a visit up to that day.',
    });
  });
});
