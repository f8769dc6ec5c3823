/** The grip on the saturation curve: by finger, mouse or keys. */
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import {
  type SaturationTable,
  saturationPressure,
  saturationTemperature,
} from '../../../core/refrigerant/saturation';
import { type ChartFrame, type Scale } from './gripGeometry';
import { type CurveSide, type Moved, LINE, DECIDED_PX } from './curveSides';

const GRIP_PX = 12;

export function Grip({
  side,
  alone,
  table,
  temperature,
  scale,
  frame,
  words,
  steps,
  onMove,
}: {
  side: CurveSide;
  /** one line only: liquid and vapour stand at one pressure */
  alone: boolean;
  table: SaturationTable;
  temperature: number;
  scale: Scale;
  frame: ChartFrame;
  words: { temperature: string; pressure: (pascal: number) => string };
  steps: { degrees: (by: number) => number; gauge: (pascal: number, by: number) => number };
  onMove: (moved: Moved) => void;
}) {
  const toPressure = (pascal: number) => {
    // Only where the line reaches: beyond it there is no state to stand in.
    const at = saturationTemperature(table, LINE[side], pascal);
    if (at.ok && at.value >= scale.from && at.value <= scale.to) onMove({ axis: 'pressure', side, pascal });
  };
  const toTemperature = (kelvin: number) => {
    if (kelvin >= scale.from && kelvin <= scale.to) onMove({ axis: 'temperature', kelvin });
  };
  const { held, handlers } = useLead(scale, { toTemperature, toPressure });
  const pressure = saturationPressure(table, LINE[side], temperature);
  if (!pressure.ok) return null;
  const x = scale.x(Math.min(scale.to, Math.max(scale.from, temperature)));
  const y = scale.y(Math.min(scale.most, Math.max(scale.least, pressure.value)));

  const step = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 10 : 1;
    const act: Partial<Record<string, () => void>> = {
      ArrowLeft: () => toTemperature(steps.degrees(-by)),
      ArrowRight: () => toTemperature(steps.degrees(by)),
      ArrowDown: () => toPressure(steps.gauge(pressure.value, -by)),
      ArrowUp: () => toPressure(steps.gauge(pressure.value, by)),
    };
    const run = act[event.key];
    if (!run) return;
    event.preventDefault();
    run();
  };
  const label = alone ? 'Saturation' : side === 'liquid' ? 'Liquid' : 'Vapour';
  const figures = words.pressure(pressure.value);
  // Two points at one temperature lie close: each is taken hold of from its own side.
  const apart = alone ? 0 : side === 'liquid' ? -14 : 14;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${label}: temperature`}
      aria-orientation="horizontal"
      aria-valuemin={Math.round(scale.from)}
      aria-valuemax={Math.round(scale.to)}
      aria-valuenow={Math.round(temperature)}
      aria-valuetext={`${words.temperature}, ${figures}`}
      className="cursor-grab outline-none focus-visible:[&>circle]:stroke-ink focus-visible:[&>circle]:stroke-[5px]"
      onKeyDown={step}
      {...handlers}
    >
      <line
        x1={x}
        x2={x}
        y1={y}
        y2={frame.height - frame.bottom}
        className="stroke-soft"
        strokeDasharray="2 4"
      />
      <line x1={frame.left} x2={x} y1={y} y2={y} className="stroke-soft" strokeDasharray="2 4" />
      {/* A gloved thumb needs more than it sees. */}
      <circle cx={x + apart} cy={y + apart} r={26} className="fill-transparent" />
      <circle
        cx={x}
        cy={y}
        r={held ? GRIP_PX + 3 : GRIP_PX}
        strokeWidth={3}
        className={side === 'liquid' ? 'fill-green stroke-card' : 'fill-card stroke-ochre'}
      />
      <Named
        above={side === 'liquid'}
        at={{ x, y }}
        frame={frame}
        figures={figures}
        words={alone ? words.temperature : `${label.toLowerCase()} at ${words.temperature}`}
      />
    </g>
  );
}

/** The figures beside the point, with what they are of. */
function Named({
  above,
  at: { x, y },
  frame,
  figures,
  words,
}: {
  above: boolean;
  at: { x: number; y: number };
  frame: ChartFrame;
  figures: string;
  words: string;
}) {
  // Liquid is named above and left of its line, vapour below and right of its own, where no curve runs.
  const room = Math.min(150, frame.width * 0.3);
  const anchor = above ? (x - frame.left > room ? 'end' : 'start') : frame.width - x > room ? 'start' : 'end';
  const textX = anchor === 'end' ? x - GRIP_PX - 6 : x + GRIP_PX + 6;
  const textY = Math.min(frame.height - frame.bottom - 8, Math.max(frame.top + 36, above ? y - 16 : y + 44));
  return (
    <>
      <text
        x={textX}
        y={textY}
        textAnchor={anchor}
        paintOrder="stroke"
        strokeWidth={5}
        className="fill-ink stroke-paper"
        fontSize={19}
        fontWeight={700}
      >
        {figures}
      </text>
      <text
        x={textX}
        y={textY - 20}
        textAnchor={anchor}
        paintOrder="stroke"
        strokeWidth={5}
        className="fill-soft stroke-paper"
        fontSize={14}
      >
        {words}
      </text>
    </>
  );
}

/** Held and led by a finger or the mouse: the first clear move decides for one axis. */
function useLead(
  scale: Scale,
  {
    toTemperature,
    toPressure,
  }: { toTemperature: (kelvin: number) => void; toPressure: (pascal: number) => void },
) {
  const began = useRef<{ x: number; y: number; axis: 'temperature' | 'pressure' | null } | null>(null);
  const [held, setHeld] = useState(false);
  const lead = (event: PointerEvent<SVGGElement>) => {
    const start = began.current;
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    if (!start || !box) return;
    const across = Math.abs(event.clientX - start.x);
    const up = Math.abs(event.clientY - start.y);
    if (start.axis === null && Math.max(across, up) > DECIDED_PX)
      start.axis = across >= up ? 'temperature' : 'pressure';
    if (start.axis === 'temperature') toTemperature(scale.kelvinAt(event.clientX - box.left));
    if (start.axis === 'pressure') toPressure(scale.pascalAt(event.clientY - box.top));
  };
  const letGo = () => {
    began.current = null;
    setHeld(false);
  };
  const handlers = {
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      began.current = { x: event.clientX, y: event.clientY, axis: null };
      setHeld(true);
    },
    onPointerMove: lead,
    onPointerUp: letGo,
    onPointerCancel: letGo,
  };
  return { held, handlers };
}
