/** A signed record that changed says so. */
import { afterSignature } from '../../../core/visit/signed';
import { useWriter } from '../../data/writer';
import { instantWords } from '../../../words/dates';
import { entryTitle, sentenceOf } from '../../../record/sentence';
import { useVisit } from '../visitContext';

/** What was written, corrected or voided of this visit after the signature. */
export function ChangedSince() {
  const { view, visitId } = useVisit();
  const { people } = useWriter();
  const later = afterSignature(view.machine.entries, visitId);
  if (later.length === 0) return null;
  return (
    <section aria-label="Changed since it was signed" className="mt-3 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">◐ Changed since it was signed:</p>
      <ul>
        {later.map(({ entry, target }) => (
          <li key={entry.id} className="break-words">
            {entry.kind === 'void' && target
              ? `Voided: ${entryTitle(target).toLowerCase()} ${sentenceOf(target, view.system, view.names)}`
              : `${target ? 'Corrected' : 'Written'}: ${entryTitle(entry).toLowerCase()} ${sentenceOf(entry, view.system, view.names)}`}
            {entry.correctionReason && ` (${entry.correctionReason})`}, by{' '}
            {people.find((each) => each.id === entry.by)?.name ?? entry.by}
            {entry.recordedAt && `, ${instantWords(entry.recordedAt)}`}
          </li>
        ))}
      </ul>
    </section>
  );
}
