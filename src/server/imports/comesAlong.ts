/** What another logbook brings beside rows and entries: figures of the company's own, and documents that were issued. */
import type { ImportPreview } from '../../contract/imports';
import type { IssuedRow } from '../../contract/papers';
import type { Logbook } from '../../core/logbook/logbook';
import { amended, figuresOf } from '../../core/rules/amend';
import type { Packs } from '../../core/rules/packs/shipped';
import { PACK_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { figureLabel, figureWords } from '../../words/figures';
import { rowName } from '../../sheets/mapping';
import { type OwnFigure, figuresIn, issuedOf } from '../exports/logbookRows';
import type { PlannedRow } from './plan';

export interface PresentBeside {
  /** value of a figure that the logbook has changed, by its id */
  figures: ReadonlyMap<string, number>;
  issued: readonly Pick<IssuedRow, 'id' | 'number'>[];
}

export interface ComesAlong {
  planned: PlannedRow[];
  shown: ImportPreview['rows'];
  /** the packs with the figures that come along */
  packs: Packs;
}

type PreviewRow = ImportPreview['rows'][number];

const shownAs = (sheet: string, row: number, state: PreviewRow['state'], words: string): PreviewRow => ({
  sheet,
  row,
  words,
  state,
  faults: [],
});

const plannedAs = (sheet: string, row: number): PlannedRow => ({
  key: rowName(sheet, row),
  faulty: false,
  rows: [],
  entries: [],
});

export function comesAlong(logbook: Logbook, present: PresentBeside, packs: Packs): ComesAlong {
  const found: ComesAlong = { planned: [], shown: [], packs };
  for (const [index, figure] of figuresIn(logbook).entries()) addFigure(found, figure, index + 1, present);
  const ids = new Set(present.issued.map(({ id }) => id));
  const numbers = new Set(present.issued.map(({ number }) => number));
  for (const [index, row] of issuedOf(logbook).entries()) {
    const words = `${row.number}, ${row.title}: ${row.subject}, issued to ${row.to}`;
    if (ids.has(row.id)) {
      found.shown.push(shownAs('issued', index + 1, 'known', words));
      continue;
    }
    found.planned.push({ ...plannedAs('issued', index + 1), issued: [row] });
    const twice = numbers.has(row.number) ? '; another document here has this number too' : '';
    found.shown.push(shownAs('issued', index + 1, 'ready', `${words}${twice}`));
  }
  return found;
}

function addFigure(found: ComesAlong, own: OwnFigure, place: number, { figures }: PresentBeside): void {
  const { pack: packId, figure, value, from, reason } = own.amendment;
  const pack = found.packs[packId];
  const placed = figuresOf(pack).find(({ path }) => path.join('.') === figure.join('.'));
  const told = (each: number): string => (placed ? figureWords(each, placed.figure.unit) : String(each));
  const label = figureLabel(pack, figure) ?? figure.join(' ');
  const words = `own figure, ${PACK_WORDS[packId]}, ${label}: ${told(value)} from ${dateWords(from)} (${reason})`;
  const ours = figures.get(own.id);
  const next = amended(pack, own.amendment);
  if (ours === undefined && next.ok) {
    found.packs = { ...found.packs, [packId]: next.value };
    found.planned.push({ ...plannedAs('figures', place), figures: [own] });
    found.shown.push(
      shownAs('figures', place, 'ready', `${words}; every machine here is judged by it from then on`),
    );
    return;
  }
  const stays =
    ours === undefined
      ? '; this app knows no such figure, and leaves it out'
      : ours === value
        ? ''
        : `; here it is ${told(ours)}, and stays so`;
  found.shown.push(shownAs('figures', place, 'known', `${words}${stays}`));
}
