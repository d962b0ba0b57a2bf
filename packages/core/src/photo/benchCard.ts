import type { Point } from '../model/plane.ts';

/** The card that is laid beside the model: dark dots on white, as wide as a bank card so that it fits a wallet. */
export const BENCH_CARD = { name: 'bench card', widthMm: 85, heightMm: 54, dotMm: 3 } as const;

const INSET_MM = 5;

/** Middles of the card's dots, mm from its upper left corner: the four corners first, clockwise, then the others. */
export const CARD_DOTS: readonly Point[] = (() => {
  const { widthMm, heightMm } = BENCH_CARD;
  const [right, bottom] = [widthMm - INSET_MM, heightMm - INSET_MM];
  const between = (share: number) => INSET_MM + share * (right - INSET_MM);
  return [
    { x: INSET_MM, y: INSET_MM },
    { x: right, y: INSET_MM },
    { x: right, y: bottom },
    { x: INSET_MM, y: bottom },
    ...[0.25, 0.5, 0.75].flatMap((share) => [
      { x: between(share), y: INSET_MM },
      { x: between(share), y: bottom },
    ]),
    { x: INSET_MM, y: heightMm / 2 },
    { x: right, y: heightMm / 2 },
  ];
})();

/** The card as SVG at true size, for printing, with a rule of 60 mm to check the printer by. */
export function drawBenchCard(): string {
  const { widthMm, heightMm } = BENCH_CARD;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">${drawCardFace()}</svg>`;
}

/** What is on the card, in its millimetres. */
export function drawCardFace(): string {
  const { widthMm, heightMm } = BENCH_CARD;
  const ticks = Array.from(
    { length: 61 },
    (_, i) =>
      `<path d="M${12.5 + i} 34v${i % 10 === 0 ? 4 : i % 5 === 0 ? 3 : 1.8}" stroke="#000" stroke-width=".15"/>`,
  ).join('');
  return `<rect width="${widthMm}" height="${heightMm}" fill="#fff" stroke="#999" stroke-width=".1"/>${drawCardDots()}${ticks}`;
}

/** The dots by which every card is found. */
export const drawCardDots = (): string =>
  CARD_DOTS.map(({ x, y }) => `<circle cx="${x}" cy="${y}" r="${BENCH_CARD.dotMm / 2}"/>`).join('');
