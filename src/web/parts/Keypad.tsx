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
  const { label, text, unit, below, confirm, busy } = props;
  const { onText, onConfirm, onDone, onNotDone, rough } = props;
  const [saying, setSaying] = useState<'notDone' | 'words' | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    field.current?.focus({ preventScroll: true });
  }, [label]);
  const back = () => setSaying(null);
  if (saying === 'notDone' && onNotDone) return <WhyNot label={label} onSay={onNotDone} onBack={back} />;
  if (saying === 'words' && rough) return <InWords label={label} {...rough} onBack={back} />;
  const special = keysOf(props, setSaying);
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
        {(rough ? ROUGH : EXACT).map((name) => (
          <Key key={name} {...(special[name] ?? { shown: name, act: () => onText(`${text}${name}`) })} />
        ))}
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
}

/** One key; without a deed it is off. */
interface KeyFace {
  shown: ReactNode;
  /** read out, where that is more than is shown */
  called?: string;
  word?: boolean;
  act: (() => void) | null;
}

const Key = ({ shown, called, word = false, act }: KeyFace) => (
  <button
    type="button"
    className={word ? clsx(key, 'px-1 text-[0.93rem] leading-tight text-green') : key}
    aria-label={called}
    disabled={act === null}
    onClick={() => act?.()}
  >
    {shown}
  </button>
);

/** Keys that are no figure. */
function keysOf(
  { text, unit, units, sign, rough, onText, onUnit, onSign, onNotDone, onUnknown }: Props,
  say: (how: 'notDone' | 'words') => void,
): Readonly<Record<string, KeyFace>> {
  const next = units[(units.indexOf(unit) + 1) % units.length] ?? unit;
  const bound = (mark: '<' | '>', called: string): KeyFace => ({
    shown: mark,
    called,
    act: () => onText(text.startsWith(mark) ? text.slice(1) : mark + text.replace(/^[<>]/, '')),
  });
  const word = (shown: string, act: (() => void) | null, called?: string): KeyFace => ({
    shown: act ? shown : '',
    word: true,
    act,
    ...(called === undefined ? {} : { called }),
  });
  return {
    back: {
      shown: <Delete aria-hidden="true" />,
      called: 'Take the last figure off',
      act: () => onText(text.slice(0, -1)),
    },
    unit: word(next, units.length < 2 ? null : () => onUnit(next), `Unit ${unit}, change to ${next}`),
    notDone: word('not done', onNotDone ? () => say('notDone') : null),
    unknown: word('unknown', onUnknown ?? null),
    sign: { shown: sign ? '−' : '', called: 'Below zero, or above', act: sign ? onSign : null },
    '<': bound('<', 'Less than'),
    '>': bound('>', 'More than'),
    to: word(
      'to',
      () => onText(text === '' || text.includes('to') ? text : `${text.trim()} to `),
      'From, to',
    ),
    words: word('in words', rough && rough.words.length > 0 ? () => say('words') : null),
  };
}
