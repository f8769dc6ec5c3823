/**
 * The saturation curve as the control: one takes hold of the point on it and leads it along either axis, on the liquid or
 * on the vapour line; arrow keys step it. The figures stand where the point is.
 */
import { useEffect, useRef, useState } from 'react';
import { fromSi, toSi } from '../../../core/quantity/measure';
import { type SaturationTable, hasGlide } from '../../../core/refrigerant/saturation';
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
import { Grip } from './Grip';
import { type CurveSide, type Moved, LINE } from './curveSides';

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
  const { holder, width } = useWidth();
  const height = Math.round(Math.min(440, Math.max(300, width * 0.62)));
  const frame: ChartFrame = { width, height, left: 46, right: 14, top: 14, bottom: 30 };
  const scale = scaleOf(table, frame, temperature);
  const glide = hasGlide(table);
  const temperatureUnit = readIn('temperature', system);
  const pressureUnit = readIn('pressure', system);
  if (!scale) return null;
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
          <Axes frame={frame} scale={scale} />
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

/** Round figures along both axes, in the units of the bench. */
function Axes({ frame, scale }: { frame: ChartFrame; scale: Scale }) {
  const { system, atmosphere } = useBench();
  const temperatureUnit = readIn('temperature', system);
  const pressureUnit = readIn('pressure', system);
  const toDegrees = bareOf('temperature', temperatureUnit, atmosphere);
  const toGauge = bareOf('pressure', pressureUnit, atmosphere);
  const { width, height } = frame;
  return (
    <>
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
    </>
  );
}

/** As wide as the page leaves room. */
function useWidth() {
  const holder = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(640);
  useEffect(() => {
    const element = holder.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setWidth(Math.max(280, element.clientWidth)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { holder, width };
}
