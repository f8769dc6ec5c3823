/** Papers of one entry: a leak inspection, a request for more time, a plan to convert or retire. */
import type { EntryOf } from '../core/logbook/entry';
import { type Day, dayOf } from '../core/quantity/day';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import { type LeakStory, isFound, leakStories } from '../core/visit/leaks/leakStory';
import { obligationsOf } from '../record/caseLane';
import type { FoldedMachine } from '../record/foldedMachine';
import { PACK_WORDS } from '../words/codes';
import { dateWords, dayWords } from '../words/dates';
import { methodWords } from '../words/leaks';
import { leaksWords, partWordsOf } from '../words/names';
import { type PaperContext, machineFacts, packVersionWords, partyFacts, personFacts } from './beside';
import { correctionsBlock, correctionsOf } from './corrections';
import { datesTable } from './leakRepairFile';
import { besides, datedLine } from './lines';
import {
  type Block,
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

/** What somebody who issues a paper was asked, since no entry says it. */
export type Answers = Readonly<Partial<Record<string, string>>>;

type OfEntry = EntryOf<'leakInspection' | 'extension' | 'planFiled'>;

function frame(
  view: FoldedMachine,
  entry: OfEntry,
  beside: PaperContext,
  paper: { title: string; blocks: readonly (Block | null)[] },
): Paper {
  const { machine } = view;
  const corrections = correctionsOf(machine.entries, ({ id }) => id === entry.id);
  return {
    title: paper.title,
    subject: `${machine.site.name} · ${machine.appliance.name} · ${dateWords(entry.on)}`,
    asOf: view.today,
    facts: [
      ['Day', dateWords(entry.on)],
      ...partyFacts(view, beside),
      ...machineFacts(view),
      ...personFacts(beside.people, [{ day: dayOf(entry.on), entry }]),
    ],
    blocks: present(...paper.blocks, correctionsBlock('Corrections', corrections, view, beside)),
    corrections: corrections.length,
  };
}

export function inspection(
  view: FoldedMachine,
  entry: EntryOf<'leakInspection'>,
  beside: PaperContext,
): Paper {
  const { names, standing } = view;
  const ids = entry.leaksFound ?? [];
  const stories = leakStories(standing.history.entries, standing.leaks, names.leaks).filter(
    (leak) => isFound(leak) && ids.includes(leak.id),
  );
  const all = entry.allAccessibleInspected !== false;
  const methods = (entry.methods ?? []).map(methodWords).join(', ');
  return frame(view, entry, beside, {
    title: 'Leak inspection',
    blocks: [
      wideBlock(
        'How it was inspected',
        linesOf([
          { label: 'Methods:', words: methods || NOT_RECORDED },
          {
            label: 'Statement:',
            words: all
              ? 'All visible and accessible parts were inspected.'
              : 'Not all visible and accessible parts were inspected: this inspection fulfils no duty.',
            ...(all ? {} : { weight: 'strong' as const }),
          },
          ...besides(entry),
        ]),
      ),
      wideBlock(
        'Left out, and why',
        tableOr(
          'Nothing is recorded as left out.',
          'Left out',
          ['Part', 'Reason'],
          (entry.partsLeftOut ?? []).map(({ part, reason }) => [partWordsOf(names, part), reason]),
        ),
      ),
      wideBlock(
        'Leaks found',
        ids.length === 0
          ? linesOf([{ words: 'None is recorded with this inspection.' }])
          : linesOf(
              stories.length === 0
                ? [{ words: leaksWords(names, ids) }]
                : stories.map((leak: LeakStory) => ({
                    label: leak.label,
                    words: leak.place || 'place not recorded',
                  })),
            ),
        drawingOf(view, stories),
      ),
    ],
  });
}

/** Cases that ran on the day of an entry, of the pack it names or of any. */
function casesOn({ standing }: FoldedMachine, day: Day, pack: string | null | undefined): CaseStanding[] {
  return standing.cases.filter(
    ({ case: each }) =>
      each.openedOn <= day &&
      (each.closedOn === null || each.closedOn >= day) &&
      (pack == null || each.pack.id === pack),
  );
}

const caseBlocks = (view: FoldedMachine, cases: readonly CaseStanding[]): Block[] =>
  cases.length === 0
    ? [
        wideBlock(
          'Case',
          linesOf([{ words: 'No case ran on that day; this has no effect.', weight: 'warning' }]),
        ),
      ]
    : cases.map((each) =>
        wideBlock(
          `Case of ${dayWords(each.case.openedOn)}, ${PACK_WORDS[each.case.pack.id]}`,
          linesOf([{ label: 'Rule:', words: packVersionWords(each.case.pack) }]),
          datesTable(obligationsOf(view.standing, each), view),
        ),
      );

const GROUND = {
  parts: 'parts that are not to be had in time',
  otherRule: 'another rule that stands against it',
  radiological: 'radiological ground',
} as const;

export function extension(view: FoldedMachine, entry: EntryOf<'extension'>, beside: PaperContext): Paper {
  const cases = casesOn(view, dayOf(entry.on), entry.pack);
  const work = view.standing.history.entries.filter(
    ({ entry: each, day }) =>
      ['leakFound', 'leakRepaired', 'processShutdown', 'verificationTest'].includes(each.kind) &&
      cases.some(
        ({ case: { openedOn, closedOn } }) => day >= openedOn && (closedOn === null || day <= closedOn),
      ),
  );
  const requested: Line[] = [
    { label: 'Ground:', words: GROUND[entry.ground] },
    { label: 'Reason:', words: entry.why ?? NOT_RECORDED },
    entry.ground === 'parts'
      ? {
          label: 'Parts:',
          words: entry.partsDeliveredOn
            ? `delivered ${dateWords(entry.partsDeliveredOn)}`
            : 'on order, not delivered',
        }
      : { label: 'Until:', words: entry.until ? dateWords(entry.until) : NOT_RECORDED },
    ...besides(entry),
  ];
  return frame(view, entry, beside, {
    title: 'Request for more time',
    blocks: [
      wideBlock('What is asked', linesOf(requested)),
      ...caseBlocks(view, cases),
      wideBlock(
        'Done so far',
        linesOf(
          work.length === 0
            ? [absent('nothing is recorded')]
            : work.map(({ entry: each }) => datedLine(each, view, beside)),
        ),
      ),
    ],
  });
}

/** What a plan must say and no entry does. */
export const PLAN_ASKS = {
  steps: 'Steps of the conversion or retirement, with their days',
  gas: 'What becomes of the refrigerant',
  machine: 'What becomes of the machine',
} as const;

export function plan(
  view: FoldedMachine,
  entry: EntryOf<'planFiled'>,
  beside: PaperContext,
  answers: Answers,
): Paper {
  const cases = casesOn(view, dayOf(entry.on), entry.pack);
  const line = (label: string, key: keyof typeof PLAN_ASKS): Line => {
    const given = answers[key]?.trim();
    return given ? { label, words: given } : { ...absent(), label };
  };
  return frame(view, entry, beside, {
    title: entry.plan === 'retrofit' ? 'Plan to convert the machine' : 'Plan to retire the machine',
    blocks: [
      wideBlock(
        'The plan',
        linesOf([
          {
            label: 'What:',
            words: entry.plan === 'retrofit' ? 'convert to another refrigerant' : 'retire',
          },
          { label: 'Filed:', words: dateWords(entry.on) },
          line('Steps:', 'steps'),
          line('Refrigerant:', 'gas'),
          line('Machine:', 'machine'),
          ...besides(entry),
        ]),
      ),
      ...caseBlocks(view, cases),
    ],
  });
}
