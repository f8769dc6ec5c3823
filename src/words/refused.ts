/** Nothing is written by nobody. */
export const NO_WRITER = 'Choose who is writing.';

/** Why a save was refused, beside its button. */
export const refusedWords = (faults: readonly string[]): string => {
  const [first = 'something', ...more] = faults;
  if (more.length === 0) return `Not saved yet: “${first}” wants another look.`;
  return `Not saved yet: “${first}” and ${String(more.length)} more want another look.`;
};
