/** One part of the circuit with what its layers say: searched, leaked, shut, under test, speaking for a cause. */
import type { MapPart } from '../../core/circuit/map';
import type { SpotMark } from '../../core/visit/notes/notes';
import { MARK_WORDS, partName, partWords } from '../../words/circuit';
import { GLYPHS, type Shape } from '../../record/drawing/glyphs';
import { CELL } from '../../record/drawing/pipes';
import type { PlacedPart } from '../../record/drawing/placing';
import type { PartShown } from './shown';
import { asButton } from './touch';
import { timesWords } from '../../words/counts';

const HALF = CELL / 2;

const MARK_SHAPE: Record<SpotMark, { fill: string; word: string; text: string }> = {
  lookedAt: { fill: 'fill-card stroke-green', word: '✓', text: 'fill-ink' },
  hit: { fill: 'fill-ochre stroke-ochre', word: '!', text: 'fill-card' },
  false: { fill: 'fill-card stroke-soft', word: '×', text: 'fill-ink' },
  confirmed: { fill: 'fill-brick stroke-brick', word: '◆', text: 'fill-card' },
  nextLeak: { fill: 'fill-card stroke-ochre', word: '→', text: 'fill-ink' },
  leftOut: { fill: 'fill-card stroke-soft', word: '–', text: 'fill-ink' },
};

/** A part and all that is shown at it, in words. */
export function partSaid(
  part: MapPart,
  { mark, leaks = 0, rank, shut, inSection, lit, open, says }: PartShown,
): string {
  return [
    partWords(part),
    mark && MARK_WORDS[mark],
    leaks > 0 && `leaked ${timesWords(leaks)}`,
    typeof rank === 'number' && `number ${String(rank)} to search`,
    shut && 'shut',
    inSection && 'in the section under test',
    lit && `speaks ${lit} it`,
    open && 'touched, not yet put right',
    says,
  ]
    .filter(Boolean)
    .join(', ');
}

export function DrawnPart({
  part,
  at: { x, y },
  shown,
  onTouch,
}: {
  part: PlacedPart;
  at: { x: number; y: number };
  shown: PartShown;
  onTouch: ((part: MapPart) => void) | undefined;
}) {
  const { mark = null, leaks = 0, rank = null, shut, lit = null, open } = shown;
  return (
    <g
      transform={`translate(${String(x)} ${String(y)})`}
      {...asButton(partSaid(part, shown), onTouch && (() => onTouch(part)))}
    >
      <title>{partName(part)}</title>
      <rect x={-HALF} y={-HALF} width={CELL} height={CELL} className="fill-transparent" />
      {lit !== null && (
        <circle
          r={20}
          strokeWidth={2.6}
          strokeDasharray={lit === 'against' ? '3 4' : undefined}
          className={lit === 'for' ? 'fill-transparent stroke-green' : 'fill-transparent stroke-brick'}
        />
      )}
      <g
        className={shut ? 'fill-brick stroke-brick' : 'fill-paper stroke-ink'}
        strokeWidth={1.6}
        strokeLinejoin="round"
      >
        {GLYPHS[part.type].map((shape, index) => (
          <Drawn key={index} shape={shape} />
        ))}
      </g>
      {shut && (
        <text y={22} textAnchor="middle" fontSize={12.5} fontWeight={700} className="fill-brick">
          shut
        </text>
      )}
      {open && <circle cx={15} cy={14} r={6} className="fill-ochre" />}
      {leaks > 0 && (
        <g transform="translate(-14 12)">
          <path d="M0 -9L9 0L0 9L-9 0Z" className="fill-brick" />
          <text textAnchor="middle" y={4} fontSize={11} fontWeight={700} className="fill-card">
            {leaks}
          </text>
        </g>
      )}
      {rank !== null && mark === null && (
        <text x={-22} y={-10} fontSize={13} fontWeight={700} className="fill-green">
          {rank}
        </text>
      )}
      {mark !== null && (
        <g transform="translate(14 -13)">
          <circle r={8.5} className={MARK_SHAPE[mark].fill} strokeWidth={1.6} />
          <text textAnchor="middle" y={4} fontSize={11.5} fontWeight={700} className={MARK_SHAPE[mark].text}>
            {MARK_SHAPE[mark].word}
          </text>
        </g>
      )}
    </g>
  );
}

function Drawn({ shape }: { shape: Shape }) {
  if ('path' in shape) return <path d={shape.path} />;
  if ('circle' in shape) {
    const [cx, cy, r] = shape.circle;
    return <circle cx={cx} cy={cy} r={r} />;
  }
  const [x, y, width, height, rx] = shape.rect;
  return <rect x={x} y={y} width={width} height={height} rx={rx} strokeDasharray={shape.dashed && '3 3'} />;
}
