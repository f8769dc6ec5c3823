/** What is wrong in a file, row by row, with the remedy. */
import type { ImportPreview } from '../../contract/imports';
import { Section } from '../parts/Page';

export function FaultList({ faulty }: { faulty: ImportPreview['faulty'] }) {
  if (faulty.length === 0) return null;
  return (
    <Section title="To put right">
      <ul>
        {faulty.map((fault, index) => (
          <li key={index} className="rule-b grid gap-x-4 py-2 sm:grid-cols-[11rem_1fr]">
            <span className="font-semibold text-brick">
              ▲ {fault.sheet && `${fault.sheet}, `}row {fault.row}, {fault.column}
            </span>
            <span className="break-words">
              {fault.message}. <span className="text-soft">{fault.remedy}</span>
            </span>
          </li>
        ))}
      </ul>
    </Section>
  );
}
