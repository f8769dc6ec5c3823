/**
 * Figures by the thumb: keys big enough for a glove, the unit as a key, the sign where there is one. A keyboard types into
 * the same figure. Not done (why) and unknown are two keys of it.
 */
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Delete } from 'lucide-react';
import clsx from 'clsx';
import { Button } from './Button';
import { TextField } from './Field';

/** Common reasons why a reading was not taken; another is typed. */
const REASONS = ['no port here', 'no meter with me', 'cannot be reached', 'not needed today'];

const key =
  'flex min-h-14 cursor-pointer items-center justify-center rounded border border-soft bg-card text-2xl font-semibold';

interface Props {
  label: string;
  text: string;
  unit: string;
  units: readonly string[];
  /** the sign that a figure may have: a minus, or for a gauge the scale below zero */
  sign: boolean;
  /** what the figure amounts to, live; or what is wrong with it */
  below: ReactNode;
  confirm: string;
  busy: boolean;
  onText: (text: string) => void;
  onUnit: (unit: string) => void;
  onSign: () => void;
  onConfirm: () => void;
  /** where confirming goes on: this figure alone, and back */
  onDone?: () => void;
  /** left out: this figure must be given */
  onNotDone?: (why: string) => void;
  onUnknown?: () => void;
}

export function Keypad(props: Props) {
  const { label, text, unit, units, sign, below, confirm, busy } = props;
  const { onText, onUnit, onSign, onConfirm, onDone, onNotDone, onUnknown } = props;
  const [saying, setSaying] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
  }, [label]);
  if (saying && onNotDone) return <WhyNot label={label} onSay={onNotDone} onBack={() => setSaying(false)} />;
  const next = units[(units.indexOf(unit) + 1) % units.length] ?? unit;
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onConfirm();
      }}
    >
      <div className="flex items-baseline gap-2">
        <input
          ref={field}
          aria-label={label}
          // The keys below are the pad: the phone's own stays away, a keyboard types all the same.
          inputMode="none"
          autoComplete="off"
          placeholder="–"
          className="min-w-0 flex-1 bg-paper text-right text-5xl font-bold tabular-nums outline-none"
          value={text}
          readOnly={busy}
          onChange={(event) => onText(event.target.value)}
        />
        <span className="min-w-12 text-xl font-semibold">{unit}</span>
      </div>
      <div className="min-h-12 border-b border-line pb-1 leading-snug" aria-live="polite">
        {below}
      </div>
      {/* While it is saved no figure is taken: it would be lost with the place that goes. */}
      <fieldset className="mt-2 grid min-w-0 grid-cols-4 gap-2" aria-label="Keys" disabled={busy}>
        {[
          '7',
          '8',
          '9',
          'back',
          '4',
          '5',
          '6',
          'unit',
          '1',
          '2',
          '3',
          'notDone',
          'sign',
          '0',
          '.',
          'unknown',
        ].map(keyOf)}
      </fieldset>
      <div className="mt-3 flex gap-2">
        {onDone && (
          <Button className="min-h-14 shrink-0 text-lg" disabled={busy} onClick={onDone}>
            Done
          </Button>
        )}
        <Button type="submit" weight="main" className="min-h-14 min-w-0 flex-1 text-lg" disabled={busy}>
          {busy ? 'Saving…' : confirm}
        </Button>
      </div>
    </form>
  );

  function keyOf(name: string): ReactNode {
    const word = clsx(key, 'text-base text-green');
    switch (name) {
      case 'back':
        return (
          <button
            key={name}
            type="button"
            className={key}
            aria-label="Take the last figure off"
            onClick={() => onText(text.slice(0, -1))}
          >
            <Delete aria-hidden="true" />
          </button>
        );
      case 'unit':
        return (
          <button
            key={name}
            type="button"
            className={word}
            disabled={units.length < 2}
            aria-label={`Unit ${unit}, change to ${next}`}
            onClick={() => onUnit(next)}
          >
            {units.length < 2 ? '' : next}
          </button>
        );
      case 'notDone':
        return (
          <button
            key={name}
            type="button"
            className={word}
            disabled={!onNotDone}
            onClick={() => setSaying(true)}
          >
            {onNotDone ? 'not done' : ''}
          </button>
        );
      case 'unknown':
        return (
          <button
            key={name}
            type="button"
            className={word}
            disabled={!onUnknown}
            onClick={() => onUnknown?.()}
          >
            {onUnknown ? 'unknown' : ''}
          </button>
        );
      case 'sign':
        return (
          <button
            key={name}
            type="button"
            className={key}
            disabled={!sign}
            aria-label="Below zero, or above"
            onClick={onSign}
          >
            {sign ? '−' : ''}
          </button>
        );
      default:
        return (
          <button key={name} type="button" className={key} onClick={() => onText(`${text}${name}`)}>
            {name}
          </button>
        );
    }
  }
}

function WhyNot({
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
