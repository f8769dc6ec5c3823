/** A document before it is issued: as it will be, what is still asked, to whom it goes; then its number and its file. */
import { useId, useState } from 'react';
import { useSearchParams } from 'react-router';
import { v7 as uuidv7 } from 'uuid';
import { say } from '../data/device/messages';
import { type IssuedRow, type PaperRequest, factsOfDocument, paperRequest } from '../../contract/papers';
import type { AnswerOf } from '../../contract/endpoints';
import { problemsOf } from '../../core/logbook/problems';
import { instantWords } from '../../words/dates';
import { useIssuePaper, usePaperPreview } from '../data/api/queries';
import { paperFileAddress } from '../data/addresses/paperAddress';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { WriterField } from '../forms/WriterField';
import { PaperView } from '../paper/PaperView';
import { ForWriters } from '../data/api/ForWriters';
import { Button, ButtonLink } from '../parts/Button';
import { TextArea, TextField } from '../parts/Field';
import { Empty, Loaded, Page, Section } from '../parts/Page';
import { IssuedList } from './IssuedList';
import { PapersLink } from './PapersLink';

export default function IssuePage() {
  const [given] = useSearchParams();
  const request = paperRequest.safeParse(Object.fromEntries(given), { reportInput: true });
  if (!request.success)
    return (
      <Page title="Issue a document">
        <Empty title="This address asks for no document">
          <ul>
            {problemsOf(request.error).map(({ path, message }) => (
              <li key={`${path.join('.')} ${message}`}>
                {path.join('.')} {message}
              </li>
            ))}
          </ul>
          <ButtonLink to="/papers" weight="main" className="mt-4">
            Papers
          </ButtonLink>
        </Empty>
      </Page>
    );
  return <Previewed key={given.toString()} request={request.data} />;
}

function Previewed({ request }: { request: PaperRequest }) {
  const preview = usePaperPreview(request);
  return (
    <Page title={factsOfDocument(request.document).name} subtitle={<PapersLink />}>
      <Loaded query={preview}>{(found) => <Ready request={request} found={found} />}</Loaded>
    </Page>
  );
}

function Ready({ request, found }: { request: PaperRequest; found: AnswerOf<'paperPreview'> }) {
  const [issued, setIssued] = useState<IssuedRow | null>(null);
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="order-2 min-w-0 lg:order-1">
        {found.papers.map((paper) => (
          <div key={paper.subject} className="mb-4">
            <PaperView paper={paper} />
          </div>
        ))}
      </div>
      <div className="order-1 lg:order-2">
        {issued ? (
          <Done issued={issued} />
        ) : (
          <ForWriters of="issuePaper">
            <IssueForm request={request} found={found} onIssued={setIssued} />
          </ForWriters>
        )}
        {found.before.length > 0 && (
          <Section title="Issued before">
            <IssuedList rows={found.before} />
          </Section>
        )}
      </div>
    </div>
  );
}

function Done({ issued }: { issued: IssuedRow }) {
  return (
    <section aria-label="Issued" className="border-l-4 border-green pl-3">
      <p className="font-semibold">● Issued as {issued.number}</p>
      <p>
        to {issued.to}, {instantWords(issued.recordedAt)}
      </p>
      {issued.changed.length > 0 && <p>Changed since the version before: {issued.changed.join('; ')}</p>}
      <p className="mt-3 flex flex-wrap gap-2">
        <a
          className="inline-flex min-h-12 items-center rounded bg-green px-4 font-semibold text-paper"
          href={paperFileAddress(issued.id)}
        >
          Open the PDF
        </a>
        <ButtonLink to="/papers">Papers</ButtonLink>
      </p>
    </section>
  );
}

function IssueForm({
  request,
  found,
  onIssued,
}: {
  request: PaperRequest;
  found: AnswerOf<'paperPreview'>;
  onIssued: (issued: IssuedRow) => void;
}) {
  const { person } = useWriter();
  const issue = useIssuePaper();
  const heading = useId();
  // Made once: sent again after no answer came, it is issued once.
  const [id] = useState(() => uuidv7());
  const [to, setTo] = useState('');
  const [tried, setTried] = useState(false);
  const [answers, setAnswers] = useState<Record<string, string>>(() =>
    Object.fromEntries(found.asks.map(({ key, value }) => [key, value])),
  );
  const send = async () => {
    setTried(true);
    if (to.trim() === '' || !person) return;
    const row = await issue
      .mutateAsync({ id, request, by: person.id, to: to.trim(), answers })
      .catch(() => null);
    if (!row) return;
    say(`Issued as ${row.number}.`);
    onIssued(row);
  };
  return (
    <section aria-labelledby={heading}>
      <h2 id={heading}>Issue it</h2>
      <p className="mb-3 text-soft">
        It gets the number <span className="font-semibold text-ink tabular-nums">{found.number}</span>, and is
        kept as it is now.
      </p>
      {found.changed.length > 0 && (
        <div className="mb-3 border-l-4 border-ochre pl-3">
          <p className="font-semibold">Changed since the version before:</p>
          <ul>
            {found.changed.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
        </div>
      )}
      {found.asks.map(({ key, label, scope }) => {
        const field = {
          label,
          optional: true,
          value: answers[key] ?? '',
          hint:
            scope === 'owner'
              ? 'Asked once: kept with the owner.'
              : 'Left empty, the paper says “not recorded”.',
        };
        const set = (value: string) => setAnswers({ ...answers, [key]: value });
        return key === 'steps' ? (
          <TextArea key={key} {...field} onChange={(event) => set(event.target.value)} />
        ) : (
          <TextField key={key} {...field} onChange={(event) => set(event.target.value)} />
        );
      })}
      <TextField
        label="To whom it goes"
        value={to}
        onChange={(event) => setTo(event.target.value)}
        error={tried && to.trim() === '' ? 'Say to whom it goes: an owner, an authority, a file.' : null}
      />
      <WriterField />
      {tried && !person && <p className="mb-3 font-semibold text-brick">Say who issues it.</p>}
      <ApiError error={issue.error} />
      <Button
        weight="main"
        className="mb-6 mt-2 w-full"
        disabled={issue.isPending}
        onClick={() => void send()}
      >
        {issue.isPending ? 'Making the PDF…' : 'Issue as PDF'}
      </Button>
    </section>
  );
}
