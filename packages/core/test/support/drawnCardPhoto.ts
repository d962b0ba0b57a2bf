import { CARD_PATCHES, CARD_WHITE, PATCH_MM } from '../../src/colour/photo/colourCard.ts';
import { decodeSrgb } from '../../src/colour/display.ts';
import type { Point } from '../../src/model/plane.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';
import { BENCH_CARD, CARD_DOTS } from '../../src/photo/benchCard.ts';
import type { Picture } from '../../src/photo/picture.ts';
import { mapPoint, solveHomography } from '../../src/photo/solveHomography.ts';

/** A field of paint above the card, mm of the card's plane (y upwards of it is negative). */
const PAINTED = { left: 10, top: -34, right: 70, bottom: -6 } as const;

export interface DrawnPhoto {
  readonly paintHex: string;
  readonly isTurned?: boolean;
  /** Hex of something that lies on the painted field's middle: a glint, a chip. */
  readonly speckHex?: string;
  readonly hasCard?: boolean;
  /** Colours of the card's fields where it was not printed as designed. */
  readonly fieldHexes?: readonly string[];
  /** Light at a place of the card, mm: what reaches it, of 1, and what its gloss throws back besides. */
  readonly lightAt?: (mm: Point) => { readonly share: number; readonly veil: number };
}

/** A small photograph of the colour card without any library: perspective, light that falls off, a camera's own cast, noise. */
export function drawCardPhoto(
  { paintHex, isTurned = false, speckHex, hasCard = true, fieldHexes, lightAt }: DrawnPhoto,
  seed: number,
) {
  const random = createSeededRandom(seed);
  const [width, height] = [760, 620];
  const corners: Point[] = [
    { x: 130, y: 250 },
    { x: 640, y: 262 },
    { x: 655, y: 585 },
    { x: 118, y: 570 },
  ];
  const { widthMm, heightMm } = BENCH_CARD;
  const edge: Point[] = [
    { x: 0, y: 0 },
    { x: widthMm, y: 0 },
    { x: widthMm, y: heightMm },
    { x: 0, y: heightMm },
  ];
  const toMm = solveHomography(edge.map((mm, i) => ({ pixel: corners[i]!, mm })));
  const toPicture = solveHomography(edge.map((mm, i) => ({ pixel: mm, mm: corners[i]! })));
  const data = new Uint8ClampedArray(4 * width * height);
  const cast = [0.95, 0.88, 0.8];
  const middle = { x: (PAINTED.left + PAINTED.right) / 2, y: (PAINTED.top + PAINTED.bottom) / 2 };
  const hexAt = ({ x, y }: Point): string => {
    if (speckHex && Math.hypot(x - middle.x, y - middle.y) < 1.2) return speckHex;
    if (x > PAINTED.left && x < PAINTED.right && y > PAINTED.top && y < PAINTED.bottom) return paintHex;
    if (!hasCard || x < 0 || y < 0 || x > widthMm || y > heightMm) return '#9a9a9a';
    const own = isTurned ? { x: widthMm - x, y: heightMm - y } : { x, y };
    if (CARD_DOTS.some((dot) => Math.hypot(dot.x - own.x, dot.y - own.y) < BENCH_CARD.dotMm / 2)) return '#000000';
    const patch = CARD_PATCHES.findIndex(
      ({ middle: at }) => Math.abs(at.x - own.x) < PATCH_MM.width / 2 && Math.abs(at.y - own.y) < PATCH_MM.height / 2,
    );
    return patch < 0 ? CARD_WHITE : (fieldHexes?.[patch] ?? CARD_PATCHES[patch]!.hex);
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const mm = mapPoint(toMm, { x, y });
      const decoded = decodeHex(hexAt(mm));
      const { share, veil } = lightAt?.(mm) ?? { share: 1, veil: 0 };
      const light = 1 - 0.25 * ((x / width - 0.4) ** 2 + (y / height - 0.3) ** 2);
      for (let c = 0; c < 3; c++) {
        const linear = (decoded[c]! * light * share + veil) * cast[c]!;
        data[4 * (y * width + x) + c] = 255 * linear ** (1 / 2.1) + 3 * (random() + random() - 1);
      }
      data[4 * (y * width + x) + 3] = 255;
    }
  const picture: Picture = { width, height, data };
  return { picture, painted: mapPoint(toPicture, middle), beside: mapPoint(toPicture, { x: 20, y: middle.y }) };
}

const seen = new Map<string, readonly number[]>();

function decodeHex(hex: string): readonly number[] {
  const known = seen.get(hex) ?? [1, 3, 5].map((at) => decodeSrgb(parseInt(hex.slice(at, at + 2), 16) / 255));
  seen.set(hex, known);
  return known;
}
