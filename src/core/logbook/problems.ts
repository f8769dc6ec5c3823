/** What is wrong with a logbook or an entry: a path into the JSON and a sentence that says the remedy. */
import type { z } from 'zod';

export interface Problem {
  /** keys and indexes from the root, such as ['entries', 3, 'mass', 'value'] */
  path: readonly (string | number)[];
  message: string;
}

/** `$.entries[3].mass.value` */
export function jsonPath(path: Problem['path']): string {
  return path.reduce<string>(
    (text, step) =>
      typeof step === 'number'
        ? `${text}[${String(step)}]`
        : /^[\p{L}_$][\p{L}\p{N}_$]*$/u.test(step)
          ? `${text}.${step}`
          : `${text}[${JSON.stringify(step)}]`,
    '$',
  );
}

export const problemText = (problem: Problem): string => `${jsonPath(problem.path)}: ${problem.message}`;

export function problemsOf(error: z.ZodError, under: Problem['path'] = []): Problem[] {
  return error.issues.map((issue) => ({
    path: [...under, ...issue.path.map((step) => (typeof step === 'symbol' ? String(step) : step))],
    message: sentence(issue),
  }));
}

function sentence(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `is missing; give ${a(issue.expected)}`
        : `must be ${a(issue.expected)}`;
    case 'invalid_value':
      return issue.input === undefined
        ? `is missing; give one of ${issue.values.map(String).join(', ')}`
        : `must be one of ${issue.values.map(String).join(', ')}`;
    case 'invalid_union':
      return 'must be one of the entry kinds of the format';
    default:
      return issue.message;
  }
}

const a = (noun: string): string => `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
