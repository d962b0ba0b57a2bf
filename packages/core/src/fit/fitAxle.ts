import { computeEndStock, type AxleEnd } from './axleEnds.ts';
import { GROUND_AWAY, judgeLength, type AxleAnswer, type AxlePlace } from './axleLength.ts';
import { exactly, sumReadings, type Reading } from './reading.ts';
import { judgeGap, type Link } from './tolerance.ts';
import { PLAY } from './wheels.ts';

/** A head that a piece brings with it: how high it stands on the wheel. */
export interface AxleHead {
  readonly kind: 'domed' | 'crimped';
  readonly height: Reading;
}

/** An axle as it lies in a drawer, or in a donor. */
export interface AxlePiece {
  readonly id: string;
  readonly diameter: Reading;
  /** Over both its tips, heads included. */
  readonly length: Reading;
  readonly heads: readonly [AxleHead | null, AxleHead | null];
  readonly isStraight: boolean;
  /** It has to come out of another model first. */
  readonly isInDonor: boolean;
}

/** Where an axle goes, with the holes of the wheels that it holds. */
export interface WheeledPlace extends AxlePlace {
  readonly bore: Reading;
}

export type AxleVerdict = 'fits' | 'measure again' | 'too short' | 'too thick' | 'too thin';

export interface FittedAxle {
  readonly verdict: AxleVerdict;
  readonly length: AxleAnswer;
  /** The end of the piece whose head stays; null where both are formed anew. */
  readonly keeps: 0 | 1 | null;
  /** What comes off, mm, and from which of its ends: heads that go are in it; nothing unless it fits. */
  readonly trim: readonly [number, number];
  /** Work and waste, minutes (planning estimate); Infinity unless it fits. */
  readonly price: number;
}

/** Planning estimates, minutes. */
const FORM_MIN = 6;
const CUT_MIN = 3;
const STRAIGHTEN_MIN = 8;
const FROM_DONOR_MIN = 15;
/** A longer piece could have served a wider model: minutes a millimetre. */
const WASTE_MIN_PER_MM = 0.5;
/** No saw takes less off, mm. */
const LEAST_CUT = 0.1;

/** A place with what its ends take worked out once: hundreds of pieces are tried in it. */
export interface PreparedPlace {
  /** As the first length of the chain that leaves the play. */
  readonly bore: Link;
  readonly kinds: readonly [AxleEnd['kind'], AxleEnd['kind']];
  /** What a piece needs that keeps no head, and one whose head serves as the first end, or as the second. */
  readonly needs: readonly [none: Reading, first: Reading, second: Reading];
}

export function preparePlace({ outside, clearance, diameter, ends, bore }: WheeledPlace): PreparedPlace {
  const [first, second] = ends.map((end) => computeEndStock(end, diameter).stock) as [Reading, Reading];
  const grip = sumReadings([outside, exactly(clearance)]);
  return {
    ...{ bore: { ...bore, sign: 1 }, kinds: [ends[0].kind, ends[1].kind] },
    needs: [sumReadings([grip, first, second]), sumReadings([grip, second]), sumReadings([grip, first])],
  };
}

/** Whether a piece can be the axle of a place, with which of its heads, and what it costs. */
export function fitAxle(piece: AxlePiece, place: PreparedPlace): FittedAxle {
  const bare = tryWay(piece, place, null);
  if (piece.heads[0] === null && piece.heads[1] === null) return bare;
  const ways = ([0, 1] as const).filter((keeps) => servesAs(piece, keeps, place) !== null);
  const rank = ({ verdict }: FittedAxle) => (verdict === 'fits' ? 0 : verdict === 'measure again' ? 1 : 2);
  return [bare, ...ways.map((keeps) => tryWay(piece, place, keeps))].sort(
    (a, b) => rank(a) - rank(b) || (a.price === b.price ? b.length.spare.mm - a.length.spare.mm : a.price - b.price),
  )[0]!;
}

/** A head stays where one of its kind is wanted; the wheel goes on from the other end. */
function servesAs({ heads }: AxlePiece, keeps: 0 | 1 | null, { kinds }: PreparedPlace): 0 | 1 | null {
  const kind = keeps === null ? null : heads[keeps]?.kind;
  return kind === kinds[0] ? 0 : kind === kinds[1] ? 1 : null;
}

function tryWay(piece: AxlePiece, place: PreparedPlace, keeps: 0 | 1 | null): FittedAxle {
  const served = servesAs(piece, keeps, place);
  const [left, right] = [listLost(piece, 0, keeps), listLost(piece, 1, keeps)];
  const kept = keeps === null ? NOTHING : [piece.heads[keeps]!.height];
  const isWhole = left === NOTHING && right === NOTHING && kept === NOTHING;
  const have = isWhole ? piece.length : sumReadings([piece.length], [...left, ...right, ...kept]);
  const length = judgeLength(have, place.needs[served === null ? 0 : served === 0 ? 1 : 2]);
  const verdict = nameVerdict(piece, place, length);
  if (verdict !== 'fits') return { verdict, length, keeps, trim: NO_TRIM, price: Infinity };
  const over = Math.max(0, length.spare.mm);
  // The rest comes off where a head goes anyhow, else off the end that is formed.
  const from = keeps !== null ? 1 - keeps : right.length > left.length ? 1 : 0;
  const trim = [sumOf(left) + (from === 0 ? over : 0), sumOf(right) + (from === 1 ? over : 0)] as const;
  const formed = place.kinds.filter((kind, i) => i !== served && kind !== 'pressed').length;
  const cuts = trim.filter((mm) => mm > LEAST_CUT).length;
  const work =
    FORM_MIN * formed +
    CUT_MIN * cuts +
    (piece.isStraight ? 0 : STRAIGHTEN_MIN) +
    (piece.isInDonor ? FROM_DONOR_MIN : 0);
  return { verdict, length, keeps, trim, price: work + WASTE_MIN_PER_MM * over };
}

const NOTHING: readonly Reading[] = [];
const NO_TRIM = [0, 0] as const;

/** What an end of a piece loses with its head. */
function listLost({ heads }: AxlePiece, end: 0 | 1, keeps: 0 | 1 | null): readonly Reading[] {
  const head = heads[end];
  return head && end !== keeps ? [head.height, GROUND_AWAY] : NOTHING;
}

const sumOf = (lost: readonly Reading[]): number => lost.reduce((sum, { mm }) => sum + mm, 0);

function nameVerdict({ diameter }: AxlePiece, { bore }: PreparedPlace, { decision }: AxleAnswer): AxleVerdict {
  // Short is short, whatever its play.
  if (decision === 'no') return 'too short';
  const { fit } = judgeGap([bore, { mm: diameter.mm, sd: diameter.sd, sign: -1 }], PLAY.bore);
  if (fit === 'no' || fit === 'tight') return 'too thick';
  if (fit === 'loose') return 'too thin';
  return decision === 'yes' ? 'fits' : 'measure again';
}
