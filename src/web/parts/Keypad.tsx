/**
 * Figures by the thumb: keys big enough for a glove, the unit as a key, the sign where there is one. A keyboard types into
 * the same figure. Not done (why) and unknown are two keys of it.
 */
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Delete } from 'lucide-react';
import clsx from 'clsx';
import { Button } from './Button';
import { InWords, type Rough, WhyNot } from './InsteadOfFigure';

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
  /** what may be said in place of a figure; left out: a figure, without bounds and ranges */
  rough?: Rough;
}

const EXACT = [
  ...['7', '8', '9', 'back'],
  ...['4', '5', '6', 'unit'],
  ...['1', '2', '3', 'notDone'],
  ...['sign', '0', '.', 'unknown'],
];
/** A column more: below, above, from – to, and words. */
const ROUGH = [
  ...['7', '8', '9', 'back', '<'],
  ...['4', '5', '6', 'unit', '>'],
  ...['1', '2', '3', 'notDone', 'to'],
  ...['sign', '0', '.', 'unknown', 'words'],
];

export function Keypad(props: Props) {
  const { label, text, unit, units, sign, below, confirm, busy } = props;
  const { onText, onUnit, onSign, onConfirm, onDone, onNotDone, onUnknown, rough } = props;
  const [saying, setSaying] = useState<'notDone' | 'words' | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
  }, [label]);
  const back = () => setSaying(null);
  if (saying === 'notDone' && onNotDone) return <WhyNot label={label} onSay={onNotDone} onBack={back} />;
  if (saying === 'words' && rough) return <InWords label={label} {...rough} onBack={back} />;
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
      <fieldset
        className={clsx('mt-2 grid min-w-0 gap-2', rough ? 'grid-cols-5' : 'grid-cols-4')}
        aria-label="Keys"
        disabled={busy}
      >
        {(rough ? ROUGH : EXACT).map(keyOf)}
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
    const word = clsx(key, 'px-1 text-[0.93rem] leading-tight text-green');
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
            onClick={() => setSaying('notDone')}
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
      case '<':
      case '>':
        return (
          <button
            key={name}
            type="button"
            className={key}
            aria-label={name === '<' ? 'Less than' : 'More than'}
            onClick={() => onText(text.startsWith(name) ? text.slice(1) : name + text.replace(/^[<>]/, ''))}
          >
            {name}
          </button>
        );
      case 'to':
        return (
          <button
            key={name}
            type="button"
            className={word}
            aria-label="From, to"
            onClick={() => onText(text === '' || text.includes('to') ? text : `${text.trim()} to `)}
          >
            to
          </button>
        );
      case 'words':
        return (
          <button
            key={name}
            type="button"
            className={word}
            disabled={rough?.words.length === 0}
            onClick={() => setSaying('words')}
          >
            {rough?.words.length === 0 ? '' : 'in words'}
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
