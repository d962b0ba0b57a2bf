import type { CastingPart } from '../model/catalogue.ts';
import type { SchoolOption } from '../model/school.ts';
import type { TaskMeasure } from '../model/task.ts';
import { countReservedFor, readMeasure, type DrawerThing } from './drawerThing.ts';
import type { AxleShare } from './axleShare.ts';
import type { AxleEnd } from './axleEnds.ts';
import { judgeAfterGrinding, type AxleAnswer } from './axleLength.ts';
import { fitAxle, preparePlace, type AxleHead, type AxlePiece, type FittedAxle, type WheeledPlace } from './fitAxle.ts';
import type { Reading } from './reading.ts';

/** A piece that would do instead, and what is to be done to it. */
export interface AxleOffer {
  readonly thing: Pick<DrawerThing, 'id' | 'name' | 'drawer' | 'isLocked'>;
  readonly lengthMm: number;
  readonly fit: FittedAxle;
  readonly free: number;
  /** Put by for this job already. */
  readonly reserved: number;
  /** So many go to this step when they are handed out over all jobs. */
  readonly own: number;
  /** What others need of it then: nothing else may fit there. */
  readonly others: readonly { readonly jobNumber: string; readonly amount: number }[];
}

/** Whether the axles in a model are still long enough when their ends go, and what lies in the drawers if they are not. */
export interface AxleCheck {
  readonly answer: AxleAnswer;
  /** Axles that are opened. */
  readonly count: number;
  /**
   * What fits: what is put by first, then what this step gets over all jobs, what nobody else needs, what others need; one that is
   * kept back comes last, it has to be let go first. The least work and waste first within each.
   */
  readonly offers: readonly AxleOffer[];
  /** Of those that fit, put by for this job. */
  readonly reserved: number;
}

export interface AxleQuestion {
  readonly measures: readonly TaskMeasure[];
  readonly ends: SchoolOption<'S5'>;
  readonly count: number;
  readonly things: readonly DrawerThing[];
  readonly jobId: string;
  readonly taskId: string;
  /** Over all jobs; empty where nobody asks about others. */
  readonly shares: readonly AxleShare[];
}

/** Axles of a joint, by the parts that it holds; one where the casting does not say. */
export const countAxles = (
  parts: readonly Pick<CastingPart, 'key' | 'role' | 'count'>[],
  partKeys: readonly string[],
): number =>
  Math.max(
    1,
    parts.reduce((sum, { key, role, count }) => sum + (role === 'axle' && partKeys.includes(key) ? count : 0), 0),
  );

/** Calipers in a hand, mm. */
const CALIPER_SD = 0.03;
/** A head as it was formed, mm. */
const HEAD_SD = 0.06;
/** Planning estimates, by the diameter of the axle: a head, a flat, and the hole of the wheel over the axle in mm. */
const HEAD_ACROSS = 1.75;
const HEAD_HIGH = 0.5;
const FLAT_LONG = 1.5;
const BORE_OVER: Reading = { mm: 0.12, sd: 0.02 };
/** So that the wheels run, both sides together, mm (planning estimate). */
const CLEARANCE = 0.3;

/** Where the axle goes, by what was measured; null until length, diameter and what is over the wheels are. */
export function toPlace({ measures, ends }: Pick<AxleQuestion, 'measures' | 'ends'>): WheeledPlace | null {
  const read = (what: TaskMeasure['what']) => readMeasure(measures, what);
  const [length, diameter, outside] = [read('length'), read('diameter'), read('over the wheels')];
  if (length === undefined || diameter === undefined || outside === undefined) return null;
  const end = endOf(ends, diameter, read('head') ?? HEAD_HIGH * diameter);
  return {
    ...{ outside: { mm: outside, sd: CALIPER_SD }, clearance: CLEARANCE, diameter, ends: [end, end] },
    bore: { mm: diameter + BORE_OVER.mm, sd: BORE_OVER.sd },
  };
}

/** null until length, diameter and what is over the wheels are measured. */
export function checkAxle({ measures, ends, count, things, jobId, taskId, shares }: AxleQuestion): AxleCheck | null {
  const place = toPlace({ measures, ends });
  if (!place) return null;
  const measuredHead = readMeasure(measures, 'head');
  const head: Reading = {
    mm: measuredHead ?? HEAD_HIGH * place.diameter,
    sd: measuredHead === undefined ? HEAD_SD : CALIPER_SD,
  };
  const overall = { mm: readMeasure(measures, 'length')!, sd: CALIPER_SD };
  const answer = judgeAfterGrinding({ overall, heads: [head, head] }, place);
  const prepared = preparePlace(place);
  const offers = things
    .flatMap((thing): AxleOffer[] => {
      const piece = toPiece(thing);
      if (!piece) return [];
      const reserved = countReservedFor(thing, jobId);
      const fit = fitAxle(piece, prepared);
      if (fit.verdict !== 'fits' || thing.free + reserved === 0) return [];
      const { id, name, drawer, isLocked, free } = thing;
      const amountOf = ({ given }: AxleShare) => given.find((one) => one.thing.id === id)?.amount ?? 0;
      const of = shares.map((share) => ({ taskId: share.taskId, jobNumber: share.jobNumber, amount: amountOf(share) }));
      const [own, others] = [of.find((one) => one.taskId === taskId), of.filter((one) => one.taskId !== taskId)];
      return [
        {
          ...{ thing: { id, name, drawer, isLocked }, lengthMm: piece.length.mm, fit, free, reserved },
          own: own?.amount ?? 0,
          others: others.flatMap(({ jobNumber, amount }) => (amount > 0 ? [{ jobNumber, amount }] : [])),
        },
      ];
    })
    .sort((a, b) => rankOffer(a) - rankOffer(b) || a.fit.price - b.fit.price);
  return { answer, count, offers, reserved: offers.reduce((sum, { reserved }) => sum + reserved, 0) };
}

function rankOffer({ thing, reserved, own, others }: AxleOffer): number {
  if (thing.isLocked) return 4;
  if (reserved > 0) return 0;
  if (own > 0) return 1;
  return others.length ? 3 : 2;
}

/** How an end will hold, as the house forms them; a hub that is driven on takes no stock. */
function endOf(ends: SchoolOption<'S5'>, diameter: number, headHeight: number): AxleEnd {
  switch (ends) {
    case 'crimp flat':
      return { kind: 'crimped', bore: diameter + BORE_OVER.mm, flatLength: FLAT_LONG * diameter, isAnnealed: true };
    case 'hub hammered on':
    case 'none, it fits tight':
      return { kind: 'pressed' };
    default:
      return { kind: 'domed', headDiameter: HEAD_ACROSS * diameter, headHeight };
  }
}

const HEADS_OF: Readonly<Record<string, readonly [AxleHead['kind'] | null, AxleHead['kind'] | null]>> = {
  'both bare': [null, null],
  'one domed': ['domed', null],
  'both domed': ['domed', 'domed'],
  'one crimped': ['crimped', null],
  'both crimped': ['crimped', 'crimped'],
};

/** null for what is no axle, or was never measured. */
export function toPiece({ id, kind, sizes, traits }: DrawerThing): AxlePiece | null {
  const { diameter, length, headHeight } = sizes;
  const heads = HEADS_OF[traits.ends ?? 'both bare'];
  if (kind !== 'axle' || diameter === undefined || length === undefined || !heads) return null;
  const headOf = (head: AxleHead['kind'] | null): AxleHead | null =>
    head === null ? null : { kind: head, height: { mm: headHeight ?? HEAD_HIGH * diameter, sd: HEAD_SD } };
  return {
    ...{ id, isStraight: true, isInDonor: false, heads: [headOf(heads[0]), headOf(heads[1])] },
    diameter: { mm: diameter, sd: 0.01 },
    length: { mm: length, sd: CALIPER_SD },
  };
}
