/** The rod: free beads at the left, spent ones packed against the stop, red diamonds beyond it. */
import type { MassSystem } from '../../core/quantity/mass';
import type { Rod } from '../../core/rules/summary';
import { rodSentence } from '../words/rod';
import { BEADS, type Beads, beadsOf } from './rodGeometry';

const VIEW = { width: 400, height: 40 };
const LEFT = 6;
const STOP = 318;
const RIGHT = 394;
const MIDDLE = VIEW.height / 2;
/** room for the beads and a gap of three, so that free and spent ones never touch */
const PITCH = (STOP - LEFT - 8) / (BEADS + 3);
const BEAD = { rx: PITCH * 0.42, ry: 11 };

const freeX = (index: number): number => LEFT + 4 + PITCH * (index + 0.5);
const spentX = (index: number): number => STOP - 4 - PITCH * (BEADS - index - 0.5);

function Bead({ index, free }: { index: number; free: boolean }) {
  return (
    <g
      style={{ transform: `translateX(${String(free ? freeX(index) : spentX(index))}px)` }}
      className="transition-transform duration-300"
    >
      <ellipse
        cx={0}
        cy={MIDDLE}
        {...BEAD}
        className={free ? 'fill-green stroke-green' : 'fill-transparent stroke-soft'}
        strokeWidth={1.4}
      />
    </g>
  );
}

function Diamonds({ beads }: { beads: Beads }) {
  return Array.from({ length: beads.over }, (_, index) => {
    const x = STOP + 12 + index * 13;
    return <path key={index} d={`M${String(x)} ${String(MIDDLE - 11)}l6 11l-6 11l-6-11z`} className="fill-brick" />;
  });
}

export function RodDrawing({ rod, system, className = '' }: { rod: Rod; system: MassSystem; className?: string }) {
  const beads = rod.limit ? beadsOf(rod) : null;
  return (
    <svg
      viewBox={`0 0 ${String(VIEW.width)} ${String(VIEW.height)}`}
      role="img"
      aria-label={rodSentence(rod, system)}
      className={`block w-full ${className}`}
    >
      <line x1={LEFT} x2={RIGHT} y1={MIDDLE} y2={MIDDLE} className="stroke-soft" strokeWidth={1.5} />
      <line x1={LEFT - 3} x2={LEFT - 3} y1={7} y2={33} className="stroke-ink" strokeWidth={3.5} />
      <line x1={RIGHT} x2={RIGHT} y1={7} y2={33} className="stroke-ink" strokeWidth={3.5} />
      {beads && (
        <>
          <line x1={STOP} x2={STOP} y1={2} y2={38} className={beads.over > 0 ? 'stroke-brick' : 'stroke-ink'} strokeWidth={3.5} />
          {Array.from({ length: BEADS }, (_, index) => (
            <Bead key={index} index={index} free={index < beads.free} />
          ))}
          <Diamonds beads={beads} />
        </>
      )}
    </svg>
  );
}
