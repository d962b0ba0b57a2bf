import { convertHexToLab } from '../colour/display.ts';
import type { CapturedColours, IdentifyFeature, IdentifySettings, IdentifyState } from './catalogue.ts';
import { computeColourDensity, type KnownColour } from './computeColourDensity.ts';

/** What was measured says of the states of a feature, all on one scale. */
export interface MeasuredWeights {
  /** By state: how likely the readings are where the model has it. */
  readonly ofState: readonly number[];
  /** How likely they are of what is nobody's: a repaint, another wheel, or a state that is not listed. */
  readonly ofAny: number;
  /** By state: it was measured, off another model or as new, and in the same way. */
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
): MeasuredWeights {
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
