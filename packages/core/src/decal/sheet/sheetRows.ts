import type { Runs } from './growRuns.ts';

/** Lengths closer than this are the same, mm. */
const EPSILON = 1e-7;
/** A row begins with room for so many spans, and grows. */
const ROOM = 16;

/** What is taken on a sheet, row by row: sorted spans that do not touch. Lengths are mm, x from the sheet's left edge. */
export class SheetRows {
  readonly #spans: Float64Array[];
  readonly #counts: Int32Array;
  /** The row of the sheet that held up the last try: the next one most likely fails there too. */
  #stubborn = 0;

  constructor(private readonly rows: number) {
    this.#spans = Array.from({ length: rows }, () => new Float64Array(ROOM));
    this.#counts = new Int32Array(rows);
  }

  clear(): void {
    this.#counts.fill(0);
  }

  /** Takes what a shape covers when its box lies at x and that row. */
  take({ rows }: Runs, x: number, row: number): void {
    rows.forEach((runs, i) => {
      if (row + i >= this.rows) return;
      for (let r = 0; r < runs.length; r += 2) this.#insert(row + i, x + runs[r]!, x + runs[r + 1]!);
    });
  }

  /** Length of all that is taken, summed over the rows, mm. */
  countTaken(): number {
    let sum = 0;
    this.#spans.forEach((spans, row) => {
      for (let s = 0; s < 2 * this.#counts[row]!; s += 2) sum += spans[s + 1]! - spans[s]!;
    });
    return sum;
  }

  /** The least x from `from` on where a shape lies free with its box at that row; somewhere beyond `most` where there is none before. */
  findLeast({ rows }: Runs, row: number, from: number, most: number): number {
    const count = rows.length;
    let x = from;
    let clear = 0;
    let i = this.#stubborn >= row && this.#stubborn < row + count ? this.#stubborn - row : 0;
    // Round the rows until none of them has moved it.
    while (clear < count) {
      const moved = this.#push(row + i, rows[i]!, x);
      if (moved > x) {
        x = moved;
        if (x > most) {
          this.#stubborn = row + i;
          return x;
        }
        clear = 0;
      } else {
        clear++;
        i = i + 1 === count ? 0 : i + 1;
      }
    }
    return x;
  }

  /** x, or the next one at which this row's runs are clear of the first span that they meet. */
  #push(row: number, runs: Float64Array, x: number): number {
    const spans = this.#spans[row]!;
    const end = 2 * this.#counts[row]!;
    let s = 0;
    for (let r = 0; r < runs.length; r += 2) {
      const from = x + runs[r]! + EPSILON;
      while (s < end && spans[s + 1]! <= from) s += 2;
      if (s === end) return x;
      if (spans[s]! < x + runs[r + 1]! - EPSILON) return spans[s + 1]! - runs[r]!;
    }
    return x;
  }

  #insert(row: number, from: number, to: number): void {
    let spans = this.#spans[row]!;
    const count = this.#counts[row]!;
    let first = 0;
    while (first < count && spans[2 * first + 1]! < from - EPSILON) first++;
    let past = first;
    while (past < count && spans[2 * past]! <= to + EPSILON) past++;
    if (past > first) {
      spans[2 * first] = Math.min(from, spans[2 * first]!);
      spans[2 * first + 1] = Math.max(to, spans[2 * past - 1]!);
      if (past > first + 1) spans.copyWithin(2 * first + 2, 2 * past, 2 * count);
      this.#counts[row] = count - (past - first) + 1;
      return;
    }
    if (2 * count + 2 > spans.length) {
      const more = new Float64Array(2 * spans.length);
      more.set(spans);
      this.#spans[row] = spans = more;
    }
    spans.copyWithin(2 * first + 2, 2 * first, 2 * count);
    spans[2 * first] = from;
    spans[2 * first + 1] = to;
    this.#counts[row] = count + 1;
  }
}
