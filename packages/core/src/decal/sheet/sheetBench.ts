import { layOutline, QUARTERS, type CutPiece, type Placement, type Quarter } from './cutPiece.ts';
import { growRuns, type Runs } from './growRuns.ts';
import type { NestQuestion } from './nestQuestion.ts';
import { SheetRows } from './sheetRows.ts';

/** Height of the rows that shapes are cut into, mm: half of it is lost a piece. */
export const PITCH = 0.25;
/** An end that is nearer than this is no gain, mm. */
export const GAIN = 1e-6;

interface Way {
  readonly turn: Quarter;
  readonly runs: Runs;
}

/** A piece with the ways it can lie on a sheet that differ. */
export interface Turned {
  readonly id: string;
  readonly ways: readonly Way[];
  /** Pieces of one cut line have one number. */
  readonly shape: number;
}

interface Spot {
  readonly index: number;
  readonly way: Way;
  readonly sheet: number;
  readonly x: number;
  readonly row: number;
}

export interface Laid {
  /** In the order in which they were laid. */
  readonly spots: readonly Spot[];
  /** Those that were begun included. */
  readonly sheets: number;
  /** From the left edge of the last sheet to the right end of what lies on it. */
  readonly lengthMm: number;
  /** All sheets one after the other, mm: what is to be least. */
  readonly cost: number;
}

/** In which order pieces are laid, and which of them are held to one way (-1: free). */
export interface LayingList {
  readonly order: readonly number[];
  readonly onlyWay: ArrayLike<number>;
}

/**
 * Pieces and sheet grow by half the spacing: pieces that touch then lie apart by all of it, and from the edge of what can be printed on
 * by none.
 */
export class SheetBench {
  readonly #length: number;
  readonly #rowCount: number;
  readonly #gone: readonly (readonly { readonly runs: Runs; readonly x: number; readonly row: number }[])[];
  readonly #sheets: SheetRows[] = [];
  readonly #shapes = new Map<string, number>();
  /** By sheet, shape and way: how far right each row was tried. What is laid stays, so that the next of that shape begins there. */
  readonly #tried = new Map<number, Float64Array>();

  constructor(private readonly question: NestQuestion) {
    const { sheet, spacingMm, begun } = question;
    this.#length = sheet.lengthMm + spacingMm;
    this.#rowCount = Math.floor((sheet.widthMm + spacingMm) / PITCH + 1e-9);
    this.#gone = begun.map((outlines) =>
      outlines.map((outline) => ({
        runs: growRuns(outline, spacingMm / 2, PITCH),
        x: Math.min(...outline.map(({ x }) => x)),
        row: Math.floor(Math.min(...outline.map(({ y }) => y)) / PITCH),
      })),
    );
  }

  /** No way is left of what is larger than a sheet. */
  turn({ id, outline }: CutPiece): Turned {
    const seen = new Set<string>();
    const ways = QUARTERS.flatMap((turn): Way[] => {
      const runs = growRuns(layOutline(outline, { x: 0, y: 0, turn }), this.question.spacingMm / 2, PITCH);
      if (runs.width > this.#length + GAIN || runs.rows.length > this.#rowCount) return [];
      const key = runs.rows.map((row) => Array.from(row, (x) => x.toFixed(3)).join(' ')).join('/');
      if (seen.has(key)) return [];
      seen.add(key);
      return [{ turn, runs }];
    });
    const name = ways.length > 0 ? ways[0]!.runs.rows.map((row) => row.join(' ')).join('/') : '';
    if (!this.#shapes.has(name)) this.#shapes.set(name, this.#shapes.size);
    return { id, ways, shape: this.#shapes.get(name)! };
  }

  /** What of the sheets that were begun is still there, mm2. */
  countFree(): number {
    const whole = this.#length * this.#rowCount * PITCH;
    return this.#gone.reduce((sum, _, i) => sum + whole - this.#open(i).countTaken() * PITCH, 0);
  }

  /**
   * Lays pieces one by one, each where its right end comes to lie furthest left: bottom-left fill, gaps included. `onlyWay` names one
   * of a piece's ways, -1 leaves it free; the first `same` pieces lie as they lay `before`. Ends with null as soon as it costs more
   * than `most`.
   */
  lay(
    pieces: readonly Turned[],
    { order, onlyWay }: LayingList,
    most: number,
    before: readonly Spot[] = [],
    same = 0,
  ): Laid | null {
    const ends: number[] = [];
    const open = (sheet: number) => {
      this.#open(sheet);
      ends.push(0);
    };
    const put = (spot: Spot) => {
      this.#sheets[spot.sheet]!.take(spot.way.runs, spot.x, spot.row);
      ends[spot.sheet] = Math.max(ends[spot.sheet]!, spot.x + spot.way.runs.width);
      return spot;
    };
    this.#tried.clear();
    const spots = before.slice(0, same).map((spot) => {
      while (ends.length <= spot.sheet) open(ends.length);
      return put(spot);
    });
    for (const index of order.slice(same)) {
      for (let sheet = 0; ; sheet++) {
        if (sheet === ends.length) open(sheet);
        const place = this.#findPlace(sheet, pieces[index]!, onlyWay[index]!);
        if (!place) continue;
        spots.push(put({ ...place, index, sheet }));
        break;
      }
      if (this.#cost(ends) > most) return null;
    }
    const lengthMm = ends.length > 0 ? Math.max(0, ends.at(-1)! - this.question.spacingMm) : 0;
    return { spots, sheets: ends.length, lengthMm, cost: this.#cost(ends) };
  }

  toPlacement(pieces: readonly Turned[], { index, way, sheet, x, row }: Spot): Placement {
    return { id: pieces[index]!.id, sheet, x, y: row * PITCH, turn: way.turn };
  }

  #cost(ends: readonly number[]): number {
    return ends.length > 0 ? (ends.length - 1) * this.#length + ends.at(-1)! : 0;
  }

  #findPlace(sheet: number, { ways, shape }: Turned, onlyWay: number): Omit<Spot, 'index' | 'sheet'> | null {
    const taken = this.#sheets[sheet]!;
    let best: Omit<Spot, 'index' | 'sheet'> | null = null;
    let end = Infinity;
    for (const [w, way] of ways.entries()) {
      if (onlyWay >= 0 && onlyWay !== w) continue;
      const key = (sheet * this.#shapes.size + shape) * QUARTERS.length + w;
      let tried = this.#tried.get(key);
      if (!tried) this.#tried.set(key, (tried = new Float64Array(this.#rowCount)));
      const { width, rows } = way.runs;
      for (let row = 0; row + rows.length <= this.#rowCount; row++) {
        const most = Math.min(end - width - GAIN, this.#length - width + GAIN);
        if (tried[row]! > most) continue;
        const x = (tried[row] = taken.findLeast(way.runs, row, tried[row]!, most));
        if (x > most) continue;
        best = { way, x, row };
        end = x + width;
      }
    }
    return best;
  }

  #open(index: number): SheetRows {
    const rows = (this.#sheets[index] ??= new SheetRows(this.#rowCount));
    rows.clear();
    for (const { runs, x, row } of this.#gone[index] ?? []) {
      // It may begin anywhere in its row: the next one is taken too.
      rows.take(runs, x, row);
      rows.take(runs, x, row + 1);
    }
    return rows;
  }
}
