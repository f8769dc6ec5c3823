/** The history of a row: who changed what of it, when, and why, newest first. */
import { useState } from 'react';
import type { RowTable } from '../../../contract/rows';
import type { Revision } from '../../../core/logbook/tables';
import { useWriter } from '../../data/device/writer';
import { useRow } from '../../data/api/queries';
import { Button } from '../../parts/Button';
import { Loaded, Section } from '../../parts/Page';
import { Dialog } from '../../parts/Dialog';
import { instantWords } from '../../../words/dates';
import { type RowNames, fieldChanges } from '../../../record/rows/rowWords';
import { useRowNames } from './useRowNames';

export function RowHistory({ table, id }: { table: RowTable; id: string }) {
  const query = useRow(table, id);
  const names = useRowNames(query.data?.revisions ?? []);
  return (
    <Loaded query={query}>
      {({ revisions }) => (
        <ol>
          {revisions
            .map((revision, index) => ({ revision, before: revisions[index - 1] ?? null }))
            .toReversed()
            .map(({ revision, before }, index) => (
              <RevisionLine
                key={revision.seal?.hash ?? index}
                revision={revision}
                before={before}
                names={names}
              />
            ))}
        </ol>
      )}
    </Loaded>
  );
}

/** Who, when, why, and what became of each field. */
export function RevisionLine({
  revision,
  before,
  names,
}: {
  revision: Revision;
  before: Revision | null;
  names: RowNames;
}) {
  const { people } = useWriter();
  const changes = fieldChanges(revision.table, before?.row ?? null, revision.row, names);
  const by = people.find((each) => each.id === revision.by)?.name ?? revision.by ?? 'not recorded who';
  return (
    <li className="rule-b py-2">
      <p>
        <span className="font-semibold">{before ? 'Changed' : 'First record'}</span>{' '}
        <span className="text-soft">
          by {by}
          {revision.recordedAt && `, ${instantWords(revision.recordedAt)}`}
        </span>
      </p>
      {revision.why && <p>Why: {revision.why}</p>}
      <ul className="text-[0.97rem]">
        {changes.map((each) => (
          <li key={each.label} className="break-words">
            <span className="text-soft">{each.label}:</span>{' '}
            {before && (
              <>
                <span className="line-through">{each.before}</span> →{' '}
              </>
            )}
            {each.after}
          </li>
        ))}
        {before && changes.length === 0 && <li className="text-soft">nothing that can be seen</li>}
      </ul>
    </li>
  );
}

export function HistorySection({
  table,
  id,
  title = 'History of the record',
}: {
  table: RowTable;
  id: string;
  title?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Section
      title={title}
      aside={
        <Button weight="quiet" className="px-0" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide' : 'Show who changed what'}
        </Button>
      }
    >
      {open && <RowHistory table={table} id={id} />}
    </Section>
  );
}

export function HistoryDialog({
  table,
  id,
  title,
  onClose,
}: {
  table: RowTable;
  id: string;
  title: string;
  onClose: () => void;
}) {
  return (
    <Dialog title="History" subtitle={title} onClose={onClose}>
      <RowHistory table={table} id={id} />
    </Dialog>
  );
}
