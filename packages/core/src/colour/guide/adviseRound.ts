import type { MixStep } from '../../model/colour.ts';
import { computeLab, type Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { predictMix, type Surface } from '../kubelkaMunk.ts';
import { scoreMix } from '../match/polish.ts';
import type { Shelf } from '../match/shelfOptics.ts';
import { STRENGTH_SD, type Patch, type Strengths } from './estimateStrengths.ts';
import { FIRST_SHARE, guideMix, startMix } from './guideMix.ts';
import type { Addition, AdditionLimits } from './planAddition.ts';
import { replayMix, volumeOf, type MixState } from './replayMix.ts';
import type { Path, PlannedPour, RoundAdvice, RoundQuestion } from './roundAdvice.ts';
import { warnOfOvershoot } from './warnOfOvershoot.ts';

/** Less than this part of a dose is still to be poured: done. */
const POURED = 0.51;

/**
 * Where a mixing stands and what comes next, from its log alone: the pours of this round as they were planned after the last
 * patch, less what was poured since; then the patch; then the next round. Nothing is ever to be taken out.
 */
export function adviseRound(question: RoundQuestion): RoundAdvice {
  const { shelf, steps, limits } = question;
  const state = replayMix(steps);
  const lastPatch = state.patches.at(-1);
  const before = lastPatch ? cutAfter(steps, lastPatch.step.id) : [];
  const base = replayMix([...before, ...steps.filter(({ body }) => body.kind === 'undo' && isIn(before, body.stepId))]);
  const indexOf = (productId: string) => shelf.paints.findIndex((paint) => paint.id === productId);
  const plan = lastPatch ? planNext(asAtPatch(question, state, base), base, indexOf) : planFirst(question, indexOf);
  const pours = plan.wanted.map(({ productId, ml }): PlannedPour => {
    const pouredMl = volumeOf(state, productId) - volumeOf(base, productId);
    const { leftMl } = shelf.paints[indexOf(productId)]!;
    return { productId, ml, pouredMl, cautiousMl: null, isShort: leftMl < ml - pouredMl - 1e-9 };
  });
  const cautious = warnOfOvershoot(question, base, pours, plan.strengths, indexOf);
  const isPoured = pours.every(({ ml, pouredMl }) => ml - pouredMl < POURED * limits.doseMl);
  const hasPoured = state.isPatchDue;
  const kind = isPoured && hasPoured ? 'patch' : plan.kind;
  return {
    kind: plan.kind === 'stop' && hasPoured ? 'patch' : kind,
    state,
    pours: order(cautious, question, indexOf),
    labNow: predictNow(question, state, plan.strengths, base, indexOf),
    deNow: plan.deNow,
    deNext: plan.deNext,
    deNextSd: plan.deNextSd,
    totalMl: plan.totalMl,
    paths: plan.paths,
    strengths: plan.strengths,
  };
}

const cutAfter = (steps: readonly MixStep[], id: string) =>
  steps.slice(0, steps.findIndex((step) => step.id === id) + 1);
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

interface Plan extends Pick<RoundAdvice, 'deNow' | 'deNext' | 'deNextSd' | 'totalMl' | 'paths' | 'strengths'> {
  readonly kind: 'pour' | 'stop' | 'beyond';
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
    deNow: null,
    deNext: scoreMix(shelf, ids, volumes, target, surface).de65,
    deNextSd: computeLabelSpread(shelf, ids, volumes, surface),
    totalMl: volumes.reduce((all, one) => all + one, 0),
    paths: [],
    strengths: null,
  };
}

function planNext(question: RoundQuestion, base: MixState, indexOf: (id: string) => number): Plan {
  const { shelf, target, surface, limits } = question;
  const ids = base.productIds.map(indexOf);
  const patches = base.patches.map(({ reading, volumes }): Patch => {
    const now = base.productIds.map((_, i) => volumes[i] ?? 0);
    return { volumes: now, lab: reading.lab, sd: reading.sd };
  });
  const advice = guideMix(shelf, { ids, volumes: base.volumes }, patches, target, surface, limits);
  const common = { deNow: advice.de, strengths: advice.strengths };
  if (advice.kind === 'stop')
    return {
      ...common,
      ...{ kind: 'stop', wanted: [], deNext: advice.de, deNextSd: 0, totalMl: base.totalMl, paths: [] },
    };
  const { addition, own } = advice;
  const wanted = addition.ids.flatMap((id, i) =>
    addition.doses[i]! > 0 ? [{ productId: shelf.paints[id]!.id, ml: addition.doses[i]! * limits.doseMl }] : [],
  );
  return {
    ...common,
    ...{ kind: advice.kind === 'beyond' ? 'beyond' : 'pour', wanted, deNext: addition.de, deNextSd: addition.deSd },
    totalMl: addition.totalMl,
    paths: listPaths(addition, own, base.totalMl, limits),
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
