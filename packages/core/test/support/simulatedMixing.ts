import { computeLab, type Lab } from '../../src/colour/colorimetry.ts';
import { computeDe00 } from '../../src/colour/difference.ts';
import type { Patch } from '../../src/colour/guide/patch.ts';
import { isClearlyOff, measureByEye, readStep, UNKNOWN_EYE } from '../../src/colour/guide/judgeByEye.ts';
import { guideMix, startMix } from '../../src/colour/guide/guideMix.ts';
import { predictMix, USUAL_SURFACE } from '../../src/colour/kubelkaMunk.ts';
import type { ComboTable } from '../../src/colour/match/comboTable.ts';
import { chooseDoses, type DosedRecipe } from '../../src/colour/match/chooseDoses.ts';
import { findMatch } from '../../src/colour/match/findMatch.ts';
import type { MatchTarget } from '../../src/colour/match/polish.ts';
import type { Shelf } from '../../src/colour/match/shelfOptics.ts';
import { drawNormal } from '../../src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';

export interface MixingBench {
  /** Spread of the logarithm of each paint's true strength. */
  readonly strengthSd: number;
  /** RMS length of the error of a measured Lab. */
  readonly labNoise: number;
  /** Each pour is off by so much of itself. */
  readonly doseError: number;
  /** Smooth error of the whole model over the bands. */
  readonly modelError: number;
  /** Learns from patches; without, every correction believes the label. */
  readonly learns: boolean;
  /** No instrument: each way is read with sd 0.4 + 25 %, in steps. */
  readonly isByWords?: true;
  /** What this restorer's eye always sees wrong, sd of each coordinate. */
  readonly eyeBias?: number;
  /** ml of one dose; a hundredth where it is not said. */
  readonly doseMl?: number;
}

export const IDEAL_BENCH: MixingBench = { strengthSd: 0.15, labNoise: 0.3, doseError: 0, modelError: 0, learns: true };
export const ROUGH_BENCH: MixingBench = { ...IDEAL_BENCH, doseError: 0.1, modelError: 0.05 };

/** Everything is worse than the guide believes, and poured by the drop. */
export const WILD_BENCH: MixingBench = {
  ...{ strengthSd: 0.3, labNoise: 0.6, doseError: 0.15, modelError: 0.08, learns: true, doseMl: 0.05 },
};
/** A rough bench without an instrument, and an eye that is always a little wrong in its own way. */
export const WORDS_BENCH: MixingBench = { ...ROUGH_BENCH, isByWords: true, eyeBias: 0.3 };

export interface MixingResult {
  /** True dE00 after each patch, the first mix first. */
  readonly deByPatch: readonly number[];
  readonly finalMl: number;
  /** It said "it is there". */
  readonly isStop: boolean;
  /** It said so, and it was not. */
  readonly isFalseStop: boolean;
}

export const NEED = { needMl: 2, doseMl: 0.01, tolerance: 1 } as const;
const MOST_PATCHES = 5;
/** A bench without trust goes on longer before it gives up. */
const MOST_WILD_PATCHES = 14;

/** The recipe a restorer starts from; the same on every bench. */
export function chooseRecipe(table: ComboTable, target: MatchTarget): DosedRecipe {
  const recipes = findMatch(table, target, { mostPaints: 4, count: 40, tried: 300, finished: 40 });
  return chooseDoses(table.shelf, recipes, target, USUAL_SURFACE, { total: 200, doseMl: NEED.doseMl })!;
}

/** A restorer who mixes exactly as told, on a bench whose paints, drops and eyes are a little off. */
export function simulateMixing(
  shelf: Shelf,
  target: MatchTarget,
  recipe: DosedRecipe,
  bench: MixingBench,
  seed: number,
): MixingResult {
  const random = createSeededRandom(seed);
  let ids = recipe.ids;
  const truths = new Map<number, number>();
  const strengthOf = (id: number) => {
    const known = truths.get(id) ?? Math.exp(bench.strengthSd * drawNormal(random));
    truths.set(id, known);
    return known;
  };
  const wave = { phase: 6 * random(), length: 60 + 120 * random(), high: bench.modelError * drawNormal(random) };
  const limits = { ...NEED, doseMl: bench.doseMl ?? NEED.doseMl };
  const bias = [0, 1, 2].map(() => (bench.eyeBias ?? 0) * drawNormal(random));
  const pour = (doses: number) => doses * limits.doseMl * Math.exp(bench.doseError * drawNormal(random));
  const truthOf = (volumes: readonly number[]): Lab => {
    const spectrum = predictMix(
      ids.map((id) => shelf.paints[id]!),
      volumes.map((volume, i) => volume * strengthOf(ids[i]!)),
    );
    return computeLab(spectrum.map((r, i) => r * (1 + wave.high * Math.sin(wave.phase + (10 * i) / wave.length))));
  };
  const noise = bench.labNoise / Math.sqrt(3);
  const measure = (lab: Lab): Omit<Patch, 'volumes'> => {
    if (!bench.isByWords) {
      const sd = Math.max(0.1, noise);
      return { lab: lab.map((one) => one + noise * drawNormal(random)) as unknown as Lab, sd: [sd, sd, sd] };
    }
    const [lightness, redGreen, yellowBlue] = lab.map((one, i) => {
      const off = one - target.d65[i]! + bias[i]!;
      return readStep(off + (0.4 + 0.25 * Math.abs(off)) * drawNormal(random));
    });
    const words = { lightness: lightness!, redGreen: redGreen!, yellowBlue: yellowBlue! };
    return { ...measureByEye(target.d65, words), eyeSd: UNKNOWN_EYE.sd, isOff: isClearlyOff(Object.values(words)) };
  };
  const sum = recipe.doses.reduce((all, one) => all + one, 0);
  const planned = startMix(
    recipe.doses.map((one) => one / sum),
    limits,
  );
  // What was meant to be poured is what the restorer knows of.
  let known = planned.map((doses) => doses * limits.doseMl);
  let poured = planned.map(pour);
  let patches: Patch[] = [];
  const deByPatch: number[] = [];
  for (let patch = 0; patch < (bench.doseMl || bench.eyeBias ? MOST_WILD_PATCHES : MOST_PATCHES); patch++) {
    const truth = truthOf(poured);
    deByPatch.push(computeDe00(target.d65, truth));
    patches.push({ volumes: known, ...measure(truth) });
    const advice = guideMix(shelf, { ids, volumes: known }, patches, target, USUAL_SURFACE, limits, bench.learns);
    if (advice.kind === 'stop')
      return { deByPatch, finalMl: total(known), isStop: true, isFalseStop: deByPatch.at(-1)! > limits.tolerance };
    if (advice.kind === 'unsure') continue;
    const { doses } = advice.addition;
    if (doses.every((one) => one === 0)) break;
    ids = advice.addition.ids;
    known = doses.map((one, i) => (known[i] ?? 0) + one * limits.doseMl);
    poured = doses.map((one, i) => (poured[i] ?? 0) + (one ? pour(one) : 0));
    // An older patch had nothing of a paint that came later.
    patches = patches.map((one) => ({ ...one, volumes: ids.map((_, i) => one.volumes[i] ?? 0) }));
  }
  return { deByPatch, finalMl: total(known), isStop: false, isFalseStop: false };
}

const total = (volumes: readonly number[]) => volumes.reduce((all, one) => all + one, 0);
