import type {
  Answer,
  DatedStatement,
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyHistory,
  IdentifyVariant,
  StateAnswer,
} from '../../src/identify/catalogue.ts';
import { DEFAULT_HISTORIES } from '../../src/identify/histories.ts';
import { ALTERATION_GROUPS, SOURCE_CERTAINTIES, type AlterationGroup } from '../../src/model/catalogue.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';

export interface FeatureNote {
  readonly key: string;
  readonly states: readonly string[];
  readonly years?: Readonly<Record<string, readonly [number | null, number | null]>>;
  readonly alikes?: Readonly<Record<string, readonly string[]>>;
  readonly group?: AlterationGroup;
  readonly effort?: number;
  readonly destroys?: string;
}

export function makeFeature(note: FeatureNote): IdentifyFeature {
  return {
    id: note.key,
    label: note.key,
    howToLook: '',
    effort: note.effort ?? 1,
    destroys: note.destroys ?? '',
    group: note.group ?? 'fitted part',
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
  years: readonly [number, number] | null,
  states: Readonly<Record<string, string | Readonly<Record<string, number>>>>,
): IdentifyVariant {
  const named = Object.entries(states).map(([feature, value]) => {
    const shares = typeof value === 'string' ? { [value]: 1 } : value;
    return [feature, Object.fromEntries(Object.entries(shares).map(([key, share]) => [`${feature}.${key}`, share]))];
  });
  const [from, to] = years ?? [0, 0];
  return {
    id,
    name: id,
    castingId: 'casting',
    rarity: 0,
    span: years && { startEarliest: from, startLatest: from + 0.5, endEarliest: to - 0.5, endLatest: to },
    states: Object.fromEntries(named) as IdentifyVariant['states'],
    sizesMm: {},
    statements: [],
  };
}

export const makeCatalogue = (
  features: readonly IdentifyFeature[],
  variants: readonly IdentifyVariant[],
  histories: readonly IdentifyHistory[] = DEFAULT_HISTORIES,
): IdentifyCatalogue => ({ features, measures: [], variants, histories });

export const look = (
  feature: string,
  state: string | null,
  certainty: StateAnswer['certainty'] = 'sure',
): StateAnswer => ({
  featureId: feature,
  stateId: state === null ? null : `${feature}.${state}`,
  certainty,
});

/** A small catalogue with everything in it, and some answers and statements, all drawn from one seed. */
export function createRandomCase(seed: number): {
  catalogue: IdentifyCatalogue;
  answers: Answer[];
  statements: DatedStatement[];
} {
  const random = createSeededRandom(seed);
  const features = Array.from({ length: 2 + Math.floor(random() * 4) }, (_, i) => createRandomFeature(`f${i}`, random));
  const variants = Array.from({ length: 1 + Math.floor(random() * 6) }, (_, i) =>
    createRandomVariant(`v${i}`, features, random),
  );
  const measures =
    random() < 0.5 ? [{ id: 'length', label: 'length', howToLook: '', effort: 2, toleranceMm: 0.3 }] : [];
  const histories = random() < 0.5 ? DEFAULT_HISTORIES : createRandomHistories(random);
  const answers = [
    ...features.filter(() => random() < 0.7).map((feature) => createRandomAnswer(feature, random)),
    ...measures
      .filter(() => random() < 0.7)
      .map(({ id }): Answer => ({ featureId: id, valueMm: 60 + random() * 4, spreadMm: 0.05 + random() * 0.3 })),
  ];
  const statements = random() < 0.3 ? [createRandomStatement(random)] : [];
  return { catalogue: { features, measures, variants, histories }, answers, statements };
}

export function createRandomAnswer(feature: IdentifyFeature, random: RandomSource): StateAnswer {
  const certainty = pickOne(['sure', 'likely', 'unsure', 'cannot see', 'replaced', 'missing'] as const, random);
  const isSilent = certainty === 'cannot see' || certainty === 'missing';
  return { featureId: feature.id, stateId: isSilent ? null : pickOne(feature.states, random).id, certainty };
}

function createRandomHistories(random: RandomSource): IdentifyHistory[] {
  return Array.from({ length: 1 + Math.floor(random() * 4) }, (_, h) => ({
    key: `h${h}`,
    label: `h${h}`,
    prior: 0.1 + random(),
    rates: Object.fromEntries(
      ALTERATION_GROUPS.map((group) => [group, h === 0 ? 0 : Math.round(random() * 9) / 10]),
    ) as IdentifyHistory['rates'],
  }));
}

function createRandomStatement(random: RandomSource): DatedStatement {
  const from = 1950 + Math.floor(random() * 12);
  return {
    label: 'said',
    fromYear: random() < 0.8 ? from : null,
    toYear: random() < 0.8 ? from + 1 + Math.floor(random() * 5) : null,
    certainty: pickOne(SOURCE_CERTAINTIES, random),
  };
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
  return makeFeature({ key, states, years, alikes, group: pickOne(ALTERATION_GROUPS, random) });
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
  const span = {
    startEarliest: from,
    startLatest: from + length / 4,
    endEarliest: from + (length * 3) / 4,
    endLatest: from + length,
  };
  return {
    id,
    name: id,
    castingId: 'casting',
    rarity: Math.floor(random() * 9),
    span: random() < 0.1 ? null : span,
    states,
    sizesMm: random() < 0.8 ? { length: 60 + Math.floor(random() * 5) } : {},
    statements: random() < 0.2 ? [createRandomStatement(random), createRandomStatement(random)] : [],
  };
}
