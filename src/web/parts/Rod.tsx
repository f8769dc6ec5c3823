/** The rod: free beads at the left, spent ones packed against the stop, red diamonds beyond it. */
import type { MassSystem } from '../../core/quantity/mass';
import type { HeadroomSummary } from '../../core/rules/summary';
import { rodSentence } from '../../words/rod';
import { BEADS, type Beads, beadsOf } from './rodGeometry';

interface Geometry {
  width: number;
  height: number;
  left: number;
  stop: number;
  right: number;
  /** half heights of a bead and of the frame */
  bead: number;
  frame: number;
  diamond: number;
  line: number;
}

/** The same rod, drawn for a wide place and for a row of a list, where beads must stay tall enough to see. */
const SIZES = {
  full: {
    width: 400,
    height: 40,
    left: 6,
    stop: 318,
    right: 394,
    bead: 11,
    frame: 13,
    diamond: 13,
    line: 3.5,
  },
  row: { width: 190, height: 26, left: 3, stop: 148, right: 187, bead: 8, frame: 10, diamond: 7, line: 2.5 },
} as const satisfies Record<string, Geometry>;
export type RodSize = keyof typeof SIZES;

/** room for the beads and a gap of three, so that free and spent ones never touch */
const pitch = ({ left, stop }: Geometry): number => (stop - left - 6) / (BEADS + 3);

function Bead({ index, free, geometry }: { index: number; free: boolean; geometry: Geometry }) {
  const step = pitch(geometry);
  const x = free
    ? geometry.left + 3 + step * (index + 0.5)
    : geometry.stop - 3 - step * (BEADS - index - 0.5);
  return (
    <g style={{ transform: `translateX(${String(x)}px)` }} className="transition-transform duration-300">
      <ellipse
        cx={0}
        cy={geometry.height / 2}
        rx={step * 0.42}
        ry={geometry.bead}
        className={free ? 'fill-green stroke-green' : 'fill-transparent stroke-soft'}
        strokeWidth={geometry.line * 0.4}
      />
    </g>
  );
}

function Diamonds({ beads, geometry }: { beads: Beads; geometry: Geometry }) {
  const { diamond, bead, height, stop } = geometry;
  return Array.from({ length: beads.over }, (_, index) => {
    const x = stop + diamond * (index + 0.9);
    const half = diamond * 0.45;
    return (
      <path
        key={index}
        d={`M${String(x)} ${String(height / 2 - bead)}l${String(half)} ${String(bead)}l${String(-half)} ${String(bead)}l${String(-half)} ${String(-bead)}z`}
        className="fill-brick"
      />
    );
  });
}

export function RodDrawing({
  rod,
  system,
  size = 'row',
}: {
  rod: HeadroomSummary;
  system: MassSystem;
  size?: RodSize;
}) {
  const beads = rod.limit ? beadsOf(rod) : null;
  const geometry: Geometry = SIZES[size];
  const { width, height, left, stop, right, frame, line } = geometry;
  const middle = height / 2;
  const upright = { y1: middle - frame, y2: middle + frame, strokeWidth: line };
  return (
    <svg
      viewBox={`0 0 ${String(width)} ${String(height)}`}
      role="img"
      aria-label={rodSentence(rod, system)}
      className="block w-full"
    >
      <line x1={left} x2={right} y1={middle} y2={middle} className="stroke-soft" strokeWidth={line * 0.4} />
      <line x1={left - line / 2} x2={left - line / 2} {...upright} className="stroke-ink" />
      <line x1={right} x2={right} {...upright} className="stroke-ink" />
      {beads && (
        <>
          <line
            x1={stop}
            x2={stop}
            y1={1}
            y2={height - 1}
            strokeWidth={line}
            className={beads.over > 0 ? 'stroke-brick' : 'stroke-ink'}
          />
          {Array.from({ length: BEADS }, (_, index) => (
            <Bead key={index} index={index} free={index < beads.free} geometry={geometry} />
          ))}
          <Diamonds beads={beads} geometry={geometry} />
        </>
      )}
    </svg>
  );
}
