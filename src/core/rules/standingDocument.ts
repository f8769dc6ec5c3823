/** The document that `compute` prints and the server stores: a standing in plain figures, no key left out. */
import { type Day, dayText } from '../quantity/day';
import { grams } from '../quantity/mass';
import { supersededIds, entriesByMachine } from '../logbook/order';
import { foldHistory } from '../logbook/history';
import type { Logbook } from '../logbook/logbook';
import { PERCENT_SCALE } from './leakRate';
import { stateOf } from './obligation';
import type { Packs } from './packs/shipped';
import { type Standing, standingOf } from './standing';

const percent = (millionths: number | null): number | null =>
  millionths === null ? null : millionths / PERCENT_SCALE;
const dateOrNull = (day: Day | null): string | null => (day === null ? null : dayText(day));

export type ApplianceStanding = ReturnType<typeof standingDocument>;

export function standingDocument(standing: Standing) {
  const { history, present, headroom } = standing;
  const { asOf } = history;
  return {
    id: history.appliance.id,
    packs: present.covering.map((pack) => pack.id),
    fullChargeGrams: present.fullCharge === null ? null : grams(present.fullCharge),
    additions: standing.additions.map((each) => ({
      on: dayText(each.gasDay.day),
      netGrams: each.gasDay.unknown ? null : grams(each.gasDay.net),
      annualizingPercent: percent(each.annualizing.millionths),
      rollingPercent: percent(each.rolling.millionths),
      method: each.method,
      percent: percent(each.millionths),
      atLeastPercent: percent(each.atLeastMillionths),
      exceeds: each.exceeds,
    })),
    cases: standing.cases.map((each) => ({
      pack: each.case.pack.id,
      openedOn: dayText(each.case.openedOn),
      state: each.state,
      repairDue: dayText(each.repairDue),
      initialPassedOn: dateOrNull(each.initialPassedOn),
      followUpDue: dateOrNull(each.followUpDue),
      followUpPassedOn: dateOrNull(each.followUpPassedOn),
      closedOn: dateOrNull(each.case.closedOn),
      closedBecause: each.case.closedBecause,
    })),
    obligations: standing.obligations.map((each) => ({
      pack: each.pack.id,
      kind: each.kind,
      due: dayText(each.due),
      doneOn: dateOrNull(each.doneOn),
      state: stateOf(each, asOf),
      caseOpenedOn: dateOrNull(each.caseOpenedOn),
    })),
    headroom: { grams: headroom.known ? grams(headroom.headroom.free) : null, asOf: dayText(asOf) },
    calendarYears: standing.years.map((each) => ({
      year: each.year,
      netGrams: grams(each.net),
      percent: percent(each.millionths),
      chronic: each.chronic,
      unknownAdditions: each.unknownAdditions,
    })),
    notes: standing.notes,
  };
}

/** The standing of every appliance of a logbook, in the order of the file. */
export function logbookStandings(logbook: Logbook, asOf: Day, packs: Packs) {
  const superseded = supersededIds(logbook.entries);
  const sites = new Map(logbook.sites.map((site) => [site.id, site]));
  const entriesOf = entriesByMachine(logbook.entries);
  return {
    asOf: dayText(asOf),
    appliances: logbook.appliances.map((appliance) => {
      const site = sites.get(appliance.siteId);
      if (!site) throw new Error(`No site ${appliance.siteId}: read logbooks with readLogbook().`);
      const history = foldHistory(appliance, entriesOf.get(appliance.id) ?? [], asOf, superseded);
      return standingDocument(standingOf(history, site, packs));
    }),
  };
}
