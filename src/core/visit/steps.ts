/**
 * The steps of a visit in the order of the work. Every one may be skipped, returned to, or be the last of a day.
 */
export const STEPS = [
  'before',
  'arrive',
  'read',
  'judge',
  'raise',
  'search',
  'decide',
  'isolate',
  'repair',
  'hold',
  'evacuate',
  'charge',
  'prove',
  'leaveRight',
  'handOver',
] as const;
export type Step = (typeof STEPS)[number];

export const isStep = (text: string): text is Step => STEPS.some((step) => step === text);
