import type { CapturePlace, Geometry, LabColour } from './reading.ts';
import type { SchoolAnswer } from './school.ts';
import type { Drawing } from './drawing.ts';
import type { Material } from './material.ts';
import type { PartRole } from './partRole.ts';
import type { Traces } from './trace.ts';
import type { PartShape, PartSizes } from './partShape.ts';

/** Every row that people edit carries a version; a save names the version it was made from. */
export interface Versioned {
  readonly id: string;
  readonly version: number;
}

export interface Maker extends Versioned {
  readonly name: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly about: string;
}

export interface ToyRange extends Versioned {
  readonly makerId: string;
  readonly name: string;
  readonly about: string;
}

export const BODY_TYPES = ['saloon', 'van', 'lorry', 'tanker', 'bus', 'tractor', 'sports', 'trailer'] as const;
export type BodyType = (typeof BODY_TYPES)[number];

/** How many of a casting's issues stand in the catalogue, as somebody says. */
export const LISTED_SHARES = ['all', 'most', 'some'] as const;
export type ListedShare = (typeof LISTED_SHARES)[number];

/** One tool: a catalogue number and its stroke (4/2 is the second tool that carried number 4). */
export interface Casting extends Versioned {
  readonly rangeId: string;
  readonly number: string;
  readonly name: string;
  readonly bodyType: BodyType;
  readonly lengthMm: number;
  readonly wheelbaseMm: number;
  readonly construction: string;
  /** The construction that it was begun from; null where nobody said. */
  readonly builtAs: string | null;
  /** How many of its issues stand here; null where nobody said. */
  readonly listed: ListedShare | null;
  /** What is known of the toy and of the vehicle that it shows. */
  readonly history: string;
  readonly drawing: Drawing;
  /** What its drawing was traced from, view by view. */
  readonly traces: Traces;
}

export interface CastingPart extends Versioned {
  readonly castingId: string;
  readonly key: string;
  readonly name: string;
  readonly role: PartRole;
  readonly material: Material;
  readonly count: number;
  /** What a plain one looks like. */
  readonly shape: PartShape;
  readonly sizes: PartSizes;
  /** Small bits this part needs with it: a jib its pulley wire, a tyre nothing. */
  readonly dependentBits: string;
}

export const JOINT_KINDS = [
  'rivet post',
  'screw',
  'bent tab',
  'formed axle',
  'snap',
  'glue',
  'solder',
  'peened pin',
  'tapered pin',
  'sprung pin',
  'push fit',
] as const;
export type JointKind = (typeof JOINT_KINDS)[number];

/** A rotary tool throws sparks; the others do not. A cutter is turned by hand and takes metal as a drill does. */
export const JOINT_TOOLS = ['hand', 'file', 'cutter', 'drill', 'rotary', 'iron'] as const;
export type JointTool = (typeof JOINT_TOOLS)[number];

/** One way to open a joint. */
export interface JointWay {
  readonly key: string;
  readonly label: string;
  readonly tool: JointTool;
  readonly minutes: number;
  /** Chance, 0 to 1, that something is damaged. */
  readonly risk: number;
  /** What is gone afterwards; empty when the joint can be closed as it was. */
  readonly destroys: string;
  /** The answer to a school that this way belongs to: grind one head. */
  readonly school?: SchoolAnswer;
  /** Keys of joints that must be open before this way can be used. */
  readonly behindJoints: readonly string[];
}

export interface Joint extends Versioned {
  readonly castingId: string;
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly partKeys: readonly string[];
  readonly ways: readonly JointWay[];
  /** Joints that must be open before it, as somebody said; null: worked out from the construction. */
  readonly behind: readonly string[] | null;
}

/**
 * What is altered together. The body casting is the specimen itself and cannot be exchanged; the base can, with all that
 * is cast into it.
 */
export const ALTERATION_GROUPS = [
  'body casting',
  'base casting',
  'outer coat',
  'decals',
  'base coat',
  'sheltered coat',
  'wheels',
  'fitted part',
] as const;
export type AlterationGroup = (typeof ALTERATION_GROUPS)[number];

/** What may have happened to a model since it left the factory: it sets the chance of alteration of every group at once. */
export interface History extends Versioned {
  readonly key: string;
  readonly label: string;
  /** Chance of this history before anything was looked at (planning estimate). */
  readonly prior: number;
  /** Chance, 0 to 1, that a feature of the group was altered (planning estimate). */
  readonly rates: Readonly<Record<AlterationGroup, number>>;
}

export interface Feature extends Versioned {
  readonly rangeId: string;
  readonly key: string;
  readonly label: string;
  /** Where and how to look, in words. */
  readonly howToLook: string;
  readonly partRole: PartRole;
  /** 1 a glance, 2 a magnifier, 4 a tool, 8 needs opening. */
  readonly effort: number;
  /** What the look destroys; empty for a harmless one. */
  readonly destroys: string;
  readonly group: AlterationGroup;
}

/** A state's colour as it was measured. */
export interface StateColour {
  readonly lab: LabColour;
  /** One standard deviation of each coordinate. */
  readonly sd: LabColour;
  readonly geometry: Geometry;
  /** The model that it was read off, which may have faded and is of one batch; null for the colour as new (drawdown, book). */
  readonly specimenId: string | null;
  readonly place: CapturePlace;
}

export const SIZE_UNITS = ['mm', 'g'] as const;
export type SizeUnit = (typeof SIZE_UNITS)[number];

/** A length or a mass as it was measured; of a state with what one model differs from the next. */
export interface MeasuredSize {
  readonly value: number;
  readonly unit: SizeUnit;
  /** One standard deviation. */
  readonly sd: number;
}

export interface FeatureState extends Versioned {
  readonly featureId: string;
  readonly key: string;
  readonly label: string;
  readonly colourHex: string | null;
  /** null where nobody measured it. */
  readonly colour: StateColour | null;
  /** null where nobody measured it. */
  readonly size: MeasuredSize | null;
  /** Range-wide dates as decimal years; null where nothing is known. */
  readonly fromYear: number | null;
  readonly toYear: number | null;
  /** Keys of states it is easily taken for. */
  readonly lookAlikes: readonly string[];
}

/** Production span with fuzzy ends: grows from startEarliest to startLatest, fades from endEarliest to endLatest. Decimal years. */
export interface ProductionSpan {
  readonly startEarliest: number;
  readonly startLatest: number;
  readonly endEarliest: number;
  readonly endLatest: number;
}

export interface Variant extends Versioned, ProductionSpan {
  readonly castingId: string;
  readonly key: string;
  readonly name: string;
  /** 0 common to 10 hardly ever seen. */
  readonly rarity: number;
  readonly rarityEvidence: string;
  /** The model on which this bench found it; null for one that stood on a list. */
  readonly foundOnId: string | null;
}

/** The states a variant is known with, each with its share. No row for a feature means "not recorded". */
export interface VariantState extends Versioned {
  readonly variantId: string;
  readonly featureId: string;
  readonly stateId: string;
  readonly share: number;
  /** Where this is from ("list of 1974, p. 3", a model); empty: as the issue as a whole. */
  readonly origin: string;
}

export const SOURCE_CERTAINTIES = ['certain', 'likely', 'doubtful'] as const;
export type SourceCertainty = (typeof SOURCE_CERTAINTIES)[number];

/**
 * A dated statement somebody made; contradictory ones stand side by side. It is about one specimen, about one variant, or
 * (both null) about the casting as a whole, which then only stands to be read.
 */
export interface Source extends Versioned {
  readonly castingId: string | null;
  readonly variantId: string | null;
  readonly specimenId: string | null;
  readonly statement: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly origin: string;
  readonly certainty: SourceCertainty;
}
