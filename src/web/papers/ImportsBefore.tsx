/** What came in from files, each with the way back. */
import type { ImportedRow } from '../../contract/imports';
import { toast } from 'sonner';
import { instantWords } from '../../words/dates';
import { useImportDeeds } from '../data/imports';
import { useImportPages } from '../data/queries';
import { useWriter } from '../data/writer';
import { ApiError } from '../forms/ApiError';
import { Button } from '../parts/Button';
import { LoadedPages } from '../parts/Pages';
import { Section } from '../parts/Page';
import { countWords } from './ImportDone';

export function ImportsBefore() {
  const pages = useImportPages();
  return (
    <Section title="Brought in before">
      <LoadedPages pages={pages} more="Show earlier ones">
        {(rows) =>
          rows.length === 0 ? (
            <p className="text-soft">
              Nothing yet. What comes in from a file stands here, and can be undone.
            </p>
          ) : (
            <ol>
              {rows.map((row) => (
                <Before key={row.id} row={row} />
              ))}
            </ol>
          )
        }
      </LoadedPages>
    </Section>
  );
}

function Before({ row }: { row: ImportedRow }) {
  const { people, person } = useWriter();
  const { undo } = useImportDeeds(row.id);
  return (
    <li className="rule-b flex flex-wrap items-center gap-x-4 py-2">
      <div className="min-w-0 flex-1 basis-64">
        <p className="break-words font-semibold">{row.name}</p>
        <p className="text-[0.93rem] text-soft">
          {countWords(row.rows, 'row')}, {countWords(row.entries, 'entry', 'entries')} ·{' '}
          {instantWords(row.recordedAt)} · {people.find(({ id }) => id === row.by)?.name ?? row.by}
          {row.undoneAt !== null && ` · undone ${instantWords(row.undoneAt)}`}
        </p>
        <ApiError error={undo.error} />
      </div>
      {row.undoneAt === null && (
        <Button
          disabled={undo.isPending || !person}
          onClick={() => {
            void undo.mutateAsync(person?.id ?? '').then(
              () => toast.success('Undone: everything of this import is taken back.'),
              () => undefined,
            );
          }}
        >
          Undo
        </Button>
      )}
    </li>
  );
}
