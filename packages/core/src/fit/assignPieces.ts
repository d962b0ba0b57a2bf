/** Which piece goes to which place. */
export interface Assignment {
  /** Index of the piece, place by place; null where none is left that fits. */
  readonly pieceOf: readonly (number | null)[];
  /** Of all places that have a piece. */
  readonly price: number;
}

/**
 * As many places filled as can be, and of all ways to do that the cheapest: a hole in a model has no price. Shortest augmenting
 * paths (R. Jonker and A. Volgenant, Computing 38, 1987, 325-340), with one empty piece a place; exact.
 *
 * @param prices places x pieces, 0 or more; Infinity where a piece does not fit or is kept back
 */
export function assignPieces(prices: readonly (readonly number[])[]): Assignment {
  const places = prices.length;
  const pieces = prices[0]?.length ?? 0;
  if (places === 0) return { pieceOf: [], price: 0 };
  const dearest = Math.max(0, ...prices.flatMap((row) => row.filter(Number.isFinite)));
  // An empty place is dearer than all others together could be.
  const empty = (dearest + 1) * (places + 1);
  const columns = pieces + places;
  const at = (place: number, column: number): number =>
    column < pieces ? prices[place]![column]! : column - pieces === place ? empty : Infinity;

  const ofPlace = new Float64Array(places);
  const ofColumn = new Float64Array(columns);
  const takenBy = new Int32Array(columns).fill(-1);
  const cameFrom = new Int32Array(columns);
  const least = new Float64Array(columns);
  const isDone = new Uint8Array(columns);
  for (let place = 0; place < places; place++) {
    least.fill(Infinity);
    isDone.fill(0);
    let [row, column, reached] = [place, -1, 0];
    for (;;) {
      let next = -1;
      for (let j = 0; j < columns; j++) {
        if (isDone[j]) continue;
        const price = reached + at(row, j) - ofPlace[row]! - ofColumn[j]!;
        if (price < least[j]!) [least[j], cameFrom[j]] = [price, column];
        if (next < 0 || least[j]! < least[next]!) next = j;
      }
      column = next;
      isDone[column] = 1;
      reached = least[column]!;
      if (takenBy[column]! < 0) break;
      row = takenBy[column]!;
    }
    // What was reached before becomes as much cheaper, so that the tree stays without slack.
    ofPlace[place]! += reached;
    for (let j = 0; j < columns; j++)
      if (isDone[j] && j !== column) {
        ofPlace[takenBy[j]!]! += reached - least[j]!;
        ofColumn[j]! -= reached - least[j]!;
      }
    for (let j = column; ;) {
      const before = cameFrom[j]!;
      takenBy[j] = before < 0 ? place : takenBy[before]!;
      if (before < 0) break;
      j = before;
    }
  }
  const pieceOf: (number | null)[] = new Array<number | null>(places).fill(null);
  for (let j = 0; j < pieces; j++) if (takenBy[j]! >= 0) pieceOf[takenBy[j]!] = j;
  const price = pieceOf.reduce<number>((sum, piece, place) => sum + (piece === null ? 0 : prices[place]![piece]!), 0);
  return { pieceOf, price };
}
