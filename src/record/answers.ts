/** The form that a duty asks for, with what is known filled in, and the word on its button. */
import type { ObligationKind } from '../core/rules/obligation';
import type { FormKind } from './forms';

export const ANSWERS: Record<
  ObligationKind,
  { kind: FormKind; given?: Record<string, unknown>; words: string }
> = {
  repair: { kind: 'leakRepaired', words: 'Repaired' },
  initialTest: { kind: 'verificationTest', given: { stage: 'initial' }, words: 'First test' },
  followUpTest: { kind: 'verificationTest', given: { stage: 'followUp' }, words: 'Second test' },
  inspection: { kind: 'leakInspection', words: 'Inspect' },
  plan: { kind: 'planFiled', words: 'File plan' },
  planDone: { kind: 'planCompleted', words: 'Plan done' },
  chronicReport: { kind: 'reportFiled', words: 'Report' },
  detection: { kind: 'applianceChanged', words: 'Fitted' },
  detectionCheck: { kind: 'detectionCheck', words: 'Checked' },
};
