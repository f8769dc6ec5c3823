/** How often words are firm and right, by kind of truth: what tests assert and the bench prints. */
export interface Report {
  kind: string;
  word: string;
  firm: boolean;
  right: boolean;
}

export interface KindCount {
  met: number;
  firm: number;
  wrong: number;
}

/** By kind, in the order in which kinds were first met. */
export function countByKind(told: readonly Report[]): Map<string, KindCount> {
  const counts = new Map<string, KindCount>();
  for (const { kind, firm, right } of told) {
    const count = counts.get(kind) ?? { met: 0, firm: 0, wrong: 0 };
    counts.set(kind, {
      met: count.met + 1,
      firm: count.firm + Number(firm),
      wrong: count.wrong + Number(firm && !right),
    });
  }
  return counts;
}

export const total = (counts: Iterable<KindCount>): KindCount =>
  [...counts].reduce(
    (sum, each) => ({
      met: sum.met + each.met,
      firm: sum.firm + each.firm,
      wrong: sum.wrong + each.wrong,
    }),
    { met: 0, firm: 0, wrong: 0 },
  );

/** A table of words for each kind; a firm word has a column of its own. */
export function confusionTable(told: readonly Report[], words: readonly string[]): string {
  const kinds = [...new Set(told.map(({ kind }) => kind))];
  const width = Math.max(...words.map((word) => word.length), 8) + 2;
  const row = (cells: readonly (string | number)[]): string =>
    cells.map((cell, i) => (i === 0 ? String(cell).padEnd(12) : String(cell).padStart(width))).join('');
  return [
    row(['', ...words, 'not firm']),
    ...kinds.map((kind) => {
      const own = told.filter((each) => each.kind === kind);
      return row([
        kind,
        ...words.map((word) => own.filter((each) => each.firm && each.word === word).length),
        own.filter((each) => !each.firm).length,
      ]);
    }),
  ].join('\n');
}
