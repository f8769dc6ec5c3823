/** The blocks of a service record, in the order in which it is read. */
export const PAPER_BLOCKS = [
  'found',
  'searched',
  'gas',
  'decided',
  'done',
  'tested',
  'runs',
  'ways',
  'left',
  'photos',
  'signature',
  /** said by the heading of the paper itself */
  'heading',
] as const;
export type PaperBlock = (typeof PAPER_BLOCKS)[number];
