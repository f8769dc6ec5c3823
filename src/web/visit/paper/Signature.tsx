/** Who took the machine over, by hand or with the reason why nobody signed. */
import { notesOf } from '../../../core/visit/visitRecord';
import { dayWords } from '../../../words/dates';
import { SIGNATURE_BOX } from './SignaturePad';
import { useVisit } from '../visitContext';

export function Signature() {
  const { record } = useVisit();
  const signed = notesOf(record.entries, 'signed').at(-1);
  if (!signed) return <p className="font-semibold text-ochre">◐ Not handed over yet.</p>;
  const { name, role, path, notSigned } = signed.note;
  return (
    <footer className="rule-t pt-2">
      {path && (
        <svg
          viewBox={`0 0 ${String(SIGNATURE_BOX.width)} ${String(SIGNATURE_BOX.height)}`}
          className="h-20"
          role="img"
          aria-label={`Signature of ${name}`}
        >
          <path d={path} fill="none" strokeWidth={2.2} strokeLinecap="round" className="stroke-ink" />
        </svg>
      )}
      <p>
        {notSigned ? `Not signed: ${notSigned}. Handed over to ` : 'Handed over to '}
        <span className="font-semibold">{name}</span>
        {role && `, ${role}`}, {dayWords(signed.day)}
      </p>
    </footer>
  );
}
