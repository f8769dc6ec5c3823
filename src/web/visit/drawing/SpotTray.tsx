/** One part of the circuit under the detector: a mark by one touch, what showed it by another; saved at once. */
import { Caution } from '../../parts/Caution';
import type { MapPart } from '../../../core/circuit/map';
import { partType } from '../../../core/circuit/parts';
import { FALSE_CAUSES, SPOT_MARKS, type SpotMark } from '../../../core/visit/notes/notes';
import { notesOf } from '../../../core/visit/visitRecord';
import { FALSE_WORDS, MARK_WORDS, partWords } from '../../../words/circuit';
import { GRADE_WORDS, methodWords } from '../../../words/leaks';
import { list } from '../../../words/list';
import { ApiError } from '../../forms/ApiError';
import { Button } from '../../parts/Button';
import { Choices } from '../../parts/Choices';
import { CheckField, TextArea, TextField } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { Tray } from '../../parts/Tray';
import { useVisit } from '../visitContext';
import { PartKnown } from './PartKnown';
import { type SpotForm, useSpot } from './useSpot';
import { LOOKED_WITH, asksFor, gradesOf } from './spotDraft';

export function SpotTray({ part, onClose }: { part: MapPart; onClose: () => void }) {
  const { record } = useVisit();
  const marks = notesOf(record.entries, 'spot').filter(({ note }) => note.part === part.id);
  const form = useSpot(part, onClose);
  return (
    <Tray title={partWords(part)} onClose={onClose}>
      <PartKnown part={part} />
      {marks.length > 0 && (
        <p className="mb-2 text-soft">
          Here already:{' '}
          {marks
            .map(({ note }) =>
              [
                MARK_WORDS[note.mark],
                note.grade && GRADE_WORDS[note.grade],
                note.method && methodWords(note.method),
              ]
                .filter(Boolean)
                .join(', '),
            )
            .join('; ')}
          .
        </p>
      )}
      {partType(part.type).hidden && (
        <Caution>
          It leaks into its own housing: bubbles show nothing outside. A hit here stays suspected until the
          part is proven on the bench.
        </Caution>
      )}
      {form.mark === null ? <Marks form={form} /> : <WhatShowedIt form={form} part={part} mark={form.mark} />}
      <ApiError error={form.deed.error} />
    </Tray>
  );
}

function Marks({ form }: { form: SpotForm }) {
  const { lastMethod, deed } = form;
  const typed = list([form.place, form.size, form.why]);
  return (
    <>
      {typed && <p className="mb-2 text-ochre">◐ Typed here and not saved: {typed}</p>}
      <div className="mb-2 grid grid-cols-2 gap-2" role="group" aria-label="What you found">
        {SPOT_MARKS.map((mark) => (
          <Button
            key={mark}
            className="min-h-14"
            disabled={deed.writing}
            onClick={() =>
              mark === 'lookedAt' && lastMethod
                ? void form.write(mark, { method: lastMethod })
                : form.setMark(mark)
            }
          >
            {MARK_WORDS[mark]}
          </Button>
        ))}
      </div>
      {lastMethod && (
        <p className="text-soft">
          Looked at with: {methodWords(lastMethod)}.{' '}
          <button
            type="button"
            className="min-h-11 cursor-pointer text-green underline underline-offset-4"
            onClick={() => form.setMark('lookedAt')}
          >
            With something else
          </button>
        </p>
      )}
    </>
  );
}

function WhatShowedIt({ form, part, mark }: { form: SpotForm; part: MapPart; mark: SpotMark }) {
  const { deed, write, change } = form;
  const asks = asksFor(mark);
  const hidden = partType(part.type).hidden === true;
  const big = (key: string, words: string, onClick: () => void) => (
    <Button key={key} className="min-h-14" disabled={deed.writing} onClick={onClick}>
      {words}
    </Button>
  );
  return (
    <>
      <p className="mb-2 font-semibold">
        {MARK_WORDS[mark]}
        {mark === 'hit' &&
          ': zero the detector in the contaminated air and come again, fans stopped. No leak until bubbles or an equally sure sign confirm it.'}
      </p>
      {(asks === 'grade' || asks === 'cause') && <Details form={form} leak={mark === 'confirmed'} />}
      <div className="mb-2 grid grid-cols-2 gap-2" role="group" aria-label="What showed it">
        {asks === 'method' &&
          LOOKED_WITH.map((method) => big(method, methodWords(method), () => void write(mark, { method })))}
        {asks === 'grade' &&
          gradesOf(mark)
            .filter((grade) => !(hidden && grade === 'bubbles'))
            .map((grade) => big(grade, GRADE_WORDS[grade], () => void write(mark, { grade })))}
        {asks === 'cause' &&
          FALSE_CAUSES.map((cause) => big(cause, FALSE_WORDS[cause], () => void write(mark, { cause })))}
      </div>
      {asks === 'why' && (
        <>
          <TextArea
            label={mark === 'leftOut' ? 'Why it was left out' : 'What will leak, and why'}
            value={form.why}
            onChange={(event) => change({ why: event.target.value })}
          />
          {mark === 'leftOut' && (
            <CheckField
              label="It cannot be reached without taking the machine apart"
              checked={!form.reachable}
              onChange={(event) => change({ reachable: !event.target.checked })}
              hint="Only then may the search still count as an inspection."
            />
          )}
          <Button
            weight="main"
            className="min-h-14 w-full"
            disabled={deed.writing || form.why.trim() === ''}
            onClick={() => void write(mark)}
          >
            Mark it
          </Button>
        </>
      )}
      <Button weight="quiet" onClick={() => form.setMark(null)}>
        Back
      </Button>
    </>
  );
}

/** What may be said beside it, before the touch that writes it down. */
function Details({ form, leak }: { form: SpotForm; leak: boolean }) {
  const { change } = form;
  return (
    <Fold
      title={leak ? 'Exact place, size, note' : 'Method, note'}
      open={form.why !== '' || form.place !== ''}
    >
      {leak && (
        <>
          <TextField
            label="Exact place"
            optional
            value={form.place}
            onChange={(event) => change({ place: event.target.value })}
          />
          <TextField
            label="Size, as guessed"
            optional
            value={form.size}
            onChange={(event) => change({ size: event.target.value })}
          />
        </>
      )}
      <p className="mb-1 font-semibold">Found with</p>
      <Choices
        label="Found with"
        value={form.used}
        onChange={(used) => change({ used })}
        choices={LOOKED_WITH.map((value) => ({ value, words: methodWords(value) }))}
      />
      <TextArea
        label="Note"
        optional
        value={form.why}
        onChange={(event) => change({ why: event.target.value })}
      />
    </Fold>
  );
}
