import type { Refusal, RefusalCode } from '../model/refusal.ts';
import { WHOLE_UNITS, type LogLine, type StockUnit } from '../model/stock.ts';

/** What came into the house together, and what of it is left. */
export interface Lot {
  readonly at: string;
  readonly batch: string;
  readonly amount: number;
  /** Of one unit; null where nobody said. */
  readonly unitPrice: number | null;
}

/** What one job holds and has had of a thing. */
export interface JobShare {
  readonly jobId: string;
  /** Lies in the drawer for it. */
  readonly reserved: number;
  /** Was taken, and not put back. */
  readonly taken: number;
  readonly wasted: number;
  /** Of what was taken and wasted, so far as prices are known. */
  readonly cost: number;
  /** So much of that came in without a price. */
  readonly unpriced: number;
}

/** A thing as its log leaves it. */
export interface StockState {
  /** In the drawer, reserved or not. */
  readonly onHand: number;
  /** The oldest first: that is taken first. */
  readonly lots: readonly Lot[];
  /** Who holds something comes in the order in which it was asked for. */
  readonly jobs: readonly JobShare[];
}

export const EMPTY_STOCK: StockState = { onHand: 0, lots: [], jobs: [] };

/** Decimals of millimetres, millilitres and grams add up to less than this. */
const ROUNDING = 1e-6;
const round = (amount: number): number => Math.round(amount * 1e6) / 1e6;

const countReserved = ({ jobs }: StockState): number => round(jobs.reduce((sum, one) => sum + one.reserved, 0));
/** What any job may have. */
export const countFree = (state: StockState): number => round(state.onHand - countReserved(state));

/** What is put by for a job. */
export type HeldShare = Pick<JobShare, 'jobId' | 'reserved'>;

/** A thing in short: all that is shown where thousands of them are. */
export interface StockSum {
  readonly onHand: number;
  /** In the drawer and put by for nobody. */
  readonly free: number;
  readonly held: readonly HeldShare[];
}

export const sumStock = (state: StockState): StockSum => ({
  onHand: state.onHand,
  free: countFree(state),
  held: state.jobs.flatMap(({ jobId, reserved }) => (reserved > 0 ? [{ jobId, reserved }] : [])),
});

type Step = Pick<LogLine, 'move' | 'amount' | 'jobId' | 'price' | 'at' | 'batch'>;

const shareOf = ({ jobs }: StockState, jobId: string | null): JobShare =>
  jobs.find((one) => one.jobId === jobId) ?? {
    jobId: jobId ?? '',
    reserved: 0,
    taken: 0,
    wasted: 0,
    cost: 0,
    unpriced: 0,
  };

/** Why a line cannot be written; empty where it can. What is not there is not taken, what one job holds no other gets. */
export function checkMovement(state: StockState, { move, amount, jobId }: Step, unit: StockUnit): Refusal[] {
  const refuse = (code: RefusalCode, message: string): Refusal[] => [{ code, message }];
  if (!Number.isFinite(amount) || amount < 0 || (amount === 0 && move !== 'counted'))
    return refuse('no-amount', 'Say how much: a number above nothing.');
  if (WHOLE_UNITS.has(unit) && !Number.isInteger(amount))
    return refuse('no-half', `There are no parts of ${unit}: say a whole number.`);
  if (jobId === null && (move === 'reserved' || move === 'released' || move === 'put back'))
    return refuse('no-job', 'Say for which job.');
  const { reserved, taken } = shareOf(state, jobId);
  const most: Partial<Record<Step['move'], readonly [number, string]>> = {
    reserved: [countFree(state), 'free'],
    released: [reserved, 'reserved for this job'],
    taken: [countFree(state) + reserved, 'there for it'],
    wasted: [countFree(state) + reserved, 'there for it'],
    'put back': [taken, 'out with this job'],
  };
  const limit = most[move];
  if (limit && amount > limit[0] + ROUNDING)
    return refuse(
      'not-there',
      `Only ${say(limit[0])} ${limit[0] === 1 ? `${unit.replace(/s$/, '')} is` : `${unit} are`} ${limit[1]}.`,
    );
  return [];
}

/** One of few goes to no job until somebody lets it go: a price alone would not keep it. */
export const checkLock = (isLocked: boolean, { move, jobId }: Pick<Step, 'move' | 'jobId'>): Refusal[] =>
  isLocked && jobId !== null && (move === 'reserved' || move === 'taken')
    ? [{ code: 'kept-back', message: 'It is one of few and kept back: let it go first, where it says what it is.' }]
    : [];

const say = (amount: number): string => String(Number(amount.toFixed(2)));

/** A thing after one more line of its log, which checkMovement let pass. */
export function appendMovement(state: StockState, step: Step): StockState {
  switch (step.move) {
    case 'bought':
    case 'made':
    case 'from a donor':
      return putIn(state, step.amount, step.price === null ? null : step.price / step.amount, step);
    case 'counted':
      return count(state, step);
    case 'reserved':
      return { ...state, jobs: changeShare(state, step.jobId!, { reserved: step.amount }) };
    case 'released':
      return { ...state, jobs: changeShare(state, step.jobId!, { reserved: -step.amount }) };
    case 'put back': {
      const { taken, wasted, cost, unpriced } = shareOf(state, step.jobId);
      const priced = round(taken + wasted - unpriced);
      // What has a price goes back first.
      const worth = Math.min(step.amount, Math.max(0, priced));
      const unitPrice = worth > 0 ? cost / priced : null;
      const change = { taken: -step.amount, cost: -(unitPrice ?? 0) * worth, unpriced: worth - step.amount };
      const lots = [
        { amount: worth, unitPrice },
        { amount: round(step.amount - worth), unitPrice: null },
      ].filter(({ amount }) => amount > 0);
      const back = lots.reduce((on, lot) => putIn(on, lot.amount, lot.unitPrice, step), state);
      return { ...back, jobs: changeShare(state, step.jobId!, change) };
    }
    case 'taken':
    case 'wasted':
      return takeOut(state, step);
  }
}

/** A thing from the whole of its log, in the order in which it was written. */
export const foldMovements = (movements: readonly Step[]): StockState => movements.reduce(appendMovement, EMPTY_STOCK);

function putIn(state: StockState, amount: number, unitPrice: number | null, { at, batch }: Step): StockState {
  const lots = [...state.lots, { at, batch, amount, unitPrice }].sort((a, b) => a.at.localeCompare(b.at));
  return { ...state, onHand: round(state.onHand + amount), lots };
}

function takeOut(state: StockState, { move, amount, jobId }: Step): StockState {
  const { lots, cost, unpriced } = drain(state.lots, amount);
  const left = { ...state, onHand: round(state.onHand - amount), lots };
  if (jobId === null) return left;
  const { reserved } = shareOf(state, jobId);
  const change = {
    reserved: -Math.min(reserved, amount),
    cost,
    unpriced,
    [move === 'taken' ? 'taken' : 'wasted']: amount,
  };
  return { ...left, jobs: changeShare(state, jobId, change) };
}

/** Out of the oldest first. */
function drain(lots: readonly Lot[], amount: number): Pick<JobShare, 'cost' | 'unpriced'> & { readonly lots: Lot[] } {
  let [left, cost, unpriced] = [amount, 0, 0];
  const kept = lots.flatMap((lot): Lot[] => {
    const out = Math.min(left, lot.amount);
    left -= out;
    cost += out * (lot.unitPrice ?? 0);
    unpriced += lot.unitPrice === null ? out : 0;
    const rest = round(lot.amount - out);
    return rest > 0 ? [{ ...lot, amount: rest }] : [];
  });
  return { lots: kept, cost, unpriced };
}

/** As much as was counted is there. Where that is less than jobs hold, who asked last gets less. */
function count(state: StockState, step: Step): StockState {
  const more = step.amount - state.onHand;
  const counted =
    more > 0 ? putIn(state, more, null, step) : { ...state, onHand: step.amount, lots: drain(state.lots, -more).lots };
  let over = Math.max(0, countReserved(state) - step.amount);
  const jobs = [...state.jobs].reverse().map((one) => {
    const lost = Math.min(over, one.reserved);
    over -= lost;
    return { ...one, reserved: round(one.reserved - lost) };
  });
  return { ...counted, onHand: round(step.amount), jobs: jobs.reverse() };
}

function changeShare(state: StockState, jobId: string, by: Partial<Omit<JobShare, 'jobId'>>): JobShare[] {
  const before = shareOf(state, jobId);
  const after: JobShare = {
    jobId,
    reserved: round(before.reserved + (by.reserved ?? 0)),
    taken: round(before.taken + (by.taken ?? 0)),
    wasted: round(before.wasted + (by.wasted ?? 0)),
    cost: before.cost + (by.cost ?? 0),
    unpriced: round(before.unpriced + (by.unpriced ?? 0)),
  };
  const isNew = before.reserved === 0 && after.reserved > 0;
  const isKnown = state.jobs.some((one) => one.jobId === jobId);
  if (isKnown && !isNew) return state.jobs.map((one) => (one.jobId === jobId ? after : one));
  return [...state.jobs.filter((one) => one.jobId !== jobId), after];
}
