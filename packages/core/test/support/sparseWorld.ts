import type { IdentifyCatalogue, IdentifyVariant } from '../../src/identify/catalogue.ts';
import { DEFAULT_HISTORIES } from '../../src/identify/histories.ts';
import { ALTERATION_GROUPS } from '../../src/model/catalogue.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { makeFeature } from './identifyWorld.ts';
import { shuffle } from './simulatedCatalogue.ts';

/** A casting as it was made, and the list that somebody wrote of it. */
export interface SparseCasting {
  /** All issues that were made. */
  readonly true: IdentifyCatalogue;
  readonly listed: IdentifyCatalogue;
}

/**
 * A casting of 2 to 10 issues in a chain: each comes from one before it, made near it, with one to three features changed.
 * The list holds this share of them, the common ones first (drawn without replacement, twice as likely with every two
 * points of rarity less); at least one.
 */
export function createSparseCasting(seed: number, listedShare: number): SparseCasting {
  const random = createSeededRandom(seed);
  const groups = shuffle([...ALTERATION_GROUPS, 'outer coat', 'wheels', 'wheels', 'fitted part'] as const, random);
  const features = groups.map((group, f) =>
    makeFeature({ key: `f${f}`, states: ['a', 'b', 'c', 'd', 'e'].slice(0, 3 + Math.floor(3 * random())), group }),
  );
  const count = 2 + Math.floor(9 * random());
  const variants: IdentifyVariant[] = [];
  let start = 1950 + 20 * random();
  let states = Object.fromEntries(features.map((feature) => [feature.id, pickOne(feature.states, random).id]));
  for (let i = 0; i < count; i++) {
    if (i > 0) {
      start += 0.5 + random();
      // Mostly the issue before goes on; sometimes an older one comes back changed.
      if (random() < 0.25) states = stateOf(pickOne(variants, random));
      states = { ...states };
      for (const feature of shuffle(features, random).slice(0, 1 + Math.floor(3 * random())))
        states[feature.id] = pickOne(
          feature.states.filter((state) => state.id !== states[feature.id]),
          random,
        ).id;
    }
    variants.push(createIssue(`v${i}`, start, states, random));
  }
  const world = { features, measures: [], histories: DEFAULT_HISTORIES };
  const kept = drawListed(variants, Math.max(1, Math.round(listedShare * count)), random);
  return { true: { ...world, variants }, listed: { ...world, variants: kept } };
}

const stateOf = (variant: IdentifyVariant) =>
  Object.fromEntries(Object.entries(variant.states).map(([feature, shares]) => [feature, Object.keys(shares)[0]!]));

function createIssue(
  id: string,
  start: number,
  states: Readonly<Record<string, string>>,
  random: RandomSource,
): IdentifyVariant {
  const length = 1 + 4 * random();
  return {
    ...{ id, name: id, castingId: 'c', rarity: Math.floor(8 * random()), sizesMm: {}, statements: [] },
    span: {
      startEarliest: start,
      startLatest: start + 0.25,
      endEarliest: start + length - 0.25,
      endLatest: start + length,
    },
    states: Object.fromEntries(Object.entries(states).map(([feature, state]) => [feature, { [state]: 1 }])),
  };
}

function drawListed(variants: readonly IdentifyVariant[], count: number, random: RandomSource): IdentifyVariant[] {
  const left = [...variants];
  const kept = new Set<IdentifyVariant>();
  while (kept.size < count) {
    let dice = random() * left.reduce((sum, one) => sum + 0.5 ** (one.rarity / 2), 0);
    const at = Math.max(
      0,
      left.findIndex((one) => (dice -= 0.5 ** (one.rarity / 2)) < 0),
    );
    kept.add(left.splice(at, 1)[0]!);
  }
  return variants.filter((one) => kept.has(one));
}
