/** How many fields of a form are not right yet. */
export const lookAgainWords = (count: number): string =>
  count === 1 ? 'One field wants another look.' : `${String(count)} fields want another look.`;
