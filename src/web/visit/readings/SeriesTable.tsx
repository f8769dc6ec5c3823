/** Readings side by side: as found, before and after charge, at the end, with what each set amounts to. */
import { PHASES } from '../../../core/visit/notes';
import { readingsOfPhase } from '../../../core/visit/readings/series';
import type { Measured } from '../../../core/visit/stated';
import { CIRCUMSTANCE_NAMES, NUMBER_NAMES, SIGN_NAMES } from '../../../core/visit/readings/places';
import { degreesApart } from '../../../words/amounts';
import { PHASE_WORDS, readingWords, signWords } from '../../../words/readings';
import { measuredWords, statedWords } from '../../../words/stated';
import { useVisit } from '../visitContext';
import { useReadings } from './useReadings';

const COMPUTED = [
  ['superheat', 'Superheat'],
  ['subcooling', 'Subcooling'],
  ['split', 'Condenser split'],
  ['coilDifference', 'Box above the coil'],
] as const;

export function SeriesTable() {
  const { units } = useVisit();
  const { series, figuresFor } = useReadings();
  const phases = PHASES.filter((phase) => series.some((taken) => taken.phase === phase));
  if (phases.length === 0) return <p className="text-soft">Nothing was read in this visit yet.</p>;
  const columns = phases.map((phase) => {
    const so = readingsOfPhase(series, phase);
    return { phase, so, figures: figuresFor(so) };
  });
  const known: string[] = [...NUMBER_NAMES, ...SIGN_NAMES, ...CIRCUMSTANCE_NAMES];
  // Another tool may have read what we have no place for.
  const others = [...new Set(series.map((taken) => taken.name))].filter((name) => !known.includes(name));
  const wordsOf = (name: string, so: (typeof columns)[number]['so']): string | null =>
    statedWords<Measured>(so.numbers[name], measuredWords) ??
    statedWords<string>(so.signs[name], (value) => signWords(name, value));
  const rows = [...known, ...others]
    .map((name) => ({ name: readingWords(name), cells: columns.map(({ so }) => wordsOf(name, so)) }))
    .filter((row) => row.cells.some((cell) => cell !== null));
  const computed = COMPUTED.map(([key, name]) => ({
    name,
    cells: columns.map(({ figures }) => {
      const value = figures?.[key] ?? null;
      return value === null ? null : degreesApart(value, units);
    }),
  })).filter((row) => row.cells.some((cell) => cell !== null));
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <thead>
          <tr className="rule-b">
            <th scope="col" className="py-1 pr-3 font-semibold">
              Reading
            </th>
            {columns.map(({ phase }) => (
              <th key={phase} scope="col" className="py-1 pr-3 font-semibold">
                {PHASE_WORDS[phase]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...rows, ...computed].map((row) => (
            <tr key={row.name} className="rule-b">
              <th scope="row" className="py-1 pr-3 font-normal text-soft">
                {row.name}
              </th>
              {row.cells.map((cell, index) => (
                <td key={index} className="py-1 pr-3 tabular-nums">
                  {cell ?? <span className="text-soft">not read</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
