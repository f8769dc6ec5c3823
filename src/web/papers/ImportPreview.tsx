/** A file as the app understands it, before anything is written: columns, questions, rows, and what would follow. */
import { useState } from 'react';
import type { ImportPreview as Preview, ImportState } from '../../contract/imports';
import { type Mapping, mappingSchema } from '../../sheets/mapping';
import { dateWords } from '../../words/dates';
import { boundWords, percentText } from '../../words/rod';
import type { useImportDeeds } from '../data/api/imports';
import { useWriter } from '../data/device/writer';
import { ApiError } from '../forms/ApiError';
import { WriterField } from '../forms/WriterField';
import { Button } from '../parts/Button';
import { CheckField } from '../parts/Field';
import { Section } from '../parts/Page';
import { ColumnsForm } from './ColumnsForm';
import { FaultList } from './FaultList';
import { countWords, ofCount } from '../../words/counts';
import { ListKinds } from './ListKinds';
import { Newcomers, isWrongDay } from './Newcomers';
import { isWrongZone } from './NewSites';
import { Questions, isQuestion } from './Questions';
import { SaidBefore } from './SaidBefore';

interface Props {
  state: ImportState;
  preview: Preview;
  write: ReturnType<typeof useImportDeeds>['write'];
  onMapping: (mapping: Mapping) => void;
}

export function ImportPreview({ state, preview, write, onMapping }: Props) {
  const { person } = useWriter();
  // What was understood, and what was said since: nothing changes until the list is read again.
  const [before] = useState(() => mappingSchema.parse(preview.mapping));
  const [draft, setDraft] = useState(before);
  const changed = draft !== before;
  const isList = preview.kind === 'spreadsheet';
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const [leaveOutFaulty, setLeaveOutFaulty] = useState(false);
  const readyOut = preview.rows.filter((row) => row.state === 'ready' && out.has(keyOf(row))).length;
  const ready = preview.ready - readyOut;
  const blocked = preview.faulty.length > 0 && !leaveOutFaulty;
  // Where the columns themselves are wrong no row was read: there is nothing to leave out.
  const columnsWrong = preview.faulty.length > 0 && preview.faultyRows === 0;
  const toggle = (key: string) => {
    const next = new Set(out);
    if (!next.delete(key)) next.add(key);
    setOut(next);
  };
  return (
    <div className="my-4">
      <h2 className="break-words">{state.name}</h2>
      <p role="status" className="mb-4 flex flex-wrap gap-x-5 font-semibold">
        <span>
          {countWords(
            preview.total,
            preview.kind === 'logbook' ? 'row and entry' : 'row',
            preview.kind === 'logbook' ? 'rows and entries' : 'rows',
          )}
        </span>
        <span className="text-green">● {preview.ready} new</span>
        <span className="text-soft">○ {preview.known} there already</span>
        {preview.faultyRows > 0 && <span className="text-brick">▲ {preview.faultyRows} faulty</span>}
      </p>
      {isList && (
        <>
          <ListKinds preview={preview} mapping={draft} onMapping={onMapping} />
          <Newcomers preview={preview} draft={draft} onDraft={setDraft} />
          <Questions questions={preview.faulty.filter(isQuestion)} draft={draft} onDraft={setDraft} />
        </>
      )}
      <FaultList
        preview={preview}
        faulty={preview.faulty.filter((fault) => !isQuestion(fault))}
        draft={draft}
        onDraft={setDraft}
      />
      {isList && <SaidBefore draft={draft} onDraft={setDraft} />}
      {isList && <ColumnsForm preview={preview} draft={draft} onDraft={setDraft} open={columnsWrong} />}
      {changed && (
        <div className="no-print rule-t sticky bottom-[4.1rem] z-20 my-4 flex flex-wrap items-center gap-x-4 gap-y-2 bg-paper py-3 lg:bottom-0">
          <Button
            weight="main"
            disabled={isWrongDay(draft) || isWrongZone(draft)}
            onClick={() => onMapping(draft)}
          >
            Read it again with this
          </Button>
          <Button onClick={() => setDraft(before)}>Put back</Button>
          <span className="text-soft">What was said counts when the list is read again.</span>
        </div>
      )}
      <Standings preview={preview} />
      <Rows preview={preview} out={out} onToggle={toggle} />
      <div className="max-w-md">
        {preview.faultyRows > 0 && (
          <CheckField
            label={`Leave the ${countWords(preview.faultyRows, 'faulty row')} out`}
            checked={leaveOutFaulty}
            onChange={(event) => setLeaveOutFaulty(event.target.checked)}
          />
        )}
        <WriterField />
        <ApiError error={write.error} />
        <Button
          weight="main"
          className="mt-2"
          disabled={blocked || columnsWrong || changed || ready === 0 || !person || write.isPending}
          onClick={() => write.mutate({ by: person?.id ?? '', leaveOut: [...out], leaveOutFaulty })}
        >
          {write.isPending
            ? 'Writing…'
            : ready === 0
              ? 'Nothing new to bring in'
              : `Bring in ${countWords(ready, 'row')}`}
        </Button>
        {(changed || (blocked && !columnsWrong)) && (
          <p className="mt-2 text-soft">
            {changed
              ? 'Read the list again first.'
              : 'Say what is asked, put the faulty rows right here or in the file, or leave them out. Until then nothing is written.'}
          </p>
        )}
      </div>
    </div>
  );
}

const keyOf = ({ sheet, row }: { sheet: string; row: number }): string => `${sheet} ${String(row)}`;

/** What would follow: who would have exceeded, said before anything is written. */
function Standings({ preview: { would, touched } }: { preview: Preview }) {
  if (touched === 0) return null;
  return (
    <Section title="What would follow">
      <p className={would.length > 0 ? 'font-semibold text-brick' : ''}>
        {would.length === 0
          ? `None of the ${countWords(touched, 'machine')} exceeds a limit by what can be judged.`
          : `◆ ${String(would.length)} of ${countWords(touched, 'machine')} ${ofCount(would.length, 'has', 'have')} exceeded a limit.`}
      </p>
      <ul>
        {would.map((each) => (
          <li key={`${each.site} ${each.machine}`} className="rule-b py-1">
            <span className="font-semibold">{each.machine}</span>, {each.site}:{' '}
            {boundWords(`${percentText(each.percent)} a year`, each.bound)} on {dateWords(each.on)}, limit{' '}
            {percentText(each.limit)}
          </li>
        ))}
      </ul>
    </Section>
  );
}

const ROWS_AT_FIRST = 20;
const STATE = { ready: ['●', 'new'], known: ['○', 'there already'], faulty: ['▲', 'faulty'] } as const;

function Rows({
  preview,
  out,
  onToggle,
}: {
  preview: Preview;
  out: ReadonlySet<string>;
  onToggle: (key: string) => void;
}) {
  const [all, setAll] = useState(false);
  if (preview.rows.length === 0) return null;
  const shown = all ? preview.rows : preview.rows.slice(0, ROWS_AT_FIRST);
  return (
    <Section title="Rows, as they are understood">
      <ol>
        {shown.map((row) => {
          const key = keyOf(row);
          const [sign, words] = STATE[row.state];
          return (
            <li key={key} className="rule-b">
              <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-green"
                  checked={row.state === 'ready' && !out.has(key)}
                  disabled={row.state !== 'ready'}
                  onChange={() => onToggle(key)}
                />
                <span className="w-16 shrink-0 text-soft tabular-nums">row {row.row}</span>
                <span className="min-w-0 flex-1 break-words">{row.words}</span>
                <span className={row.state === 'faulty' ? 'font-semibold text-brick' : 'text-soft'}>
                  {sign} {words}
                </span>
              </label>
            </li>
          );
        })}
      </ol>
      {shown.length < preview.rows.length && (
        <p className="my-2">
          <Button onClick={() => setAll(true)}>Show {preview.rows.length - shown.length} more</Button>
        </p>
      )}
      {all && preview.total > preview.rows.length && (
        <p className="text-soft">
          {preview.rows.length} of {preview.total} rows are shown, faulty ones first; all are read and
          written.
        </p>
      )}
    </Section>
  );
}
