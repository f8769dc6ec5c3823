/** What came in from files, each with the way back. */
import type { ImportedRow } from '../../contract/imports';
import { instantWords } from '../../words/dates';
import { useImportPages } from '../data/api/queries';
import { useWriter } from '../data/device/writer';
import { LoadedPages } from '../parts/Pages';
import { Section } from '../parts/Page';
import { UndoImport } from './UndoImport';
import { countWords } from '../../words/counts';

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
  const { people } = useWriter();
  return (
    <li className="rule-b flex flex-wrap items-center gap-x-4 py-2">
      <div className="min-w-0 flex-1 basis-64">
        <p className="break-words font-semibold">{row.name}</p>
        <p className="text-[0.93rem] text-soft">
          {countWords(row.rows, 'row')}, {countWords(row.entries, 'entry', 'entries')} ·{' '}
          {instantWords(row.recordedAt)} · {people.find(({ id }) => id === row.by)?.name ?? row.by}
          {row.undoneAt !== null && ` · undone ${instantWords(row.undoneAt)}`}
        </p>
      </div>
      {row.undoneAt === null && <UndoImport id={row.id} name={row.name} />}
    </li>
  );
}
