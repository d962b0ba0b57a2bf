import { assignPieces } from '../fit/assignPieces.ts';
import type { PartRole } from '../model/partRole.ts';
import type { PartSizes, PartSize } from '../model/partShape.ts';
import type { PartState } from '../model/workpiece.ts';

/** A part that some model of some job lacks. */
export interface PartWish {
  readonly wantId: string;
  readonly castingId: string | null;
  readonly partKey: string;
  readonly role: PartRole;
  readonly sizes: PartSizes;
}

/** A part that a donor still has. */
export interface DonorPart {
  readonly id: string;
  readonly castingId: string | null;
  readonly partKey: string;
  readonly role: PartRole;
  readonly sizes: PartSizes;
  readonly state: PartState;
}

export interface DonorMatch {
  readonly wantId: string;
  readonly partId: string;
  /** 'same part': of the same casting; 'same size': it serves because it measures the same. */
  readonly why: 'same part' | 'same size';
}

/** What turns is the same on many castings, when its sizes are. */
const BY_SIZE: Partial<Record<PartRole, readonly PartSize[]>> = {
  wheel: ['diameter', 'bore', 'width'],
  tyre: ['diameter', 'bore'],
  axle: ['diameter', 'length'],
};
/** Nobody sees less, mm (planning estimate). */
const SAME_MM = 0.25;

/** Rather a sound part than a worn one, rather its own casting's than one of the same size; a missing one is none. */
const STATE_PRICE: Readonly<Record<PartState, number>> = { sound: 0, worn: 2, damaged: 8, missing: Infinity };
const BY_SIZE_PRICE = 1;

/** Every donor's part that would serve a want, for want. */
export function listMatches(wish: PartWish, parts: readonly DonorPart[]): (DonorMatch & { readonly price: number })[] {
  return parts.flatMap((part) => {
    const why = nameMatch(wish, part);
    const price = STATE_PRICE[part.state] + (why === 'same size' ? BY_SIZE_PRICE : 0);
    return why && price < Infinity ? [{ wantId: wish.wantId, partId: part.id, why, price }] : [];
  });
}

function nameMatch(wish: PartWish, part: DonorPart): DonorMatch['why'] | null {
  if (wish.castingId !== null && wish.castingId === part.castingId && wish.partKey === part.partKey) return 'same part';
  const sizes = wish.role === part.role ? BY_SIZE[wish.role] : undefined;
  const isSame = (size: PartSize) => {
    const [wanted, there] = [wish.sizes[size], part.sizes[size]];
    return wanted !== undefined && there !== undefined && Math.abs(wanted - there) <= SAME_MM;
  };
  return sizes?.every(isSame) ? 'same size' : null;
}

/** Which part of which donor serves which want, over all jobs at once: as many wants as can be, then the best parts. */
export function matchDonors(wishes: readonly PartWish[], parts: readonly DonorPart[]): DonorMatch[] {
  const matches = wishes.map((wish) => listMatches(wish, parts));
  const prices = matches.map((own) =>
    parts.map(({ id }) => own.find(({ partId }) => partId === id)?.price ?? Infinity),
  );
  const { pieceOf } = assignPieces(prices);
  return pieceOf.flatMap((piece, i) => {
    const match = piece === null ? undefined : matches[i]!.find(({ partId }) => partId === parts[piece]!.id);
    return match ? [{ wantId: match.wantId, partId: match.partId, why: match.why }] : [];
  });
}
