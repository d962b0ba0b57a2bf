import { assignPieces } from '../../src/fit/assignPieces.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';

/** Hand-outs of 7 pieces to 5 places that are not as good as the best of all ways; a third of the pairs are forbidden. */
export function countMismatches(rounds: number, seed: number): number {
  const random = createSeededRandom(seed);
  let mismatches = 0;
  for (let i = 0; i < rounds; i++) {
    const prices = Array.from({ length: 5 }, () =>
      Array.from({ length: 7 }, () => (random() < 0.35 ? Infinity : Math.round(200 * random()) / 10)),
    );
    const { pieceOf, price } = assignPieces(prices);
    const best = tryAll(prices);
    const filled = pieceOf.filter((piece) => piece !== null).length;
    if (filled !== best.filled || Math.abs(price - best.price) > 1e-9) mismatches++;
  }
  return mismatches;
}

/** Every way to hand out pieces, one place after the other. */
function tryAll(prices: readonly (readonly number[])[]): { readonly filled: number; readonly price: number } {
  let best = { filled: -1, price: 0 };
  const used = new Set<number>();
  const go = (place: number, filled: number, price: number): void => {
    if (place === prices.length) {
      if (filled > best.filled || (filled === best.filled && price < best.price)) best = { filled, price };
      return;
    }
    go(place + 1, filled, price);
    for (const [piece, one] of prices[place]!.entries())
      if (one !== Infinity && !used.has(piece)) {
        used.add(piece);
        go(place + 1, filled + 1, price + one);
        used.delete(piece);
      }
  };
  go(0, 0, 0);
  return best;
}
