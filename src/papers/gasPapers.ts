/** Papers about the charge of a machine: how it was determined, what moved with the seasons, and the chronic leaker's report. */
import { dayText, newYearsDay } from '../core/quantity/day';
import { type Mass, type MassSystem, grams, massText } from '../core/quantity/mass';
import { chronicPercentOf } from '../core/rules/calendarYears';
import { yearLoss } from '../core/visit/yearLoss';
import type { FoldedMachine } from '../record/foldedMachine';
import { FULL_CHARGE_WORDS } from '../words/codes';
import { dateWords, dayWords } from '../words/dates';
import { lossShareWords, lossUnknownWords, lossWords } from '../words/yearLoss';
import { massWords } from '../words/weights';
import { type PaperContext, machineFacts, partyFacts, personFacts, writerName } from './beside';
import { correctionsBlock, correctionsOf } from './corrections';
import { besidesInCell, datedLine } from './lines';
import { additionsTable } from './machineRecord';
import { type Block, type Line, type Paper, absent, linesOf, present, tableOr, wideBlock } from './paper';
import type { Entry } from '../core/logbook/entry';

function frame(
  view: FoldedMachine,
  beside: PaperContext,
  tells: (entry: Entry) => boolean,
  paper: { title: string; about: string; blocks: readonly (Block | null)[] },
): Paper {
  const { machine, standing } = view;
  const corrections = correctionsOf(
    machine.entries,
    (entry) => entry.applianceId === machine.appliance.id && tells(entry),
  );
  return {
    title: paper.title,
    subject: `${machine.site.name} · ${machine.appliance.name}${paper.about}`,
    asOf: view.today,
    facts: [
      ...partyFacts(view, beside),
      ...machineFacts(view),
      ...personFacts(
        beside.people,
        standing.history.entries.filter(({ entry }) => tells(entry)),
      ),
    ],
    blocks: present(...paper.blocks, correctionsBlock('Corrections', corrections, view, beside)),
    corrections: corrections.length,
  };
}

/** As it was written down, and in the units of the machine where those are others. */
function asWritten(mass: Mass, system: MassSystem): string {
  const written = `${String(mass.value)} ${mass.unit}`;
  const shown = massWords(mass, system);
  return shown.startsWith(written) ? shown : `${written} (${shown})`;
}

/** Every determination, with method, author and evidence; the last is in force. */
export function fullCharge(view: FoldedMachine, beside: PaperContext): Paper {
  const { standing, system } = view;
  const { fullCharges } = standing.history;
  return frame(view, beside, ({ kind }) => kind === 'fullChargeSet', {
    title: 'Determination of the full charge',
    about: '',
    blocks: [
      wideBlock(
        'Determinations',
        tableOr(
          'No full charge is determined: no leak rate can be given.',
          'Determinations of the full charge',
          ['Day', 'Full charge', 'Method', 'By', 'Evidence', 'In force'],
          fullCharges.map(({ entry, grams: counts }, index) => [
            dateWords(entry.on),
            entry.method === 'range' && entry.low && entry.high
              ? `${asWritten(entry.low, system)} to ${asWritten(entry.high, system)}; ${massText(grams(counts), system)}, the middle, counts`
              : entry.mass
                ? asWritten(entry.mass, system)
                : massText(grams(counts), system),
            FULL_CHARGE_WORDS[entry.method],
            writerName(beside.people, entry),
            besidesInCell(entry, 'none recorded'),
            index === fullCharges.length - 1
              ? `since ${dateWords(entry.on)}`
              : `until ${dateWords(fullCharges[index + 1]?.entry.on ?? entry.on)}`,
          ]),
        ),
      ),
    ],
  });
}

const isSeasonal = (entry: Entry): boolean =>
  (entry.kind === 'refrigerantAdded' || entry.kind === 'refrigerantRecovered') && entry.reason === 'seasonal';

/** What was taken out and put back with the seasons, and what is still out. */
export function seasonalMoves(view: FoldedMachine, beside: PaperContext): Paper {
  const { standing, system } = view;
  const moves = standing.history.gas.filter(({ entry }) => isSeasonal(entry));
  const out: Line[] = standing.balances.seasonal.map(({ day, grams: left }) => ({
    label: `Out since ${dayWords(day)}:`,
    words: massText(grams(left), system),
  }));
  return frame(view, beside, isSeasonal, {
    title: 'Seasonal moves of refrigerant',
    about: '',
    blocks: [
      wideBlock(
        'Moves',
        tableOr(
          'No seasonal move is recorded.',
          'Seasonal moves',
          ['Day', 'Taken out', 'Put back', 'By', 'Note'],
          moves.map(({ entry }) => {
            if (entry.kind === 'retrofitted') return [];
            const mass = entry.mass
              ? massWords(entry.mass, system)
              : `not weighed: ${entry.massUnknown ?? ''}`;
            const added = entry.kind === 'refrigerantAdded';
            return [
              dateWords(entry.on),
              added ? '–' : mass,
              added ? mass : '–',
              writerName(beside.people, entry),
              besidesInCell(entry, '–'),
            ];
          }),
        ),
      ),
      wideBlock(
        'Still out',
        linesOf(out.length > 0 ? out : [{ words: 'Nothing: all that was taken out is back.' }]),
      ),
    ],
  });
}

/** A year in which a machine lost 125 % of its charge or more: every addition, the sum, and what was done about it. */
export function chronicReport(view: FoldedMachine, year: number, beside: PaperContext): Paper {
  const { standing, system } = view;
  const of = standing.years.find((each) => each.year === year);
  const [from, to] = [dayText(newYearsDay(year)), dayText(newYearsDay(year + 1))];
  const inYear = (entry: Entry): boolean => entry.on >= from && entry.on < to;
  const GAS = ['refrigerantAdded', 'refrigerantRecovered'];
  const EFFORTS = [
    'leakFound',
    'leakRepaired',
    'verificationTest',
    'leakInspection',
    'planFiled',
    'planCompleted',
    'retrofitted',
    'retired',
  ];
  const efforts = standing.history.entries.filter(
    ({ entry }) => inYear(entry) && EFFORTS.includes(entry.kind),
  );
  const limit = of?.chronicPercent ?? chronicPercentOf(null, year);
  const loss = yearLoss(standing, year);
  return frame(view, beside, (entry) => inYear(entry) && [...GAS, ...EFFORTS].includes(entry.kind), {
    title: `Report of refrigerant lost in ${String(year)}`,
    about: ` · ${String(year)}`,
    blocks: [
      wideBlock(
        'The year',
        linesOf([
          { label: 'Counts as lost:', words: lossWords(loss, system) },
          {
            label: 'Share of the full charge:',
            words: lossShareWords(loss),
          },
          {
            label: `${String(limit)} % or more:`,
            words:
              of?.millionths == null
                ? of
                  ? 'cannot be judged: full charge not known'
                  : 'no'
                : of.chronic
                  ? `yes: a report is due on 1 March ${String(year + 1)} under the rules that ask for it`
                  : loss.unknown.length > 0
                    ? 'not by what was weighed; more may have been lost'
                    : 'no',
            weight: 'strong',
          },
          ...loss.unknown.map((each) => ({
            label: 'Not known:',
            words: lossUnknownWords(each),
            weight: 'warning' as const,
          })),
        ]),
      ),
      wideBlock('Additions', additionsTable(standing, of?.additions ?? [], system)),
      wideBlock(
        'Gas added and recovered',
        linesOf(
          standing.history.gas
            .filter(({ entry }) => inYear(entry) && GAS.includes(entry.kind))
            .map(({ entry }) => datedLine(entry, view, beside)),
        ),
      ),
      wideBlock(
        'What was done about it',
        linesOf(
          efforts.length === 0
            ? [absent('nothing is recorded')]
            : efforts.map(({ entry }) => datedLine(entry, view, beside)),
        ),
      ),
    ],
  });
}
