/** The rows of a plan that are written: all that are right and not left out, and nothing that hangs on what is left out. */
import { hanging } from '../../sheets/planned';
import { invalid } from '../problem';
import type { PlannedRow } from './plan';
import type { PlannedFile } from './planFile';

export function chosenRows(
  { planned, preview, there }: PlannedFile,
  out: ReadonlySet<string>,
  leaveOutFaulty: boolean,
): PlannedRow[] {
  const faulty = planned.filter((each) => each.faulty && !out.has(each.key));
  const unread = preview.faulty.length > 0 && preview.faultyRows === 0;
  const clashes = preview.kind === 'logbook' ? preview.faultyRows : 0;
  if (unread)
    throw invalid(
      [{ path: ['rows'], message: 'cannot be read before it is said what the columns are' }],
      'Nothing was written.',
    );
  if (!leaveOutFaulty && faulty.length + clashes > 0)
    throw invalid(
      [
        {
          path: ['rows'],
          message: `${String(faulty.length + clashes)} rows are faulty; put them right, or leave them out`,
        },
      ],
      'Nothing was written.',
    );
  const chosen = planned.filter((each) => !each.faulty && !out.has(each.key));
  const known = new Set(there);
  const [first, ...more] = hanging(chosen, (key) => known.has(key));
  if (first)
    throw invalid(
      [
        {
          path: ['rows'],
          message: `${first.key}${more.length > 0 ? ` and ${String(more.length)} more rows hang` : ' hangs'} on a machine or site whose row is left out; leave ${more.length > 0 ? 'them' : 'it'} out too`,
        },
      ],
      'Nothing was written.',
    );
  return chosen;
}
