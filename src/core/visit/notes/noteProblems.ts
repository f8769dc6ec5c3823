/** What is wrong with an entry that says it is a note of ours. */
import type { Entry } from '../../logbook/entry';
import { type Problem, problemsOf } from '../../logbook/problems';
import { endsOf } from './stated';
import { NOTES, isNoteName, toolOf, readNote } from './notes';

/** What is wrong with an entry that says it is a note of ours; none for any other entry. */
export function noteProblems(entry: Entry): Problem[] {
  const tool = toolOf(entry);
  if (!isNoteName(tool)) return [];
  const { kind, schema } = NOTES[tool];
  if (kind !== entry.kind)
    return [{ path: ['kind'], message: `must be ${kind} for a note of the tool ${tool}` }];
  const read = schema.safeParse(entry, { reportInput: true });
  return read.success ? [...againstDesign(entry), ...withoutReason(entry)] : problemsOf(read.error);
}

/** A pressure above the least marked design pressure must not be raised, nor written down as if it might be. */
function againstDesign(entry: Entry): Problem[] {
  const raised = readNote(entry, 'raised') ?? readNote(entry, 'holdReading');
  // By the most that it may be, against the least that the section may be marked with.
  const [stood, marked] = [endsOf(raised?.pressure), endsOf(raised?.design)];
  const pressure = stood.high ?? stood.low;
  const design = marked.low ?? marked.high;
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

/** Whoever does not repair at once says why. */
function withoutReason(entry: Entry): Problem[] {
  const decision = readNote(entry, 'decision');
  return decision && decision.choice !== 'repairNow' && !decision.why
    ? [{ path: ['why'], message: 'is missing; give a string' }]
    : [];
}
