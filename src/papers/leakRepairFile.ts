/**
 * The leak-repair file of a case, as an owner sends it to an authority: the exceedance with its working, every repair, both
 * tests with their conditions, more time with its reason, and for each date whether it was kept.
 */
import type { Entry, EntryKind } from '../core/logbook/entry';
import { labelOf } from '../core/logbook/leakLabels';
import type { DatedEntry } from '../core/logbook/order';
import { dayText } from '../core/quantity/day';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import { judgedRate } from '../core/rules/judgedRate';
import type { Leak } from '../core/rules/leaks';
import { type Obligation, stateOf } from '../core/rules/obligation';
import { type LeakStory, isFound, leakStories } from '../core/visit/leaks/leakStory';
import { CASE_KINDS, belongsToCase, obligationsOf } from '../record/caseLane';
import type { FoldedMachine } from '../record/foldedMachine';
import {
  CASE_STATE_WORDS,
  CLOSED_WORDS,
  OBLIGATION_STATE_WORDS,
  OBLIGATION_WORDS,
  PACK_WORDS,
} from '../words/codes';
import { dateWords, dayWords, daysWords } from '../words/dates';
import { LEAK_STATE_IN_LAW_WORDS, TEST_GAS_WORDS } from '../words/leaks';
import { leaksWords } from '../words/names';
import { rateWords } from '../words/rod';
import { annualizingWorking, rollingWorking } from '../words/working';
import { whyWords } from '../words/why';
import {
  type PaperContext,
  machineFacts,
  packVersionWords,
  partyFacts,
  personFacts,
  writerName,
} from './beside';
import { correctionsBlock, correctionsOf } from './corrections';
import { datedLine, saysMore } from './lines';
import {
  type Content,
  type Line,
  NOT_RECORDED,
  type Paper,
  absent,
  linesOf,
  present,
  tableOr,
  wideBlock,
} from './paper';
import { drawingOf } from './pictureBlocks';

/** A paper reads no six decimals. */
const DECIMALS = 1;

export function leakRepairFile(view: FoldedMachine, found: CaseStanding, beside: PaperContext): Paper {
  const { machine, standing, names } = view;
  const { pack, openedOn, leaks } = found.case;
  const own = standing.history.entries.filter(({ entry, day }) => belongsToCase(entry, day, found));
  const of = (...kinds: EntryKind[]): DatedEntry[] => own.filter(({ entry }) => kinds.includes(entry.kind));
  const lines = (entries: readonly DatedEntry[], none: string): Content =>
    linesOf(
      entries.length === 0 ? [absent(none)] : entries.map(({ entry }) => datedLine(entry, view, beside)),
    );
  const told = new Set(own.map(({ entry }) => entry.id));
  const corrections = correctionsOf(
    machine.entries,
    (entry) => told.has(entry.id) || tellsOf(entry, found, machine.appliance.id),
  );
  const stories = leakStories(standing.history.entries, standing.leaks, names.leaks).filter(isFound);
  const caseStories = stories.filter(({ id }) => leaks.some((leak) => leak.id === id));
  const tests = of('verificationTest');
  const gas = of('refrigerantAdded', 'refrigerantRecovered');
  const more = of('extension', 'processShutdown', 'mothballed');
  const plans = of('planFiled', 'planCompleted', 'unrelatedLeak', 'retrofitted', 'retired');
  return {
    title: 'Leak-repair file',
    subject: `${machine.site.name} · ${machine.appliance.name} · case of ${dayWords(openedOn)}`,
    asOf: view.today,
    facts: [
      ['Rule', `${PACK_WORDS[pack.id]}, ${packVersionWords(pack)}`],
      ['State', stateWords(found)],
      ...partyFacts(view, beside),
      ...machineFacts(view),
      ...personFacts(beside.people, own),
    ],
    blocks: present(
      wideBlock('What opened it', linesOf(openingLines(view, found))),
      wideBlock(
        'Leaks',
        tableOr(
          'No leak is recorded. Until one is, tests of the whole machine stand for it.',
          'Leaks of the case',
          ['Leak', 'Place', 'Found', 'Repaired', 'First test passed', 'Second test passed', 'State'],
          leaks.map((leak) => leakRow(leak, view, caseStories)),
        ),
        drawingOf(view, caseStories),
      ),
      wideBlock(
        'Repairs',
        lines(of('leakFound', 'leakRepaired', 'normalOperation'), 'No repair is recorded.'),
      ),
      wideBlock('Verification tests', testsTable(tests, view, beside), besidesTests(tests, view, beside)),
      more.length > 0 ? wideBlock('More time', lines(more, '')) : null,
      wideBlock('Dates', datesTable(obligationsOf(standing, found), view)),
      plans.length > 0 ? wideBlock('Plan and what became of it', lines(plans, '')) : null,
      wideBlock('Gas in this case', lines(gas, 'No gas is recorded in this case.')),
      correctionsBlock('Corrections', corrections, view, beside),
    ),
    corrections: corrections.length,
  };
}

/** What was superseded before it could belong: an entry of this machine from the days of the case. */
const tellsOf = (entry: Entry, { case: each }: CaseStanding, machine: string): boolean =>
  entry.applianceId === machine &&
  entry.kind !== 'void' &&
  entry.on >= dayText(each.openedOn) &&
  (each.closedOn === null || entry.on <= dayText(each.closedOn)) &&
  CASE_KINDS.includes(entry.kind);

function stateWords({ state, case: { closedOn, closedBecause } }: CaseStanding): string {
  return closedOn !== null && closedBecause
    ? `${CASE_STATE_WORDS[state]} ${dayWords(closedOn)}: ${CLOSED_WORDS[closedBecause]}`
    : CASE_STATE_WORDS[state];
}

function openingLines({ standing, system, names }: FoldedMachine, found: CaseStanding): Line[] {
  const { openedBy, openedOn, pack } = found.case;
  if (!openedBy)
    return [
      {
        words: `On ${dayWords(openedOn)} a leak became open, and ${PACK_WORDS[pack.id]} asks for the repair of any leak (${pack.source.cite}).`,
      },
    ];
  const working =
    openedBy.method === 'annualizing'
      ? annualizingWorking(openedBy, standing.ledger, system, names.leaks, DECIMALS)
      : rollingWorking(openedBy, standing.ledger, system, DECIMALS);
  return [
    {
      words: `The addition of ${dayWords(openedOn)} brought the leak rate to ${rateWords(judgedRate(openedBy, standing.ledger))}.`,
    },
    { label: 'Working:', words: working.formula },
    ...working.steps.map((step) => ({ words: step })),
    { label: 'Source:', words: working.source },
  ];
}

function leakRow(leak: Leak, { names }: FoldedMachine, stories: readonly LeakStory[]): string[] {
  const day = (on: Leak['repairedOn']): string => (on === null ? NOT_RECORDED : dayWords(on));
  return [
    labelOf(names.leaks, leak.id),
    stories.find(({ id }) => id === leak.id)?.place || NOT_RECORDED,
    dayWords(leak.openedOn),
    `${day(leak.repairedOn)}${leak.evacuated ? ', evacuated' : ''}`,
    day(leak.firstPassOn),
    day(leak.verifiedOn),
    LEAK_STATE_IN_LAW_WORDS[leak.state],
  ];
}

const STAGE = { initial: 'first test', followUp: 'second test' } as const;
const RESULT = { pass: 'passed', fail: 'failed' } as const;

export const testsTable = (
  tests: readonly DatedEntry[],
  { names }: FoldedMachine,
  beside: PaperContext,
): Content =>
  tableOr(
    'No test is recorded.',
    'Verification tests',
    ['Day', 'Test', 'Result', 'Of', 'Section', 'Test gas', 'Pressure at the joint', 'Method', 'By'],
    tests.flatMap(({ entry }) =>
      entry.kind === 'verificationTest'
        ? [
            [
              dateWords(entry.on),
              STAGE[entry.stage],
              RESULT[entry.result],
              entry.leakIds?.length ? leaksWords(names, entry.leakIds) : 'the whole machine',
              entry.section ?? NOT_RECORDED,
              entry.testGas ? TEST_GAS_WORDS[entry.testGas] : NOT_RECORDED,
              entry.atJoint ? `${String(entry.atJoint.value)} ${entry.atJoint.unit}` : NOT_RECORDED,
              entry.method ?? NOT_RECORDED,
              writerName(beside.people, entry),
            ],
          ]
        : [],
    ),
  );

/** What a test says that no column holds: minutes, valves, notes, what is attached. */
function besidesTests(
  tests: readonly DatedEntry[],
  view: FoldedMachine,
  beside: PaperContext,
): Content | null {
  const more = tests.filter(({ entry }) => saysMore(entry) || 'x-conditions' in entry);
  return more.length === 0
    ? null
    : {
        type: 'lines',
        label: 'Said besides',
        lines: more.map(({ entry }) => datedLine(entry, view, beside)),
      };
}

export const datesTable = (obligations: readonly Obligation[], { today }: FoldedMachine): Content =>
  tableOr(
    'No date follows from this case.',
    'Dates',
    ['Duty', 'Due', 'Done', 'Kept', 'Why that day'],
    obligations.map((obligation) => [
      OBLIGATION_WORDS[obligation.kind],
      dayWords(obligation.due),
      obligation.doneOn === null ? '–' : dayWords(obligation.doneOn),
      keptWords(obligation, today),
      `${whyWords(obligation.why)} (${obligation.source.cite})`,
    ]),
  );

function keptWords(obligation: Obligation, today: FoldedMachine['today']): string {
  if (obligation.doneOn !== null)
    return obligation.doneOn > obligation.due
      ? `missed by ${daysWords(obligation.doneOn - obligation.due)}`
      : 'kept';
  const state = stateOf(obligation, today);
  return state === 'overdue'
    ? `missed, ${daysWords(today - obligation.due)} late`
    : OBLIGATION_STATE_WORDS[state];
}
