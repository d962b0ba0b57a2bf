import type { RandomSource } from '../numeric/seededRandom.ts';
import type { IdentifyCatalogue, StateAnswer } from './catalogue.ts';
import { groupAlike } from './compareVariants.ts';
import { computeNextLooks, rankLooks, WORTH_A_LOOK_BITS, type Question } from './computeNextLooks.ts';
import { createIdentifier, type Posterior } from './createIdentifier.ts';
import { drawSpecimen, readFeature, type DrawnSpecimen } from './drawSpecimen.ts';
import { describePosterior, sumUnlisted, type Identification } from './identifySpecimen.ts';

/** A specimen to practise on, with what a careful look at each feature shows. */
export interface PracticeRound {
  readonly specimen: DrawnSpecimen;
  readonly readings: ReadonlyMap<string, StateAnswer>;
}

/** Draws a specimen of the catalogue's (never "none") from the model that identification assumes, swaps and repaints included. */
export function createPracticeRound(catalogue: IdentifyCatalogue, random: RandomSource): PracticeRound {
  const specimen = drawSpecimen(catalogue, random, { nonePrior: 0 });
  const readings = catalogue.features.map((feature): [string, StateAnswer] => [
    feature.id,
    readFeature(specimen, feature, 'sure', random),
  ]);
  return { specimen, readings: new Map(readings) };
}

/** Certain enough to stop looking. */
export const SETTLED = 0.95;

export interface LookPath {
  readonly featureIds: readonly string[];
  readonly effort: number;
  readonly identification: Identification;
}

/**
 * The looks that the tool would have taken for a question, best first, until a variant (with those that nothing recorded
 * tells from it) is 95 % certain or no harmless look is worth taking.
 */
export function findLookPath(
  catalogue: IdentifyCatalogue,
  readings: ReadonlyMap<string, StateAnswer>,
  question: Question = 'variant',
): LookPath {
  const identifier = createIdentifier(catalogue);
  const groups = groupAlike(catalogue);
  const featureIds: string[] = [];
  let effort = 0;
  for (;;) {
    const posterior = identifier.computePosterior();
    const [next] = rankLooks(computeNextLooks(posterior, question));
    const isWorth = next && next.destroys === '' && next.gainBits >= WORTH_A_LOOK_BITS;
    const reading = readings.get(next?.featureId ?? '');
    if (computeLeadingMass(posterior, groups) >= SETTLED || !isWorth || !reading)
      return { featureIds, effort, identification: describePosterior(posterior) };
    identifier.setAnswerInPlace(next.featureId, reading);
    featureIds.push(next.featureId);
    effort += next.effort;
  }
}

/** Probability of the leading group of variants that nothing recorded tells apart, or of "none". */
export function computeLeadingMass(posterior: Posterior, groups: readonly (readonly string[])[]): number {
  const { byHypothesis, encoded } = posterior;
  const indexOf = new Map(encoded.source.variants.map((variant, i) => [variant.id, i]));
  const masses = groups.map((group) => group.reduce((sum, id) => sum + byHypothesis[indexOf.get(id)!]!, 0));
  return masses.reduce((most, mass) => Math.max(most, mass), sumUnlisted(posterior));
}

/** What the trainee says of the specimen. */
export interface PracticeGuess {
  readonly variantId: string;
  readonly fromYear: number;
  /** All of this year is meant. */
  readonly toYear: number;
  readonly alteredIds: readonly string[];
  readonly lookedAt: readonly string[];
}

export interface PracticeScore {
  /** Of 50, 20, 20 and 10. */
  readonly variant: number;
  readonly date: number;
  readonly altered: number;
  readonly effort: number;
  readonly total: number;
  readonly effortSpent: number;
  readonly toolEffort: number;
}

/**
 * Points against the truth and the tool's own path: the variant (or one nothing recorded tells from it) 50; the year inside
 * the years named 20, less when they are wider than the tool's; wrong parts 20 by precision and recall (F1); effort 10,
 * less when it was more than the tool's.
 */
export function scorePractice(
  catalogue: IdentifyCatalogue,
  { specimen }: PracticeRound,
  guess: PracticeGuess,
  tool: LookPath,
): PracticeScore {
  const group = groupAlike(catalogue).find((ids) => ids.includes(specimen.variant!.id))!;
  const variant = group.includes(guess.variantId) ? 50 : 0;
  const end = guess.toYear + 1;
  const toolWidth = tool.identification.date.region90.reduce((sum, one) => sum + one.toYear - one.fromYear, 0);
  // Whole years are named, so nobody can be narrower than one.
  const narrowness = Math.min(1, Math.max(1, Math.ceil(toolWidth)) / Math.max(1, end - guess.fromYear));
  const date = specimen.year >= guess.fromYear && specimen.year < end ? Math.round(20 * narrowness) : 0;
  const wrong = [...specimen.features].filter(([, feature]) => isVisiblyAltered(feature)).map(([id]) => id);
  const altered = Math.round(20 * scoreSets(wrong, guess.alteredIds));
  const effortOf = new Map(catalogue.features.map((feature) => [feature.id, feature.effort]));
  const effortSpent = guess.lookedAt.reduce((sum, id) => sum + (effortOf.get(id) ?? 0), 0);
  const effort = effortSpent === 0 ? 0 : Math.round(10 * Math.min(1, tool.effort / effortSpent));
  return {
    ...{ variant, date, altered, effort, effortSpent, toolEffort: tool.effort },
    total: variant + date + altered + effort,
  };
}

/** A part exchanged for one just like it cannot be spotted, and nobody is asked to. */
export const isVisiblyAltered = ({ originalId, shownId }: { originalId: string; shownId: string }) =>
  originalId !== shownId;

/** Harmonic mean of precision and recall; 1 when there is nothing to find and nothing was named. */
function scoreSets(wanted: readonly string[], named: readonly string[]): number {
  if (wanted.length === 0 && named.length === 0) return 1;
  const hits = named.filter((id) => wanted.includes(id)).length;
  return (2 * hits) / (wanted.length + named.length);
}
