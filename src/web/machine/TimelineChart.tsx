/** Gas in and out and the leak rate, drawn over time. */
import {
  Bar,
  CartesianGrid,
  ComposedChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { type Day, addDays, civil, newYearsDay } from '../../core/quantity/day';
import type { MassUnit } from '../../core/quantity/mass';
import { strictestOf } from '../../core/rules/headroom';
import { dayWords } from '../../words/dates';
import type { MachineView } from '../data/api/machineView';
import { roundTicks } from './ticks';
import type { Point } from './timelinePoints';

const MARGIN_DAYS = 20;
const BARS = [
  { key: 'added', fill: 'var(--green)' },
  { key: 'recovered', fill: 'var(--ochre)' },
] as const;
const CARD = { background: 'var(--card)', border: '1px solid var(--ink)', color: 'var(--ink)' };
const AXIS = { stroke: 'var(--soft)', tick: { fill: 'var(--ink)', fontSize: 13 } };

/** The ends of all three axes. */
function scalesOf({ standing, today }: MachineView, points: readonly Point[]) {
  const from = addDays(points[0]?.day ?? today, -MARGIN_DAYS);
  const to = addDays(today, MARGIN_DAYS);
  const threshold = strictestOf(standing.present, today)?.percent ?? null;
  const rates = points.flatMap((point) => (point.rate === null ? [] : [point.rate]));
  const top = Math.max(threshold ?? 0, 1, ...rates) * 1.15;
  // Both scales share their zero, so that a rate and a weight never seem to contradict each other.
  const most = (Math.max(0, ...points.map((point) => point.added ?? 0)) || 1) * 1.1;
  const least = Math.min(0, ...points.map((point) => point.recovered ?? 0)) * 1.1;
  return { from, to, threshold, top, most, least };
}

export function TimelineChart({
  view,
  points,
  unit,
}: {
  view: MachineView;
  points: Point[];
  unit: MassUnit;
}) {
  const { from, to, threshold, top, most, least } = scalesOf(view, points);
  return (
    <div
      className="h-72"
      role="img"
      aria-label="Gas in and out and the leak rate over time; the table below says the same"
    >
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart data={points} stackOffset="sign" margin={{ top: 8, right: 4, bottom: 4, left: 4 }}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          {view.standing.cases.map((each) => (
            <ReferenceArea
              key={`${each.case.pack.id}${String(each.case.openedOn)}`}
              x1={each.case.openedOn}
              x2={each.case.closedOn ?? to}
              yAxisId="rate"
              fill="var(--brick)"
              fillOpacity={0.1}
            />
          ))}
          <XAxis
            dataKey="day"
            type="number"
            domain={[from, to]}
            ticks={yearTicks(from, to)}
            tickFormatter={(day: Day) => String(civil(day).year)}
            {...AXIS}
          />
          <YAxis
            yAxisId="gas"
            width={62}
            unit={`\u00a0${unit}`}
            domain={[least, most]}
            ticks={roundTicks(least, most)}
            {...AXIS}
          />
          <YAxis
            yAxisId="rate"
            orientation="right"
            width={48}
            unit=" %"
            domain={[(top * least) / most, top]}
            ticks={roundTicks(0, top)}
            {...AXIS}
          />
          {threshold !== null && (
            <ReferenceLine
              yAxisId="rate"
              y={threshold}
              stroke="var(--brick)"
              strokeDasharray="6 4"
              label={{
                value: `limit today ${String(threshold)} %`,
                fill: 'var(--brick)',
                position: 'insideTopLeft',
                fontSize: 13,
              }}
            />
          )}
          <ReferenceLine yAxisId="gas" y={0} stroke="var(--soft)" />
          {BARS.map(({ key, fill }) => (
            <Bar
              key={key}
              yAxisId="gas"
              dataKey={key}
              name={`${key}, ${unit}`}
              fill={fill}
              stackId="gas"
              barSize={7}
              isAnimationActive={false}
            />
          ))}
          <Scatter
            yAxisId="rate"
            dataKey="rate"
            name="leak rate, % a year"
            fill="var(--ink)"
            shape="diamond"
            isAnimationActive={false}
          />
          <Tooltip
            labelFormatter={(day) => dayWords(Number(day) as Day)}
            formatter={(value) => Number(Number(value).toFixed(2))}
            contentStyle={CARD}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

function yearTicks(from: Day, to: Day): Day[] {
  const ticks: Day[] = [];
  for (let { year } = civil(addDays(from, 365)); newYearsDay(year) <= to; year += 1)
    ticks.push(newYearsDay(year));
  return ticks;
}
