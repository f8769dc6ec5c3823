/** What was written of a file, and the way back. */
import type { ImportState } from '../../contract/imports';
import { toast } from 'sonner';
import { useImportDeeds } from '../data/imports';
import { useWriter } from '../data/writer';
import { ApiError } from '../forms/ApiError';
import { Button, ButtonLink } from '../parts/Button';

export const countWords = (count: number, one: string, many = `${one}s`): string =>
  `${String(count)} ${count === 1 ? one : many}`;

export function ImportDone({ state, onClose }: { state: ImportState; onClose: () => void }) {
  const { person } = useWriter();
  const { undo } = useImportDeeds(state.id);
  const written = state.written ?? { rows: 0, entries: 0 };
  const nothing = written.rows + written.entries === 0;
  return (
    <section aria-label="Brought in" className="my-6 border-l-4 border-green pl-4">
      <p className="font-semibold" role="status">
        {nothing
          ? `○ Nothing of ${state.name} was new.`
          : `● Brought in from ${state.name}: ${countWords(written.rows, 'row')}, ${countWords(written.entries, 'entry', 'entries')}.`}
      </p>
      <ApiError error={undo.error} />
      <p className="mt-3 flex flex-wrap gap-2">
        <ButtonLink to="/machines" weight="main">
          Machines
        </ButtonLink>
        {!nothing && (
          <Button
            disabled={undo.isPending || !person}
            onClick={() => {
              void undo.mutateAsync(person?.id ?? '').then(
                () => {
                  toast.success('Undone: everything of this import is taken back.');
                  onClose();
                },
                () => undefined,
              );
            }}
          >
            Undo
          </Button>
        )}
        <Button onClick={onClose}>Another file</Button>
      </p>
    </section>
  );
}
