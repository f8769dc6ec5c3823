/** One or more curves over a common axis, with marked points; the same as a table beside it. */
import { useId } from 'react';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { figureText } from '../../../core/quantity/measure';

export interface Point {
  x: number;
  y: number;
}
export interface Curve {
  name: string;
  points: readonly Point[];
  look: 'main' | 'second' | 'third' | 'readings' | 'aside';
}
export interface Mark extends Point {
  name: string;
  /** where its name stands clear of the curves */
  side: 'left' | 'right';
}
interface Axis {
  name: string;
  unit: string;
  log?: boolean;
  decimals?: number;
}

const STROKE = {
  main: { stroke: 'var(--green)', strokeWidth: 3 },
  second: { stroke: 'var(--ochre)', strokeWidth: 2.5, strokeDasharray: '9 5' },
  third: { stroke: 'var(--brick)', strokeWidth: 2.5, strokeDasharray: '2 5' },
} as const;
const SIGN = { main: '━', second: '╍', third: '┉', readings: '●', aside: '✕' } as const;
const TABLE_ROWS = 12;

interface CurvesProps {
  label: string;
  x: Axis;
  y: Axis;
  curves: readonly Curve[];
  marks?: readonly Mark[];
  /** a range of y that is expected, from some x on */
  band?: { from: number; to: number; since: number; name: string };
  /** a line of y not to be passed */
  limit?: { at: number; name: string };
}

export default function Curves({ label, x, y, curves, marks = [], band, limit }: CurvesProps) {
  const id = useId();
  const all = curves.flatMap((each) => each.points).concat(marks);
  if (all.length === 0) return null;
  const [left, right] = extent(all.map((each) => each.x));
  const ys = all.map((each) => each.y).concat(band ? [band.from, band.to] : [], limit ? [limit.at] : []);
  const ticks = y.log ? decades(ys) : roundTicks(...extent(ys));
  const axis = { stroke: 'var(--soft)', tick: { fill: 'var(--ink)', fontSize: 13 } };
  return (
    <figure className="my-4">
      <figcaption id={id} className="mb-1 font-semibold">
        {label}
      </figcaption>
      <Legend curves={curves} band={band} limit={limit} />
      <p className="text-soft">
        {y.name}, {y.unit}
      </p>
      <div className="h-72" role="img" aria-labelledby={id}>
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            <XAxis
              dataKey="x"
              type="number"
              domain={[left, right]}
              ticks={roundTicks(left, right).filter((tick) => tick >= left && tick <= right)}
              tickFormatter={(value: number) => figureText(value, 2)}
              allowDuplicatedCategory={false}
              {...axis}
            />
            <YAxis
              dataKey="y"
              type="number"
              scale={y.log ? 'log' : 'linear'}
              domain={[ticks[0] ?? 0, ticks.at(-1) ?? 1]}
              ticks={ticks}
              tickFormatter={(value: number) => figureText(value, 2)}
              width={y.log ? 78 : 58}
              {...axis}
            />
            {band && (
              <ReferenceArea
                x1={band.since}
                x2={right}
                y1={band.from}
                y2={band.to}
                fill="var(--green)"
                fillOpacity={0.16}
              />
            )}
            {limit && <ReferenceLine y={limit.at} stroke="var(--ink)" strokeWidth={2} />}
            {curves.map((each) =>
              each.look === 'readings' || each.look === 'aside' ? (
                <Scatter
                  key={each.name}
                  name={each.name}
                  data={[...each.points]}
                  fill={each.look === 'readings' ? 'var(--ink)' : 'var(--brick)'}
                  shape={each.look === 'readings' ? 'circle' : 'cross'}
                  isAnimationActive={false}
                />
              ) : (
                <Line
                  key={each.name}
                  name={each.name}
                  data={[...each.points]}
                  dataKey="y"
                  dot={false}
                  isAnimationActive={false}
                  {...STROKE[each.look]}
                />
              ),
            )}
            {marks.map((mark) => (
              <ReferenceDot
                key={mark.name}
                x={mark.x}
                y={mark.y}
                r={8}
                fill="var(--card)"
                stroke="var(--ink)"
                strokeWidth={3}
                label={{
                  value: mark.name,
                  position: mark.side,
                  fill: 'var(--ink)',
                  fontSize: 14,
                }}
              />
            ))}
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="text-right text-soft">
        {x.name}, {x.unit}
      </p>
      <AsTable x={x} y={y} curves={curves} />
    </figure>
  );
}

const Legend = ({ curves, band, limit }: Pick<CurvesProps, 'curves' | 'band' | 'limit'>) => (
  <ul className="flex flex-wrap gap-x-5 text-soft">
    {curves.map((each) => (
      <li key={each.name}>
        <span aria-hidden="true">{SIGN[each.look]} </span>
        {each.name}
      </li>
    ))}
    {band && <li>▒ {band.name}</li>}
    {limit && <li>─ {limit.name}</li>}
  </ul>
);

const AsTable = ({ x, y, curves }: Pick<CurvesProps, 'x' | 'y' | 'curves'>) => (
  <details>
    <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-green underline underline-offset-4">
      As a table
    </summary>
    <div className="flex flex-wrap gap-8">
      {curves.map((each) => (
        <table key={each.name} className="text-left">
          <caption className="text-left font-semibold">{each.name}</caption>
          <thead>
            <tr className="rule-b">
              <th className="pr-6">
                {x.name}, {x.unit}
              </th>
              <th>
                {y.name}, {y.unit}
              </th>
            </tr>
          </thead>
          <tbody>
            {thinned(each.points).map((point) => (
              <tr key={point.x} className="rule-b">
                <td className="pr-6">{figureText(point.x, x.decimals ?? 1)}</td>
                <td>{figureText(point.y, y.decimals ?? 1)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  </details>
);

const extent = (values: readonly number[]): [number, number] => [Math.min(...values), Math.max(...values)];

/** Round steps that take in both ends. */
function roundTicks(from: number, to: number): number[] {
  const span = to - from || Math.abs(to) || 1;
  const raw = span / 5;
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = ([1, 2, 2.5, 5, 10].find((each) => each * power >= raw) ?? 10) * power;
  const first = Math.floor(from / step + 1e-9);
  const last = Math.max(Math.ceil(to / step - 1e-9), first + 1);
  return Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toPrecision(12)));
}

function decades(values: readonly number[]): number[] {
  const [least, most] = extent(values.filter((each) => each > 0));
  const first = Math.floor(Math.log10(least));
  const last = Math.ceil(Math.log10(most));
  return Array.from({ length: Math.max(last - first, 1) + 1 }, (_, i) => 10 ** (first + i));
}

function thinned(points: readonly Point[]): readonly Point[] {
  if (points.length <= TABLE_ROWS) return points;
  const step = (points.length - 1) / (TABLE_ROWS - 1);
  return Array.from({ length: TABLE_ROWS }, (_, i) => points[Math.round(i * step)]).filter(
    (each) => each !== undefined,
  );
}
