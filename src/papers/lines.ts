/** Entries as lines of a paper, in the words of their records: nothing of a screen, no id, no name of a file. */
import type { Entry } from '../core/logbook/entry';
import type { DatedEntry } from '../core/logbook/order';
import { type Running, isTest, weakIn } from '../core/visit/leaks/evidence';
import { dateWords } from '../words/dates';
import { weakWords } from '../words/leaks';
import type { FoldedMachine } from '../record/foldedMachine';
import { entryTitle, sentenceOf } from '../record/sentence';
import { type PaperContext, writerName } from './beside';
import { type Line, NOT_RECORDED } from './paper';
import { countWords } from '../words/counts';

type Of = Pick<FoldedMachine, 'system' | 'names'>;

const filesWords = (entry: Entry): string | null => {
  const count = entry.attachments?.length ?? 0;
  return count === 0 ? null : `${countWords(count, 'file')} attached`;
};

/** Whether an entry says more than the fields of its kind. */
export const saysMore = (entry: Entry): boolean => besides(entry).length > 0;

/** What an entry says beside the fields of its kind, a line each. */
export const besides = (entry: Entry): Line[] => {
  const files = filesWords(entry);
  return [
    ...(entry.note ? [{ label: 'Note:', words: `“${entry.note}”` }] : []),
    ...(entry.caseNote ? [{ label: 'For the case:', words: entry.caseNote }] : []),
    ...(files ? [{ words: files }] : []),
  ];
};

/** The same in a cell of a table. */
export const besidesInCell = (entry: Entry, none: string): string =>
  [entry.note, entry.caseNote, filesWords(entry)].filter(Boolean).join('; ') || none;

/** The sentence of an entry; what is attached is counted, for its files have no names that say anything. */
export function said(entry: Entry, { system, names }: Of): string {
  const { attachments: _, ...rest } = entry;
  return [sentenceOf(rest as Entry, system, names), filesWords(entry)].filter(Boolean).join(', ');
}

/** What was done and how, with its note, and what weakens it where it is a test. */
export function entryLine(entry: Entry, view: Of, running?: Running): Line {
  const words = said(entry, view);
  const note = entry.note ? ` “${entry.note}”` : '';
  const weak = running && isTest(entry) ? weakWords(weakIn(entry, running)) : null;
  const but = weak ? { but: weak.words } : {};
  return words === ''
    ? { words: `${entryTitle(entry)}${note}`, ...but }
    : { label: `${entryTitle(entry)}:`, words: `${words}${note}`, ...but };
}

/** The same with its day and who did it. */
export function datedLine(entry: Entry, view: Of, beside: Pick<PaperContext, 'people'>): Line {
  const { label, words } = entryLine(entry, view);
  return {
    label: dateWords(entry.on),
    words: `${label === undefined ? '' : `${label} `}${words}; ${writerName(beside.people, entry)}`,
  };
}

/** Rows of a table of entries: day, what, by whom, note. */
export const ENTRY_HEAD = ['Day', 'What', 'By', 'Note'] as const;
export const entryRow = ({ entry }: DatedEntry, view: Of, beside: Pick<PaperContext, 'people'>): string[] => [
  dateWords(entry.on),
  [entryTitle(entry), said(entry, view)].filter(Boolean).join(': '),
  writerName(beside.people, entry),
  [entry.note, entry.supersedes && `corrected: ${entry.correctionReason ?? NOT_RECORDED}`]
    .filter(Boolean)
    .join('; ') || '–',
];
