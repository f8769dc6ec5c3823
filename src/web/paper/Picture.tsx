/** A photo with its marks drawn on top: arrows and circles in shares of width and height. */
import { photoAddress } from '../data/addresses/photoAddress';
import type { Marks } from '../../record/photos';

export function MarksDrawn({ marks }: { marks: Marks }) {
  return (
    <svg
      viewBox="0 0 100 100"
      preserveAspectRatio="none"
      className="pointer-events-none absolute inset-0 size-full"
      aria-hidden="true"
    >
      {marks.map(({ shape, from, to }, index) => {
        const [x1, y1] = [from[0] * 100, from[1] * 100];
        const [x2, y2] = [to[0] * 100, to[1] * 100];
        const line = { fill: 'none', vectorEffect: 'non-scaling-stroke' as const };
        // Twice, dark below bright, so that it shows on any ground.
        return [5, 2.5].map((width, layer) => (
          <g
            key={`${String(index)} ${String(width)}`}
            stroke={layer === 0 ? '#14251e' : '#ffd23f'}
            strokeWidth={width}
          >
            {shape === 'arrow' ? (
              <>
                <line x1={x1} y1={y1} x2={x2} y2={y2} {...line} />
                <path d={headOf(x1, y1, x2, y2)} {...line} />
              </>
            ) : (
              <ellipse
                cx={x1}
                cy={y1}
                rx={Math.max(1, Math.abs(x2 - x1))}
                ry={Math.max(1, Math.abs(y2 - y1))}
                {...line}
              />
            )}
          </g>
        ));
      })}
    </svg>
  );
}

function headOf(x1: number, y1: number, x2: number, y2: number): string {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const wing = (turn: number) =>
    `${(x2 - 5 * Math.cos(angle + turn)).toFixed(2)} ${(y2 - 5 * Math.sin(angle + turn)).toFixed(2)}`;
  return `M${wing(0.5)}L${String(x2)} ${String(y2)}L${wing(-0.5)}`;
}

export function Picture({ file, marks, words }: { file: string; marks: Marks; words: string }) {
  return (
    <span className="relative block">
      <img src={photoAddress(file)} alt={words} loading="lazy" className="block w-full rounded" />
      <MarksDrawn marks={marks} />
    </span>
  );
}
