import type { Point } from '../../model/plane.ts';
import type { Picture } from '../../photo/picture.ts';
import { decodeSrgb, encodeSrgb } from '../display.ts';
import { PATCH_MM } from './colourCard.ts';

export type Channels = readonly [number, number, number];

const PATCH_INNER = 0.6;
const SAMPLES = 7;

/** One field of the card as the picture has it. */
export interface Field {
  readonly rgb: Channels;
  readonly at: Point;
  /** How far its brightness ranges from the darkest to the brightest tenth of its pixels, of 255 as stored. */
  readonly range: number;
}

/** Trimmed mean of a grid of pixels inside a field, decoded as sRGB; without a half-width, inside one of the card's patches. */
export function readField(picture: Picture, place: (mm: Point) => Point, middle: Point, halfMm?: number): Field {
  const [rx, ry] = halfMm
    ? [halfMm, halfMm]
    : [(PATCH_INNER * PATCH_MM.width) / 2, (PATCH_INNER * PATCH_MM.height) / 2];
  const channels: number[][] = [[], [], []];
  const tones: number[] = [];
  for (let i = 0; i < SAMPLES; i++)
    for (let j = 0; j < SAMPLES; j++) {
      const at = place({
        x: middle.x + rx * ((2 * i) / (SAMPLES - 1) - 1),
        y: middle.y + ry * ((2 * j) / (SAMPLES - 1) - 1),
      });
      const pixel = readPixel(picture, at);
      if (!pixel) continue;
      pixel.forEach((one, c) => channels[c]!.push(one));
      tones.push(255 * encodeSrgb((pixel[0] + pixel[1] + pixel[2]) / 3));
    }
  const [r, g, b] = channels.map((list) => (list.length ? trimmedMean(list) : 0));
  tones.sort((a, b) => a - b);
  const toneAt = (share: number) => tones[Math.floor(share * (tones.length - 1))] ?? 0;
  return { rgb: [r!, g!, b!], at: place(middle), range: toneAt(0.9) - toneAt(0.1) };
}

/** Linear red, green, blue of a pixel; null outside the picture. */
export function readPixel({ width, height, data }: Picture, { x, y }: Point): Channels | null {
  const [px, py] = [Math.round(x), Math.round(y)];
  if (px < 0 || py < 0 || px >= width || py >= height) return null;
  const at = (py * width + px) * 4;
  return [DECODED[data[at]!]!, DECODED[data[at + 1]!]!, DECODED[data[at + 2]!]!];
}

const DECODED = Float64Array.from({ length: 256 }, (_, i) => decodeSrgb(i / 255));

/** Mean without the lowest and the highest fifth. */
export function trimmedMean(list: number[]): number {
  const sorted = list.sort((a, b) => a - b);
  const cut = Math.floor(sorted.length / 5);
  const kept = sorted.slice(cut, sorted.length - cut);
  return kept.reduce((sum, one) => sum + one, 0) / kept.length;
}
