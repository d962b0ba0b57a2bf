// A printer, papers, films and paints of its own: dyes as absorption bands, halftones by Yule and Nielsen, surfaces that differ.
// Shares with the core only the step from a spectrum to Lab and the difference of two colours.
import { computeLab, type Lab } from '../../src/colour/colorimetry.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

const WAVES = Array.from({ length: 31 }, (_, i) => 400 + 10 * i);
const bell = (middle: number, width: number) => WAVES.map((wave) => Math.exp(-(((wave - middle) / width) ** 2)));
/** Absorbance of a full layer of cyan, magenta, yellow and black, once through. */
const DYES = [
  sum(scale(bell(635, 62), 0.62), scale(bell(460, 90), 0.06)),
  sum(scale(bell(545, 48), 0.66), scale(bell(440, 60), 0.1)),
  scale(bell(430, 52), 0.62),
  WAVES.map(() => 0.9),
];

function scale(list: readonly number[], by: number): number[] {
  return list.map((one) => one * by);
}
function sum(a: readonly number[], b: readonly number[]): number[] {
  return a.map((one, i) => one + b[i]!);
}

/** Of all light that falls on it, so much comes back whatever is printed. */
const ROOM = 0.01;

export interface PrintedSample {
  /** As it looks on the printer's own paper: what the artwork is told to be. */
  readonly onPaper: Lab;
  /** The same, and on clear film over a paint, as they are seen in a room whose light lies on everything. */
  readonly seen: Lab;
  readonly seenOver: (paint: readonly number[]) => Lab;
}

/** The middle one of those papers, bare: what somebody may know of his own. */
export const USUAL_PAPER: Lab = computeLab(WAVES.map((wave) => paperAt(0.87, wave)));

function paperAt(white: number, wave: number): number {
  return white - 0.03 * Math.exp(-(((wave - 420) / 40) ** 2));
}

/** An ink of random coverages on a printer, paper and film that are each a little different. */
export function printSample(random: RandomSource): PrintedSample {
  const vary = (middle: number, by: number) => middle + by * (2 * random() - 1);
  // Artworks are mostly flat colours: few inks at a time, often solid.
  const cover = DYES.map(() => (random() < 0.5 ? 0 : random() < 0.5 ? 1 : random()));
  if (random() < 0.6) cover[3] = random() < 0.25 ? 1 : 0;
  const strength = DYES.map(() => vary(1, 0.12));
  const n = vary(1.8, 0.35);
  const k2 = vary(0.58, 0.06);
  const paper = paperOf(vary(0.87, 0.03));
  const print = (ground: readonly number[], amount: number, spread: number, veil: number) =>
    computeLab(
      WAVES.map((_, i) => {
        const inner = strip(ground[i]!, k2);
        let root = 1;
        for (const [d, dye] of DYES.entries()) {
          const passed = 10 ** (-2 * dye[i]! * strength[d]! * amount);
          const area = Math.min(1, cover[d]! ** (1 / spread));
          root *= 1 - area + area * passed ** (1 / n);
        }
        return veil + cover4(inner * root ** n, k2);
      }),
    );
  const [amount, spread] = [vary(1, 0.08), vary(1.1, 0.1)];
  return {
    onPaper: print(paper, 1, 1.15, 0),
    seen: print(paper, 1, 1.15, ROOM),
    seenOver: (paint) => print(paint, amount, spread, ROOM),
  };
}

const paperOf = (white: number) => WAVES.map((wave) => paperAt(white, wave));
const strip = (measured: number, k2: number) => measured / (0.96 * (1 - k2) + k2 * measured);
const cover4 = (inner: number, k2: number) => (0.96 * (1 - k2) * inner) / (1 - k2 * inner);

/** Twelve body colours of toys, as reflectance without gloss. */
export const BODY_PAINTS: Readonly<Record<string, readonly number[]>> = {
  white: WAVES.map((wave) => (wave < 420 ? 0.6 : 0.86)),
  cream: WAVES.map((wave) => 0.45 + 0.33 / (1 + Math.exp(-(wave - 470) / 22))),
  yellow: WAVES.map((wave) => 0.06 + 0.66 / (1 + Math.exp(-(wave - 510) / 14))),
  orange: WAVES.map((wave) => 0.04 + 0.6 / (1 + Math.exp(-(wave - 575) / 14))),
  red: WAVES.map((wave) => 0.03 + 0.5 / (1 + Math.exp(-(wave - 605) / 12))),
  maroon: WAVES.map((wave) => 0.03 + 0.12 / (1 + Math.exp(-(wave - 610) / 16))),
  'pale green': WAVES.map((_, i) => 0.28 + 0.3 * bell(535, 60)[i]!),
  'dark green': WAVES.map((_, i) => 0.03 + 0.09 * bell(525, 45)[i]!),
  'sky blue': WAVES.map((_, i) => 0.24 + 0.36 * bell(465, 60)[i]!),
  'slate blue': WAVES.map((_, i) => 0.09 + 0.13 * bell(460, 60)[i]!),
  grey: WAVES.map(() => 0.32),
  black: WAVES.map(() => 0.035),
};
