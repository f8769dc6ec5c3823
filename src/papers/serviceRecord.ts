/**
 * The service record of a visit to a machine: what the rule sets want on it, in the order found, done, tested, gas, runs;
 * nothing that is only suspected is told as found.
 */
import { massText } from '../core/quantity/mass';
import { judgedRate } from '../core/rules/judgedRate';
import { mergedObligations, openObligations } from '../core/rules/obligation';
import { unjudgedSummary } from '../core/rules/summary';
import { unjudged } from '../core/rules/unjudged';
import type { Running } from '../core/visit/leaks/evidence';
import { type GasSum, gasOfVisit } from '../core/visit/gasOfVisit';
import { type LeakStory, isFound, leakStories } from '../core/visit/leaks/leakStory';
import type { NoteName } from '../core/visit/notes/notes';
import { latestReadings } from '../core/visit/readings/series';
import { afterSignature } from '../core/visit/signed';
import { shutValves } from '../core/visit/valves';
import { type VisitRecord, notesOf, visitRecord } from '../core/visit/visitRecord';
import type { FoldedMachine } from '../record/foldedMachine';
import type { PaperBlock } from '../record/paperBlocks';
import { runningOf } from '../record/readFigures';
import { recordOf } from '../record/records';
import { blockOf, isCleanSpot, stepOf } from '../record/whereItStands';
import { OBLIGATION_WORDS } from '../words/codes';
import { dayWords, untilWords } from '../words/dates';
import { packsWords } from '../words/duties';
import { LEAK_STATE_WORDS, leakLine } from '../words/leaks';
import { rateWords, unjudgedSentence } from '../words/rod';
import { gasSumWords } from '../words/weights';
import { type PaperContext, machineFacts, partyFacts, personFacts } from './beside';
import { correctionsBlock } from './corrections';
import { entryLine } from './lines';
import { type Block, type Line, NOT_RECORDED, type Paper, absent, linesOf, present } from './paper';
import { drawnLeaks, photosBlock, signatureBlock } from './pictureBlocks';
import { readingsBlock } from './readingsBlock';
import { countWords } from '../words/counts';

interface VisitContext {
  view: FoldedMachine;
  record: VisitRecord;
  leaks: readonly LeakStory[];
  running: Running;
}

export function serviceRecord(view: FoldedMachine, visitId: string, beside: PaperContext): Paper {
  const { machine, standing, names } = view;
  const { entries } = standing.history;
  const record = visitRecord(entries, visitId);
  const told: VisitContext = {
    view,
    record,
    leaks: leakStories(entries, standing.leaks, names.leaks),
    running: runningOf(view, latestReadings(record.entries), beside.table),
  };
  const later = afterSignature(machine.entries, visitId);
  return {
    title: 'Service record',
    subject: `${machine.site.name} · ${machine.appliance.name}`,
    asOf: view.today,
    facts: [
      ['Visit', visitDays(record)],
      ...partyFacts(view, beside),
      ...machineFacts(view),
      ['Leak rate', rateFact(view)],
      ...personFacts(beside.people, record.entries),
    ],
    blocks: present(
      block('Found', blockLines(told, 'found', 'reading')),
      searched(told),
      leaksTold(told, visitId),
      block('Decided', blockLines(told, 'decided')),
      block('Done', blockLines(told, 'done')),
      block('Tested', blockLines(told, 'tested')),
      gasBlock(told),
      block('How it runs', blockLines(told, 'runs')),
      waysOfWorking(told),
      leftBehind(told),
      dueNow(told),
      readingsBlock(view, record, beside.table),
      drawnLeaks(view, told.leaks),
      photosBlock(record),
      signatureBlock(record),
      correctionsBlock('Changed since it was signed', later, view, beside),
    ),
    corrections: later.length,
  };
}

const block = (title: string, lines: readonly Line[], none: Line | null = absent()): Block => ({
  title,
  contents: lines.length > 0 ? [linesOf(lines)] : none ? [linesOf([none])] : [],
});

const visitDays = ({ from, to }: VisitRecord): string =>
  from === null
    ? 'nothing recorded yet'
    : from === to
      ? dayWords(from)
      : `${dayWords(from)} to ${dayWords(to ?? from)}`;

function rateFact({ standing }: FoldedMachine): string {
  const rate = standing.additions.at(-1);
  return rate === undefined
    ? 'no addition has counted yet'
    : `at the addition of ${dayWords(rate.gasDay.day)}: ${rateWords(judgedRate(rate, standing.ledger))}`;
}

/** `but`: notes that stand on the paper elsewhere. */
function blockLines({ view, record, running }: VisitContext, of: PaperBlock, but?: NoteName): Line[] {
  return record.entries
    .map(({ entry }) => entry)
    .filter((entry) => blockOf(entry) === of && (but === undefined || recordOf(entry).note !== but))
    .map((entry) => entryLine(entry, view, running));
}

/** What was looked at: inspections, stains, hits and what was left out; parts where nothing was are a number. */
function searched({ view, record }: VisitContext): Block | null {
  const entries = record.entries.map(({ entry }) => entry).filter((entry) => blockOf(entry) === 'searched');
  if (entries.length === 0) return null;
  const clean = entries.filter(isCleanSpot).length;
  const told = entries.filter((entry) => !isCleanSpot(entry));
  return block('Searched', [
    ...(clean > 0 ? [{ words: `${countWords(clean, 'part')} looked at, nothing found there` }] : []),
    ...told.map((entry) => entryLine(entry, view)),
  ]);
}

function leaksTold({ leaks, record }: VisitContext, visitId: string): Block {
  const ofVisit = leaks.filter(
    (leak) =>
      leak.visitId === visitId ||
      record.entries.some(({ entry }) => 'leakId' in entry && entry.leakId === leak.id),
  );
  const line = (leak: LeakStory): string => (leakLine(leak) ? ` · ${leakLine(leak)}` : '');
  const lines: Line[] = [
    ...ofVisit.filter(isFound).map((leak) => ({
      label: leak.label,
      words: `${leak.place}: ${LEAK_STATE_WORDS[leak.state]}${line(leak)}`,
    })),
    ...ofVisit
      .filter((leak) => leak.state === 'suspected' || (leak.onSuspicion && leak.state !== 'withdrawn'))
      .map((leak) => ({ words: `Suspected, not found: ${leak.place}${line(leak)}` })),
    // A verdict withdrawn since the last paper stands on this one, whoever withdrew it.
    ...ofVisit
      .filter((leak) => leak.state === 'withdrawn')
      .map((leak): Line => ({
        words: `Withdrawn: leak ${leak.label}, ${leak.place}, told before as found, was none: ${leak.because ?? ''}`,
        weight: 'strong',
      })),
  ];
  const looked = record.entries.some(({ entry }) => stepOf(entry) === 'search');
  return block('Leaks', lines, looked ? { words: 'none found' } : absent());
}

function gasBlock(told: VisitContext): Block {
  const { record, view } = told;
  const { added, recovered, released } = gasOfVisit(record.entries);
  const all = notesOf(record.entries, 'isolation').some(({ note }) => note.way === 'recoverAll');
  const sum = (label: string, of: GasSum, none = 'none recorded'): Line => ({
    words: `${label}: ${of.times === 0 ? none : gasSumWords(of, view.system)}`,
  });
  return block('Gas', [
    sum('Added', added),
    sum('Recovered', recovered, all ? 'said to be the whole charge; no weight is recorded' : undefined),
    {
      words: `Estimated release: ${released === null ? NOT_RECORDED : massText(released, view.system)}`,
    },
    ...blockLines(told, 'gas'),
  ]);
}

/** Where this visit did it otherwise than we do, and why. */
function waysOfWorking(told: VisitContext): Block | null {
  const lines = blockLines(told, 'ways');
  return lines.length > 0 ? block('Ways of working', lines) : null;
}

function leftBehind(told: VisitContext): Block {
  const shut = shutValves(told.view.standing.history.entries).map((valve): Line => ({
    words: `${valve.valve} stands shut${valve.leaksBy ? ' and does not hold' : ''}${valve.leftShut ? `: ${valve.leftShut}` : ''}${valve.ofCompressor ? '. Do not start' : ''}`,
    weight: 'strong',
  }));
  return block('Left as', [...shut, ...blockLines(told, 'left')]);
}

const DUE_SHOWN = 6;

function dueNow({ view: { standing, today, system } }: VisitContext): Block {
  const open = mergedObligations(openObligations(standing.obligations));
  const cannot = unjudged(standing);
  const lines: Line[] = [
    ...(cannot
      ? [{ words: unjudgedSentence(unjudgedSummary(cannot), system), weight: 'warning' as const }]
      : []),
    ...open.slice(0, DUE_SHOWN).map(({ first, packs }) => ({
      words: `${OBLIGATION_WORDS[first.kind]}: ${dayWords(first.due)}, ${untilWords(first.due, today)} (${packsWords(packs)})`,
    })),
  ];
  return block('Due now', lines, { words: 'Nothing is due on this machine.' });
}
