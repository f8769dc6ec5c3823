/** What is kept of a standing: kinds that no rule reads change nothing of it, and its lists are cut from the old end. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearsOnStanding } from '../../core/logbook/history';
import { dayOf } from '../../core/quantity/day';
import { SHIPPED_PACKS } from '../../core/rules/packs/shipped';
import { standingDocument } from '../../core/rules/standingDocument';
import { TODAY, added, charged, entry, machine, site } from '../company.testkit';
import { KEPT_OF_A_STANDING, foldBearing, machineStandingOf, recentStanding } from './foldedStanding';

const MACHINE = machine('a', 's', { installedOn: '2020-01-01' });
const SITE = site('s', { packs: ['us-hfc', 'eu', 'house'] });
const folded = (entries: Parameters<typeof foldBearing>[2]) =>
  foldBearing(MACHINE, SITE, entries, dayOf(TODAY), SHIPPED_PACKS);

const date = fc.integer({ min: 1, max: 9 }).map((month) => `2026-0${String(month)}-15`);
const read = fc.array(
  fc.oneof(
    fc.tuple(date, fc.integer({ min: 1, max: 40 })).map(([on, lb]) => ({ kind: 'refrigerantAdded', on, lb })),
    date.map((on) => ({ kind: 'leakInspection', on, methods: ['electronic'] })),
    date.map((on) => ({ kind: 'leakFound', on, leakId: on })),
    date.map((on) => ({ kind: 'leakRepaired', on, leakId: on })),
    date.map((on) => ({ kind: 'verificationTest', on, stage: 'initial', result: 'pass' })),
  ),
  { maxLength: 12 },
);
const unread = fc.array(
  fc.tuple(fc.constantFrom('search', 'readings', 'handover', 'pressureHold', 'evacuation', 'photo'), date),
  { minLength: 1, maxLength: 8 },
);

describe('entries of kinds that no rule reads', () => {
  it('change nothing that is kept', () => {
    fc.assert(
      fc.property(read, unread, (bearing, notes) => {
        const base = [
          charged('c', 'a', 100),
          ...bearing.map(({ kind, ...rest }, index) =>
            'lb' in rest
              ? added(`e${String(index)}`, 'a', rest.lb, { on: rest.on })
              : entry(`e${String(index)}`, 'a', { kind, ...rest }),
          ),
        ];
        const beside = notes.map(([kind, on], index) => entry(`n${String(index)}`, 'a', { kind, on }));
        expect(beside.filter(bearsOnStanding)).toEqual([]);
        const [without, withThem] = [folded(base), folded([...base, ...beside])];
        expect(machineStandingOf(withThem, SITE, 'x')).toEqual(machineStandingOf(without, SITE, 'x'));
        expect(standingDocument(withThem)).toEqual(standingDocument(without));
      }),
      { numRuns: 300, seed: 5 },
    );
  });
  it('bear on the standing where they take the place of another entry', () => {
    expect(bearsOnStanding(entry('n', 'a', { kind: 'search', supersedes: 'g' }))).toBe(true);
    expect(bearsOnStanding(added('g', 'a', 1))).toBe(true);
  });
});

describe('a long standing', () => {
  const many = KEPT_OF_A_STANDING + 30;
  const day = (index: number) => new Date(Date.UTC(2024, 0, 1 + index * 3)).toISOString().slice(0, 10);
  const standing = folded([
    charged('c', 'a', 100),
    ...Array.from({ length: many }, (_, index) => added(`g${String(index)}`, 'a', 1, { on: day(index) })),
  ]);
  it('keeps the newest of each list, and all that is no list', () => {
    const [whole, recent] = [standingDocument(standing), recentStanding(standing)];
    expect(whole.additions).toHaveLength(many);
    expect(recent.additions).toEqual(whole.additions.slice(30));
    expect({ ...recent, additions: [], cases: [], obligations: [] }).toEqual({
      ...whole,
      additions: [],
      cases: [],
      obligations: [],
    });
  });
});

describe('duties', () => {
  it('of several packs on one day are one, with all packs that ask', () => {
    // 100 lb of R-448A are some 63 t of CO2: inspected every 6 months under both.
    const both = site('s', { packs: ['eu', 'gb'] });
    const inspected = entry('i', 'a', { kind: 'leakInspection', on: '2026-02-15', methods: ['electronic'] });
    const standing = foldBearing(
      MACHINE,
      both,
      [charged('c', 'a', 100), inspected],
      dayOf(TODAY),
      SHIPPED_PACKS,
    );
    const { duties: obligations } = machineStandingOf(standing, both, 'x');
    const keys = obligations.map(({ kind, due }) => `${kind} ${due}`);
    expect(new Set(keys).size).toBe(keys.length);
    const packs = obligations.map(({ document }) => (JSON.parse(document) as { packs: string[] }).packs);
    expect([keys, packs]).toEqual([['inspection 2026-08-15'], [['eu', 'gb']]]);
  });
});
