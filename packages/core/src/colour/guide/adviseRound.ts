import type { MixStep } from '../../model/colour.ts';
import { computeLab, type Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { predictMix, type Surface } from '../kubelkaMunk.ts';
import { MOST_IN_RECIPE } from '../match/mixModel.ts';
import { scoreMix } from '../match/polish.ts';
import type { Shelf } from '../match/shelfOptics.ts';
import { STRENGTH_SD, type Strengths } from './estimateStrengths.ts';
import { FIRST_SHARE, guideMix, startMix } from './guideMix.ts';
import { listReadings, type Reading } from './listReadings.ts';
import { isSameMix } from './patch.ts';
import type { Addition, AdditionLimits } from './planAddition.ts';
import { computeSureness, readCup } from './readCup.ts';
import { replayMix, volumeOf, type MixState } from './replayMix.ts';
import type { Path, PlannedPour, RoundAdvice, RoundQuestion } from './roundAdvice.ts';
import { warnOfOvershoot } from './warnOfOvershoot.ts';

/** Less than this part of a dose is still to be poured: done. */
const POURED = 0.51;

/**
 * Where a mixing stands and what comes next, from its log alone: the pours of this round as they were planned after the last
 * reading, less what was poured since; then the patch; then the next round. Nothing is ever to be taken out. A pot that nobody
 * advised is no fault: the round is planned anew from there.
 */
export function adviseRound(question: RoundQuestion): RoundAdvice {
  const { shelf, steps, limits, target } = question;
  const state = replayMix(steps);
  const readings = listReadings(state, steps, question.drying, question.eyes);
  const indexOf = (productId: string) => shelf.paints.findIndex((paint) => paint.id === productId);
  const { base, plan } = planRound(question, state, readings, indexOf);
  const pours = plan.wanted.map(({ productId, ml }): PlannedPour => {
    const pouredMl = volumeOf(state, productId) - volumeOf(base, productId);
    const { leftMl } = shelf.paints[indexOf(productId)]!;
    return { productId, ml, pouredMl, cautiousMl: null, isShort: leftMl < ml - pouredMl - 1e-9 };
  });
  const cautious = warnOfOvershoot(question, base, pours, plan.strengths, indexOf);
  const isPoured = pours.every(({ ml, pouredMl }) => ml - pouredMl < POURED * limits.doseMl);
  const hasPoured = state.isPatchDue && !isReadSince(state, readings);
  const read = hasPoured ? null : readCup(readings, target.d65);
  return {
    kind: hasPoured && (isPoured || plan.kind === 'stop' || plan.kind === 'unsure') ? 'patch' : plan.kind,
    state,
    pours: order(cautious, question, indexOf),
    read,
    sureness: read && computeSureness(read, target.d65, limits.tolerance),
    labNow: read ? read.lab : predictNow(question, state, plan.strengths, base, indexOf),
    deNext: plan.deNext,
    deNextSd: plan.deNextSd,
    totalMl: plan.totalMl,
    paths: plan.paths,
    strengths: plan.strengths,
  };
}

/** The last reading is of what is in the cup now. */
function isReadSince(state: MixState, readings: readonly Reading[]): boolean {
  const last = readings.at(-1);
  return last !== undefined && isSameMix(state, last);
}

/** The plan after the last reading, or after the last pour since then that it knew nothing of. */
function planRound(
  question: RoundQuestion,
  state: MixState,
  readings: readonly Reading[],
  indexOf: (id: string) => number,
): { readonly base: MixState; readonly plan: Plan } {
  const { steps } = question;
  let from = readings.length ? placeAfter(steps, readings.at(-1)!.stepId) : 0;
  for (;;) {
    const before = steps.slice(0, from);
    // What was taken out of the account later counts as if it had never been.
    const base = replayMix([
      ...before,
      ...steps.slice(from).filter(({ body }) => body.kind === 'undo' && isIn(before, body.stepId)),
    ]);
    const plan =
      base.totalMl > 0
        ? planNext(asAtPatch(question, state, base), base, readings, indexOf)
        : planFirst(question, indexOf);
    const other = steps.findIndex(
      ({ id, body }, at) =>
        at >= from &&
        body.kind === 'pour' &&
        !state.undone.has(id) &&
        !plan.wanted.some((one) => one.productId === body.productId),
    );
    if (other < 0) return { base, plan };
    from = other + 1;
  }
}

const placeAfter = (steps: readonly MixStep[], id: string) => steps.findIndex((step) => step.id === id) + 1;
const isIn = (steps: readonly MixStep[], id: string) => steps.some((step) => step.id === id);

/** The shelf as it was at the last patch: what this round took already would else be planned away from it. */
function asAtPatch(question: RoundQuestion, state: MixState, base: MixState): RoundQuestion {
  const { shelf } = question;
  const paints = shelf.paints.map((paint) => ({
    ...paint,
    leftMl: paint.leftMl + volumeOf(state, paint.id) - volumeOf(base, paint.id),
  }));
  return { ...question, shelf: { ...shelf, paints } };
}

/** By the model, moved by what the patches taught: how strong each paint is, and how far the model itself is off here. */
function predictNow(
  { shelf, surface }: RoundQuestion,
  { productIds, volumes, totalMl }: MixState,
  strengths: Strengths | null,
  base: MixState,
  indexOf: (id: string) => number,
): Lab | null {
  if (totalMl <= 0) return null;
  const shares = volumes.map((ml, i) => ml * (strengths?.factors[base.productIds.indexOf(productIds[i]!)] ?? 1));
  const [l, a, b] = computeLab(
    predictMix(
      productIds.map((id) => shelf.paints[indexOf(id)]!),
      shares,
      surface,
    ),
  );
  const [dl, da, db] = strengths?.bias ?? [0, 0, 0];
  return [l + dl, a + da, b + db];
}

interface Plan extends Pick<RoundAdvice, 'deNext' | 'deNextSd' | 'totalMl' | 'paths' | 'strengths'> {
  readonly kind: 'pour' | 'unsure' | 'stop' | 'beyond';
  readonly wanted: readonly { readonly productId: string; readonly ml: number }[];
}

function planFirst({ recipe, limits, shelf, target, surface }: RoundQuestion, indexOf: (id: string) => number): Plan {
  const sum = recipe.reduce((all, one) => all + one.ml, 0);
  const shares = recipe.map((one) => one.ml / sum);
  const wanted = startMix(shares, limits).map((doses, i) => ({
    productId: recipe[i]!.productId,
    ml: doses * limits.doseMl,
  }));
  const ids = recipe.map((one) => indexOf(one.productId));
  const volumes = wanted.map((one) => one.ml);
  return {
    kind: 'pour',
    wanted,
    deNext: scoreMix(shelf, ids, volumes, target, surface).de65,
    deNextSd: computeLabelSpread(shelf, ids, volumes, surface),
    totalMl: volumes.reduce((all, one) => all + one, 0),
    paths: [],
    strengths: null,
  };
}

function planNext(
  question: RoundQuestion,
  base: MixState,
  readings: readonly Reading[],
  indexOf: (id: string) => number,
): Plan {
  const { shelf, target, surface, limits } = question;
  // A paint of the recipe that is not in yet may still come in.
  const all = [...new Set([...base.productIds, ...question.recipe.map(({ productId }) => productId)])];
  const productIds = all.slice(0, Math.max(base.productIds.length, MOST_IN_RECIPE));
  const ids = productIds.map(indexOf);
  const volumes = productIds.map((id) => volumeOf(base, id));
  // Until something of it was painted a mix stays below the need, so that the first correction wastes nothing.
  const own = readings.length
    ? limits
    : { ...limits, needMl: Math.min(limits.needMl, Math.max(FIRST_SHARE * limits.needMl, base.totalMl)) };
  const patches = readings.map((one) => ({ ...one, volumes: productIds.map((_, i) => one.volumes[i] ?? 0) }));
  const advice = guideMix(shelf, { ids, volumes }, patches, target, surface, own);
  const common = { strengths: advice.strengths };
  if (advice.kind === 'stop' || advice.kind === 'unsure')
    return {
      ...common,
      ...{ kind: advice.kind, wanted: [], deNext: advice.de, deNextSd: 0, totalMl: base.totalMl, paths: [] },
    };
  const { addition } = advice;
  const wanted = addition.ids.flatMap((id, i) =>
    addition.doses[i]! > 0 ? [{ productId: shelf.paints[id]!.id, ml: addition.doses[i]! * limits.doseMl }] : [],
  );
  return {
    ...common,
    ...{ kind: advice.kind === 'beyond' ? 'beyond' : 'pour', wanted, deNext: addition.de, deNextSd: addition.deSd },
    totalMl: addition.totalMl,
    paths: readings.length ? listPaths(addition, advice.own, base.totalMl, limits) : [],
  };
}

function listPaths(addition: Addition, own: Addition, nowMl: number, { needMl }: AdditionLimits): Path[] {
  const pathOf = (kind: Path['kind'], { totalMl, de, deSd }: Addition): Path => ({
    kind,
    totalMl,
    wastedMl: Math.max(0, totalMl - needMl),
    de,
    deSd,
  });
  return [
    pathOf('own pots', own),
    ...(addition === own ? [] : [pathOf('one pot more', addition)]),
    { kind: 'begin again', totalMl: needMl, wastedMl: nowMl, de: null, deSd: null },
  ];
}

/** What unknown strengths are likely to make of a first mix: each paint 15 % stronger by itself, summed in squares. */
function computeLabelSpread(
  shelf: Shelf,
  ids: readonly number[],
  volumes: readonly number[],
  surface: Surface,
): number {
  const paints = ids.map((id) => shelf.paints[id]!);
  const labOf = (list: readonly number[]): Lab => computeLab(predictMix(paints, list, surface));
  const plain = labOf(volumes);
  const off = volumes.map((_, strong) =>
    computeDe00(plain, labOf(volumes.map((one, i) => (i === strong ? one * Math.exp(STRENGTH_SD) : one)))),
  );
  return Math.hypot(...off);
}

/** Light paints first and strong darks last; or the paint of the nearest pot first. */
function order(
  pours: readonly PlannedPour[],
  { way, shelf, surface, target }: RoundQuestion,
  indexOf: (id: string) => number,
): PlannedPour[] {
  const rank = ({ productId }: PlannedPour) => {
    const lab = computeLab(predictMix([shelf.paints[indexOf(productId)]!], [1], surface));
    return way === 'light end' ? -lab[0] : computeDe00(target.d65, lab);
  };
  return [...pours].sort((a, b) => rank(a) - rank(b));
}

/** The volume that the first mix is made of, so that the page can say why it is less than the need. */
export const firstMl = (needMl: number): number => FIRST_SHARE * needMl;
