import type { PaintProduct } from '../model/work.ts';
import type { CountedPaint } from './countCoats.ts';
import { coatsOver, MOST_COATS } from './planCoats.ts';

/** A primer of the shelf, and how many coats of a colour hide it. */
export interface CountedGround {
  readonly productId: string;
  readonly name: string;
  readonly colourHex: string;
  /** null where twelve are not enough. */
  readonly coats: number | null;
}

export interface GroundAdvice {
  /** Coats over the ground that is planned; null where twelve are not enough. */
  readonly coats: number | null;
  /** The primer of the shelf that saves most coats; null where none saves any. */
  readonly better: CountedGround | null;
  /** Over every primer it takes so many that a light coat of its own kind goes on first. */
  readonly wantsOwnGround: boolean;
}

type Primer = Pick<PaintProduct, 'id' | 'line' | 'name' | 'kind' | 'colourHex'>;

/** Which primer makes this colour cheapest to hide, and whether it is so weak that it wants a ground of its own. */
export function adviseGround(paint: CountedPaint, groundHex: string, primers: readonly Primer[]): GroundAdvice {
  const count = (hex: string) => coatsOver(paint, hex);
  const coats = count(groundHex);
  const grounds = primers
    .filter(({ kind }) => kind === 'primer')
    .map(({ id, line, name, colourHex }): CountedGround => ({
      ...{ productId: id, name: `${line} ${name}`, colourHex, coats: count(colourHex) },
    }))
    .sort((a, b) => (a.coats ?? Infinity) - (b.coats ?? Infinity));
  const best = grounds[0] ?? null;
  const isBetter = best !== null && (best.coats ?? Infinity) < (coats ?? Infinity);
  return {
    ...{ coats, better: isBetter ? best : null },
    wantsOwnGround: Math.min(coats ?? Infinity, best?.coats ?? Infinity) > MOST_COATS,
  };
}
