/** What was typed in a visit and not saved: named, so that nobody leaves a step or hands over a record that lacks it. */
import type { Step } from '../../../core/visit/steps';
import { forgetKept, keptKeys, readKept, writeKept } from './kept';

export interface UnsavedDraft {
  /** what the form writes down */
  words: string;
  /** what is typed, where that is one figure */
  typed?: string;
  step: Step;
  machineId: string;
}

const PREFIX = 'abacus.typed ';

/** `key`: that of the draft, which begins with the id of the visit. Null: nothing is typed there any more. */
export const keepTyped = (key: string, typed: UnsavedDraft | null): void => {
  if (typed) writeKept(`${PREFIX}${key}`, typed);
  else forgetKept(`${PREFIX}${key}`);
};

export const typedAt = (key: string): UnsavedDraft | null => readKept<UnsavedDraft>(`${PREFIX}${key}`);

export const typedIn = (visitId: string): UnsavedDraft[] =>
  keptKeys(`${PREFIX}${visitId} `).flatMap((key) => readKept<UnsavedDraft>(key) ?? []);

export const forgetTyped = (visitId: string): void => {
  for (const key of keptKeys(`${PREFIX}${visitId} `)) forgetKept(key);
};

export const typedWords = ({ words, typed }: UnsavedDraft): string =>
  typed === undefined ? words : `${words} ${typed}`;
