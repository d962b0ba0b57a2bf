import type { Answer, IdentifyCatalogue, IdentifyFeature, IdentifyVariant } from '../../src/identify/catalogue.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { makeFeature } from './identifyWorld.ts';

const RIGHT = { sure: 0.98, likely: 0.85, unsure: 0.6 } as const;

/**
 * A simulated world: one casting with `count` variants over features without dates. Specimens are drawn from the very
 * model that identification assumes: a variant (or none of them), a state by its shares, an alteration, a reading error.
 */
export function createSimulatedCatalogue(seed: number, count: number): IdentifyCatalogue {
  const random = createSeededRandom(seed);
  const features = Array.from({ length: 10 }, (_, i) =>
    makeFeature({
      key: `f${i}`,
      states: ['a', 'b', 'c', 'd', 'e'].slice(0, 3 + Math.floor(random() * 3)),
      alteredChance: 0.03 + random() * 0.15,
    }),
  );
  const variants = Array.from({ length: count }, (_, i): IdentifyVariant => ({
    id: `v${i}`,
    name: `v${i}`,
    castingId: 'casting',
    // All in the same years, so that only the features tell them apart.
    span: { startEarliest: 1960, startLatest: 1961, endEarliest: 1964, endLatest: 1965 },
    states: Object.fromEntries(features.map((feature) => [feature.id, drawShares(feature, random)])),
  }));
  return { features, variants };
}

function drawShares(feature: IdentifyFeature, random: RandomSource): Record<string, number> {
  const first = pickOne(feature.states, random).id;
  const second = pickOne(feature.states, random).id;
  return random() < 0.25 && first !== second ? { [first]: 0.7, [second]: 0.3 } : { [first]: 1 };
}

export interface SimulatedSpecimen {
  /** null: none of the catalogue's variants. */
  readonly variantId: string | null;
  readonly altered: ReadonlySet<string>;
  readonly answers: readonly Answer[];
}

/** Draws a specimen and reads a random number of its features. */
export function drawSpecimen(catalogue: IdentifyCatalogue, random: RandomSource): SimulatedSpecimen {
  const variant = random() < 0.02 ? null : pickOne(catalogue.variants, random);
  const looks = 1 + Math.floor(random() * catalogue.features.length);
  const features = [...catalogue.features].sort(() => random() - 0.5).slice(0, looks);
  const altered = new Set<string>();
  const answers = features.map((feature): Answer => {
    const certainty = pickOne(['sure', 'likely', 'unsure'] as const, random);
    if (random() < feature.alteredChance) {
      altered.add(feature.id);
      // A replacement is read as what it looks like: any state alike.
      return { featureId: feature.id, stateId: pickOne(feature.states, random).id, certainty };
    }
    const truth = drawState(variant?.states[feature.id], feature, random);
    return {
      featureId: feature.id,
      stateId: variant ? misread(truth, feature, RIGHT[certainty], random) : truth,
      certainty,
    };
  });
  return { variantId: variant?.id ?? null, altered, answers };
}

function drawState(
  shares: Readonly<Record<string, number>> | undefined,
  feature: IdentifyFeature,
  random: RandomSource,
): string {
  let left = random();
  for (const [stateId, share] of Object.entries(shares ?? {})) if ((left -= share) <= 0) return stateId;
  return pickOne(feature.states, random).id;
}

function misread(truth: string, feature: IdentifyFeature, right: number, random: RandomSource): string {
  if (random() < right) return truth;
  return pickOne(
    feature.states.filter((state) => state.id !== truth),
    random,
  ).id;
}
