import { inflateSync } from 'node:zlib';

export interface PdfShapes {
  readonly widthMm: number;
  readonly heightMm: number;
  /** Filled shapes: colour 0 to 1 and the box, mm from the upper left. */
  readonly fills: readonly { readonly rgb: readonly number[]; readonly box: readonly number[] }[];
  /** Straight lines, mm from the upper left. */
  readonly lines: readonly (readonly [x1: number, y1: number, x2: number, y2: number])[];
}

const MM = 25.4 / 72;

/** Reads a one-page PDF by its operators; knows nothing of how it was written. */
export function readPdfShapes(pdf: Buffer): PdfShapes {
  const texts = [...pdf.toString('latin1').matchAll(/stream\r?\n([\s\S]*?)endstream/g)].flatMap(([, bytes]) => {
    try {
      return [inflateSync(Buffer.from(bytes!, 'latin1')).toString('latin1')];
    } catch {
      return [];
    }
  });
  const all = [pdf.toString('latin1'), ...texts].join('\n');
  const [, w, h] = /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/.exec(all)!;
  const height = Number(h);
  const fills: { rgb: number[]; box: number[] }[] = [];
  const lines: [number, number, number, number][] = [];
  let last = '';
  let [stack, path, rgb]: [number[], [number, number][], number[]] = [[], [], [0, 0, 0]];
  for (const word of texts
    .filter((text) => /\bm\b/.test(text))
    .join('\n')
    .split(/\s+/)) {
    if (/^[-+]?[\d.]+$/.test(word)) {
      stack.push(Number(word));
      continue;
    }
    const numbers = stack;
    stack = [];
    if (word === 'rg') rgb = numbers.slice(-3);
    else if (word === 'm' || word === 'l') {
      // A line that begins twice begins at the second place.
      if (word === 'm' && last === 'm') path.pop();
      path.push([numbers[0]! * MM, (height - numbers[1]!) * MM]);
    } else if (word === 'f' || word === 'f*') {
      const [xs, ys] = [path.map(([x]) => x), path.map(([, y]) => y)];
      fills.push({ rgb, box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] });
      path = [];
    } else if (word === 'S') {
      if (path.length === 2) lines.push([...path[0]!, ...path[1]!]);
      path = [];
    }
    last = word;
  }
  return { widthMm: Number(w) * MM, heightMm: height * MM, fills, lines };
}
