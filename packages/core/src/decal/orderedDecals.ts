import type { DecalRating } from '../model/decal.ts';
import type { WantState } from '../model/workpiece.ts';
import { learnQuality, type QualityLearned } from '../stock/learnQuality.ts';
import { type DecalAsked, type PrintedPieces } from './countWanted.ts';
import { isSamePrint } from './isSamePrint.ts';
import type { DecalOrder } from './decalOrder.ts';
import type { Film } from './white/judgeFilms.ts';

/** Pieces wanted of a supplier, with how far their want has come. */
export interface FollowedOrder extends DecalOrder {
  readonly state: WantState;
  /** Who sends them, or sent them; null while they are not ordered, or nobody wrote it down. */
  readonly supplier: { readonly id: string; readonly name: string } | null;
  /** ISO days; null where nobody said. */
  readonly promisedOn: string | null;
  readonly arrivedOn: string | null;
}

const SUPPLIERS_FILM: Film = 'clear with white under it, supplier';

type CountedSheet = PrintedPieces & { readonly film: Film };

/** What came, as sheets are counted. It lay at the supplier's before: its age counts from the day it came. */
export const listBought = (orders: readonly FollowedOrder[]): CountedSheet[] =>
  orders
    .filter(({ state }) => state === 'solved')
    .map(({ layerId, count, artwork, arrivedOn }) => ({
      ...{ at: arrivedOn ?? '', film: SUPPLIERS_FILM, isSpoiled: false, artworks: [artwork] },
      pieces: Array.from({ length: count }, () => ({ layerId, artworkId: artwork.id })),
    }));

/** All sheets that pieces are of: what came, and what was printed here. */
export const gatherSheets = (orders: readonly FollowedOrder[], printed: readonly CountedSheet[]): CountedSheet[] => [
  ...listBought(orders),
  ...printed,
];

/** Pieces of a decal, of its artwork as that is now, that are wanted or on their way. */
export const countComing = (
  { layerId, artwork }: Pick<DecalAsked, 'layerId' | 'artwork'>,
  orders: readonly FollowedOrder[],
): number =>
  orders
    .filter(
      (one) =>
        one.layerId === layerId &&
        (one.state === 'open' || one.state === 'ordered') &&
        artwork !== null &&
        isSamePrint(one.artwork, artwork),
    )
    .reduce((sum, { count }) => sum + count, 0);

/** What a sheet is looked at for. */
export const RATED = ['isSharp', 'isInRegister', 'isWhiteDense', 'releasesWell'] as const;
export type Rated = (typeof RATED)[number];

export interface RatedSupplier {
  readonly id: string;
  readonly name: string;
  readonly rated: Readonly<Record<Rated, QualityLearned>>;
}

/** What the sheets of each supplier were like, of those that somebody looked at. */
export function rateSuppliers(orders: readonly FollowedOrder[]): RatedSupplier[] {
  const suppliers = new Map(
    orders.flatMap(({ supplier }) => (supplier ? [[supplier.id, supplier.name] as const] : [])),
  );
  return [...suppliers]
    .map(([id, name]) => {
      const ratings = orders.filter((one) => one.supplier?.id === id).flatMap(({ rating }) => rating ?? []);
      const shareOf = (what: Rated) => learnRated(ratings, what);
      return {
        ...{ id, name },
        rated: {
          isSharp: shareOf('isSharp'),
          isInRegister: shareOf('isInRegister'),
          isWhiteDense: shareOf('isWhiteDense'),
          releasesWell: shareOf('releasesWell'),
        },
      };
    })
    .filter(({ rated }) => RATED.some((what) => rated[what].lines > 0))
    .sort((a, b) => a.name.localeCompare(b.name));
}

function learnRated(ratings: readonly DecalRating[], what: Rated): QualityLearned {
  const known = ratings.map((rating) => rating[what]).filter((answer) => answer !== null);
  return learnQuality(known.filter(Boolean).length, known.length);
}
