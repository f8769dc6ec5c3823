/** The answer of a calculator: what is still wanted, why it is refused, or the figure with its working. */
import type { ReactNode } from 'react';
import type { CalculatorRefusal, Calculated } from '../../../core/calculators/calculated';
import type { Result } from '../../../core/result';
import { WorkingDisclosure } from '../../parts/Working';
import { calculatorRefusalWords, workingWords } from '../../../words/calculators';
import { useBench } from '../setting';

export function Wanted({ wanted }: { wanted: readonly string[] }) {
  const list = wanted.map((each) => each.charAt(0).toLowerCase() + each.slice(1));
  const last = list.at(-1) ?? '';
  const words = list.length > 1 ? `${list.slice(0, -1).join(', ')} and ${last}` : last;
  return <p className="py-4 text-soft">The answer stands here as soon as you have typed the {words}.</p>;
}

export const Refused = ({ children }: { children: ReactNode }) => (
  <p role="alert" className="my-3 border-l-4 border-brick pl-3 font-semibold text-brick">
    {children}
  </p>
);

export function Answer<Value>({
  outcome,
  children,
}: {
  outcome: Result<Calculated<Value>, CalculatorRefusal>;
  children: (value: Value) => ReactNode;
}) {
  const { show } = useBench();
  if (!outcome.ok) return <Refused>{calculatorRefusalWords(outcome.refusal, show)}</Refused>;
  return (
    <div className="mb-4">
      <div aria-live="polite">{children(outcome.value.value)}</div>
      <WorkingDisclosure label="Show the working" working={workingWords(outcome.value.working, show)} />
    </div>
  );
}

type Tone = 'plain' | 'good' | 'watch' | 'bad';
const TONES: Record<Tone, string> = {
  plain: 'text-ink',
  good: 'text-green',
  watch: 'text-ochre',
  bad: 'text-brick',
};
const MARKS: Record<Tone, string> = { plain: '', good: '● ', watch: '◐ ', bad: '▲ ' };

/** A verdict in words with its mark, colour last. */
export function Verdict({ tone, title, children }: { tone: Tone; title: string; children?: ReactNode }) {
  return (
    <div className="mb-3">
      <p className={`text-2xl font-bold ${TONES[tone]}`}>
        <span aria-hidden="true">{MARKS[tone]}</span>
        {title}
      </p>
      {children && <div className="text-soft">{children}</div>}
    </div>
  );
}

/** One figure with what it is. */
export function Big({ label, children, note }: { label: string; children: ReactNode; note?: ReactNode }) {
  return (
    <div className="mb-3">
      <p className="text-soft">{label}</p>
      <p className="text-3xl font-bold">{children}</p>
      {note && <p className="text-soft">{note}</p>}
    </div>
  );
}
