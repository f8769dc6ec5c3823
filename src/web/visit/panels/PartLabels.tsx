/** Labels of what was fitted today. */
import { dayWords } from '../../../words/dates';
import { useVisit } from '../visitContext';
import { gasName } from '../../../words/gas';

/** What to write on what was fitted today: a part without its date has no age. */
export function PartLabels() {
  const { record, view } = useVisit();
  const named = record.entries.flatMap(({ entry, day }) => {
    if (entry.kind !== 'partFitted') return [];
    const { part, preventive, changed, tool } = entry as unknown as Record<string, unknown>;
    if (typeof part !== 'string' || preventive === true || (tool === 'drier' && changed !== 'yes')) return [];
    return [{ id: entry.id, part, day }];
  });
  if (named.length === 0) return null;
  return (
    <>
      <p className="font-semibold">Write on the part</p>
      <ul className="flex flex-wrap gap-3">
        {named.map((each) => (
          <li key={each.id} className="border-2 border-ink bg-card px-4 py-2 text-center">
            <span className="block text-lg font-bold">{each.part}</span>
            <span className="block">{dayWords(each.day)}</span>
            <span className="block text-soft">{gasName(view.standing.present.refrigerant)}</span>
          </li>
        ))}
      </ul>
    </>
  );
}
