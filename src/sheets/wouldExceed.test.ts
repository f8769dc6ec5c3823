/** Who would exceed by what comes in: a machine of 100 lb with a limit of 20 %, worked out by hand. */
import { describe, expect, it } from 'vitest';
import type { Entry } from '../core/logbook/entry';
import { SHIPPED_PACKS } from '../core/rules/packs/shipped';
import { CHARGE, MACHINE, SITE, known } from './known.testkit';
import { wouldExceed } from './wouldExceed';

const added = (id: string, on: string, pounds: number | null, rest: object = {}): Entry =>
  ({
    id,
    kind: 'refrigerantAdded',
    applianceId: 'm',
    on,
    by: 'p',
    mass: pounds === null ? null : { value: pounds, unit: 'lb' },
    ...(pounds === null ? { massUnknown: 'no scale' } : {}),
    reason: 'topOff',
    ...rest,
  }) as Entry;

const FIRST = added('first', '2026-01-10', 1);
const would = (entries: Entry[], before: Entry[] = [CHARGE, FIRST], rows = [] as never[]) =>
  wouldExceed({ rows, entries }, known(before), SHIPPED_PACKS);

describe('what an import would follow', () => {
  it('names the machine with the rate of the addition that exceeds, and its limit', () => {
    // 12 lb of 100 lb, 142 days after the one before: 12 % × 365 ÷ 142 = 30.845 %.
    expect(would([added('a', '2026-06-01', 12)])).toEqual({
      touched: 1,
      would: [
        {
          machine: 'Rack 1',
          site: 'Pier 9',
          on: '2026-06-01',
          percent: expect.closeTo(30.84507, 4) as number,
          bound: null,
          limit: 20,
        },
      ],
    });
  });

  it('counts a machine that stays below, and does not name it', () => {
    // 7 lb: 17.99 %.
    expect(would([added('a', '2026-06-01', 7)])).toEqual({ touched: 1, would: [] });
    expect(would([])).toEqual({ touched: 0, would: [] });
  });

  it('does not name again what the logbook said already, but a later exceedance', () => {
    const old = added('old', '2026-06-01', 12);
    expect(would([added('a', '2026-11-01', 0.5)], [CHARGE, FIRST, old]).would).toEqual([]);
    const again = would([added('a', '2026-07-01', 12), added('b', '2026-08-01', 12)], [CHARGE, FIRST, old]);
    expect(again.would.map(({ on }) => on)).toEqual(['2026-08-01']);
  });

  it('says at least, where something that counts was not weighed', () => {
    expect(
      would([added('a', '2026-06-01', 12), added('b', '2026-06-01', null)]).would.map(({ bound }) => bound),
    ).toEqual(['atLeast']);
  });

  it('says at most, where what was taken out was not', () => {
    const out = {
      ...added('out', '2026-05-20', null),
      kind: 'refrigerantRecovered',
      reason: 'repair',
    } as Entry;
    expect(
      would([out, added('b', '2026-06-01', 12, { reason: 'recharge' })]).would.map(({ bound }) => bound),
    ).toEqual(['atMost']);
  });

  it('judges a machine that comes in itself by the site that comes with it', () => {
    const site = { ...SITE, id: 't', name: 'Pier 20' };
    const machine = { ...MACHINE, id: 'n', siteId: 't', name: 'Rack 20' };
    const rows = [
      { table: 'sites', id: 't', row: site },
      { table: 'appliances', id: 'n', row: machine },
    ] as never[];
    const own = [CHARGE, FIRST, added('a', '2026-06-01', 12)].map((each) => ({ ...each, applianceId: 'n' }));
    expect(would(own as Entry[], [], rows).would).toMatchObject([{ machine: 'Rack 20', site: 'Pier 20' }]);
    // Without a full charge nothing can be judged, and nothing is claimed.
    expect(would(own.slice(1) as Entry[], [], rows)).toEqual({ touched: 1, would: [] });
  });
});
