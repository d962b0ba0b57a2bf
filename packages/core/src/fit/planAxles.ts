import { assignPieces } from './assignPieces.ts';
import { fitAxle, preparePlace, type AxlePiece, type FittedAxle, type WheeledPlace } from './fitAxle.ts';

/** A place of some model of some job, and what the restorer said of it. */
export interface AxleWish extends WheeledPlace {
  readonly id: string;
}

export interface KeptPiece extends AxlePiece {
  /** One of few of its kind: it stays in its drawer until the restorer lets it go. */
  readonly isLocked: boolean;
}

export interface PlannedAxle<P extends KeptPiece = KeptPiece> {
  readonly wishId: string;
  /** null where nothing in the house is long enough for sure. */
  readonly piece: P | null;
  readonly fit: FittedAxle | null;
  /** What would serve, were it measured better; the longest first. */
  readonly unsure: readonly P[];
  /** What would serve, were it let go. */
  readonly locked: readonly P[];
}

/**
 * Which piece goes to which place, over all jobs at once: as many places served as can be, then with the least work and waste. What
 * is locked is not given at any price, what may be too short is not given at all.
 */
export function planAxles<P extends KeptPiece>(wishes: readonly AxleWish[], pieces: readonly P[]): PlannedAxle<P>[] {
  const fits = wishes.map((wish) => {
    const place = preparePlace(wish);
    return pieces.map((piece) => fitAxle(piece, place));
  });
  const prices = fits.map((row) => row.map(({ price }, i) => (pieces[i]!.isLocked ? Infinity : price)));
  const { pieceOf } = assignPieces(prices);
  return wishes.map(({ id }, place) => {
    const given = pieceOf[place]!;
    const such = (verdict: FittedAxle['verdict'], isLocked: boolean) =>
      pieces.filter((piece, i) => fits[place]![i]!.verdict === verdict && piece.isLocked === isLocked);
    return {
      wishId: id,
      piece: given === null ? null : pieces[given]!,
      fit: given === null ? null : fits[place]![given]!,
      unsure: such('measure again', false).sort((a, b) => b.length.mm - a.length.mm),
      locked: such('fits', true),
    };
  });
}
