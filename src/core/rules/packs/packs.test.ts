/** Completeness: every pack has for every category a threshold with its source, or says that it is not covered. */
import { describe, expect, it } from 'vitest';
import { CATEGORIES } from '../../logbook/fields';
import { PACK_IDS } from '../../logbook/packNames';
import { REFRIGERANT_NAMES, refrigerant } from '../../refrigerant/refrigerant';
import { amended, figuresOf, packsWith } from '../amend';
import { definePack } from '../pack';
import { documentOf, gas, topOff } from '../../testkit/facts';
import { SHIPPED_PACKS } from './shipped';

describe('packs', () => {
  it.each(PACK_IDS)('%s has a threshold and a source for each category it covers', (id) => {
    const pack = SHIPPED_PACKS[id];
    for (const category of CATEGORIES) expect(pack.threshold[category]).not.toBeUndefined();
    const figures = figuresOf(pack);
    expect(figures.length).toBeGreaterThan(7);
    for (const { figure } of figures) {
      expect(figure.source.cite.length).toBeGreaterThan(3);
    }
  });

  it('refuses data with unsorted periods, no source or an unknown category', () => {
    const { house } = SHIPPED_PACKS;
    const late = { from: '2026-01-01', value: 1 };
    expect(() => definePack({ ...house, repairWithin: { ...house.repairWithin, periods: [late] } })).toThrow(
      /begin with null/,
    );
    expect(() =>
      definePack({
        ...house,
        repairWithin: { ...house.repairWithin, source: { cite: '', readOn: '2026-01-01' } },
      }),
    ).toThrow(/house/);
    expect(() => definePack({ ...house, threshold: { ...house.threshold, ships: null } as never })).toThrow(
      /house/,
    );
  });

  it('gives the GWP of the handbook table, never rounded', () => {
    const gwps: Record<string, number> = {
      'R-22': 1810,
      'R-404A': 3921.6,
      'R-448A': 1387.09,
      'R-402A': 2787.866,
      'R-438A': 2264.533,
      'R-455A': 148.175,
      'R-515B': 292.957,
      'R-1270': 1.8,
      'R-717': 0,
    };
    for (const [name, gwp] of Object.entries(gwps)) expect(refrigerant(name).gwp).toBe(gwp);
    expect(REFRIGERANT_NAMES.length).toBeGreaterThanOrEqual(41);
  });
});

describe('a company figure', () => {
  const stricter = {
    pack: 'us-hfc' as const,
    figure: ['threshold', 'commercialRefrigeration'],
    from: '2026-05-01',
    value: 5,
    reason: 'owner wants less',
    by: 'Odalys Brandt',
  };

  it('holds from its day and leaves earlier days with the figure that they used', () => {
    const changed = amended(SHIPPED_PACKS['us-hfc'], stricter);
    expect(changed.ok && changed.value.threshold.commercialRefrigeration?.periods).toEqual([
      { from: null, value: 20 },
      { from: '2026-05-01', value: 5, changed: { by: 'Odalys Brandt', reason: 'owner wants less' } },
    ]);
    expect(SHIPPED_PACKS['us-hfc'].threshold.commercialRefrigeration?.periods).toHaveLength(1);
  });

  it('is refused twice on one day, and for a figure that is none', () => {
    const once = packsWith(SHIPPED_PACKS, [stricter])['us-hfc'];
    expect(amended(once, stricter)).toMatchObject({ ok: false, refusal: { reason: 'periodTaken' } });
    expect(amended(once, { ...stricter, figure: ['colour'] })).toMatchObject({
      ok: false,
      refusal: { reason: 'noSuchFigure' },
    });
  });

  it('changes no shipped calculation', () => {
    expect(
      documentOf([gas('2026-03-01'), topOff('2026-06-01', 2)], '2026-06-02').additions[0]?.exceeds,
    ).toEqual({ 'us-hfc': false });
  });
});
