import { DEFAULT_SETTINGS, type IdentifyCatalogue, type Rates } from '../../src/identify/catalogue.ts';
import { drawSpecimen } from '../../src/identify/drawSpecimen.ts';
import { identifySpecimen } from '../../src/identify/identifySpecimen.ts';
import type { SettledCase } from '../../src/identify/learnRates.ts';
import { createSeededRandom, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { areaUnderCurve, Reliability } from './reliability.ts';
import { readWithCare, shuffle, type DrawnWorld } from './simulatedCatalogue.ts';

export interface Calibration {
  /** Calibration error of the leading variant, and of "untouched", over what chance explains. */
  readonly ece: number;
  readonly eceUntouched: number;
  readonly coverage90: number;
  readonly top1: number;
  readonly alteredAuc: number;
  /** What "untouched" says on average, and how often it is so. */
  readonly saysUntouched: number;
  readonly isUntouched: number;
}

export interface CalibrationPlan {
  readonly specimens: number;
  readonly seed: number;
  /** How many features are looked at; a random number where it is left out. */
  readonly looks?: number;
  /** Learned ones; as stated where left out. */
  readonly rates?: Rates;
  /** Share of specimens that are of no variant; as identification believes where left out. */
  readonly nonePrior?: number;
}

/**
 * Identifies simulated specimens with `believed` that are drawn and read by `drawn`, each by a random number of looks, and
 * compares what was claimed with what was so.
 */
export function calibrate(plan: CalibrationPlan, stated: IdentifyCatalogue, drawn: DrawnWorld): Calibration {
  const { specimens, seed, rates } = plan;
  const random = createSeededRandom(seed);
  const believed = rates ? { ...stated, rates } : stated;
  const leaders = new Reliability();
  const untouched = new Reliability();
  const altered: { score: number; isTrue: boolean }[] = [];
  let covered = 0;
  let found = 0;
  let [says, is] = [0, 0];
  for (let i = 0; i < specimens; i++) {
    const { specimen, answers } = drawReadings(believed, drawn, random, plan);
    const identification = identifySpecimen(believed, answers);
    const { ranked, noneProbability, date, alteredChances, untouchedProbability } = identification;
    const isNone = noneProbability > ranked[0]!.probability;
    const isRight = isNone ? specimen.variant === null : specimen.variant?.id === ranked[0]!.variantId;
    leaders.add(isNone ? noneProbability : ranked[0]!.probability, isRight);
    untouched.add(untouchedProbability, specimen.history.key === 'untouched');
    says += untouchedProbability;
    if (specimen.history.key === 'untouched') is++;
    if (isRight) found++;
    if (date.region90.some(({ fromYear, toYear }) => specimen.year >= fromYear && specimen.year < toYear)) covered++;
    for (const { featureId } of answers)
      altered.push({ score: alteredChances[featureId]!, isTrue: specimen.features.get(featureId)!.isAltered });
  }
  const chance = createSeededRandom(seed + 0.5);
  return {
    ece: leaders.overFloor(chance),
    eceUntouched: untouched.overFloor(chance),
    coverage90: covered / specimens,
    top1: found / specimens,
    alteredAuc: areaUnderCurve(altered),
    saysUntouched: says / specimens,
    isUntouched: is / specimens,
  };
}

function drawReadings(
  believed: IdentifyCatalogue,
  drawn: DrawnWorld,
  random: RandomSource,
  { looks: most, nonePrior = DEFAULT_SETTINGS.nonePrior }: Pick<CalibrationPlan, 'looks' | 'nonePrior'>,
) {
  const specimen = drawSpecimen(drawn.catalogue, random, { nonePrior });
  const looks = most ?? 1 + Math.floor(random() * believed.features.length);
  const seen = shuffle(believed.features, random).slice(0, looks);
  const answers = seen.map((feature) => readWithCare(specimen, feature, random, drawn.readingRight));
  return { specimen, answers };
}

/** Cases of a drawn world that somebody settled: every look was made, and the issue was found out for sure. */
export function drawSettled(
  count: number,
  seed: number,
  believed: IdentifyCatalogue,
  drawn: DrawnWorld,
): SettledCase[] {
  const random = createSeededRandom(seed);
  const cases: SettledCase[] = [];
  while (cases.length < count) {
    const { specimen, answers } = drawReadings(believed, drawn, random, { looks: believed.features.length });
    if (specimen.variant) cases.push({ catalogue: believed, variantId: specimen.variant.id, answers });
  }
  return cases;
}
