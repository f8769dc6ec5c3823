/** A slider with a thumb for gloves, and steps of one degree beside it. */
import { Minus, Plus } from 'lucide-react';
import { Slider } from 'radix-ui';
import { Button } from '../../parts/Button';

export function TemperatureSlider({
  label,
  value,
  from,
  to,
  words,
  onChange,
}: {
  label: string;
  value: number;
  from: number;
  to: number;
  words: string;
  onChange: (value: number) => void;
}) {
  const within = (next: number): number => Math.min(Math.max(next, from), to);
  return (
    <div className="mb-5">
      <div className="flex items-center gap-3">
        <Button aria-label="One degree down" onClick={() => onChange(within(value - 1))}>
          <Minus aria-hidden="true" size={20} />
        </Button>
        <Slider.Root
          className="relative flex h-14 w-full touch-none items-center select-none"
          min={from}
          max={to}
          step={0.5}
          value={[value]}
          onValueChange={([next]) => next !== undefined && onChange(next)}
        >
          <Slider.Track className="relative h-1.5 w-full grow bg-line">
            <Slider.Range className="absolute h-full bg-green" />
          </Slider.Track>
          <Slider.Thumb
            aria-label={label}
            aria-valuetext={words}
            className="block h-12 w-6 cursor-grab rounded-[50%] border-2 border-green bg-green"
          />
        </Slider.Root>
        <Button aria-label="One degree up" onClick={() => onChange(within(value + 1))}>
          <Plus aria-hidden="true" size={20} />
        </Button>
      </div>
    </div>
  );
}
