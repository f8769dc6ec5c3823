/** What is said of an import that did not go through. */
export const CUT_OFF = 'The server ended while this file was read. Nothing was written; try it again.';
export const CUT_OFF_WRITING =
  'The server ended while this was written. Nothing of it was written; try it again.';
export const TOO_MUCH =
  'This file asked for more than the machine has. Divide it, and bring the parts in one after the other.';
export const MEANWHILE =
  'The logbook was changed meanwhile, and this file means something else now; nothing was written.';
