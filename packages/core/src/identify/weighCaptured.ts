import { computeDe00 } from '../colour/difference.ts';
import { convertHexToLab } from '../colour/display.ts';
import type { CapturedColours, IdentifyFeature, IdentifySettings, IdentifyState, StateAnswer } from './catalogue.ts';
import { computeColourDensity, type KnownColour } from './computeColourDensity.ts';
import { readingChance } from './readingChance.ts';

/** What captured colours say of the states of a feature, all on one scale. */
export interface CapturedWeights {
  /** By state: how likely these readings are where the model has it. */
  readonly ofState: readonly number[];
  /** How likely they are of a colour that is nobody's: a repaint, or a state that is not listed. */
  readonly ofAny: number;
  /** By state: its colour was measured, off another model or as new, and in the same way. */
  readonly isMeasured: readonly boolean[];
}

/** Anywhere among paints. */
const ANYWHERE: KnownColour = { lab: [50, 0, 0], sd: [25, 25, 25], place: 'exposed', isOfOneModel: false };
/** A swatch on a screen shows a colour so exactly (planning estimate). */
const SWATCH_SD = 8;
/** A repaint that is meant to look like a factory colour is so far off (planning estimate). */
const IMITATION_SD = 3;
/** Share of repaints that are meant to look like one (planning estimate). */
const IMITATIONS = 0.5;

/**
 * A state that nobody measured has the colour of its swatch, roughly, or any. A colour that was read off the very model in
 * hand says nothing of it. A reading at the wrong place may be anything.
 */
export function weighCaptured(
  captured: CapturedColours,
  feature: IdentifyFeature,
  { colour: spread, measureWrong }: Pick<IdentifySettings, 'colour' | 'measureWrong'>,
): CapturedWeights {
  const { readings } = captured;
  const isMeasured = feature.states.map(({ colour }) => isOfUse(colour, captured));
  const known = feature.states.map((state, s) => (isMeasured[s] ? asKnown(state) : asSwatch(state)));
  const lns = known.map((colour) => computeColourDensity(readings, colour, spread));
  const imitated = known.map((colour) => computeColourDensity(readings, widen(colour), spread));
  const anywhere = computeColourDensity(readings, ANYWHERE, spread);
  const top = Math.max(anywhere, ...lns);
  const imitation = imitated.reduce((sum, ln) => sum + Math.exp(ln - top), 0) / known.length;
  const ofAny = IMITATIONS * imitation + (1 - IMITATIONS) * Math.exp(anywhere - top);
  return {
    ofState: lns.map((ln) => (1 - measureWrong) * Math.exp(ln - top) + measureWrong * ofAny),
    ofAny,
    isMeasured,
  };
}

/**
 * Chance of the eye's word, by state. Among states whose colour was measured the capture decides alone: whoever has seen
 * the number cannot judge by eye any more.
 */
export function weighEye(
  answer: StateAnswer,
  feature: IdentifyFeature,
  { isMeasured }: Pick<CapturedWeights, 'isMeasured'>,
  { readingRight }: Pick<IdentifySettings, 'readingRight'>,
): { readonly ofState: readonly number[]; readonly ofAny: number } {
  const { stateId, certainty } = answer;
  if (stateId === null || certainty === 'cannot see') return { ofState: feature.states.map(() => 1), ofAny: 1 };
  const right = readingRight[certainty as keyof typeof readingRight];
  const chances = feature.states.map((state) => readingChance(stateId, state.id, feature, right));
  const isMeasuredToo = isMeasured[feature.states.findIndex(({ id }) => id === stateId)];
  const measured = chances.filter((_, s) => isMeasured[s]);
  const level = measured.reduce((sum, chance) => sum + chance, 0) / measured.length;
  return {
    ofState: chances.map((chance, s) => (isMeasuredToo && isMeasured[s] ? level : chance)),
    ofAny: 1 / feature.states.length,
  };
}

/** What captured colours say of a state. */
export interface CapturedState {
  readonly stateId: string;
  /** How probable it is, the eye's word with it, if all states were alike beforehand. */
  readonly share: number;
  /** dE00 from its measured colour to the reading that has faded least; null where it was not measured, or not alike. */
  readonly de: number | null;
}

/** States by what was captured and seen of them, the likeliest first; what is left to 1 is none of them. */
export function shareStates(
  answer: StateAnswer & { readonly captured: CapturedColours },
  feature: IdentifyFeature,
  settings: IdentifySettings,
): CapturedState[] {
  const { captured } = answer;
  const weights = weighCaptured(captured, feature, settings);
  const eye = weighEye(answer, feature, weights, settings);
  const products = feature.states.map((_, s) => weights.ofState[s]! * eye.ofState[s]!);
  const total = products.reduce((sum, product) => sum + product, weights.ofAny * eye.ofAny);
  const { lab } = captured.readings.find(({ place }) => place === 'sheltered') ?? captured.readings[0]!;
  return feature.states
    .map((state, s) => ({
      stateId: state.id,
      share: products[s]! / total,
      de: weights.isMeasured[s] ? computeDe00(lab, state.colour!.lab) : null,
    }))
    .sort((a, b) => b.share - a.share);
}

const isOfUse = (colour: IdentifyState['colour'], { specimenId, geometry }: CapturedColours): boolean =>
  Boolean(colour) && colour!.geometry === geometry && colour!.specimenId !== specimenId;

const asKnown = ({ colour }: IdentifyState): KnownColour => ({ ...colour!, isOfOneModel: colour!.specimenId !== null });

const asSwatch = ({ colourHex }: IdentifyState): KnownColour =>
  colourHex ? { ...ANYWHERE, lab: convertHexToLab(colourHex), sd: [SWATCH_SD, SWATCH_SD, SWATCH_SD] } : ANYWHERE;

const widen = (colour: KnownColour): KnownColour => ({
  ...colour,
  sd: [
    Math.hypot(colour.sd[0], IMITATION_SD),
    Math.hypot(colour.sd[1], IMITATION_SD),
    Math.hypot(colour.sd[2], IMITATION_SD),
  ],
});
