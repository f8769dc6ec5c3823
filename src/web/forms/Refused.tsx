/** Beside a button that refused: which field stands in the way. */
import { refusedWords } from '../../words/refused';

/** `labels`: of the faulty fields, in their order. */
export function Refused({ labels }: { labels: readonly string[] }) {
  if (labels.length === 0) return null;
  return (
    <p role="alert" className="mb-2 font-semibold text-brick">
      ▲ {refusedWords(labels)}
    </p>
  );
}
