import type { Point } from '../../model/plane.ts';
import { BENCH_CARD, CARD_DOTS, drawCardDots } from '../../photo/benchCard.ts';
import type { Lab } from '../colorimetry.ts';
import { convertHexToLab, convertLabToHex } from '../display.ts';

/** One field of the colour card. */
export interface CardPatch {
  readonly hex: string;
  readonly lab: Lab;
  readonly isGrey: boolean;
  /** Middle, mm from the card's upper left corner. */
  readonly middle: Point;
}

const COLUMNS = 7;
const FIRST = { x: 9.5, y: 9 };
const STEP = { x: 9.5, y: 9.2 };
export const PATCH_MM = { width: 8.5, height: 8.2 } as const;

const GREYS = [22, 34, 46, 58, 70, 82, 93] as const;
/** Three rings of hues, turned against each other: dark, middle, light. */
const RINGS = [
  { l: 40, c: 30, from: 0 },
  { l: 56, c: 42, from: 17 },
  { l: 76, c: 26, from: 34 },
] as const;

/** The card's white, between and around the fields. */
export const CARD_WHITE = '#f6f6f4';

/**
 * The colour card: the bench card's dots, and between them seven greys and twenty-one colours on white. What counts is what a
 * card was *measured* as; one printed at home has other values until somebody measured it.
 */
export const CARD_PATCHES: readonly CardPatch[] = [
  ...GREYS.map((l): Lab => [l, 0, 0]),
  ...RINGS.flatMap(({ l, c, from }) =>
    GREYS.map((_, i): Lab => {
      const h = ((from + (360 * i) / COLUMNS) * Math.PI) / 180;
      return [l, c * Math.cos(h), c * Math.sin(h)];
    }),
  ),
].map((wanted, i): CardPatch => {
  const hex = convertLabToHex(wanted);
  return {
    hex,
    lab: convertHexToLab(hex),
    isGrey: i < GREYS.length,
    middle: {
      x: FIRST.x + STEP.x * (i % COLUMNS) + PATCH_MM.width / 2,
      y: FIRST.y + STEP.y * Math.floor(i / COLUMNS) + PATCH_MM.height / 2,
    },
  };
});

/** Places on the white border, clear of the dots, mm. */
export const BORDER_PLACES: readonly Point[] = (() => {
  const { widthMm, heightMm } = BENCH_CARD;
  const along = (from: number, to: number, count: number) =>
    Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));
  const all = [
    ...along(3, widthMm - 3, 18).flatMap((x) => [2, 5, heightMm - 5, heightMm - 2].map((y) => ({ x, y }))),
    ...along(3, heightMm - 3, 12).flatMap((y) => [2, 5, widthMm - 5, widthMm - 2].map((x) => ({ x, y }))),
  ];
  return all.filter(({ x, y }) => CARD_DOTS.every((dot) => Math.hypot(dot.x - x, dot.y - y) > 3));
})();

/** What is on the card, in its millimetres, as SVG. */
export function drawColourCardFace(): string {
  const { widthMm, heightMm } = BENCH_CARD;
  const fields = CARD_PATCHES.map(
    ({ hex, middle: { x, y } }) =>
      `<rect x="${x - PATCH_MM.width / 2}" y="${y - PATCH_MM.height / 2}" width="${PATCH_MM.width}" height="${PATCH_MM.height}" fill="${hex}"/>`,
  ).join('');
  return `<rect width="${widthMm}" height="${heightMm}" fill="${CARD_WHITE}"/>${drawCardDots()}${fields}`;
}
