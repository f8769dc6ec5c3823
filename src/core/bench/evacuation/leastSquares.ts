/**
 * Weighted linear least squares for up to three base functions, none of whose factors but the first may be negative
 * (a leak cannot flow outwards, moisture cannot condense upwards): the best of all subsets that obey.
 */
export interface Fit {
  /** factors in the order of the base functions; 0 where one was left out */
  factors: number[];
  /** weighted sum of squared residuals */
  squares: number;
}

/** Sums of products of columns: `gram[i][j] = Σ w·x_i·x_j`, `right[i] = Σ w·x_i·y`, `yy = Σ w·y²`. */
export interface Normal {
  gram: number[][];
  right: number[];
  yy: number;
}

export function bestFit(normal: Normal): Fit {
  const count = normal.right.length;
  let best: Fit | null = null;
  for (let subset = 0; subset < 2 ** (count - 1); subset += 1) {
    const columns = [
      0,
      ...Array.from({ length: count - 1 }, (_, i) => i + 1).filter((i) => (subset >> (i - 1)) & 1),
    ];
    const solved = solve(
      columns.map((i) => columns.map((j) => normal.gram[i]?.[j] ?? 0)),
      columns.map((i) => normal.right[i] ?? 0),
    );
    if (!solved || solved.slice(1).some((factor) => factor < 0)) continue;
    const explained = columns.reduce(
      (sum, i, place) => sum + (solved[place] ?? 0) * (normal.right[i] ?? 0),
      0,
    );
    const squares = Math.max(0, normal.yy - explained);
    if (!best || squares < best.squares) {
      const factors = normal.right.map((_, i) => solved[columns.indexOf(i)] ?? 0);
      best = { factors, squares };
    }
  }
  if (!best) throw new Error('A fit needs at least one reading with a weight.');
  return best;
}

/** Gaussian elimination with row exchange; null where the columns cannot be told apart. */
function solve(matrix: number[][], right: number[]): number[] | null {
  const size = right.length;
  const rows = matrix.map((row, i) => [...row, right[i] ?? 0]);
  for (let column = 0; column < size; column += 1) {
    const pivot = rows
      .slice(column)
      .reduce((best, row) => (Math.abs(row[column] ?? 0) > Math.abs(best[column] ?? 0) ? row : best));
    const lead = pivot[column] ?? 0;
    if (Math.abs(lead) < 1e-12 * Math.abs(matrix[column]?.[column] ?? 1)) return null;
    rows.splice(rows.indexOf(pivot), 1);
    rows.splice(column, 0, pivot);
    for (const row of rows) {
      if (row === pivot) continue;
      const factor = (row[column] ?? 0) / lead;
      for (let k = column; k <= size; k += 1) row[k] = (row[k] ?? 0) - factor * (pivot[k] ?? 0);
    }
  }
  return rows.map((row, i) => (row[size] ?? 0) / (row[i] ?? 1));
}
