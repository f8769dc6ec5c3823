/** Gas in and out, the rate against its threshold, and cases as bands; the same as a table beside it. */
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
import {
  exactGrams,
  grams,
  massText,
  type MassSystem,
  type MassUnit,
  gramsIn,
} from '../../core/quantity/mass';
import { strictestOf } from '../../core/rules/headroom';
import { judgedRate } from '../../core/rules/judgedRate';
import { dayWords } from '../../words/dates';
import { rateFigure } from '../../words/rod';
import type { MachineView } from '../data/api/machineView';
import { roundTicks } from './ticks';

interface Point {
  day: Day;
  added: number | null;
  recovered: number | null;
  /** percent a year, or the least that is known of it */
  rate: number | null;
  rateWords: string | null;
  unknown: boolean;
}

const MARGIN_DAYS = 20;

function pointsOf({ standing }: MachineView, unit: MassUnit): Point[] {
  const byDay = new Map<Day, Point>();
  for (const { day, entry } of standing.history.gas) {
    if (entry.kind === 'retrofitted') continue;
    const point = byDay.get(day) ?? {
      day,
      added: null,
      recovered: null,
      rate: null,
      rateWords: null,
      unknown: false,
    };
    if (!entry.mass) point.unknown = true;
    else {
      const amount = grams(exactGrams(entry.mass)) / gramsIn(unit);
      if (entry.kind === 'refrigerantAdded') point.added = (point.added ?? 0) + amount;
      else point.recovered = (point.recovered ?? 0) - amount;
    }
    byDay.set(day, point);
  }
  for (const rate of standing.additions) {
    const point = byDay.get(rate.gasDay.day);
    if (!point) continue;
    const judged = judgedRate(rate, standing.ledger);
    point.rate = judged.percent ?? (judged.atLeastPercent || null);
    point.rateWords = rateFigure(judged);
  }
  return [...byDay.values()].sort((a, b) => a.day - b.day);
}

function yearTicks(from: Day, to: Day): Day[] {
  const ticks: Day[] = [];
  for (let { year } = civil(addDays(from, 365)); newYearsDay(year) <= to; year += 1)
    ticks.push(newYearsDay(year));
  return ticks;
}

export default function Timeline({ view }: { view: MachineView }) {
  const { standing, today, system } = view;
  // A cabinet of 85 g has bars in grams.
  const unit = view.bareUnit === 'g' ? 'g' : system === 'kilograms' ? 'kg' : 'lb';
  const points = pointsOf(view, unit);
  const first = points[0];
  if (!first) return <p className="text-soft">No gas went in or out so far.</p>;
  const from = addDays(first.day, -MARGIN_DAYS);
  const to = addDays(today, MARGIN_DAYS);
  const threshold = strictestOf(standing.present, today)?.percent ?? null;
  const rates = points.flatMap((point) => (point.rate === null ? [] : [point.rate]));
  const top = Math.max(threshold ?? 0, 1, ...rates) * 1.15;
  // Both scales share their zero, so that a rate and a weight never seem to contradict each other.
  const most = (Math.max(0, ...points.map((point) => point.added ?? 0)) || 1) * 1.1;
  const least = Math.min(0, ...points.map((point) => point.recovered ?? 0)) * 1.1;
  const axis = { stroke: 'var(--soft)', tick: { fill: 'var(--ink)', fontSize: 13 } };
  return (
    <>
      <div
        className="h-72"
        role="img"
        aria-label="Gas in and out and the leak rate over time; the table below says the same"
      >
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={points} stackOffset="sign" margin={{ top: 8, right: 4, bottom: 4, left: 4 }}>
            <CartesianGrid stroke="var(--line)" vertical={false} />
            {standing.cases.map((each) => (
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
              {...axis}
            />
            <YAxis
              yAxisId="gas"
              width={62}
              unit={`\u00a0${unit}`}
              domain={[least, most]}
              ticks={roundTicks(least, most)}
              {...axis}
            />
            <YAxis
              yAxisId="rate"
              orientation="right"
              width={48}
              unit=" %"
              domain={[(top * least) / most, top]}
              ticks={roundTicks(0, top)}
              {...axis}
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
            <Bar
              yAxisId="gas"
              dataKey="added"
              name={`added, ${unit}`}
              fill="var(--green)"
              stackId="gas"
              barSize={7}
              isAnimationActive={false}
            />
            <Bar
              yAxisId="gas"
              dataKey="recovered"
              name={`recovered, ${unit}`}
              fill="var(--ochre)"
              stackId="gas"
              barSize={7}
              isAnimationActive={false}
            />
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
              contentStyle={{
                background: 'var(--card)',
                border: '1px solid var(--ink)',
                color: 'var(--ink)',
              }}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
      <p className="text-[0.93rem] text-soft">
        Bars up: gas added; bars down: recovered ({unit}). Diamonds: leak rate in percent a year (right).
        Shaded: a case was running.
        {points.some((point) => point.unknown) && ' Gas that nobody weighed has no bar.'}
      </p>
      <AsTable points={points} unit={unit} system={system} />
    </>
  );
}

/** What the drawing says, to read and to hear. */
function AsTable({ points, unit, system }: { points: readonly Point[]; unit: MassUnit; system: MassSystem }) {
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 font-semibold text-green underline underline-offset-4">
        The same as a table
      </summary>
      <table className="w-full max-w-2xl text-left">
        <thead>
          <tr className="rule-b">
            <th>Day</th>
            <th>Added</th>
            <th>Recovered</th>
            <th>Leak rate</th>
          </tr>
        </thead>
        <tbody>
          {points.toReversed().map((point) => (
            <tr key={point.day} className="rule-b">
              <td>{dayWords(point.day)}</td>
              <td>
                {point.added === null
                  ? point.unknown
                    ? 'not weighed'
                    : '–'
                  : massText(point.added * gramsIn(unit), system)}
              </td>
              <td>{point.recovered === null ? '–' : massText(-point.recovered * gramsIn(unit), system)}</td>
              <td>{point.rateWords ?? '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
