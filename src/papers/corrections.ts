/** What was corrected or voided of what a paper tells, so that a new issue says how it differs from the one before. */
import type { Entry } from '../core/logbook/entry';
import type { FoldedMachine } from '../record/foldedMachine';
import { entryTitle } from '../record/sentence';
import { instantAtSite } from '../words/dates';
import { type PaperContext, writerName } from './beside';
import { said } from './lines';
import { type Block, type Line, linesOf } from './paper';

export interface Correction {
  entry: Entry;
  /** what it replaces; null for what was written anew */
  target: Entry | null;
}

/** Corrections of entries that a paper tells, or that take their place among what it tells. */
export function correctionsOf(entries: readonly Entry[], tells: (entry: Entry) => boolean): Correction[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry]));
  return entries.flatMap((entry): Correction[] => {
    if (entry.supersedes == null) return [];
    const target = byId.get(entry.supersedes) ?? null;
    return tells(entry) || (target !== null && tells(target)) ? [{ entry, target }] : [];
  });
}

export function correctionLine(
  { entry, target }: Correction,
  view: FoldedMachine,
  beside: PaperContext,
): Line & { label: string } {
  const told = (each: Entry): string =>
    [entryTitle(each).toLowerCase(), said(each, view), each.note && `“${each.note}”`]
      .filter(Boolean)
      .join(' ');
  const head =
    target === null
      ? { label: 'Written:', words: told(entry) }
      : entry.kind === 'void'
        ? { label: 'Voided:', words: told(target) }
        : { label: 'Corrected:', words: `${told(entry)}; before: ${told(target)}` };
  const when = entry.recordedAt ? `, ${instantAtSite(entry.recordedAt, view.machine.site.timezone)}` : '';
  const why = entry.correctionReason ? ` (${entry.correctionReason})` : '';
  return { ...head, words: `${head.words}${why}, by ${writerName(beside.people, entry)}${when}` };
}

export function correctionsBlock(
  title: string,
  corrections: readonly Correction[],
  view: FoldedMachine,
  beside: PaperContext,
): Block | null {
  return corrections.length === 0
    ? null
    : { title, contents: [linesOf(corrections.map((each) => correctionLine(each, view, beside)))] };
}
