import { drawNormal } from '../../numeric/drawNormal.ts';
import { createSeededRandom, pickOne } from '../../numeric/seededRandom.ts';
import { computeLab, type Lab } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { guideMix, startMix } from '../guide/guideMix.ts';
import type { Patch } from '../guide/patch.ts';
import type { AdditionLimits } from '../guide/planAddition.ts';
import { predictMix, type Surface } from '../kubelkaMunk.ts';
import { chooseDoses } from '../match/chooseDoses.ts';
import { buildComboTable } from '../match/comboTable.ts';
import { findMatch } from '../match/findMatch.ts';
import type { MatchTarget } from '../match/polish.ts';
import { createShelf, mayMix, type Shelf } from '../match/shelfOptics.ts';

/** A hidden target, and how strong the pots really are today. */
export interface TrainerRound {
  readonly target: MatchTarget;
  /** Places on the shelf of the paints that it was mixed from, shown when the round is over. */
  readonly hiddenIds: readonly number[];
  /** The pots that may be poured from: those of the target's family. */
  readonly openIds: readonly number[];
  /** True multiplier of each paint's strength. */
  readonly factors: readonly number[];
}

export interface TrainerStep {
  readonly volumes: readonly { readonly id: number; readonly ml: number }[];
  readonly lab: Lab;
  readonly de: number;
}

export interface TrainerScore {
  readonly points: number;
  readonly de: number;
  readonly patches: number;
  readonly wastedMl: number;
}

const STRENGTH_SD = 0.15;
/** Spread of what the guide's instrument reads, each coordinate. */
const READ_SD = 0.17;
const MOST_PATCHES = 6;

/** Two or three paints that mix, in shares that all of them show; and each pot's own strength. The same seed, the same round. */
export function createTrainerRound(shelf: Shelf, surface: Surface, seed: number): TrainerRound {
  const random = createSeededRandom(seed);
  const all = shelf.paints.map((_, id) => id);
  const first = pickOne(all, random);
  const openIds = all.filter((id) => mayMix(shelf, [first, id]));
  const size = Math.min(openIds.length, 2 + Math.floor(random() * 2));
  const hiddenIds = [first];
  while (hiddenIds.length < size) {
    const next = pickOne(openIds, random);
    if (!hiddenIds.includes(next)) hiddenIds.push(next);
  }
  const shares = hiddenIds.map((id) => Math.exp(2.4 * (random() - 0.5)) / shelf.strength[id]!);
  const spectrum = predictMix(
    hiddenIds.map((id) => shelf.paints[id]!),
    shares,
    surface,
  );
  return {
    target: { d65: computeLab(spectrum), a: computeLab(spectrum, 'A'), weightA: 0 },
    hiddenIds,
    openIds,
    factors: all.map(() => Math.exp(STRENGTH_SD * drawNormal(random))),
  };
}

/** What a mix truly looks like, the pots being as strong as they are. null while nothing is in it. */
export function lookAtMix(
  shelf: Shelf,
  surface: Surface,
  { factors }: TrainerRound,
  volumes: readonly { readonly id: number; readonly ml: number }[],
): Lab | null {
  if (!volumes.some(({ ml }) => ml > 0)) return null;
  return computeLab(
    predictMix(
      volumes.map(({ id }) => shelf.paints[id]!),
      volumes.map(({ id, ml }) => ml * factors[id]!),
      surface,
    ),
  );
}

/** 100 for a colour within 1 at the first patch and just enough of it; each dE00 beyond costs 12, each patch 6, a need wasted or missing 30. */
export function scoreRound(de: number, patches: number, totalMl: number, needMl: number): TrainerScore {
  const wastedMl = Math.max(0, totalMl - needMl);
  const points =
    100 - 12 * Math.max(0, de - 1) - 6 * Math.max(0, patches - 1) - (30 * Math.abs(totalMl - needMl)) / needMl;
  return { points: Math.max(0, Math.round(points)), de, patches, wastedMl };
}

/** The path that guided mixing takes from the open pots, with an instrument that reads as finely as a usual one. */
export function solveRound(
  all: Shelf,
  surface: Surface,
  round: TrainerRound,
  limits: AdditionLimits,
  seed: number,
): TrainerStep[] {
  const { openIds } = round;
  const shelf = createShelf(openIds.map((id) => all.paints[id]!));
  const table = buildComboTable(shelf, surface)!;
  const random = createSeededRandom(seed + 1);
  const recipes = findMatch(table, round.target, { mostPaints: 4, count: 40, tried: 300, finished: 40 });
  const total = Math.round(limits.needMl / limits.doseMl);
  const recipe = chooseDoses(shelf, recipes, round.target, surface, { total, doseMl: limits.doseMl });
  if (!recipe) return [];
  let ids = recipe.ids;
  let volumes = startMix(
    recipe.doses.map((one) => one / total),
    limits,
  ).map((doses) => doses * limits.doseMl);
  const patches: Patch[] = [];
  const steps: TrainerStep[] = [];
  while (steps.length < MOST_PATCHES) {
    // On the whole shelf, where strengths and names are.
    const poured = ids.map((id, i) => ({ id: openIds[id]!, ml: volumes[i]! }));
    const lab = lookAtMix(all, surface, round, poured)!;
    steps.push({ volumes: poured, lab, de: computeDe00(round.target.d65, lab) });
    const read = lab.map((one) => one + READ_SD * drawNormal(random)) as unknown as Lab;
    const filled = patches.map((one) => ({ ...one, volumes: ids.map((_, i) => one.volumes[i] ?? 0) }));
    patches.splice(0, patches.length, ...filled, { volumes, lab: read, sd: [READ_SD, READ_SD, READ_SD] });
    const advice = guideMix(shelf, { ids, volumes }, patches, round.target, surface, limits);
    if (advice.kind === 'unsure') continue;
    if (advice.kind === 'stop' || advice.addition.doses.every((one) => one === 0)) break;
    const { doses } = advice.addition;
    volumes = doses.map((one, i) => (volumes[i] ?? 0) + one * limits.doseMl);
    ids = advice.addition.ids;
  }
  return steps;
}
