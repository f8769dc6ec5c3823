/** The frame of a fact: its value, or not done with the reason, or unknown. What is left alone is not recorded. */
import { type ReactNode, useState } from 'react';
import clsx from 'clsx';
import { FELT_WORDS, feltAt } from '../../words/stated';
import { Choices } from '../parts/Choices';
import { TextField } from '../parts/Field';
import type { AskedField } from '../../record/field';
import type { StatedDraft } from '../../record/statedDraft';

const WAYS = [
  { how: 'notDone', words: 'not done' },
  { how: 'unknown', words: 'unknown' },
] as const;
/** A day is not done or left: somebody knows it or nobody does. */
const waysOf = ({ type }: AskedField) => WAYS.filter(({ how }) => how === 'unknown' || type !== 'date');

export function StatedField({
  field,
  draft,
  error,
  onChange,
  children,
}: {
  field: AskedField;
  draft: StatedDraft;
  error: string | undefined;
  onChange: (draft: StatedDraft) => void;
  children: ReactNode;
}) {
  const [inWords, setInWords] = useState(false);
  const felt = field.type === 'measure' ? feltAt(field.dimension) : [];
  return (
    <div className="mb-4 min-w-0">
      {draft.how === 'value' ? (
        <div className="[&>div]:mb-1">{children}</div>
      ) : (
        <div className="mb-1 min-h-11 border-l-4 border-soft pl-3">
          <p className="font-semibold">
            {field.label}: {draft.how === 'unknown' ? 'unknown' : 'not done'}
          </p>
          {draft.how === 'notDone' && (
            <TextField
              label={`Why ${field.label.toLowerCase()} was not done`}
              value={draft.why}
              onChange={(event) => onChange({ ...draft, why: event.target.value })}
              error={error ?? null}
            />
          )}
        </div>
      )}
      {inWords && draft.how === 'value' && (
        <Choices
          label={`${field.label} in words`}
          value={draft.text}
          choices={felt.map((each) => ({ value: FELT_WORDS[each], words: FELT_WORDS[each] }))}
          onChange={(text) => {
            onChange({ ...draft, text });
            setInWords(false);
          }}
        />
      )}
      <div className="flex flex-wrap gap-1">
        {waysOf(field).map(({ how, words }) => (
          <button
            key={how}
            type="button"
            aria-pressed={draft.how === how}
            aria-label={`${field.label}: ${words}`}
            className={clsx(
              'min-h-11 cursor-pointer rounded px-3 text-[0.93rem] underline underline-offset-4',
              draft.how === how ? 'border border-green font-semibold text-green' : 'text-soft',
            )}
            onClick={() => onChange({ ...draft, how: draft.how === how ? 'value' : how })}
          >
            {draft.how === how ? `${words} ✓` : words}
          </button>
        ))}
        {draft.how === 'value' && draft.text === '' && felt.length > 0 && (
          <button
            type="button"
            aria-expanded={inWords}
            aria-label={`${field.label}: in words`}
            className="min-h-11 cursor-pointer px-3 text-[0.93rem] text-soft underline underline-offset-4"
            onClick={() => setInWords(!inWords)}
          >
            in words
          </button>
        )}
        {draft.how === 'value' && draft.text !== '' && (
          <button
            type="button"
            aria-label={`${field.label}: clear`}
            className="min-h-11 cursor-pointer px-3 text-[0.93rem] text-soft underline underline-offset-4"
            onClick={() => onChange({ ...draft, text: '' })}
          >
            clear
          </button>
        )}
      </div>
    </div>
  );
}
