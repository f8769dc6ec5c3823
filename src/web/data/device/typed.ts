/** What was typed in a visit and not saved: named, so that nobody leaves a step or hands over a record that lacks it. */
import type { Step } from '../../../core/visit/steps';
import { forgetKept, keptKeys, readKept, writeKept } from './kept';

export interface Typed {
  /** what the form writes down */
  words: string;
  /** what is typed, where that is one figure */
  typed?: string;
  step: Step;
  machineId: string;
}

const PREFIX = 'abacus.typed ';

/** `key`: that of the draft, which begins with the id of the visit. Null: nothing is typed there any more. */
export const keepTyped = (key: string, typed: Typed | null): void => {
  if (typed) writeKept(`${PREFIX}${key}`, typed);
  else forgetKept(`${PREFIX}${key}`);
};

export const typedAt = (key: string): Typed | null => readKept<Typed>(`${PREFIX}${key}`);

export const typedIn = (visitId: string): Typed[] =>
  keptKeys(`${PREFIX}${visitId} `).flatMap((key) => readKept<Typed>(key) ?? []);

export const forgetTyped = (visitId: string): void => {
  for (const key of keptKeys(`${PREFIX}${visitId} `)) forgetKept(key);
};

export const typedWords = ({ words, typed }: Typed): string =>
  typed === undefined ? words : `${words} ${typed}`;
