/** A state as word, shape and colour, in that order of importance. */
import { Circle, CircleDot, CircleHalf, Square, Triangle, X } from './shapes';
import type { MachineState } from '../../core/rules/machineState';
import type { ObligationState } from '../../core/rules/obligation';
import { OBLIGATION_STATE_WORDS, STATE_WORDS } from '../../words/codes';

const MACHINE: Record<MachineState, { Shape: typeof Circle; colour: string }> = {
  overdue: { Shape: Triangle, colour: 'text-brick' },
  caseOpen: { Shape: CircleDot, colour: 'text-brick' },
  watch: { Shape: CircleHalf, colour: 'text-ochre' },
  healthy: { Shape: Circle, colour: 'text-green' },
  unknown: { Shape: Square, colour: 'text-soft' },
  retired: { Shape: X, colour: 'text-soft' },
};

const OBLIGATION: Record<ObligationState, { Shape: typeof Circle; colour: string }> = {
  overdue: { Shape: Triangle, colour: 'text-brick' },
  dueSoon: { Shape: CircleHalf, colour: 'text-ochre' },
  upcoming: { Shape: Square, colour: 'text-soft' },
  done: { Shape: Circle, colour: 'text-green' },
  void: { Shape: X, colour: 'text-soft' },
};

function Mark({ mark, words }: { mark: { Shape: typeof Circle; colour: string }; words: string }) {
  return (
    <span className={`inline-flex items-center gap-2 font-semibold ${mark.colour}`}>
      <mark.Shape />
      {words}
    </span>
  );
}

export const MachineMark = ({ state }: { state: MachineState }) => (
  <Mark mark={MACHINE[state]} words={STATE_WORDS[state]} />
);

/** `words` instead of the plain state, such as `6 days late`. */
export const ObligationMark = ({ state, words }: { state: ObligationState; words?: string }) => (
  <Mark mark={OBLIGATION[state]} words={words ?? OBLIGATION_STATE_WORDS[state]} />
);
