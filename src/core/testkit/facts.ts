/**
 * Short forms for writing down what happened, for tests only: each gives an entry without an id; `storyOf`
 * numbers them in the order written, so that the order within a day is the order on the page.
 */
import type { Entry, EntryKind, EntryOf } from '../logbook/entry';
import type { Appliance, Site } from '../logbook/tables';
import { dayOf } from '../quantity/day';
import { standingDocument } from '../rules/standingDocument';
import { type Standing, standingFromEntries } from '../rules/standing';
import { SHIPPED_PACKS } from '../rules/packs/shipped';

type Draft<Kind extends EntryKind = EntryKind> = Omit<EntryOf<Kind>, 'id' | 'by' | 'applianceId'>;
export type Fact = Draft | (Draft & { id: string });

const fact = <Kind extends EntryKind>(kind: Kind, on: string, rest: Record<string, unknown> = {}): Fact =>
  ({ kind, on, ...rest }) as unknown as Fact;

export const lb = (value: number) => ({ value, unit: 'lb' as const });
export const kg = (value: number) => ({ value, unit: 'kg' as const });

export const charge = (on: string, mass: object) => fact('fullChargeSet', on, { method: 'weighed', mass });
/** gas on a day, of which nothing counts */
export const gas = (on: string) => fact('refrigerantAdded', on, { mass: lb(1), reason: 'commission' });
export const added = (on: string, reason: string, pounds: number | null, rest: object = {}) =>
  fact('refrigerantAdded', on, {
    mass: pounds === null ? null : lb(pounds),
    massUnknown: pounds === null ? 'no scale' : null,
    reason,
    ...rest,
  });
export const topOff = (on: string, pounds: number | null, leakId?: string) =>
  added(on, 'topOff', pounds, { leakId });
export const recovered = (on: string, reason: string, pounds: number | null) =>
  fact('refrigerantRecovered', on, {
    mass: pounds === null ? null : lb(pounds),
    massUnknown: pounds === null ? 'no scale' : null,
    reason,
  });
export const found = (on: string, leakId = 'k1') => fact('leakFound', on, { leakId });
export const repaired = (on: string, leakId = 'k1', evacuated = false) =>
  fact('leakRepaired', on, { leakId, evacuated });
const test = (on: string, stage: string, result: string, leakIds: string[]) =>
  fact('verificationTest', on, { stage, result, leakIds });
export const initialPass = (on: string, ...leaks: string[]) => test(on, 'initial', 'pass', leaks);
export const followUpPass = (on: string, ...leaks: string[]) => test(on, 'followUp', 'pass', leaks);
export const initialFail = (on: string, ...leaks: string[]) => test(on, 'initial', 'fail', leaks);
export const followUpFail = (on: string, ...leaks: string[]) => test(on, 'followUp', 'fail', leaks);
export const inspected = (on: string, rest: object = {}) => fact('leakInspection', on, { ...rest });
export const normal = (on: string) => fact('normalOperation', on);
export const note = (kind: EntryKind, on: string, rest: object = {}) => fact(kind, on, { ...rest });

export interface Scene {
  /** full charge in pounds, or null where none is known */
  pounds?: number | null;
  kilograms?: number;
  packs?: Site['packs'];
  method?: 'annualizing' | 'rolling';
  appliance?: Partial<Appliance>;
}

export function sceneOf({ packs = ['us-ods', 'us-hfc'], method = 'annualizing', appliance = {} }: Scene): {
  site: Site;
  appliance: Appliance;
} {
  return {
    site: {
      id: 's',
      name: 'site',
      timezone: 'America/Chicago',
      packs,
      leakRateMethod: [{ from: '2020-01-01', method }],
    },
    appliance: {
      id: 'a',
      siteId: 's',
      name: 'machine',
      kind: 'rack',
      category: 'commercialRefrigeration',
      refrigerant: 'R-448A',
      ...appliance,
    },
  };
}

export function storyOf(facts: readonly Fact[], scene: Scene = {}): Entry[] {
  const { pounds = 100, kilograms } = scene;
  const mass = kilograms === undefined ? (pounds === null ? null : lb(pounds)) : kg(kilograms);
  const all = mass === null ? facts : [charge('2015-01-01', mass), ...facts];
  return all.map(
    (each, index) =>
      ({ id: `e${String(index).padStart(4, '0')}`, by: 'p', applianceId: 'a', ...each }) as Entry,
  );
}

export function standing(facts: readonly Fact[], asOf: string, scene: Scene = {}): Standing {
  const { site, appliance } = sceneOf(scene);
  return standingFromEntries(appliance, site, storyOf(facts, scene), dayOf(asOf), SHIPPED_PACKS);
}

/** The document of 4.3 for one machine. */
export const documentOf = (facts: readonly Fact[], asOf: string, scene: Scene = {}) =>
  standingDocument(standing(facts, asOf, scene));

type Document = ReturnType<typeof documentOf>;

/** `pack kind due done-or-state` of the obligations of a pack (and kind), for tables that read in one line. */
export function duties(document: Document, pack: string, ...kinds: string[]): string[] {
  return document.obligations
    .filter((each) => each.pack === pack && (kinds.length === 0 || kinds.includes(each.kind)))
    .map((each) => `${each.kind} ${each.due} ${each.doneOn === null ? each.state : `done ${each.doneOn}`}`);
}

/** Percents of the additions, in order. */
export const percents = (document: Document): (number | null)[] =>
  document.additions.map((each) => each.percent);

export const caseOf = (document: Document, pack = 'us-hfc', index = 0) =>
  document.cases.filter((each) => each.pack === pack)[index];
