/** A PIN by the thumb: keys for a glove. A keyboard types into the same field. */
import { useEffect, useRef } from 'react';
import { Delete } from 'lucide-react';

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'];
const MOST_DIGITS = 8;
const key =
  'flex min-h-16 cursor-pointer items-center justify-center rounded border border-soft bg-card text-2xl font-semibold';

export function PinPad({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus({ preventScroll: true }), []);
  const set = (next: string) => onChange(next.replace(/\D/g, '').slice(0, MOST_DIGITS));
  return (
    <div className="mb-4">
      <input
        ref={field}
        type="password"
        aria-label={label}
        // The keys below are the pad: the device's own stays away.
        inputMode="none"
        autoComplete="off"
        className="mb-3 min-h-14 w-full rounded border border-soft bg-card px-3 text-center text-3xl tracking-[0.4em] text-ink"
        value={value}
        onChange={(event) => set(event.target.value)}
      />
      <div className="grid grid-cols-3 gap-2" role="group" aria-label="Keys">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" className={key} onClick={() => set(value + digit)}>
            {digit}
          </button>
        ))}
        <span />
        <button type="button" className={key} onClick={() => set(`${value}0`)}>
          0
        </button>
        <button
          type="button"
          className={key}
          aria-label="Take the last digit back"
          onClick={() => set(value.slice(0, -1))}
        >
          <Delete aria-hidden="true" size={26} />
        </button>
      </div>
    </div>
  );
}
