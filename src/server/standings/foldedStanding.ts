/** What is kept of a machine's standing: what lists are sorted by and show, its duties, and the whole. Folds; reads and writes nothing. */
import { createHash } from 'node:crypto';
import type { Entry } from '../../core/logbook/entry';
import { supersededIds } from '../../core/logbook/order';
import type { Appliance, Site } from '../../core/logbook/tables';
import { type LeakingMachine, type NoForecast, leakingMachine } from '../../core/diagnosis/leakingMachine';
import { type Day, dayText } from '../../core/quantity/day';
import {
  type ObligationKind,
  type Why,
  mergedObligations,
  openObligations,
} from '../../core/rules/obligation';
import type { Packs } from '../../core/rules/packs/shipped';
import { type Standing, standingFromEntries } from '../../core/rules/standing';
import { type ApplianceStanding, standingDocument } from '../../core/rules/standingDocument';
import { type MachineSummary, roomOf, summaryOf } from '../../core/rules/summary';
import { MACHINE_STATES } from '../../core/rules/machineState';
import type { PackId } from '../../core/logbook/packNames';
import { PART_TYPES, type PartTypeName, typeSaid } from '../../core/circuit/parts';
import { searchWords, sortKey } from '../store/keys';
import type { MachineStanding } from '../store/machineStanding';

/** The same duty of several packs is one. */
export interface ListedObligation {
  kind: ObligationKind;
  due: string;
  pack: PackId;
  packs: PackId[];
  caseOpenedOn: string | null;
  why: Why;
  cite: string;
}

export type Leaking = { ok: true; machine: LeakingMachine } | { ok: false; why: NoForecast };

/** Sorts what has no due day behind all that has one, and what has no limit behind all that has room. */
const NO_DUE = '9999';
const NO_CHARGE = -1;

/** So many of each list of a standing are kept; `compute` has all. */
export const KEPT_OF_A_STANDING = 200;

const newest = <Item>(list: readonly Item[]): Item[] => list.slice(-KEPT_OF_A_STANDING);

/** A standing with the newest of each of its lists: a machine of many years costs no more to open. */
export function recentStanding(standing: Standing): ApplianceStanding {
  const document = standingDocument(standing);
  return {
    ...document,
    additions: newest(document.additions),
    cases: newest(document.cases),
    obligations: newest(document.obligations),
  };
}

/** The standing of a machine from the entries that bear on it: its own, and those elsewhere that correct or rival them. */
export function foldBearing(
  appliance: Appliance,
  site: Site,
  bearing: readonly Entry[],
  today: Day,
  packs: Packs,
  superseded: ReadonlySet<string> = supersededIds(bearing),
): Standing {
  const own = bearing.filter((entry) => entry.applianceId === appliance.id);
  return standingFromEntries(appliance, site, own, today, packs, superseded);
}

const obligationsOf = (standing: Standing): ListedObligation[] =>
  mergedObligations(openObligations(standing.obligations)).map(({ first, packs }) => ({
    kind: first.kind,
    due: dayText(first.due),
    pack: first.pack.id,
    packs,
    caseOpenedOn: first.caseOpenedOn === null ? null : dayText(first.caseOpenedOn),
    why: first.why,
    cite: first.source.cite,
  }));

function leakPartsOf(standing: Standing): MachineStanding['leakParts'] {
  const said = new Map<string, number>();
  for (const { entry } of standing.history.leakWork)
    if (entry.kind === 'leakFound') {
      const texts = JSON.stringify([entry.component ?? '', entry.location ?? '']);
      said.set(texts, (said.get(texts) ?? 0) + 1);
    }
  const times = new Map<PartTypeName, number>();
  for (const [texts, count] of said) {
    const [component = '', location = ''] = JSON.parse(texts) as string[];
    const type = typeSaid(component) ?? typeSaid(location);
    if (type !== null && type in PART_TYPES) times.set(type, (times.get(type) ?? 0) + count);
  }
  return [...times].map(([type, count]) => ({ type, times: count }));
}

/** What stamps a standing: under which engine and rules, and as of which day where. Another one makes it stale. */
export const stampOf = (under: string, timezone: string, today: Day): string =>
  [under, timezone, dayText(today)].join(' ');

export const readStamp = (stamp: string): { under: string; timezone: string; day: string } => {
  const [under = '', timezone = '', day = ''] = stamp.split(' ');
  return { under, timezone, day };
};

/** The stamp of what was never judged, or shall be judged anew whatever the day. */
export const STALE = '';

/** The fingerprint of what has neither duties nor leaking parts yet. */
export const NOTHING = '';

const fingerprintOf = (...parts: unknown[]): string =>
  createHash('sha1').update(JSON.stringify(parts)).digest('base64url');

/** By what a machine of unknown refrigerant is found. */
const NO_GAS = 'refrigerant not known';

/** A machine that is in the lists and was not judged yet. */
export const notJudged = (appliance: Appliance, site: Site): MachineStanding => ({
  ...placed(appliance, site, appliance.refrigerant ?? NO_GAS),
  stamp: STALE,
  fingerprint: NOTHING,
  state: MACHINE_STATES.indexOf('unknown'),
  unjudged: 0,
  charge: NO_CHARGE,
  room: roomOf({ limit: false, why: 'retired' }),
  due: NO_DUE,
  summary: 'null',
  leaking: 'null',
  duties: [],
  leakParts: [],
});

const placed = (appliance: Appliance, site: Site, refrigerant: string) => ({
  applianceId: appliance.id,
  siteId: site.id,
  timezone: site.timezone,
  words: searchWords(
    appliance.name,
    site.name,
    refrigerant,
    appliance.assembly,
    appliance.tag,
    appliance.serialNumber,
    appliance.model,
  ),
  kind: appliance.kind,
  byName: sortKey(appliance.name),
  bySite: sortKey(site.name),
});

export function machineStandingOf(standing: Standing, site: Site, under: string): MachineStanding {
  const { appliance, asOf } = standing.history;
  const summary: MachineSummary = summaryOf(standing);
  const obligations = obligationsOf(standing).map((each) => ({
    kind: each.kind,
    due: each.due,
    document: JSON.stringify(each),
  }));
  const leakParts = leakPartsOf(standing);
  return {
    ...placed(appliance, site, summary.refrigerant ?? NO_GAS),
    fingerprint: fingerprintOf(site.id, site.timezone, appliance.kind, obligations, leakParts),
    duties: obligations,
    leakParts,
    stamp: stampOf(under, site.timezone, asOf),
    state: MACHINE_STATES.indexOf(summary.state),
    unjudged: summary.unjudged === null ? 0 : 1,
    charge: summary.fullChargeGrams ?? NO_CHARGE,
    room: roomOf(summary.rod),
    due: summary.nextDue?.due ?? NO_DUE,
    summary: JSON.stringify(summary),
    leaking: JSON.stringify(leakingMachine(standing) satisfies Leaking),
  };
}
