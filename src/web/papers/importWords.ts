/** Words of the pages of imports. */
export const countWords = (count: number, one: string, many = `${one}s`): string =>
  `${String(count)} ${count === 1 ? one : many}`;
