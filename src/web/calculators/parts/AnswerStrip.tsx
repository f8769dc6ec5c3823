/** On a phone the answer lies below its fields: this strip at the thumb says it while typing, and leads there. */
import { useCalculatorHome } from '../calculatorHome';

export function AnswerStrip({ words }: { words: string }) {
  const home = useCalculatorHome();
  // In a visit the thumb's place belongs to the step.
  if (home) return null;
  return (
    <a
      href="#answer"
      aria-hidden="true"
      tabIndex={-1}
      className="no-print fixed inset-x-0 bottom-16 z-20 border-t-4 border-green bg-card px-4 pb-3 pt-2 font-semibold lg:hidden"
    >
      <span className="line-clamp-2">{words}</span>
    </a>
  );
}
