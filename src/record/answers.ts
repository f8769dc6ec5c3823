/** What answers a duty: the step of a visit that does the work, or the form of what is only written; and the word on its button. */
import type { Obligation, ObligationKind } from '../core/rules/obligation';
import type { Step } from '../core/visit/steps';
import type { FormKind } from './forms';

const ANSWERS: Record<
  ObligationKind,
  { kind: FormKind; given?: Record<string, unknown>; words: string; step?: Step }
> = {
  repair: { kind: 'leakRepaired', words: 'Repair', step: 'repair' },
  initialTest: { kind: 'verificationTest', given: { stage: 'initial' }, words: 'First test', step: 'hold' },
  followUpTest: {
    kind: 'verificationTest',
    given: { stage: 'followUp' },
    words: 'Second test',
    step: 'prove',
  },
  inspection: { kind: 'leakInspection', words: 'Inspect', step: 'search' },
  plan: { kind: 'planFiled', words: 'File plan' },
  planDone: { kind: 'planCompleted', words: 'Plan done' },
  chronicReport: { kind: 'reportFiled', words: 'Report' },
  detection: { kind: 'applianceChanged', words: 'Fitted' },
  detectionCheck: { kind: 'detectionCheck', words: 'Checked' },
};

export const answerOf = ({ kind, why }: Pick<Obligation, 'kind' | 'why'>) => ({
  ...ANSWERS[kind],
  ...(why.rule === 'chronic' ? { given: { year: why.year } } : {}),
});
