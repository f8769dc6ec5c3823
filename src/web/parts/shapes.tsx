/** Small shapes that tell states apart without colour. */
import type { ReactNode } from 'react';

const Shape = ({ children }: { children: ReactNode }) => (
  <svg
    viewBox="0 0 16 16"
    className="size-4 shrink-0"
    aria-hidden="true"
    fill="none"
    stroke="currentColor"
    strokeWidth={2}
  >
    {children}
  </svg>
);

export const Triangle = () => (
  <Shape>
    <path d="M8 1.5 15 14.5H1Z" fill="currentColor" />
  </Shape>
);
export const Circle = () => (
  <Shape>
    <circle cx={8} cy={8} r={6} />
  </Shape>
);
export const CircleDot = () => (
  <Shape>
    <circle cx={8} cy={8} r={6} />
    <circle cx={8} cy={8} r={2.4} fill="currentColor" />
  </Shape>
);
export const CircleHalf = () => (
  <Shape>
    <circle cx={8} cy={8} r={6} />
    <path d="M8 2a6 6 0 0 1 0 12Z" fill="currentColor" />
  </Shape>
);
export const Square = () => (
  <Shape>
    <rect x={2} y={2} width={12} height={12} />
  </Shape>
);
export const X = () => (
  <Shape>
    <path d="m3 3 10 10M13 3 3 13" />
  </Shape>
);
