/** Gas in and out, the rate against its threshold, and cases as bands; the same as a table beside it. */
import { type MassSystem, type MassUnit, gramsIn, massText } from '../../core/quantity/mass';
import { dayWords } from '../../words/dates';
import type { MachineView } from '../data/api/machineView';
import { TimelineChart } from './TimelineChart';
import { type Point, pointsOf } from './timelinePoints';

export default function Timeline({ view }: { view: MachineView }) {
  const { system } = view;
  // A cabinet of 85 g has bars in grams.
  const unit = view.bareUnit === 'g' ? 'g' : system === 'kilograms' ? 'kg' : 'lb';
  const points = pointsOf(view, unit);
  if (points.length === 0) return <p className="text-soft">No gas went in or out so far.</p>;
  return (
    <>
      <TimelineChart view={view} points={points} unit={unit} />
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
