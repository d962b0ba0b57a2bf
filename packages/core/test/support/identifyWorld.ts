import type { Answer, IdentifyCatalogue, IdentifyFeature, IdentifyVariant } from '../../src/identify/catalogue.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';

export interface FeatureNote {
  readonly key: string;
  readonly states: readonly string[];
  readonly years?: Readonly<Record<string, readonly [number | null, number | null]>>;
  readonly alikes?: Readonly<Record<string, readonly string[]>>;
  readonly castIn?: boolean;
  readonly alteredChance?: number;
  readonly effort?: number;
}

export function makeFeature(note: FeatureNote): IdentifyFeature {
  return {
    id: note.key,
    label: note.key,
    howToLook: '',
    effort: note.effort ?? 1,
    castIn: note.castIn ?? false,
    alteredChance: note.alteredChance ?? 0.1,
    states: note.states.map((key) => ({
      id: `${note.key}.${key}`,
      label: key,
      fromYear: note.years?.[key]?.[0] ?? null,
      toYear: note.years?.[key]?.[1] ?? null,
      lookAlikes: (note.alikes?.[key] ?? []).map((other) => `${note.key}.${other}`),
    })),
  };
}

/** `states` maps a feature to one state, or to several with their shares. */
export function makeVariant(
  id: string,
  years: readonly [number, number],
  states: Readonly<Record<string, string | Readonly<Record<string, number>>>>,
): IdentifyVariant {
  const named = Object.entries(states).map(([feature, value]) => {
    const shares = typeof value === 'string' ? { [value]: 1 } : value;
    return [feature, Object.fromEntries(Object.entries(shares).map(([key, share]) => [`${feature}.${key}`, share]))];
  });
  const [from, to] = years;
  return {
    id,
    name: id,
    castingId: 'casting',
    span: { startEarliest: from, startLatest: from + 0.5, endEarliest: to - 0.5, endLatest: to },
    states: Object.fromEntries(named) as IdentifyVariant['states'],
  };
}

export const look = (feature: string, state: string | null, certainty: Answer['certainty'] = 'sure'): Answer => ({
  featureId: feature,
  stateId: state === null ? null : `${feature}.${state}`,
  certainty,
});

/** A small catalogue and some answers, all drawn from one seed. */
export function createRandomCase(seed: number): { catalogue: IdentifyCatalogue; answers: Answer[] } {
  const random = createSeededRandom(seed);
  const features = Array.from({ length: 2 + Math.floor(random() * 4) }, (_, i) => createRandomFeature(`f${i}`, random));
  const variants = Array.from({ length: 1 + Math.floor(random() * 6) }, (_, i) =>
    createRandomVariant(`v${i}`, features, random),
  );
  const answers = features
    .filter(() => random() < 0.7)
    .map((feature): Answer => {
      const certainty = pickOne(['sure', 'likely', 'unsure', 'cannot see', 'replaced', 'missing'] as const, random);
      const isSilent = certainty === 'cannot see' || certainty === 'missing';
      return { featureId: feature.id, stateId: isSilent ? null : pickOne(feature.states, random).id, certainty };
    });
  return { catalogue: { features, variants }, answers };
}

function createRandomFeature(key: string, random: RandomSource): IdentifyFeature {
  const states = ['a', 'b', 'c', 'd'].slice(0, 2 + Math.floor(random() * 3));
  const years: Record<string, readonly [number | null, number | null]> = {};
  const alikes: Record<string, readonly string[]> = {};
  for (const state of states) {
    const from = random() < 0.4 ? 1950 + Math.floor(random() * 10) : null;
    years[state] = [from, random() < 0.3 ? (from ?? 1955) + 3 + Math.floor(random() * 8) : null];
    if (random() < 0.4) alikes[state] = states.filter((other) => other !== state).slice(0, 1);
  }
  return makeFeature({ key, states, years, alikes, castIn: random() < 0.2, alteredChance: 0.02 + random() * 0.2 });
}

function createRandomVariant(id: string, features: readonly IdentifyFeature[], random: RandomSource): IdentifyVariant {
  const states: Record<string, Record<string, number>> = {};
  for (const feature of features) {
    if (random() < 0.15) continue;
    const first = pickOne(feature.states, random);
    const second = pickOne(feature.states, random);
    states[feature.id] = random() < 0.3 && first !== second ? { [first.id]: 0.7, [second.id]: 0.3 } : { [first.id]: 1 };
  }
  const from = 1950 + Math.floor(random() * 40) / 4;
  const length = 1 + Math.floor(random() * 20) / 4;
  return {
    id,
    name: id,
    castingId: 'casting',
    span: {
      startEarliest: from,
      startLatest: from + length / 4,
      endEarliest: from + (length * 3) / 4,
      endLatest: from + length,
    },
    states,
  };
}
