/** What is wrong with an entry that says it is a note of ours. */
import type { Entry } from '../logbook/entry';
import { type Problem, problemsOf } from '../logbook/problems';
import { siOf } from './stated';
import { NOTES, isNoteName, toolOf, readNote } from './notes';

/** What is wrong with an entry that says it is a note of ours; none for any other entry. */
export function noteProblems(entry: Entry): Problem[] {
  const tool = toolOf(entry);
  if (!isNoteName(tool)) return [];
  const { kind, schema } = NOTES[tool];
  if (kind !== entry.kind)
    return [{ path: ['kind'], message: `must be ${kind} for a note of the tool ${tool}` }];
  const read = schema.safeParse(entry, { reportInput: true });
  return read.success ? againstDesign(entry) : problemsOf(read.error);
}

/** A pressure above the least marked design pressure must not be raised, nor written down as if it might be. */
function againstDesign(entry: Entry): Problem[] {
  const raised = readNote(entry, 'raised') ?? readNote(entry, 'holdReading');
  const pressure = siOf(raised?.pressure);
  const design = siOf(raised?.design);
  return pressure !== null && design !== null && pressure > design
    ? [
        {
          path: ['pressure'],
          message:
            'is above the least marked design pressure of the section; let it down to that, and write what it is then',
        },
      ]
    : [];
}
