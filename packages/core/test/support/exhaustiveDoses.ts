import { computeLab } from '../../src/colour/colorimetry.ts';
import { computeDe00 } from '../../src/colour/difference.ts';
import { predictMix } from '../../src/colour/kubelkaMunk.ts';
import type { MatchTarget } from '../../src/colour/match/polish.ts';
import type { Shelf } from '../../src/colour/match/shelfOptics.ts';

/**
 * Slow yardstick for poor shelves: the least objective of all whole doses of up to three pots that hold them, tried one by one
 * with the plain formulas. Infinity where no pots hold as much.
 */
export function doseExhaustively({ paints }: Shelf, target: MatchTarget, total: number, doseMl: number): number {
  const most = paints.map(({ leftMl }) => Math.floor(leftMl / doseMl + 1e-9));
  let best = Infinity;
  const judge = (ids: readonly number[], doses: readonly number[]) => {
    const spectrum = predictMix(
      ids.map((id) => paints[id]!),
      doses,
    );
    const off =
      computeDe00(target.d65, computeLab(spectrum)) + target.weightA * computeDe00(target.a, computeLab(spectrum, 'A'));
    best = Math.min(best, off);
  };
  for (let a = 0; a < paints.length; a++) {
    if (most[a]! >= total) judge([a], [total]);
    for (let b = a + 1; b < paints.length; b++) {
      for (let x = 1; x < total; x++) if (x <= most[a]! && total - x <= most[b]!) judge([a, b], [x, total - x]);
      for (let c = b + 1; c < paints.length; c++)
        for (let x = 1; x <= Math.min(most[a]!, total - 2); x++)
          for (let y = 1; y <= Math.min(most[b]!, total - x - 1); y++)
            if (total - x - y <= most[c]!) judge([a, b, c], [x, y, total - x - y]);
    }
  }
  return best;
}
