/** What the server refused of a row, at the fields of its form. */
import { ApiProblem } from '../data/api/api';

/** By key; null where it refused more than fields of this form: then all of it is told at the button. */
export function refusedFields(
  error: Error | null,
  keys: readonly string[],
): Readonly<Record<string, string>> | null {
  const problems = error instanceof ApiProblem ? (error.document.errors ?? []) : [];
  const placed = problems.map(({ path, message }) => ({
    key: keys.find((each) => new RegExp(`\\.row\\.${each.replace('.', '\\.')}(?![\\w-])`).test(path)),
    message,
  }));
  if (placed.length === 0 || placed.some(({ key }) => key === undefined)) return null;
  return Object.fromEntries(placed.map(({ key, message }) => [key, `This ${message}.`]));
}
