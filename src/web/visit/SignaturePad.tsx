/** A signature with a finger or a pen, kept as path data: sharp at any size, and small. */
import { useEffect, useRef } from 'react';
import Pad from 'signature_pad';
import { Button } from '../parts/Button';

export const SIGNATURE_BOX = { width: 400, height: 120 } as const;

/** Strokes of the pen as SVG path data in the box of a signature. */
function pathData(pad: Pad, width: number, height: number): string {
  return pad
    .toData()
    .map((stroke) =>
      stroke.points
        .map(({ x, y }, index) => {
          const at = `${((x / width) * SIGNATURE_BOX.width).toFixed(1)} ${((y / height) * SIGNATURE_BOX.height).toFixed(1)}`;
          return `${index === 0 ? 'M' : 'L'}${at}`;
        })
        .join(''),
    )
    .join('');
}

export function SignaturePad({ onChange }: { onChange: (path: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const changed = useRef(onChange);
  useEffect(() => {
    changed.current = onChange;
  });
  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    const ratio = Math.max(1, window.devicePixelRatio);
    const { width, height } = element.getBoundingClientRect();
    element.width = width * ratio;
    element.height = height * ratio;
    element.getContext('2d')?.scale(ratio, ratio);
    const made = new Pad(element, { penColor: '#14251e' });
    made.addEventListener('endStroke', () => changed.current(pathData(made, width, height)));
    pad.current = made;
    return () => made.off();
  }, []);
  return (
    <div className="mb-4">
      <p className="mb-1 font-semibold">Signature</p>
      <canvas
        ref={canvas}
        role="img"
        aria-label="Sign here with a finger"
        className="block h-32 w-full max-w-[27rem] touch-none rounded border border-soft bg-[#ffffff]"
      />
      <Button
        weight="quiet"
        className="-ml-4"
        onClick={() => {
          pad.current?.clear();
          onChange('');
        }}
      >
        Clear
      </Button>
    </div>
  );
}
