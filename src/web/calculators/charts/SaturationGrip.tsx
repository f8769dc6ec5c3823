/**
 * The saturation curve as the control: one takes hold of the point on it and leads it along either axis, on the liquid or
 * on the vapour line; arrow keys step it. The figures stand where the point is.
 */
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import { fromSi, toSi } from '../../../core/quantity/measure';
import {
  type SaturationTable,
  hasGlide,
  saturationPressure,
  saturationTemperature,
} from '../../../core/refrigerant/saturation';
import { readIn } from '../../../words/measures';
import { useBench } from '../setting';
import {
  type ChartFrame,
  PRESSURE_FIGURES,
  type Scale,
  TEMPERATURE_FIGURES,
  bareOf,
  pathOf,
  roundFigures,
  scaleOf,
} from './gripGeometry';

export type CurveSide = 'liquid' | 'vapour';
export type Moved =
  { axis: 'temperature'; kelvin: number } | { axis: 'pressure'; side: CurveSide; pascal: number };

const LINE: Record<CurveSide, 'bubble' | 'dew'> = { liquid: 'bubble', vapour: 'dew' };
const GRIP_PX = 12;
/** along which axis a drag goes is decided once it is this far from where it began */
const DECIDED_PX = 6;

export function SaturationGrip({
  table,
  temperature,
  onMove,
}: {
  table: SaturationTable;
  /** K */
  temperature: number;
  onMove: (moved: Moved) => void;
}) {
  const { system, atmosphere, show } = useBench();
  const holder = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(640);
  useEffect(() => {
    const element = holder.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(Math.max(280, element.clientWidth)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const height = Math.round(Math.min(440, Math.max(300, width * 0.62)));
  const frame: ChartFrame = { width, height, left: 46, right: 14, top: 14, bottom: 30 };
  const scale = scaleOf(table, frame, temperature);
  const glide = hasGlide(table);
  const temperatureUnit = readIn('temperature', system);
  const pressureUnit = readIn('pressure', system);
  if (!scale) return null;
  const toDegrees = bareOf('temperature', temperatureUnit, atmosphere);
  const toGauge = bareOf('pressure', pressureUnit, atmosphere);
  const sides: readonly CurveSide[] = glide ? ['liquid', 'vapour'] : ['liquid'];
  return (
    <figure className="my-2">
      <figcaption className="text-soft">
        Take hold of a point and lead it along the curve: across for temperature, up for pressure. Arrow keys
        step it.
      </figcaption>
      <div ref={holder} className="relative touch-none select-none">
        <svg
          viewBox={`0 0 ${String(width)} ${String(height)}`}
          width={width}
          height={height}
          className="block max-w-full"
          role="group"
          aria-label={`${table.name}: saturation curve`}
        >
          {roundFigures(TEMPERATURE_FIGURES[system], toDegrees, [scale.from, scale.to]).map((figure) => {
            const x = scale.x(toSi('temperature', figure, temperatureUnit));
            return (
              <g key={figure}>
                <line
                  x1={x}
                  x2={x}
                  y1={height - frame.bottom}
                  y2={height - frame.bottom + 5}
                  className="stroke-ink"
                />
                <text x={x} y={height - 8} textAnchor="middle" fontSize={13} className="fill-ink">
                  {figure}
                </text>
              </g>
            );
          })}
          {roundFigures(PRESSURE_FIGURES[system], toGauge, [scale.least, scale.most]).map((figure) => {
            const y = scale.y(toSi('pressure', figure, pressureUnit, atmosphere));
            return (
              <g key={figure}>
                <line x1={frame.left} x2={width - frame.right} y1={y} y2={y} className="stroke-line" />
                <text x={frame.left - 6} y={y + 4} textAnchor="end" fontSize={13} className="fill-ink">
                  {figure}
                </text>
              </g>
            );
          })}
          <text
            x={width - frame.right}
            y={height - frame.bottom - 6}
            textAnchor="end"
            fontSize={13}
            className="fill-soft"
          >
            {temperatureUnit}
          </text>
          <text x={frame.left + 4} y={frame.top + 4} fontSize={13} className="fill-soft">
            {pressureUnit}
          </text>
          {sides.map((side) => (
            <path
              key={side}
              d={pathOf(table, LINE[side], scale)}
              fill="none"
              strokeWidth={side === 'liquid' ? 4 : 2.5}
              strokeDasharray={side === 'liquid' ? undefined : '9 5'}
              className={side === 'liquid' ? 'stroke-green' : 'stroke-ochre'}
            />
          ))}
          {sides.map((side) => (
            <Grip
              key={side}
              side={side}
              alone={!glide}
              table={table}
              temperature={temperature}
              scale={scale}
              frame={frame}
              words={{
                temperature: show('temperature', temperature),
                pressure: (pascal) => show('pressure', pascal),
              }}
              steps={{
                degrees: (by) =>
                  toSi(
                    'temperature',
                    fromSi('temperature', temperature, temperatureUnit) + by,
                    temperatureUnit,
                  ),
                gauge: (pascal, by) =>
                  toSi(
                    'pressure',
                    toGauge(pascal) + by * (system === 'us' ? 1 : 0.1),
                    pressureUnit,
                    atmosphere,
                  ),
              }}
              onMove={onMove}
            />
          ))}
        </svg>
      </div>
      <p className="flex flex-wrap gap-x-5 text-soft">
        <span>
          <span aria-hidden="true">━ </span>
          {glide ? 'liquid (bubble), for subcooling' : 'liquid and vapour'}
        </span>
        {glide && (
          <span>
            <span aria-hidden="true">╍ </span>vapour (dew), for superheat
          </span>
        )}
      </p>
    </figure>
  );
}

function Grip({
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
  const began = useRef<{ x: number; y: number; axis: 'temperature' | 'pressure' | null } | null>(null);
  const [held, setHeld] = useState(false);
  const pressure = saturationPressure(table, LINE[side], temperature);
  if (!pressure.ok) return null;
  const x = scale.x(Math.min(scale.to, Math.max(scale.from, temperature)));
  const y = scale.y(Math.min(scale.most, Math.max(scale.least, pressure.value)));

  const toPressure = (pascal: number) => {
    // Only where the line reaches: beyond it there is no state to stand in.
    const at = saturationTemperature(table, LINE[side], pascal);
    if (at.ok && at.value >= scale.from && at.value <= scale.to) onMove({ axis: 'pressure', side, pascal });
  };
  const toTemperature = (kelvin: number) => {
    if (kelvin >= scale.from && kelvin <= scale.to) onMove({ axis: 'temperature', kelvin });
  };
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
  // Liquid is named above and left of its line, vapour below and right of its own, where no curve runs.
  const above = side === 'liquid';
  const room = Math.min(150, frame.width * 0.3);
  const anchor = above ? (x - frame.left > room ? 'end' : 'start') : frame.width - x > room ? 'start' : 'end';
  const textX = anchor === 'end' ? x - GRIP_PX - 6 : x + GRIP_PX + 6;
  const textY = Math.min(frame.height - frame.bottom - 8, Math.max(frame.top + 36, above ? y - 16 : y + 44));
  // Two points at one temperature lie close: each is taken hold of from its own side.
  const apart = alone ? 0 : above ? -14 : 14;
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
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        began.current = { x: event.clientX, y: event.clientY, axis: null };
        setHeld(true);
      }}
      onPointerMove={lead}
      onPointerUp={() => {
        began.current = null;
        setHeld(false);
      }}
      onPointerCancel={() => {
        began.current = null;
        setHeld(false);
      }}
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
        {alone ? words.temperature : `${label.toLowerCase()} at ${words.temperature}`}
      </text>
    </g>
  );
}
