/** What is said where there is no figure: a word for it, or why it was not taken. */
import { useState } from 'react';
import type { Choice } from '../../words/choice';
import { Button } from './Button';
import { TextField } from './Field';

/** Common reasons why a reading was not taken; another is typed. */
const REASONS = ['no port here', 'no meter with me', 'cannot be reached', 'not needed today'];

export interface Rough {
  words: readonly Choice[];
  onWord: (value: string) => void;
}

export function InWords({ label, words, onWord, onBack }: Rough & { label: string; onBack: () => void }) {
  return (
    <div role="group" aria-label={`${label} in words`}>
      <p className="mb-2 font-semibold">{label}: no figure, but</p>
      <div className="mb-3 grid grid-cols-2 gap-2">
        {words.map(({ value, words: said }) => (
          <Button key={value} className="min-h-14" onClick={() => onWord(value)}>
            {said}
          </Button>
        ))}
      </div>
      <Button onClick={onBack}>Back</Button>
    </div>
  );
}

export function WhyNot({
  label,
  onSay,
  onBack,
}: {
  label: string;
  onSay: (why: string) => void;
  onBack: () => void;
}) {
  const [why, setWhy] = useState('');
  return (
    <div>
      <p className="mb-2 font-semibold">{label}: why was it not done?</p>
      <div className="mb-3 grid grid-cols-2 gap-2">
        {REASONS.map((reason) => (
          <Button key={reason} className="min-h-14" onClick={() => onSay(reason)}>
            {reason}
          </Button>
        ))}
      </div>
      <TextField label="Another reason" value={why} onChange={(event) => setWhy(event.target.value)} />
      <div className="flex gap-2">
        <Button
          weight="main"
          className="flex-1"
          disabled={why.trim() === ''}
          onClick={() => onSay(why.trim())}
        >
          Write it so
        </Button>
        <Button onClick={onBack}>Back</Button>
      </div>
    </div>
  );
}
