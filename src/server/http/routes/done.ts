/** The answer of what has nothing else to say. */
export const done = async (work: Promise<void>): Promise<{ done: true }> => {
  await work;
  return { done: true };
};
