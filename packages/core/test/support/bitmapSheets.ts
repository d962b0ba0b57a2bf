// Shares nothing with the code that lays sheets: turns, moves and tests for itself, on a bitmap of tenths of a millimetre.

interface Spot {
  readonly x: number;
  readonly y: number;
}

export interface LaidPiece {
  readonly outline: readonly Spot[];
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

const CELL = 0.1;

/** What is wrong with pieces as they lie on sheets: nothing, or the first fault found. `gone` are outlines by sheet, as they lie. */
export function findSheetFault(
  pieces: readonly LaidPiece[],
  sheet: { readonly lengthMm: number; readonly widthMm: number },
  spacingMm: number,
  gone: readonly (readonly (readonly Spot[])[])[] = [],
): string | null {
  const columns = Math.round(sheet.lengthMm / CELL);
  const rows = Math.round(sheet.widthMm / CELL);
  const count = Math.max(gone.length, ...pieces.map((one) => one.sheet + 1));
  for (let number = 0; number < count; number++) {
    const owner = new Int32Array(columns * rows);
    const lines = [
      ...(gone[number] ?? []),
      ...pieces.filter((one) => one.sheet === number).map((one) => layPiece(one)),
    ];
    const cells = lines.map((line) => fillLine(line));
    for (const [i, own] of cells.entries()) {
      for (const [column, row] of own) {
        if (column < 0 || row < 0 || column >= columns || row >= rows) return `piece ${i} of sheet ${number} is off it`;
        const at = row * columns + column;
        if (owner[at] !== 0 && owner[at] !== i + 1) return `piece ${i} lies on ${owner[at]! - 1} on sheet ${number}`;
        owner[at] = i + 1;
      }
    }
    const near = findNear(lines, spacingMm);
    if (near) return `${near} on sheet ${number}`;
  }
  return null;
}

function layPiece({ outline, x, y, turn }: LaidPiece): Spot[] {
  const angle = (turn * Math.PI) / 180;
  const turned = outline.map((one) => ({
    x: one.x * Math.cos(angle) - one.y * Math.sin(angle),
    y: one.x * Math.sin(angle) + one.y * Math.cos(angle),
  }));
  let [left, top] = [Infinity, Infinity];
  for (const one of turned) [left, top] = [Math.min(left, one.x), Math.min(top, one.y)];
  return turned.map((one) => ({ x: one.x - left + x, y: one.y - top + y }));
}

/** Cells whose middle lies inside. */
function fillLine(line: readonly Spot[]): [number, number][] {
  const ys = line.map((one) => one.y);
  const cells: [number, number][] = [];
  for (let row = Math.floor(Math.min(...ys) / CELL); row <= Math.max(...ys) / CELL; row++) {
    const y = (row + 0.5) * CELL;
    const hits: number[] = [];
    for (let i = 0; i < line.length; i++) {
      const [a, b] = [line[i]!, line[(i + 1) % line.length]!];
      if (a.y <= y !== b.y <= y) hits.push(a.x + ((y - a.y) * (b.x - a.x)) / (b.y - a.y));
    }
    hits.sort((a, b) => a - b);
    for (let i = 0; i + 1 < hits.length; i += 2)
      for (let column = Math.ceil(hits[i]! / CELL - 0.5); (column + 0.5) * CELL < hits[i + 1]!; column++)
        cells.push([column, row]);
  }
  return cells;
}

/** Points along each line, a tenth apart, are at least so far from those of all others. */
function findNear(lines: readonly (readonly Spot[])[], spacingMm: number): string | null {
  const buckets = new Map<string, { piece: number; spot: Spot }[]>();
  const keyOf = (x: number, y: number) => `${x} ${y}`;
  const size = Math.max(1, spacingMm);
  for (const [piece, line] of lines.entries())
    for (const spot of walkLine(line)) {
      const [bx, by] = [Math.floor(spot.x / size), Math.floor(spot.y / size)];
      for (let x = bx - 1; x <= bx + 1; x++)
        for (let y = by - 1; y <= by + 1; y++)
          for (const other of buckets.get(keyOf(x, y)) ?? []) {
            const away = Math.hypot(other.spot.x - spot.x, other.spot.y - spot.y);
            if (other.piece !== piece && away < spacingMm - 0.001)
              return `pieces ${other.piece} and ${piece} are ${away.toFixed(3)} mm apart`;
          }
      const key = keyOf(bx, by);
      if (!buckets.has(key)) buckets.set(key, []);
      buckets.get(key)!.push({ piece, spot });
    }
  return null;
}

function walkLine(line: readonly Spot[]): Spot[] {
  return line.flatMap((a, i) => {
    const b = line[(i + 1) % line.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / CELL));
    return Array.from({ length: steps }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / steps,
      y: a.y + ((b.y - a.y) * k) / steps,
    }));
  });
}
