/** The readings of a visit before and after, with what each set amounts to; beside the table what it does not show. */
import type { SaturationTable } from '../core/refrigerant/saturation';
import { PHASES, readNote } from '../core/visit/notes/notes';
import { CIRCUMSTANCE_NAMES, NUMBER_NAMES, SIGN_NAMES } from '../core/visit/readings/places';
import { type ReadingTaken, readingSeries, readingsOfPhase } from '../core/visit/readings/series';
import type { Quantity } from '../core/visit/notes/stated';
import { type ReadingsSoFar, type VisitRecord } from '../core/visit/visitRecord';
import type { FoldedMachine } from '../record/foldedMachine';
import { figuresFor, unitsOf } from '../record/readFigures';
import { degreesApart } from '../words/amounts';
import { clockWords } from '../words/dates';
import { partWordsOf } from '../words/names';
import { PHASE_WORDS, readingWords, signWords } from '../words/readings';
import { quantityWords, statedWords } from '../words/stated';
import { entryLine, saysMore } from './lines';
import { type Block, type Line, NOT_READ, NOT_RECORDED } from './paper';

const COMPUTED = [
  ['superheat', 'Superheat'],
  ['subcooling', 'Subcooling'],
  ['split', 'Condenser split'],
  ['coilDifference', 'Box above the coil'],
] as const;

export interface SeriesTable {
  head: readonly string[];
  /** the name of a reading, and what it was in each phase */
  rows: readonly (readonly string[])[];
}

const saidOf = (name: string, so: ReadingsSoFar): string | null =>
  statedWords<Quantity>(so.numbers[name], quantityWords) ??
  statedWords<string>(so.signs[name], (value) => signWords(name, value));

/** Readings by phase; null where nothing was read. */
export function seriesTable(
  view: FoldedMachine,
  series: readonly ReadingTaken[],
  table: SaturationTable | null,
): SeriesTable | null {
  const phases = PHASES.filter((phase) => series.some((taken) => taken.phase === phase));
  if (phases.length === 0) return null;
  const figures = figuresFor(view, table);
  const columns = phases.map((phase) => {
    const so = readingsOfPhase(series, phase);
    return { so, figures: figures(so) };
  });
  const known: string[] = [...NUMBER_NAMES, ...SIGN_NAMES, ...CIRCUMSTANCE_NAMES];
  // Another tool may have read what we have no place for.
  const others = [...new Set(series.map((taken) => taken.name))].filter((name) => !known.includes(name));
  const read = [...known, ...others].map((name) => ({
    name: readingWords(name),
    cells: columns.map(({ so }) => saidOf(name, so)),
  }));
  const computed = COMPUTED.map(([key, name]) => ({
    name,
    cells: columns.map(({ figures: of }) => {
      const value = of?.[key] ?? null;
      return value === null ? null : degreesApart(value, unitsOf(view));
    }),
  }));
  return {
    head: ['Reading', ...phases.map((phase) => PHASE_WORDS[phase])],
    rows: [...read, ...computed]
      .filter((row) => row.cells.some((cell) => cell !== null))
      .map(({ name, cells }) => [name, ...cells.map((cell) => cell ?? NOT_READ)]),
  };
}

/** Earlier readings of a phase, and those of other rooms. */
function besideTable(view: FoldedMachine, series: readonly ReadingTaken[]): Line[] {
  const shown = new Map(
    series.filter((taken) => taken.part === null).map((taken) => [`${taken.name} ${taken.phase}`, taken]),
  );
  return series
    .filter((taken) => shown.get(`${taken.name} ${taken.phase}`) !== taken)
    .map((taken) => ({
      label: `${[
        PHASE_WORDS[taken.phase],
        taken.at && clockWords(taken.at, view.machine.site.timezone),
        taken.part !== null && partWordsOf(view.names, taken.part),
      ]
        .filter(Boolean)
        .join(', ')}:`,
      words: `${readingWords(taken.name)} ${
        (taken.sign
          ? statedWords<string>(taken.given, (value) => signWords(taken.name, value))
          : statedWords<Quantity>(taken.given, quantityWords)) ?? NOT_RECORDED
      }`,
    }));
}

/** What was written down with a reading, beside its figures. */
function noted(view: FoldedMachine, { entries }: VisitRecord): Line[] {
  return entries.flatMap(({ entry }) =>
    readNote(entry, 'reading') && saysMore(entry) ? [entryLine(entry, view)] : [],
  );
}

export function readingsBlock(
  view: FoldedMachine,
  record: VisitRecord,
  table: SaturationTable | null,
): Block | null {
  const series = readingSeries(record.entries);
  const told = seriesTable(view, series, table);
  const more = [...(told === null ? [] : besideTable(view, series)), ...noted(view, record)];
  if (told === null && more.length === 0) return null;
  return {
    title: 'Readings before and after',
    wide: true,
    contents: [
      ...(told === null
        ? []
        : [
            {
              type: 'table' as const,
              caption: 'Readings before and after',
              compares: true as const,
              head: told.head,
              rows: told.rows,
            },
          ]),
      ...(more.length > 0 ? [{ type: 'lines' as const, lines: more, label: 'Read besides' }] : []),
    ],
  };
}
