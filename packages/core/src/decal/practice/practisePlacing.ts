import type { RandomSource } from '../../numeric/seededRandom.ts';
import type { DecalTrouble } from '../placing/decalAct.ts';
import type { FoldRisk } from '../placing/foldRisk.ts';
import type { PlacingStep, TimedStep } from '../placing/listPlacingSteps.ts';

/** What a hand may do beside the steps, and should not. */
export const WRONG_ACTS = ['slide the decal off the paper', 'press it down dry'] as const;
export type WrongAct = (typeof WRONG_ACTS)[number];
export type PracticeAct = PlacingStep | WrongAct;

/** What may go wrong here by what was done; the others come later, or of the artwork. */
export type PracticeTrouble = Extract<DecalTrouble, 'folded' | 'torn' | 'slid away' | 'stuck crooked'>;

export const FAULTS = [
  'not cut',
  'not tried dry',
  'panel dry',
  'pulled too early',
  'in the water too long',
  'decal pulled, not the paper',
  'end not run off',
  'margins not looked at',
  'pressed down dry',
  'wrong rescue',
] as const;
export type PracticeFault = (typeof FAULTS)[number];

export interface PracticePiece {
  readonly done: readonly PlacingStep[];
  /** Seconds of the round's clock at which it went into the water; null before. */
  readonly wetAtS: number | null;
  readonly trouble: PracticeTrouble | null;
}

/** A decal that is placed for practice. */
export interface PracticeState {
  readonly piece: PracticePiece;
  /** This one included. */
  readonly piecesLeft: number;
  readonly faults: readonly { readonly fault: PracticeFault; readonly ledTo: PracticeTrouble | null }[];
  /** Troubles that came of nothing but bad luck. */
  readonly badLuck: number;
  readonly end: 'placed' | 'lost' | null;
}

/** What the round is about: its steps in the right order, and how easily it folds. */
export interface PracticeTask {
  readonly steps: readonly TimedStep[];
  readonly fold: FoldRisk;
}

const FRESH: PracticePiece = { done: [], wetAtS: null, trouble: null };

export const beginPractice = (pieces: number): PracticeState => ({
  ...{ piece: FRESH, piecesLeft: pieces, faults: [], badLuck: 0, end: null },
});

/*
 * How often each fault has its consequence. Planning estimates for practice alone: they teach the order, they measure nobody's hands.
 */
const CHANCE = {
  early: 0.8,
  late: 0.6,
  dryPanel: 0.7,
  pulled: 0.75,
  notRunOff: 0.5,
  notLooked: 0.5,
  pressedDry: 0.8,
  rescued: 0.85,
} as const;
/** Shorter in the water than this share of what it takes it does not slide; longer than so many times, its gum is gone. */
const [EARLY, LATE] = [0.7, 3];
/** What a pad, or fluid, takes off the risk of folding. */
const GENTLE = 0.5;

/** One act of the hand, at so many seconds of the round's clock. What cannot be done yet changes nothing. */
export function actInPractice(
  state: PracticeState,
  act: PracticeAct,
  nowS: number,
  task: PracticeTask,
  random: RandomSource,
): PracticeState {
  const { piece, end } = state;
  if (end !== null || piece.trouble !== null) return state;
  if (act === 'slide the decal off the paper' || act === 'slide the paper away')
    return slide(state, act, nowS, task, random);
  if (act === 'press it down dry') {
    if (!hasSlid(piece)) return state;
    return fail(state, 'pressed down dry', random() < CHANCE.pressedDry ? 'stuck crooked' : null);
  }
  if (piece.done.includes(act)) return state;
  if (act === 'soak') {
    const faulty = piece.done.includes('cut close') ? state : fail(state, 'not cut', null);
    return { ...faulty, piece: { ...piece, done: [...piece.done, act], wetAtS: nowS } };
  }
  if (act === 'roll out') return hasSlid(piece) ? rollOut(state, task, random) : state;
  if (act === 'leave it') {
    if (!piece.done.includes('roll out')) return state;
    return { ...mark(state, act), end: 'placed' };
  }
  // After it slid there is nothing to try dry, and nothing to wet below it.
  const isBefore = task.steps.findIndex(({ step }) => step === act) < task.steps.findIndex(({ step }) => step === SLID);
  if (isBefore === hasSlid(piece) || (act === 'wait on the pad' && piece.wetAtS === null)) return state;
  return mark(state, act);
}

const SLID: PlacingStep = 'slide the paper away';
const hasSlid = ({ done }: PracticePiece) => done.includes(SLID);
const mark = (state: PracticeState, step: PlacingStep): PracticeState => ({
  ...state,
  piece: { ...state.piece, done: [...state.piece.done, step] },
});
const fail = (state: PracticeState, fault: PracticeFault, ledTo: PracticeTrouble | null): PracticeState => ({
  ...state,
  piece: { ...state.piece, trouble: state.piece.trouble ?? ledTo },
  faults: [...state.faults, { fault, ledTo }],
});

/** Onto the panel: by the paper, or by the decal. */
function slide(
  state: PracticeState,
  act: 'slide the paper away' | 'slide the decal off the paper',
  nowS: number,
  { steps, fold }: PracticeTask,
  random: RandomSource,
): PracticeState {
  const { piece } = state;
  if (piece.wetAtS === null || hasSlid(piece)) return state;
  const soakS = steps.find(({ step }) => step === 'soak')?.seconds ?? 0;
  const wetS = nowS - piece.wetAtS;
  let next = mark(state, SLID);
  if (wetS < EARLY * soakS) next = fail(next, 'pulled too early', random() < CHANCE.early ? 'torn' : null);
  else if (wetS > LATE * soakS) next = fail(next, 'in the water too long', random() < CHANCE.late ? 'slid away' : null);
  const isWet = piece.done.includes('wet the panel') || piece.done.includes('fluid on the panel');
  if (!isWet) next = fail(next, 'panel dry', random() < CHANCE.dryPanel ? 'stuck crooked' : null);
  if (!piece.done.includes('dry-fit')) next = fail(next, 'not tried dry', null);
  if (act === 'slide the decal off the paper')
    return fail(next, 'decal pulled, not the paper', random() < CHANCE.pulled ? 'folded' : null);
  const isGentle = piece.done.includes('wait on the pad') || piece.done.includes('fluid on the panel');
  const folds = random() < fold.chance * (isGentle ? GENTLE : 1);
  if (!folds || next.piece.trouble !== null) return next;
  return { ...next, piece: { ...next.piece, trouble: 'folded' }, badLuck: next.badLuck + 1 };
}

/** Water out, down for good: what was not put right before stays so. */
function rollOut(state: PracticeState, { steps }: PracticeTask, random: RandomSource): PracticeState {
  const { done } = state.piece;
  let next = mark(state, 'roll out');
  const isLong = steps.some(({ step }) => step === 'run the far end off the edge');
  if (isLong && !done.includes('run the far end off the edge'))
    next = fail(next, 'end not run off', random() < CHANCE.notRunOff ? 'folded' : null);
  if (!done.includes('look at the margins'))
    next = fail(next, 'margins not looked at', random() < CHANCE.notLooked ? 'stuck crooked' : null);
  return next;
}

/** A rescue that was chosen: the right one mostly helps, a wrong one costs the piece. */
export function rescueInPractice(state: PracticeState, isRight: boolean, random: RandomSource): PracticeState {
  if (state.end !== null || state.piece.trouble === null) return state;
  const judged = isRight ? state : fail(state, 'wrong rescue', null);
  if (isRight && random() < CHANCE.rescued) {
    // Floated again: what comes after sliding is done anew.
    const done = state.piece.done.slice(0, state.piece.done.indexOf(SLID) + 1);
    return { ...judged, piece: { ...state.piece, done, trouble: null } };
  }
  const piecesLeft = state.piecesLeft - 1;
  return piecesLeft > 0
    ? { ...judged, piece: FRESH, piecesLeft }
    : { ...judged, piece: { ...judged.piece, trouble: state.piece.trouble }, piecesLeft, end: 'lost' };
}
