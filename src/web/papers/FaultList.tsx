/** What is wrong in a file, row by row, with the remedy; a cell is put right here or in the file. */
import type { ImportPreview } from '../../contract/imports';
import type { Mapping } from '../../sheets/mapping';
import { TextField } from '../parts/Field';
import { Section } from '../parts/Page';
import { type FaultShown, canPutRight, cellPutRight, cellSaid, headingWords } from './answers';

export function FaultList({
  preview,
  faulty,
  draft,
  onDraft,
}: {
  preview: ImportPreview;
  faulty: readonly FaultShown[];
  draft: Mapping;
  onDraft: (draft: Mapping) => void;
}) {
  if (faulty.length === 0) return null;
  return (
    <Section title="To put right">
      <ul>
        {faulty.map((fault, index) => (
          <li key={index} className="rule-b grid gap-x-6 py-2 sm:grid-cols-2">
            <p className="break-words">
              <span className="font-semibold text-brick">
                ▲ {fault.sheet && `${fault.sheet}, `}row {fault.row}, {headingWords(fault.column)}
              </span>
              <span className="block font-semibold">{fault.message}</span>
              <span className="text-soft">{fault.remedy}</span>
            </p>
            {canPutRight(preview, fault) && (
              <TextField
                label={`What should stand in row ${String(fault.row)}`}
                optional
                value={cellSaid(preview, draft, fault)}
                onChange={(event) => onDraft(cellPutRight(preview, draft, fault, event.target.value))}
              />
            )}
          </li>
        ))}
      </ul>
    </Section>
  );
}
