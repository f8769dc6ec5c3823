/** Everything that was written, newest first: who, when it was written, on which day it counts, and what. */
import type { UseQueryResult } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Change } from '../../contract/api';
import type { Entry } from '../../core/logbook/entry';
import { useWriter } from '../data/device/writer';
import { useCylindersById, useChanges } from '../data/api/queries';
import { Button } from '../parts/Button';
import { Empty, Loaded, Page } from '../parts/Page';
import { type RowNames, fieldChanges, rowTitle } from '../../record/rows/rowWords';
import { useRowNames } from '../forms/rows/useRowNames';
import { entryTitle, sentenceOf } from '../../record/sentence';
import { dateWords, instantWords } from '../../words/dates';
import { type Names, NO_NAMES, cylindersIn } from '../../words/names';

export default function ChangesPage() {
  const query = useChanges();
  const changes = query.data?.pages.flatMap((page) => page.changes) ?? [];
  const rowNames = useRowNames(changes.flatMap(({ revision }) => revision ?? []));
  const cylinders = new Map(
    useCylindersById(cylindersIn(changes.flatMap(({ entry }) => entry ?? [])))?.map((each) => [
      each.id,
      each.serial,
    ]),
  );
  return (
    <Page
      title="Who changed what"
      subtitle="Entries, corrections and changes of rows, as they were written, the latest first."
    >
      {query.data ? (
        changes.length === 0 ? (
          <Empty title="Nothing was written yet">
            Every entry and every change of a row stands here, with who wrote it and when.
          </Empty>
        ) : (
          <>
            <ol>
              {changes.map((change) => (
                <ChangeLine key={change.sequence} change={change} cylinders={cylinders} rowNames={rowNames} />
              ))}
            </ol>
            {query.hasNextPage && (
              <Button
                className="mt-3"
                disabled={query.isFetchingNextPage}
                onClick={() => void query.fetchNextPage()}
              >
                {query.isFetchingNextPage ? 'Reading…' : 'Show earlier ones'}
              </Button>
            )}
          </>
        )
      ) : (
        <Loaded query={query as UseQueryResult<never>}>{() => null}</Loaded>
      )}
    </Page>
  );
}

interface NamesOfRows {
  cylinders: ReadonlyMap<string, string>;
  rowNames: RowNames;
}

function ChangeLine({ change, cylinders, rowNames }: { change: Change } & NamesOfRows) {
  const { people } = useWriter();
  const { entry, revision } = change;
  const by = entry?.by ?? revision?.by;
  const at = entry?.recordedAt ?? revision?.recordedAt;
  return (
    <li className="rule-b grid gap-x-4 gap-y-1 py-2 sm:grid-cols-[11rem_minmax(0,1fr)]">
      <p className="text-soft">
        {at ? instantWords(at) : 'not recorded when'}
        <span className="block">
          {people.find((each) => each.id === by)?.name ?? by ?? 'not recorded who'}
        </span>
      </p>
      {entry ? (
        <EntryChange change={change} entry={entry} cylinders={cylinders} />
      ) : (
        <RowChangeWords change={change} names={rowNames} />
      )}
    </li>
  );
}

function EntryChange({
  change,
  entry,
  cylinders,
}: {
  change: Change;
  entry: Entry;
  cylinders: NamesOfRows['cylinders'];
}) {
  const { machineName, siteName, massSystem, leaks } = change;
  const names: Names = { ...NO_NAMES, leaks: new Map(Object.entries(leaks)), bottles: cylinders };
  return (
    <div className="min-w-0">
      <p>
        <span className="font-semibold">{entryTitle(entry)}</span>{' '}
        {entry.kind === 'void' ? '' : sentenceOf(entry, massSystem, names)}
        {entry.supersedes && (
          <span className="text-ochre">
            {' '}
            {entry.kind === 'void' ? 'voids' : 'corrects'} an earlier entry: {entry.correctionReason}
          </span>
        )}
      </p>
      <p className="text-soft">
        {machineName !== '' && entry.applianceId != null && (
          <>
            <Link
              className="text-green underline underline-offset-4"
              to={`/machines/${encodeURIComponent(entry.applianceId)}`}
            >
              {machineName}
            </Link>
            , {siteName} ·{' '}
          </>
        )}
        counts on {dateWords(entry.on)}
      </p>
    </div>
  );
}

function RowChangeWords({ change: { revision }, names }: { change: Change; names: RowNames }) {
  if (!revision) return null;
  const said = fieldChanges(revision.table, null, revision.row, names);
  return (
    <div className="min-w-0">
      <p className="font-semibold">Record of {rowTitle(revision)}</p>
      {revision.why && <p>Why: {revision.why}</p>}
      <p className="break-words text-soft">
        as of then: {said.map((each) => `${each.label.toLowerCase()} ${each.after}`).join('; ')}
      </p>
    </div>
  );
}
