/** A signature with a finger or a pen, kept as path data: sharp at any size, and small. */
import { useEffect, useRef } from 'react';
import Pad from 'signature_pad';
import { SIGNATURE_BOX } from '../../papers/paper';
import { Button } from '../parts/Button';

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

export function SignaturePad({ path, onChange }: { path: string; onChange: (path: string) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<Pad | null>(null);
  const latest = useRef({ path, onChange });
  useEffect(() => {
    latest.current = { path, onChange };
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
    // What was signed before a reload stays below; new strokes are added to it.
    const before = latest.current.path;
    made.addEventListener('endStroke', () => latest.current.onChange(before + pathData(made, width, height)));
    pad.current = made;
    return () => made.off();
  }, []);
  return (
    <div className="mb-4">
      <p className="mb-1 font-semibold">Signature</p>
      <div className="relative w-full max-w-[27rem]">
        <canvas
          ref={canvas}
          role="img"
          aria-label="Sign here with a finger"
          className="block h-32 w-full touch-none rounded border border-soft bg-[#ffffff]"
        />
        <svg
          viewBox={`0 0 ${String(SIGNATURE_BOX.width)} ${String(SIGNATURE_BOX.height)}`}
          preserveAspectRatio="none"
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden="true"
        >
          <path d={path} fill="none" stroke="#14251e" strokeWidth={2} strokeLinecap="round" />
        </svg>
      </div>
      <Button
        weight="quiet"
        className="-ml-4"
        disabled={path === ''}
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
