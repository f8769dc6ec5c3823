/** Days and figures on the very edge of a rule (handbook 2.1 to 2.5): just before it, on it, just after. */
import { describe, expect, it } from 'vitest';
import type { PackId } from '../logbook/packNames';
import { dayOf } from '../quantity/day';
import {
  type Fact,
  type Scene,
  caseOf,
  documentOf,
  duties,
  followUpPass,
  found,
  gas,
  initialPass,
  inspected,
  normal,
  note,
  repaired,
  sceneOf,
  standing,
  storyOf,
  topOff,
} from '../testkit/facts';
import { amended } from './amend';
import { figureSchema, valueOn } from './figure';
import { SHIPPED_PACKS } from './packs/shipped';
import { standingFromEntries } from './standing';

const HFC: Scene = { packs: ['us-hfc'] };

describe('automatic detection, of 1,500 lb and more', () => {
  const asked = (installedOn: string, pounds = 1500, more: Fact[] = []) =>
    duties(
      documentOf([gas('2026-03-01'), ...more], '2026-11-23', { ...HFC, pounds, appliance: { installedOn } }),
      'us-hfc',
      'detection',
    );
  it.each([
    ['2016-12-31', []],
    ['2017-01-01', ['detection 2027-01-01 upcoming']],
    ['2025-12-31', ['detection 2027-01-01 upcoming']],
    ['2026-01-01', ['detection 2026-01-31 overdue']],
  ])('installed on %s', (installedOn, expected) => {
    expect(asked(installedOn)).toEqual(expected);
    expect(asked(installedOn, 1499.9)).toEqual([]);
  });
});

describe('the second test of a leak for which the machine was evacuated', () => {
  const facts = (...days: string[]): Fact[] => [
    gas('2026-03-01'),
    topOff('2026-06-01', 12),
    found('2026-06-02'),
    repaired('2026-06-03', 'k1', true),
    initialPass('2026-06-04'),
    ...days.map(normal),
    followUpPass('2026-06-10'),
  ];
  const due = (...days: string[]) => caseOf(documentOf(facts(...days), '2026-11-23', HFC))?.followUpDue;
  const fromNormalOperation = (...days: string[]) =>
    standing(facts(...days), '2026-11-23', HFC).obligations.flatMap(({ why }) =>
      why.rule === 'followUpDays' ? why.fromNormalOperation : [],
    );
  it.each([
    ['before the first test: of an earlier time', '2026-06-03', '2026-06-14'],
    ['on its day', '2026-06-04', '2026-06-14'],
    ['the day after', '2026-06-05', '2026-06-15'],
    ['on the day of the second test', '2026-06-10', '2026-06-20'],
    ['after it: too late to matter', '2026-06-11', '2026-06-14'],
  ])('counts from normal operation %s', (_, day, expected) => {
    expect(due(day)).toBe(expected);
  });
  it('says from which of the two it counts', () => {
    expect([fromNormalOperation(), fromNormalOperation('2026-06-03')]).toEqual([[false], [false]]);
    expect([fromNormalOperation('2026-06-04'), fromNormalOperation('2026-06-05')]).toEqual([[true], [true]]);
  });
  it('counts from the first day of normal operation', () => {
    expect(due('2026-06-05', '2026-06-07')).toBe('2026-06-15');
  });
});

describe('retirement', () => {
  it('of the day of an exceedance comes after the day’s gas: the case opened, and none opens later', () => {
    const cases = (day: string) =>
      documentOf([gas('2026-03-01'), note('retired', '2026-06-01'), topOff(day, 40)], '2026-11-23', HFC).cases
        .length;
    expect([cases('2026-05-31'), cases('2026-06-01'), cases('2026-06-02')]).toEqual([1, 1, 0]);
  });
});

describe('an answer that a leak is another one', () => {
  // The next addition of 20 June exceeds again; the plan is filed before, on or after that day.
  const state = (planOn: string) =>
    documentOf(
      [
        gas('2026-03-01'),
        topOff('2026-05-01', 12),
        found('2026-05-02'),
        repaired('2026-05-03'),
        initialPass('2026-05-04'),
        followUpPass('2026-05-10'),
        note('planFiled', planOn),
        topOff('2026-06-20', 40),
        note('unrelatedLeak', '2026-06-21', { why: 'another nut' }),
      ],
      '2026-11-23',
      HFC,
    ).cases.map(({ openedOn }) => openedOn);
  it('is heard where the plan was filed for that exceedance, from its day on', () => {
    expect(state('2026-06-20')).toEqual(['2026-05-01', '2026-06-20']);
    expect(state('2026-06-19')).toEqual(['2026-05-01']);
  });
});

describe('heavy losses in the first year of a rule', () => {
  it('are reported where the rule began with that year, and not of a year in which it began later', () => {
    const facts = [gas('2025-01-02'), topOff('2026-06-01', 130)];
    expect(duties(documentOf(facts, '2026-11-23', HFC), 'us-hfc', 'chronicReport')).toEqual([
      'chronicReport 2027-03-01 upcoming',
    ]);
    const later = { ...SHIPPED_PACKS['us-hfc'], from: '2026-01-02' };
    expect(dutiesWith(later, facts, HFC).filter(({ kind }) => kind === 'chronicReport')).toEqual([]);
  });
});

type AnyPack = (typeof SHIPPED_PACKS)[PackId];

function standingWith(pack: AnyPack, facts: readonly Fact[], scene: Scene) {
  const { site, appliance } = sceneOf(scene);
  const packs = { ...SHIPPED_PACKS, [pack.id]: pack };
  return standingFromEntries(appliance, site, storyOf(facts, scene), dayOf('2026-11-23'), packs);
}
const dutiesWith = (pack: AnyPack, facts: readonly Fact[], scene: Scene) =>
  standingWith(pack, facts, scene).obligations;

/** A pack with another value of one figure from the beginning of 2026. */
function withFigure(pack: PackId, figure: (string | number)[], value: number): AnyPack {
  const changed = amended(SHIPPED_PACKS[pack], {
    pack,
    figure,
    from: '2026-01-01',
    value,
    reason: 'a test',
    by: 'p',
  });
  if (!changed.ok) throw new Error(changed.refusal.reason);
  return changed.value;
}

describe('what a rule covers', () => {
  const covered = (pack: AnyPack, scene: Scene) =>
    standingWith(pack, [gas('2026-03-01')], scene).present.covering.some(({ id }) => id === pack.id);

  it('“above a GWP” leaves out that GWP', () => {
    // R-744 is no HFC, and has a GWP of 1.
    const scene = { ...HFC, appliance: { refrigerant: 'R-744' } };
    expect(covered(withFigure('us-hfc', ['covers', 1, 'gwpAbove'], 1), scene)).toBe(false);
    expect(covered(withFigure('us-hfc', ['covers', 1, 'gwpAbove'], 0.9999), scene)).toBe(true);
  });

  it('“from a GWP” holds it', () => {
    // R-134a: 1,430.
    const scene: Scene = { packs: ['us-ca'], appliance: { refrigerant: 'R-134a' } };
    const from = (value: number) => covered(withFigure('us-ca', ['covers', 0, 'gwpAtLeast'], value), scene);
    expect([from(1430), from(1430.0001)]).toEqual([true, false]);
  });

  it('“above a charge” leaves out that charge, and “from” holds it', () => {
    const scene = (pounds: number): Scene => ({
      packs: ['us-ca'],
      pounds,
      appliance: { refrigerant: 'R-404A' },
    });
    const limit = withFigure('us-ca', ['covers', 0, 'fullChargeAbove'], 200);
    expect([covered(limit, scene(200)), covered(limit, scene(200.01))]).toEqual([false, true]);
    expect([14.99, 15].map((pounds) => covered(SHIPPED_PACKS['us-hfc'], { ...HFC, pounds }))).toEqual([
      false,
      true,
    ]);
  });

  it('CO₂ equivalent from five tonnes, of R-134a 3.4965… kg', () => {
    const scene = (kilograms: number, hermetic = false): Scene => ({
      packs: ['eu'],
      kilograms,
      appliance: { refrigerant: 'R-134a', hermetic },
    });
    // 1,430 × 4 kg is 5.72 t.
    const at = withFigure('eu', ['covers', 0, 'co2eAtLeast'], 5.72);
    expect([covered(at, scene(4)), covered(at, scene(3.9999))]).toEqual([true, false]);
    expect([covered(at, scene(4, true)), covered(SHIPPED_PACKS.eu, scene(7, true))]).toEqual([false, true]);
  });

  it('begins on the day on which it says so', () => {
    const since = (from: string) => covered({ ...SHIPPED_PACKS['us-hfc'], from }, HFC);
    expect([since('2026-11-23'), since('2026-11-24')]).toEqual([true, false]);
  });
});

describe('a figure', () => {
  const periods = (...froms: (string | null)[]) =>
    figureSchema.safeParse({
      unit: 'days',
      source: SHIPPED_PACKS['us-hfc'].repairWithin.source,
      periods: froms.map((from, index) => ({ from, value: index })),
    });
  it('holds from its day on', () => {
    const read = periods(null, '2026-06-01');
    if (!read.success) throw read.error;
    const on = (day: string) => valueOn(read.data, dayOf(day));
    expect([on('2026-05-31'), on('2026-06-01'), on('2026-06-02')]).toEqual([0, 1, 1]);
  });
  it('has one value a day', () => {
    expect(periods(null, '2026-06-01', '2026-06-01').success).toBe(false);
    expect(periods(null, '2026-06-01', '2026-06-02').success).toBe(true);
    expect(periods('2026-06-01').success).toBe(false);
  });
});

describe('a checked detector of the whole in place of an inspection of the series', () => {
  // Verified on 10 June, so that the first inspection is due on 10 September; a check holds twelve months.
  const first = (checkedOn: string) =>
    duties(
      documentOf(
        [
          gas('2025-03-01'),
          note('detectionCheck', checkedOn),
          topOff('2026-06-01', 200),
          found('2026-06-02'),
          repaired('2026-06-03'),
          initialPass('2026-06-04'),
          followUpPass('2026-06-10'),
        ],
        '2026-11-23',
        { ...HFC, pounds: 600, appliance: { automaticDetection: 'whole' } },
      ),
      'us-hfc',
      'inspection',
    )[0]?.split(' ')[1];
  it.each([
    ['the day on which twelve months before it ended', '2025-09-10', '2026-12-10'],
    ['a day earlier: it holds no more', '2025-09-09', '2026-09-10'],
    ['the due day itself', '2026-09-10', '2027-12-10'],
    ['the day after', '2026-09-11', '2026-09-10'],
  ])('checked on %s', (_, checkedOn, expected) => {
    // A check on the due day covers that inspection and all until a year later.
    expect(first(checkedOn)).toBe(checkedOn === '2026-09-10' ? undefined : expected);
  });
});

describe('an inspection that an addition asks for (California: 5 lb, 1 % of the charge)', () => {
  const CA: Scene = { packs: ['us-ca'], pounds: 500, appliance: { refrigerant: 'R-404A' } };
  const asked = (facts: Fact[], scene = CA) =>
    duties(documentOf([gas('2026-01-10'), ...facts], '2026-11-23', scene), 'us-ca', 'inspection').filter(
      (obligation) => obligation.startsWith('inspection 2026-06-01'),
    );
  it.each([
    [5, 1],
    [4.999, 0],
  ])('of %s lb', (pounds, count) => {
    expect(asked([topOff('2026-06-01', pounds)])).toHaveLength(count);
  });
  it('of a share of the charge: 5 lb are one percent of 500 lb, and less of 500.1', () => {
    expect(asked([topOff('2026-06-01', 5)], { ...CA, pounds: 500.1 })).toHaveLength(0);
  });
  it('is done on its day or later, not before, and not after the machine was retired', () => {
    const done = (day: string, more: Fact[] = []) =>
      asked([topOff('2026-06-01', 6), inspected(day), ...more]);
    expect(done('2026-06-01')).toEqual(['inspection 2026-06-01 done 2026-06-01']);
    expect(done('2026-05-31')).toEqual(['inspection 2026-06-01 overdue']);
    expect(done('2026-06-03', [note('retired', '2026-06-03')])).toEqual([
      'inspection 2026-06-01 done 2026-06-03',
    ]);
    expect(done('2026-06-04', [note('retired', '2026-06-03')])).toEqual(['inspection 2026-06-01 void']);
  });
  it('is asked from the day on which the logbook answers', () => {
    const from = (recordFrom: string) =>
      asked([topOff('2026-06-01', 6)], { ...CA, appliance: { ...CA.appliance, recordFrom } });
    expect([from('2026-06-01').length, from('2026-06-02').length]).toEqual([1, 0]);
  });
});

describe('of two rules with the same limit', () => {
  it('the one that the site names first is given', () => {
    // R-408A holds an HCFC and an HFC: both federal rules cover it with 20 %.
    const given = (packs: PackId[]) => {
      const scene = { packs, appliance: { refrigerant: 'R-408A' } };
      const answer = standingWith(SHIPPED_PACKS['us-hfc'], [gas('2026-03-01')], scene).headroom;
      return answer.known ? [answer.headroom.pack.id, answer.headroom.thresholdPercent] : answer.why;
    };
    expect(given(['us-hfc', 'us-ods'])).toEqual(['us-hfc', 20]);
    expect(given(['us-ods', 'us-hfc'])).toEqual(['us-ods', 20]);
  });
});
