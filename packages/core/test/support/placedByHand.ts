import type { Panel, Placing, Size } from '../../src/decal/panel/fitPanel.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

/** A panel measured with a spread, and a decal of some size: whether all four margins hold when it is laid by hand. */
export function placeByHand(size: Size, panel: Panel, placing: Placing, random: RandomSource): boolean {
  const holds = (read: { readonly mm: number; readonly sd: number }, own: number) => {
    const real = read.mm + read.sd * drawNormal(random);
    const left = (real - own) / 2 + placing.sd * drawNormal(random);
    const right = real - own - left;
    return left >= placing.marginMm && right >= placing.marginMm;
  };
  return [holds(panel.width, size.widthMm), holds(panel.height, size.heightMm)].every(Boolean);
}
