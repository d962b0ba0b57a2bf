import { computeDe00 } from '../../colour/difference.ts';
import { convertHexToLab } from '../../colour/display.ts';
import type { Lab } from '../../colour/colorimetry.ts';
import { InvalidInputError } from '../../model/errors.ts';
import type { Picture } from '../../photo/picture.ts';

/** A picture in flat inks: which each pixel is, 0 where nothing is printed. */
export interface FlatPicture {
  readonly width: number;
  readonly height: number;
  /** 0, or one more than the place of its ink; inks with the most pixels first. */
  readonly cells: Uint8Array;
  /** '#rrggbb'. */
  readonly inks: readonly string[];
}

/** Colours nearer than this are one ink, dE00. */
const SAME_INK = 9;
/** An ink covers at least this share of all that is printed: less is the rim between two others. */
const LEAST_SHARE = 0.004;
const MOST_INKS = 8;
/** So far from every ink a pixel is a shade, dE00; so many of them, and the picture is not flat. */
const [FAR, MOST_SHADES] = [22, 0.06];
/** Beside white paper this is white. */
const PAPER: Lab = [100, 0, 0];
const NEAR_PAPER = 6;

/**
 * The few flat inks of a picture. What is transparent is not printed; white is the paper where `isWhitePaper`. Pixels between two inks go
 * to the nearer one. Throws InvalidInputError for a picture of shades (a photograph), or of nothing.
 */
export function readFlatInks({ width, height, data }: Picture, isWhitePaper: boolean): FlatPicture {
  const bins = new Map<number, Bin>();
  const keys = new Int32Array(width * height);
  for (let i = 0; i < keys.length; i++) {
    const [r, g, b, alpha] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!, data[4 * i + 3]!];
    if (alpha < 128) {
      keys[i] = -1;
      continue;
    }
    const key = ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);
    keys[i] = key;
    const bin = bins.get(key) ?? { count: 0, r: 0, g: 0, b: 0 };
    bins.set(key, { count: bin.count + 1, r: bin.r + r, g: bin.g + g, b: bin.b + b });
  }
  const coloured = [...bins].map(([key, bin]) => ({ key, count: bin.count, ...describe(bin) }));
  const isPaper = (lab: Lab) => isWhitePaper && computeDe00(lab, PAPER) <= NEAR_PAPER;
  const printed = coloured.filter(({ lab }) => !isPaper(lab));
  const total = printed.reduce((sum, { count }) => sum + count, 0);
  if (total === 0)
    throw new InvalidInputError(
      'empty',
      'Nothing of this picture is printed: it is white or transparent all over.',
      'file',
    );
  const inks = chooseInks(printed, total);
  const shades = printed
    .filter(({ lab }) => Math.min(...inks.map((ink) => computeDe00(ink.lab, lab))) > FAR)
    .reduce((sum, { count }) => sum + count, 0);
  if (shades > MOST_SHADES * total)
    throw new InvalidInputError(
      'shades',
      `This picture has shades: ${Math.round((100 * shades) / total)} % of it is none of its ${inks.length} most frequent colours. Bring a picture of flat colours, or trace it.`,
      'file',
    );
  // The paper is one of those that a pixel may be nearest to.
  const all = isWhitePaper ? [...inks.map(({ lab }) => lab), PAPER] : inks.map(({ lab }) => lab);
  const cellOf = new Map(coloured.map(({ key, lab }) => [key, findNearest(lab, all)]));
  const cells = Uint8Array.from(keys, (key) => {
    const nearest = key < 0 ? inks.length : cellOf.get(key)!;
    return nearest < inks.length ? nearest + 1 : 0;
  });
  return { width, height, cells, inks: inks.map(({ hex }) => hex) };
}

interface Bin {
  readonly count: number;
  readonly r: number;
  readonly g: number;
  readonly b: number;
}

interface Coloured {
  readonly count: number;
  readonly hex: string;
  readonly lab: Lab;
}

function describe({ count, r, g, b }: Bin): { readonly hex: string; readonly lab: Lab } {
  const hex = `#${[r, g, b]
    .map((sum) =>
      Math.round(sum / count)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
  return { hex, lab: convertHexToLab(hex) };
}

/** The most frequent colours that are not alike. */
function chooseInks(printed: readonly Coloured[], total: number): Coloured[] {
  const inks: Coloured[] = [];
  for (const one of [...printed].sort((a, b) => b.count - a.count)) {
    if (inks.length === MOST_INKS || one.count < LEAST_SHARE * total) break;
    if (inks.every((ink) => computeDe00(ink.lab, one.lab) > SAME_INK)) inks.push(one);
  }
  return inks.length > 0 ? inks : [printed.reduce((most, one) => (one.count > most.count ? one : most))];
}

function findNearest(lab: Lab, all: readonly Lab[]): number {
  const away = all.map((one) => computeDe00(one, lab));
  return away.indexOf(Math.min(...away));
}
