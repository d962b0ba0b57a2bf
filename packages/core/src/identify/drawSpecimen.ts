import { pickOne, type RandomSource } from '../numeric/seededRandom.ts';
import {
  commonness,
  DEFAULT_SETTINGS,
  NOMINAL_READING,
  type IdentifyCatalogue,
  type IdentifyFeature,
  type IdentifyHistory,
  type IdentifySettings,
  type IdentifyVariant,
  type StateAnswer,
} from './catalogue.ts';
import { createQuarterAxis, computeSpanDensity } from './quarters.ts';
import { readingChance } from './readingChance.ts';

/** A specimen with everything that a restorer can only guess. */
export interface DrawnSpecimen {
  /** null: none of the catalogue's variants. */
  readonly variant: IdentifyVariant | null;
  readonly history: IdentifyHistory;
  /** When it left the factory, decimal years. */
  readonly year: number;
  /** featureId -> how it left the factory and how it is now. */
  readonly features: ReadonlyMap<string, DrawnFeature>;
}

export interface DrawnFeature {
  readonly originalId: string;
  readonly shownId: string;
  readonly isAltered: boolean;
}

/**
 * Draws a specimen from the very model that identification assumes: a variant (or none of them), a date from its span, a
 * history, and for every feature a state by its shares and perhaps an alteration to any state. Range-wide state dates play
 * no part: in a drawn world a variant's own states are all there is.
 */
export function drawSpecimen(
  catalogue: IdentifyCatalogue,
  random: RandomSource,
  { nonePrior }: Pick<IdentifySettings, 'nonePrior'> = DEFAULT_SETTINGS,
): DrawnSpecimen {
  const { variants, histories } = catalogue;
  const variant = variants.length === 0 || random() < nonePrior ? null : drawByWeight(variants, commonness, random);
  const history = drawByWeight(histories, (one) => one.prior, random);
  const features = catalogue.features.map((feature): [string, DrawnFeature] => {
    const originalId = drawState(variant?.states[feature.id], feature, random);
    const isAltered = random() < history.rates[feature.group];
    return [
      feature.id,
      { originalId, isAltered, shownId: isAltered ? pickOne(feature.states, random).id : originalId },
    ];
  });
  return { variant, history, year: drawYear(catalogue, variant, random), features: new Map(features) };
}

/** What a restorer reads of a feature, with the mistakes that go with the certainty. */
export function readFeature(
  { features, variant }: DrawnSpecimen,
  feature: IdentifyFeature,
  certainty: 'sure' | 'likely' | 'unsure',
  random: RandomSource,
  readingRight: IdentifySettings['readingRight'] = NOMINAL_READING,
): StateAnswer {
  const { shownId, isAltered } = features.get(feature.id)!;
  // A replacement, like a feature nobody recorded, is modelled by how it is read: any state alike.
  const isRecorded = variant?.states[feature.id] !== undefined;
  const stateId = isAltered || !isRecorded ? shownId : drawReading(shownId, feature, readingRight[certainty], random);
  return { featureId: feature.id, stateId, certainty };
}

function drawByWeight<T>(list: readonly T[], weightOf: (one: T) => number, random: RandomSource): T {
  let left = random() * list.reduce((sum, one) => sum + weightOf(one), 0);
  return list.find((one) => (left -= weightOf(one)) < 0) ?? list[list.length - 1]!;
}

function drawState(
  shares: Readonly<Record<string, number>> | undefined,
  feature: IdentifyFeature,
  random: RandomSource,
): string {
  let left = random();
  for (const [stateId, share] of Object.entries(shares ?? {})) if ((left -= share) < 0) return stateId;
  return shares ? Object.keys(shares)[0]! : pickOne(feature.states, random).id;
}

function drawReading(truth: string, feature: IdentifyFeature, right: number, random: RandomSource): string {
  let left = random();
  for (const { id } of feature.states) if ((left -= readingChance(id, truth, feature, right)) < 0) return id;
  return truth;
}

function drawYear({ variants }: IdentifyCatalogue, variant: IdentifyVariant | null, random: RandomSource): number {
  const axis = createQuarterAxis(variants.flatMap((one) => (one.span ? [one.span] : [])));
  const density = variant?.span
    ? computeSpanDensity(axis, variant.span)
    : new Float64Array(axis.count).fill(1 / axis.count);
  let left = random();
  let quarter = density.findIndex((share) => (left -= share) < 0);
  if (quarter < 0) quarter = density.findLastIndex((share) => share > 0);
  return axis.firstYear + (quarter + random()) / 4;
}
