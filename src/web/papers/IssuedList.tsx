/** Documents that were issued: number, what, to whom, when, and the file itself. */
import type { IssuedRow } from '../../contract/papers';
import { dateWords, instantWords } from '../../words/dates';
import { issueAddress, paperFileAddress } from '../data/addresses/paperAddress';
import { useWriter } from '../data/device/writer';
import { ForWriters } from '../data/api/ForWriters';
import { ButtonLink } from '../parts/Button';

export function IssuedList({ rows }: { rows: readonly IssuedRow[] }) {
  const { people } = useWriter();
  return (
    <ol>
      {rows.map((row) => (
        <li key={row.id} className="rule-b flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
          <div className="min-w-0 flex-1 basis-72">
            <p>
              <span className="font-semibold">{row.title}</span>{' '}
              <span className="tabular-nums">{row.number}</span>
            </p>
            <p className="break-words">{row.subject}</p>
            <p className="text-[0.93rem] text-soft">
              to {row.to} · {instantWords(row.recordedAt)} · as of {dateWords(row.asOf)} ·{' '}
              {people.find(({ id }) => id === row.by)?.name ?? row.by}
            </p>
            {row.changed.length > 0 && (
              <p className="text-[0.93rem]">Changed since the version before: {row.changed.join('; ')}</p>
            )}
          </div>
          <a
            className="flex min-h-11 items-center px-3 font-semibold text-green underline underline-offset-4"
            href={paperFileAddress(row.id)}
          >
            Open the PDF
          </a>
          <ForWriters of="issuePaper">
            <ButtonLink to={issueAddress(row.request)}>Issue again</ButtonLink>
          </ForWriters>
        </li>
      ))}
    </ol>
  );
}
