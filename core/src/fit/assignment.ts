/** The best way to give each row a column of its own, with the prices that prove that there is no better one. */
export interface Assignment {
  /** The column of each row. */
  readonly columnOf: readonly number[];
  readonly total: number;
  /** The least that these prices allow anybody to reach: no assignment has more than this. */
  readonly bound: number;
}

/**
 * Gives each row a column of its own such that the sum of the gains is greatest. Gains are whole numbers, so the result is exact.
 * Shortest augmenting paths with prices for rows and columns, O(rows² · columns).
 * Source: R. Jonker, A. Volgenant, A Shortest Augmenting Path Algorithm for Dense and Sparse Linear Assignment Problems, Computing 38
 * (1987) 325-340, in the rectangular form of D. F. Crouse, On Implementing 2D Rectangular Assignment Algorithms, IEEE Transactions on
 * Aerospace and Electronic Systems 52 (2016) 1679-1696.
 * @param gain the gain of row i in column j; as many rows as columns or fewer
 * @throws RangeError when there are more rows than columns, or a gain is no whole number
 */
export function assign(gain: readonly (readonly number[])[], columns: number): Assignment {
  const rows = gain.length;
  if (rows > columns) throw new RangeError(`${rows} rows for ${columns} columns`);
  if (gain.some((row) => row.length !== columns || !row.every(Number.isSafeInteger)))
    throw new RangeError(`each row needs ${columns} whole numbers`);
  const rowPrice = new Float64Array(rows);
  const columnPrice = new Float64Array(columns);
  const rowOf = new Int32Array(columns).fill(-1);
  const columnOf = new Int32Array(rows).fill(-1);

  for (let start = 0; start < rows; start++) {
    const distance = new Float64Array(columns).fill(Number.POSITIVE_INFINITY);
    const from = new Int32Array(columns).fill(-1);
    const isDone = new Uint8Array(columns);
    const seenRows: number[] = [];
    let row = start;
    let reached = 0;
    let sink = -1;
    while (sink < 0) {
      seenRows.push(row);
      let nearest = -1;
      let best = Number.POSITIVE_INFINITY;
      const gains = gain[row] ?? [];
      const base = reached - (rowPrice[row] ?? 0);
      for (let column = 0; column < columns; column++) {
        if (isDone[column]) continue;
        const next = base - (gains[column] ?? 0) - (columnPrice[column] ?? 0);
        let here = distance[column] ?? 0;
        if (next < here) {
          distance[column] = here = next;
          from[column] = row;
        }
        // Of columns alike a free one ends the search.
        if (here < best || (here === best && (rowOf[column] ?? -1) < 0 && (rowOf[nearest] ?? -1) >= 0)) {
          nearest = column;
          best = here;
        }
      }
      reached = best;
      isDone[nearest] = 1;
      const taken = rowOf[nearest] ?? -1;
      if (taken < 0) sink = nearest;
      else row = taken;
    }
    // Prices move so that what is assigned stays tight and nothing gets a negative cost.
    rowPrice[start] = (rowPrice[start] ?? 0) + reached;
    for (const seen of seenRows) {
      const column = columnOf[seen] ?? -1;
      if (seen !== start) rowPrice[seen] = (rowPrice[seen] ?? 0) + reached - (distance[column] ?? 0);
    }
    for (let column = 0; column < columns; column++)
      if (isDone[column])
        columnPrice[column] = (columnPrice[column] ?? 0) - reached + (distance[column] ?? 0);
    // Turn the path round.
    for (let column = sink; column >= 0; ) {
      const owner = from[column] ?? -1;
      rowOf[column] = owner;
      const before = columnOf[owner] ?? -1;
      columnOf[owner] = column;
      column = owner === start ? -1 : before;
    }
  }
  const total = columnOf.reduce((sum, column, row) => sum + (gain[row]?.[column] ?? 0), 0);
  return { columnOf: [...columnOf], total, bound: provenBound(gain, rowPrice, columnPrice) };
}

/**
 * What no assignment can exceed, by weak duality: with prices u for rows and v ≤ 0 for columns, of which none is above the cost,
 * every assignment costs at least Σu + Σv. Prices that break this are lowered first, so the bound holds whatever they are.
 */
export function provenBound(
  gain: readonly (readonly number[])[],
  rowPrice: ArrayLike<number>,
  columnPrice: ArrayLike<number>,
): number {
  const v = Array.from(columnPrice, (price) => Math.min(price, 0));
  const u = gain.map((row, i) =>
    row.reduce((least, value, j) => Math.min(least, -value - (v[j] ?? 0)), rowPrice[i] ?? 0),
  );
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  return 0 - sum(u) - sum(v);
}
