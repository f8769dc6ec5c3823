/** Nothing is written by nobody. */
export const NO_WRITER = 'It is not known yet who is signed in; wait a moment.';

/** Why a save was refused, beside its button. */
export const refusedWords = (faults: readonly string[]): string => {
  const [first = 'something', ...more] = faults;
  if (more.length === 0) return `Not saved yet: “${first}” wants another look.`;
  return `Not saved yet: “${first}” and ${String(more.length)} more want another look.`;
};
