/** What was written of a file, and the way back. */
import type { ImportState } from '../../contract/imports';
import { Button, ButtonLink } from '../parts/Button';
import { UndoImport } from './UndoImport';
import { countWords } from '../../words/counts';

export function ImportDone({ state, onClose }: { state: ImportState; onClose: () => void }) {
  const written = state.written ?? { rows: 0, entries: 0 };
  const nothing = written.rows + written.entries === 0;
  return (
    <section aria-label="Brought in" className="my-6 border-l-4 border-green pl-4">
      <p className="font-semibold" role="status">
        {nothing
          ? `○ Nothing of ${state.name} was new.`
          : `● Brought in from ${state.name}: ${countWords(written.rows, 'row')}, ${countWords(written.entries, 'entry', 'entries')}.`}
      </p>
      <p className="mt-3 flex flex-wrap gap-2">
        <ButtonLink to="/machines" weight="main">
          Machines
        </ButtonLink>
        {!nothing && <UndoImport id={state.id} name={state.name} onUndone={onClose} />}
        <Button onClick={onClose}>Another file</Button>
      </p>
    </section>
  );
}
