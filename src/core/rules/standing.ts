/**
 * A machine's standing as of a day: rates, cases, obligations, headroom, years. One fold over its entries; the
 * command line, the server and the screens all call this.
 */
import type { Entry } from '../logbook/entry';
import { type MachineHistory, foldHistory, installedOn } from '../logbook/history';
import type { Appliance, Site } from '../logbook/tables';
import type { Day } from '../quantity/day';
import { type CalendarYear, calendarYears, chronicReports } from './calendarYears';
import { type CaseStanding, caseStanding } from './caseDeadlines';
import { casesOf } from './cases';
import { detectionObligations } from './detection';
import { type OpenBalances, foldGas } from './gasDays';
import { type HeadroomAnswer, headroom } from './headroom';
import { type InForce, type PeriodInForce, inForce, periodOn } from './inForce';
import { inspectionsAtAdditions, regularInspections, seriesInspections } from './inspections';
import { type AdditionRate, type GasLedger, additionRates, gasLedger } from './leakRate';
import { type LeakAccount, foldLeaks } from './leaks';
import { pauses } from './mothballing';
import { type Obligation, byDue } from './obligation';
import type { Packs } from './packs/shipped';

export const NOTE_CODES = [
  'daysUnknown',
  'fullChargeUnknown',
  'recoveredUnknown',
  'refrigerantUnknown',
  'weightUnknown',
] as const;
export type NoteCode = (typeof NOTE_CODES)[number];

export interface Standing {
  history: MachineHistory;
  force: InForce;
  /** what is in force on the as-of day */
  present: PeriodInForce;
  ledger: GasLedger;
  balances: OpenBalances;
  /** leaks by the account in which first tests are needed */
  leaks: LeakAccount;
  additions: readonly AdditionRate[];
  cases: readonly CaseStanding[];
  obligations: readonly Obligation[];
  headroom: HeadroomAnswer;
  years: readonly CalendarYear[];
  notes: readonly NoteCode[];
}

/** Everything that follows from a machine's history under the packs of its site. */
export function standingOf(history: MachineHistory, site: Site, packs: Packs): Standing {
  const force = inForce(history, site, packs);
  const { gasDays, balances } = foldGas(history.gas);
  const { account: leaks, shownRepairedOn } = foldLeaks(history.leakWork);
  const ledger = gasLedger(gasDays, shownRepairedOn, installedOn(history.appliance));
  const additions = additionRates(ledger, force);
  const stops = pauses(history.mothballings, gasDays);
  const byPack = force.packs.map((pack) =>
    casesOf(pack, history, force, additions).map((each) => caseStanding(each, history, force, stops)),
  );
  const years = calendarYears(additions);
  const free = headroom(history, ledger, force, leaks);
  const obligations = [
    ...byPack.flatMap((cases) => cases.flatMap((each) => each.obligations)),
    ...byPack.flatMap((cases) => seriesInspections(cases, history, force, additions)),
    ...regularInspections(history, force),
    ...inspectionsAtAdditions(history, force, additions),
    ...detectionObligations(history, force),
    ...chronicReports(history, years),
  ].sort(byDue);
  const present = periodOn(force, history.asOf);
  return {
    history,
    force,
    present,
    ledger,
    balances,
    leaks,
    additions,
    cases: byPack.flat().sort(byOpening),
    obligations,
    headroom: free,
    years,
    notes: notesOf(history, present, additions, free),
  };
}

const byOpening = (a: CaseStanding, b: CaseStanding): number =>
  a.case.openedOn - b.case.openedOn ||
  (a.case.pack.id < b.case.pack.id ? -1 : a.case.pack.id > b.case.pack.id ? 1 : 0);

function notesOf(
  history: MachineHistory,
  present: PeriodInForce,
  additions: readonly AdditionRate[],
  free: HeadroomAnswer,
): NoteCode[] {
  const daysUnknown =
    additions.some(
      (each) =>
        each.annualizing.since.basis === 'unknown' &&
        (each.annualizing.millionths !== null ||
          (each.method === 'annualizing' && (each.atLeastMillionths ?? 0) > 0)),
    ) ||
    (free.known && free.headroom.since?.basis === 'unknown');
  const fullChargeUnknown =
    present.fullCharge === null || additions.some((each) => each.periodInForce.fullCharge === null);
  const recoveredUnknown = history.gas.some(
    ({ entry }) => entry.kind === 'refrigerantRecovered' && entry.mass === null,
  );
  const refrigerantUnknown =
    present.refrigerant === null || additions.some((each) => each.periodInForce.refrigerant === null);
  const weightUnknown = additions.some((each) => each.gasDay.unknown);
  const held = { daysUnknown, fullChargeUnknown, recoveredUnknown, refrigerantUnknown, weightUnknown };
  return NOTE_CODES.filter((code) => held[code]);
}

/** Folds a machine's entries and judges them, in one step. `superseded`: see `foldHistory`. */
export function standingFromEntries(
  appliance: Appliance,
  site: Site,
  entries: readonly Entry[],
  asOf: Day,
  packs: Packs,
  superseded?: ReadonlySet<string>,
): Standing {
  return standingOf(foldHistory(appliance, entries, asOf, superseded), site, packs);
}
