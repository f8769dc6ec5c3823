/** Step 0: what the history says and what to pack. Read once, it is ticked off by going on. */
import { BeforeDigest } from '../before/BeforePage';
import { useVisit } from '../visitContext';

export function BeforeStep() {
  const { view } = useVisit();
  return <BeforeDigest view={view} />;
}
