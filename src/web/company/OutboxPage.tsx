/** Mail that was written: what was sent, what waits, what failed; without a mail server, where it is read. */
import type { MailRow } from '../../contract/notices';
import { instantWords } from '../../words/dates';
import { usePages } from '../data/api/queries';
import { Fold } from '../parts/Fold';
import { Page } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';

export default function OutboxPage() {
  const pages = usePages('outbox', {});
  const kept = pages.data?.pages[0]?.kept ?? false;
  return (
    <Page
      title="Mail"
      subtitle={
        kept
          ? 'No mail server is set: what would be sent is kept here for 90 days.'
          : 'What was sent, and what waits to be sent; kept for 90 days.'
      }
    >
      <LoadedPages pages={pages} more="Show older mail">
        {(rows) =>
          rows.length === 0 ? (
            <p className="text-soft">
              None yet. Each morning people are told what falls due of the machines that they serve, and
              managers of each date that passed. Everybody sets the hour under their own account.
            </p>
          ) : (
            <>
              {rows.map((row) => (
                <Fold key={row.id} title={row.subject} about={`${row.name}, ${stateWords(row, kept)}`}>
                  <p className="mb-2 text-soft">
                    To {row.to}, {instantWords(row.madeAt)}. {stateWords(row, kept)}.
                  </p>
                  <pre className="max-w-full overflow-x-auto whitespace-pre-wrap break-words font-sans">
                    {row.text}
                  </pre>
                </Fold>
              ))}
            </>
          )
        }
      </LoadedPages>
    </Page>
  );
}

function stateWords({ sentAt, fault, nextTry }: MailRow, kept: boolean): string {
  if (sentAt !== null) return `Sent ${instantWords(sentAt)}`;
  if (nextTry === null && fault === null)
    return kept ? 'Kept here' : 'Kept here: no mail server was set then';
  if (fault === null) return 'Waits';
  return nextTry === null
    ? `▲ Not sent: ${fault}`
    : `◐ Not sent yet: ${fault}; tried again ${instantWords(nextTry)}`;
}
