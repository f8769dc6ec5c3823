/** The inspector's view: all that the rules want on record about one machine, whole or for a period, with its gaps named. */
import { ENTRY_KINDS, type EntryKind } from '../core/logbook/entry';
import type { Day } from '../core/quantity/day';
import { grams, massText } from '../core/quantity/mass';
import { type JudgedRate, judgedRate } from '../core/rules/judgedRate';
import { type AdditionRate, PERCENT_SCALE } from '../core/rules/leakRate';
import { stateOf } from '../core/rules/obligation';
import { recordGaps } from '../core/rules/recordGaps';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import type { Leak } from '../core/rules/leaks';
import { labelOf } from '../core/logbook/leakLabels';
import { listAnd } from '../words/list';
import type { Standing } from '../core/rules/standing';
import { unjudgedSummary } from '../core/rules/summary';
import { unjudged } from '../core/rules/unjudged';
import type { FoldedMachine } from '../record/foldedMachine';
import {
  CASE_STATE_WORDS,
  CATEGORY_WORDS,
  CLOSED_WORDS,
  DETECTION_WORDS,
  METHOD_WORDS,
  OBLIGATION_STATE_WORDS,
  OBLIGATION_WORDS,
  PACK_WORDS,
} from '../words/codes';
import { dateWords, dayWords } from '../words/dates';
import { gapWords } from '../words/gaps';
import { exceedsWords, limitWords, percentText, rateFigure, unjudgedSentence } from '../words/rod';
import { type PaperContext, machineFacts, partyFacts, personFacts } from './beside';
import { correctionsBlock, correctionsOf } from './corrections';
import { ENTRY_HEAD, entryRow } from './lines';
import { type Block, type Content, type Fact, type Paper, linesOf, present, tableOr, words } from './paper';

const SECTIONS: [string, EntryKind[]][] = [
  ['Full charge determinations', ['fullChargeSet']],
  ['Gas added and recovered', ['refrigerantAdded', 'refrigerantRecovered']],
  ['Leaks and repairs', ['leakFound', 'leakRepaired']],
  ['Tests after repair', ['verificationTest', 'normalOperation']],
  ['Leak inspections', ['leakInspection']],
  ['Extensions and shutdowns', ['extension', 'processShutdown', 'mothballed', 'unrelatedLeak']],
  ['Plans and reports', ['planFiled', 'planCompleted', 'reportFiled']],
  ['Changes of the machine', ['applianceChanged', 'retrofitted', 'retired']],
  ['Leak detection', ['detectionCheck', 'detectionAlarm']],
];

/** Whatever was written stands somewhere in the record. */
const OTHER_KINDS: readonly EntryKind[] = ENTRY_KINDS.filter(
  (kind) => kind !== 'void' && !SECTIONS.some(([, kinds]) => kinds.includes(kind)),
);

export interface Period {
  from: Day | null;
  to: Day | null;
}
export const WHOLE: Period = { from: null, to: null };

const within = ({ from, to }: Period, day: Day): boolean =>
  (from === null || day >= from) && (to === null || day <= to);

const periodWords = ({ from, to }: Period): string =>
  from === null && to === null
    ? 'all that is on record'
    : `${from === null ? 'from the beginning' : dayWords(from)} to ${to === null ? 'now' : dayWords(to)}`;

export function machineRecord(view: FoldedMachine, beside: PaperContext, period: Period = WHOLE): Paper {
  const { machine, standing, today, system } = view;
  const { present: now, history } = standing;
  const inPeriod = history.entries.filter(({ day }) => within(period, day));
  const gaps = recordGaps(standing, beside.people).filter(
    (gap) => gap.day === null || within(period, gap.day),
  );
  const cannot = unjudged(standing);
  const told = new Set(inPeriod.map(({ entry }) => entry.id));
  const corrections = correctionsOf(machine.entries, (entry) => told.has(entry.id));
  const additions = standing.additions.filter(({ gasDay }) => within(period, gasDay.day));
  const facts: Fact[] = [
    ['Period', periodWords(period)],
    ...partyFacts(view, beside),
    ...machineFacts(view),
    ['Category', CATEGORY_WORDS[now.category]],
    ['GWP', now.refrigerant === null ? 'not known' : String(Math.round(now.refrigerant.gwp))],
    ['Installed', dateOr(machine.appliance.installedOn)],
    ['Record begins', dateOr(machine.appliance.recordFrom)],
    ['Automatic leak detection', DETECTION_WORDS[now.detection]],
    ['Retired', history.retiredOn === null ? 'no' : dayWords(history.retiredOn)],
    ...personFacts(beside.people, inPeriod),
  ];
  const wide = (title: string, ...contents: Content[]): Block => ({ title, wide: true, contents });
  return {
    title: 'Record of a machine',
    subject: `${machine.site.name} · ${machine.appliance.name}`,
    asOf: today,
    facts,
    blocks: present(
      cannot &&
        wide(
          'Cannot be judged',
          linesOf([{ words: unjudgedSentence(unjudgedSummary(cannot), system), weight: 'warning' }]),
        ),
      wide(
        'Gaps',
        gaps.length === 0
          ? words('None: everything that the rules want to know is on record.')
          : linesOf(
              gaps.map((gap) => ({
                ...(gap.day === null ? {} : { label: dayWords(gap.day) }),
                words: gapWords(gap, view.names),
              })),
            ),
      ),
      additions.length === 0
        ? null
        : wide('Leak rate at each addition', additionsTable(standing, additions, system)),
      wide('Cases', casesTable(view, period)),
      wide(
        'Duties',
        tableOr(
          'No duty is on record.',
          'Duties',
          ['Duty', 'Rule', 'Due', 'State'],
          standing.obligations
            .filter(({ due }) => within(period, due))
            .map((each) => [
              OBLIGATION_WORDS[each.kind],
              `${PACK_WORDS[each.pack.id]}, ${each.source.cite}`,
              dayWords(each.due),
              each.doneOn === null
                ? OBLIGATION_STATE_WORDS[stateOf(each, today)]
                : `done ${dayWords(each.doneOn)}${each.doneOn > each.due ? ', late' : ''}`,
            ]),
        ),
      ),
      ...[...SECTIONS, ['Work and readings', OTHER_KINDS] as const].map(([title, kinds]) => {
        const entries = inPeriod.filter(({ entry }) => kinds.includes(entry.kind));
        return entries.length === 0
          ? null
          : wide(title, {
              type: 'table',
              caption: title,
              head: ENTRY_HEAD,
              rows: entries.map((each) => entryRow(each, view, beside)),
            });
      }),
      correctionsBlock('Corrections', corrections, view, beside),
    ),
    corrections: corrections.length,
  };
}

/** By one method; by the site's own with what it bounds. */
const percentBy = (method: 'annualizing' | 'rolling', rate: AdditionRate, judged: JudgedRate): string => {
  const { millionths } = rate[method];
  if (method === rate.method && (millionths !== null || judged.atLeastPercent)) return rateFigure(judged);
  return millionths === null ? 'not known' : percentText(millionths / PERCENT_SCALE);
};

/** Additions with both rates, the limit of their day, and whether they exceed. */
export const additionsTable = (
  standing: Standing,
  additions: readonly AdditionRate[],
  system: FoldedMachine['system'],
): Content =>
  tableOr(
    'No addition has counted.',
    'Leak rate at each addition',
    ['Day', 'Counts', 'Full charge', 'Annualizing', 'Rolling average', 'Method', 'Limit', 'Exceeds'],
    additions.map((each) => {
      const judged = judgedRate(each, standing.ledger);
      return [
        dayWords(each.gasDay.day),
        each.gasDay.unknown ? 'not weighed' : massText(grams(each.gasDay.net), system),
        each.periodInForce.fullCharge === null
          ? 'not known'
          : massText(grams(each.periodInForce.fullCharge), system),
        percentBy('annualizing', each, judged),
        percentBy('rolling', each, judged),
        METHOD_WORDS[each.method],
        each.periodInForce.fullCharge === null ? 'not known' : limitWords(judged),
        exceedsWords(judged),
      ];
    }),
  );

const casesTable = ({ standing, names }: FoldedMachine, period: Period): Content =>
  tableOr(
    unjudged(standing) === null ? 'No case.' : 'Whether a case should run cannot be judged.',
    'Cases',
    ['Rule', 'Opened', 'State', 'Repair due', 'First test', 'Second test'],
    standing.cases
      .filter(
        ({ case: { openedOn, closedOn } }) =>
          (period.to === null || openedOn <= period.to) &&
          (period.from === null || closedOn === null || closedOn >= period.from),
      )
      .map((each) => [
        PACK_WORDS[each.case.pack.id],
        dayWords(each.case.openedOn),
        each.case.closedOn !== null && each.case.closedBecause
          ? `closed ${dayWords(each.case.closedOn)}: ${CLOSED_WORDS[each.case.closedBecause]}`
          : CASE_STATE_WORDS[each.state],
        dayWords(each.repairDue),
        passedWords(
          each,
          each.initialPassedOn,
          (leak) => leak.firstPassOn,
          names,
          each.case.pack.firstTestNeeded,
        ),
        passedWords(each, each.followUpPassedOn, (leak) => leak.verifiedOn, names, true),
      ]),
  );

/** The day on which all of a case had passed; until then each leak that has, and those that have not. */
function passedWords(
  { case: { leaks, closedOn } }: CaseStanding,
  allOn: Day | null,
  passedOn: (leak: Leak) => Day | null,
  { leaks: labels }: FoldedMachine['names'],
  needed: boolean,
): string {
  if (allOn !== null) return dayWords(allOn);
  const passed = leaks.flatMap((leak) => {
    const day = passedOn(leak);
    return day === null ? [] : `${dayWords(day)} (${labelOf(labels, leak.id)})`;
  });
  if (passed.length === 0) return closedOn !== null ? 'none' : needed ? 'not yet' : 'none needed';
  const open = leaks.filter((leak) => passedOn(leak) === null);
  return `${passed.join(', ')}; not yet ${listAnd(open.map(({ id }) => labelOf(labels, id)))}`;
}

const dateOr = (date: string | null | undefined): string => (date == null ? 'not recorded' : dateWords(date));
