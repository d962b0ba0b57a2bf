import type {
  AlterationGroup,
  History,
  MeasuredSize,
  ProductionSpan,
  SourceCertainty,
  StateColour,
} from '../model/catalogue.ts';
import type { ColourCapture } from '../model/colour.ts';
import type { Geometry, LabColour } from '../model/reading.ts';
import type { Certainty } from '../model/workpiece.ts';

/** What identification needs of a catalogue. */
export interface IdentifyCatalogue {
  readonly features: readonly IdentifyFeature[];
  /** Id of a feature or state of another range -> the id under which the same is asked here; absent: none. */
  readonly sameAs?: Readonly<Record<string, string>>;
  readonly measures: readonly IdentifyMeasure[];
  readonly variants: readonly IdentifyVariant[];
  readonly histories: readonly IdentifyHistory[];
  /** What the bench learned from its settled cases; as stated where left out. */
  readonly rates?: Rates;
  /** What the house says of how far a model may be from its colour as new; planning estimates where left out. */
  readonly colourSpread?: Pick<ColourSpread, 'batchSd' | 'fadingSd'>;
  /**
   * castingId -> chance that a specimen of it is of an issue that the list lacks (believeUnlisted). Where it stands, each
   * listed issue has an unlisted sibling (encodeSiblings); a casting that is left out has none.
   */
  readonly unlisted?: Readonly<Record<string, number>>;
  /** castingId -> name, where several castings are to be told apart. */
  readonly castingNames?: Readonly<Record<string, string>>;
}

/** How many times as often as stated models are altered and readings are wrong. */
export interface Rates {
  readonly alteration: number;
  readonly misreading: number;
}

/** Something to look at, with the states it may be in. */
export interface IdentifyFeature {
  readonly id: string;
  readonly label: string;
  readonly howToLook: string;
  /** 1 a glance to 8 needs opening. */
  readonly effort: number;
  /** What the look destroys; empty for a harmless one. */
  readonly destroys: string;
  readonly group: AlterationGroup;
  readonly states: readonly IdentifyState[];
}

export interface IdentifyState {
  readonly id: string;
  readonly label: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  /** Ids of states of the same feature that it is easily taken for. */
  readonly lookAlikes: readonly string[];
  /** As measured; absent where nobody did. */
  readonly colour?: StateColour | null;
  readonly size?: MeasuredSize | null;
  /** As a swatch shows it. */
  readonly colourHex?: string | null;
}

/** Something to measure. */
export interface IdentifyMeasure {
  readonly id: string;
  readonly label: string;
  readonly howToLook: string;
  readonly effort: number;
  /** Standard deviation from one casting of a tool to the next, mm. */
  readonly toleranceMm: number;
}

export interface IdentifyVariant {
  readonly id: string;
  readonly name: string;
  readonly castingId: string;
  /** 0 common to 10 hardly ever seen: what is lost when an original one is stripped. */
  readonly rarity: number;
  /** null: nobody knows when it was made. */
  readonly span: ProductionSpan | null;
  /** featureId -> stateId -> share. A feature that is absent is "not recorded". */
  readonly states: Readonly<Record<string, Readonly<Record<string, number>>>>;
  /** measureId -> mm. */
  readonly sizesMm: Readonly<Record<string, number>>;
  /** What people said of its dates. */
  readonly statements: readonly DatedStatement[];
}

export type IdentifyHistory = Pick<History, 'key' | 'label' | 'prior' | 'rates'>;

/** Somebody says that it was made in these years (decimal, either end may be open). */
export interface DatedStatement {
  readonly label: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly certainty: SourceCertainty;
}

/** One answer about a specimen: a state that was read, or a size that was measured. */
export type Answer = StateAnswer | MeasuredAnswer;

/** stateId is null when there is no state to name (cannot see, missing). */
export interface StateAnswer {
  readonly featureId: string;
  readonly stateId: string | null;
  readonly certainty: Certainty;
  /** Colours captured there, beside what the eye said. */
  readonly captured?: CapturedColours;
  /** What was measured there, beside what the eye said. */
  readonly sized?: MeasuredSize;
}

/** Readings of one feature of one model, all with the gloss or all without. */
export interface CapturedColours {
  readonly specimenId: string;
  readonly geometry: Geometry;
  /** At least one. */
  readonly readings: readonly ColourReading[];
}

export type ColourReading = Pick<ColourCapture, 'lab' | 'sd' | 'place'>;

/** spreadMm is the standard deviation of the measuring itself. */
export interface MeasuredAnswer {
  readonly featureId: string;
  readonly valueMm: number;
  readonly spreadMm: number;
}

export const isMeasured = (answer: Answer): answer is MeasuredAnswer => 'valueMm' in answer;

/** Something was measured there, whatever the eye said. */
export const isByMeasuring = ({ captured, sized }: StateAnswer): boolean => Boolean(captured ?? sized);

/** Nothing can be concluded from it: not seen, or gone. */
export const isSilent = (answer: Answer): boolean =>
  !isMeasured(answer) &&
  (!isByMeasuring(answer) || answer.certainty === 'missing') &&
  (answer.certainty === 'cannot see' ||
    answer.certainty === 'missing' ||
    (!answer.stateId && answer.certainty !== 'replaced'));

/**
 * How many of a variant there are against one of rarity 0, before anything was looked at: half as many with every two
 * points (planning estimate). A rare issue needs more evidence than a common one.
 */
export const commonness = ({ rarity }: Pick<IdentifyVariant, 'rarity'>): number => 2 ** (-rarity / 2);

/** Planning estimates; a restorer may change them. */
export interface IdentifySettings {
  /** Chance that a reading of each certainty is right. */
  readonly readingRight: Readonly<Record<'sure' | 'likely' | 'unsure', number>>;
  /** Prior of "none in the catalogue". */
  readonly nonePrior: number;
  /** How far a dated statement is believed. */
  readonly statementRight: Readonly<Record<SourceCertainty, number>>;
  /** Chance that a size or a colour was measured at the wrong place or misread. */
  readonly measureWrong: number;
  readonly colour: ColourSpread;
}

/** How far a model may be from the colour that its state has as new, in units of Lab (planning estimates). */
export interface ColourSpread {
  /** From one batch of paint to the next, standard deviation of each coordinate. */
  readonly batchSd: number;
  /** Scale of the half-normal fading of an open face. */
  readonly fadingSd: number;
  /** Which way it fades, of length 1. */
  readonly fadingWay: LabColour;
  /** Share of the fading that a sheltered place has. */
  readonly shelteredShare: number;
}

/** How often a reading of each certainty is right (planning estimates); what is off is learned from settled cases. */
export const NOMINAL_READING: IdentifySettings['readingRight'] = { sure: 0.98, likely: 0.85, unsure: 0.6 };

export const DEFAULT_SETTINGS: IdentifySettings = {
  readingRight: NOMINAL_READING,
  nonePrior: 0.02,
  statementRight: { certain: 0.95, likely: 0.8, doubtful: 0.6 },
  measureWrong: 0.02,
  colour: { batchSd: 0.7, fadingSd: 3, fadingWay: [0.8, 0, 0.6], shelteredShare: 0.1 },
};
