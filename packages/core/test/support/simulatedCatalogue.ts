import type {
  IdentifyCatalogue,
  IdentifyFeature,
  IdentifyHistory,
  IdentifySettings,
  IdentifyVariant,
  StateAnswer,
} from '../../src/identify/catalogue.ts';
import { NOMINAL_READING } from '../../src/identify/catalogue.ts';
import { readFeature, type DrawnSpecimen } from '../../src/identify/drawSpecimen.ts';
import { ALTERATION_GROUPS, type AlterationGroup } from '../../src/model/catalogue.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { makeFeature } from './identifyWorld.ts';

const STATES = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'];
const GROUPS: Readonly<Record<AlterationGroup, number>> = {
  'body casting': 6,
  'base casting': 2,
  'outer coat': 3,
  decals: 2,
  'base coat': 2,
  'sheltered coat': 1,
  wheels: 4,
  'fitted part': 4,
};

const rates = (some: Partial<Record<AlterationGroup, number>>) =>
  Object.fromEntries(ALTERATION_GROUPS.map((group) => [group, some[group] ?? 0])) as IdentifyHistory['rates'];

/** Histories of the simulated world: 15 % of all features altered where the model was not left alone. */
const DRAWN_HISTORIES: readonly IdentifyHistory[] = [
  { key: 'untouched', label: 'untouched', prior: 0.55, rates: rates({}) },
  {
    key: 'wheels',
    label: 'wheels changed',
    prior: 0.2,
    rates: rates({ wheels: 0.75, 'fitted part': 0.08, 'outer coat': 0.03, decals: 0.03 }),
  },
  {
    key: 'repainted',
    label: 'repainted',
    prior: 0.15,
    rates: rates({
      'outer coat': 0.55,
      decals: 0.55,
      'base coat': 0.25,
      'sheltered coat': 0.05,
      wheels: 0.05,
      'fitted part': 0.05,
    }),
  },
  {
    key: 'rebuilt',
    label: 'rebuilt from parts',
    prior: 0.1,
    rates: rates({
      'base casting': 0.15,
      'outer coat': 0.15,
      decals: 0.15,
      'base coat': 0.15,
      'sheltered coat': 0.05,
      wheels: 0.3,
      'fitted part': 0.25,
    }),
  },
];

export interface SimulatedWorld {
  readonly variants: number;
  /** Every fourth feature carries range-wide dates of its states; only the speed figures use such worlds. */
  readonly isDated?: boolean;
}

/**
 * The world behind the identification figures: 24 features of 3 to 8 states with uneven shares, efforts 1 to 8, some
 * look-alike states; about 8 variants a casting, differing in 2 to 5 features; spans with fuzzy ends. One entry in ten is
 * two states with shares 0.7 and 0.3, one in thirty is not recorded.
 */
export function createSimulatedCatalogue(
  seed: number,
  { variants: count, isDated = false }: SimulatedWorld,
): IdentifyCatalogue {
  const random = createSeededRandom(seed);
  const groups = ALTERATION_GROUPS.flatMap((group) => new Array<AlterationGroup>(GROUPS[group]).fill(group));
  const features = shuffle(groups, random).map((group, i) => createFeature(i, group, isDated && i % 4 === 0, random));
  const popularity = features.map((feature) => feature.states.map(() => random() ** 2 + 0.05));
  const variants: IdentifyVariant[] = [];
  for (let casting = 0; variants.length < count; casting++) {
    const own = features.map((feature, f) => drawByWeight(feature, popularity[f]!, random));
    const from = 1950 + random() * 24;
    const size = Math.min(count - variants.length, 6 + Math.floor(random() * 5));
    for (let i = 0; i < size; i++) variants.push(createVariant({ casting, i, from, own, features }, random));
  }
  return { features, measures: [], variants, histories: DRAWN_HISTORIES };
}

function createFeature(i: number, group: AlterationGroup, isDated: boolean, random: RandomSource): IdentifyFeature {
  const states = STATES.slice(0, 3 + Math.floor(random() * 6));
  const alikes = Object.fromEntries(
    states
      .filter(() => random() < 0.4)
      .map((state) => [
        state,
        [
          pickOne(
            states.filter((s) => s !== state),
            random,
          ),
        ],
      ]),
  );
  const years = Object.fromEntries(
    states.map((state) => {
      const from = 1950 + Math.floor(random() * 20);
      return [state, isDated ? ([from, from + 4 + Math.floor(random() * 12)] as const) : ([null, null] as const)];
    }),
  );
  return makeFeature({ key: `f${i}`, states, alikes, years, group, effort: 1 + Math.floor(random() * 8) });
}

interface VariantNote {
  readonly casting: number;
  readonly i: number;
  readonly from: number;
  readonly own: readonly string[];
  readonly features: readonly IdentifyFeature[];
}

function createVariant({ casting, i, from, own, features }: VariantNote, random: RandomSource): IdentifyVariant {
  const changed = new Set(shuffle([...features.keys()], random).slice(0, 2 + Math.floor(random() * 4)));
  const states: Record<string, Record<string, number>> = {};
  features.forEach((feature, f) => {
    const kind = random();
    if (kind < 1 / 30) return;
    const state = changed.has(f) ? pickOne(feature.states, random).id : own[f]!;
    const other = pickOne(feature.states, random).id;
    states[feature.id] = kind < 0.13 && other !== state ? { [state]: 0.7, [other]: 0.3 } : { [state]: 1 };
  });
  const start = from + i * (0.5 + random());
  const length = 1 + random() * 4;
  const fuzz = 0.25 + random() * 0.5;
  return {
    id: `c${casting}.v${i}`,
    name: `c${casting}.v${i}`,
    castingId: `c${casting}`,
    rarity: 0,
    span: {
      startEarliest: start,
      startLatest: start + fuzz,
      endEarliest: start + length - fuzz,
      endLatest: start + length,
    },
    states,
    sizesMm: {},
    statements: [],
  };
}

function drawByWeight(feature: IdentifyFeature, weights: readonly number[], random: RandomSource): string {
  let left = random() * weights.reduce((a, b) => a + b, 0);
  return feature.states[
    Math.max(
      0,
      weights.findIndex((weight) => (left -= weight) < 0),
    )
  ]!.id;
}

/** Fisher and Yates. */
export function shuffle<T>(list: readonly T[], random: RandomSource): T[] {
  const shuffled = [...list];
  for (let i = shuffled.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [shuffled[i], shuffled[j]] = [shuffled[j]!, shuffled[i]!];
  }
  return shuffled;
}

/** Reads a feature with a certainty drawn so that one reading in ten is wrong. */
export function readWithCare(
  specimen: DrawnSpecimen,
  feature: IdentifyFeature,
  random: RandomSource,
  readingRight: IdentifySettings['readingRight'] = NOMINAL_READING,
): StateAnswer {
  const dice = random();
  return readFeature(specimen, feature, dice < 0.6 ? 'sure' : dice < 0.9 ? 'likely' : 'unsure', random, readingRight);
}

/** A world as specimens are drawn and read in it; identification believes the catalogue of `createSimulatedCatalogue`. */
export interface DrawnWorld {
  readonly catalogue: IdentifyCatalogue;
  readonly readingRight: IdentifySettings['readingRight'];
}

/** Readings are right as often as their certainty says, and 55 in a hundred models were left alone. */
export const createNominalWorld = (believed: IdentifyCatalogue): DrawnWorld => createScaledWorld(believed, 1);

/** The same world where every rate of alteration and of misreading is so many times as high. */
export function createScaledWorld(believed: IdentifyCatalogue, factor: number): DrawnWorld {
  const scaled = (rate: number) => Math.min(0.95, factor * rate);
  const { sure, likely, unsure } = NOMINAL_READING;
  return {
    catalogue: {
      ...believed,
      histories: DRAWN_HISTORIES.map((history) => ({
        ...history,
        rates: Object.fromEntries(
          Object.entries(history.rates).map(([group, rate]) => [group, scaled(rate)]),
        ) as IdentifyHistory['rates'],
      })),
    },
    readingRight: { sure: 1 - scaled(1 - sure), likely: 1 - scaled(1 - likely), unsure: 1 - scaled(1 - unsure) },
  };
}
