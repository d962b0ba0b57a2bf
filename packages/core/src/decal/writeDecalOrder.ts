import type { FollowedOrder } from './orderedDecals.ts';

/** The letter that goes with the artwork to a supplier: what, how large, how many, and what is asked of the print. */
export function writeDecalOrder(orders: readonly FollowedOrder[]): string {
  const lines = orders.map(({ artwork, count }, i) => {
    const inks = [...new Set(artwork.shapes.flatMap(({ fill, stroke }) => [fill, stroke]))].filter(
      (ink) => ink !== null,
    );
    return [
      `${i + 1}. ${artwork.name}`,
      `   File: ${nameOrderFile(orders, i)}`,
      `   Size: ${artwork.widthMm.toFixed(2)} x ${artwork.heightMm.toFixed(2)} mm, at 100 %`,
      `   Pieces: ${count}`,
      `   Colours (sRGB, on white): ${inks.join(', ')}`,
    ].join('\n');
  });
  return [
    'Waterslide decals on clear film, white printed under all ink.',
    'Each piece with at least 1 mm of film round it.',
    '',
    ...lines,
    '',
    `In all: ${orders.reduce((sum, { count }) => sum + count, 0)} pieces.`,
    '',
  ].join('\n');
}

/** Two artworks of one name are two files. */
export function nameOrderFile(orders: readonly FollowedOrder[], i: number): string {
  const plain = orders[i]!.artwork.name.replace(/[^\p{L}\p{N} ._-]/gu, '').trim() || 'decal';
  return `${i + 1} ${plain}.svg`;
}
