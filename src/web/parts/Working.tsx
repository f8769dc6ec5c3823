/** A number that carries a duty opens its working. */
import type { WorkingSaid } from '../../words/working';

export function WorkingDisclosure({ label, working }: { label: string; working: WorkingSaid }) {
  return (
    <details className="group">
      <summary className="flex min-h-11 cursor-pointer list-none items-center gap-2 font-semibold text-green">
        <span aria-hidden="true" className="inline-block transition-transform group-open:rotate-90">
          ▸
        </span>
        <span className="underline underline-offset-4">{label}</span>
      </summary>
      <div className="mb-2 border-l-2 border-line pl-3">
        <p className="font-semibold">{working.formula}</p>
        <ul>
          {working.steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ul>
        <p className="text-soft">Source: {working.source}</p>
      </div>
    </details>
  );
}
