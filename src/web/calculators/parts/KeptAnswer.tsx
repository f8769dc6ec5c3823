/** An answer that can be kept with a machine: the figures, what belongs below them, and "Keep this". */
import type { ReactNode } from 'react';
import type { CalculatorRefusal, Calculated } from '../../../core/calculators/calculated';
import type { Result } from '../../../core/result';
import { Answer } from './Answer';
import { AnswerStrip } from './AnswerStrip';
import { type Keepable, KeepThis } from './KeepThis';

export function KeptAnswer<Value>({
  outcome,
  summary,
  result,
  children,
  below,
  ...rest
}: {
  outcome: Result<Calculated<Value>, CalculatorRefusal>;
  summary: (value: Value) => string;
  /** figures to file in SI; the whole value where nothing is said */
  result?: (value: Value) => Record<string, unknown>;
  children: (value: Value) => ReactNode;
  below?: (value: Value) => ReactNode;
} & Pick<Keepable, 'tool' | 'kind' | 'inputs'>) {
  if (!outcome.ok) return <Answer outcome={outcome}>{children}</Answer>;
  const { value } = outcome.value;
  const figures =
    result?.(value) ?? (typeof value === 'object' ? { ...(value as Record<string, unknown>) } : { value });
  return (
    <>
      <AnswerStrip words={summary(value)} />
      <Answer outcome={outcome}>{children}</Answer>
      {below?.(value)}
      <KeepThis keepable={{ ...rest, summary: summary(value), result: figures }} />
    </>
  );
}
