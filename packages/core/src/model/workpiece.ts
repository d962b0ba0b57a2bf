import type { PartRole, Versioned } from './catalogue.ts';
import type { Material } from './material.ts';

export const ORIGINS = ['original', 'donor', 'bought', 'printed', 'made', 'unknown'] as const;
export type Origin = (typeof ORIGINS)[number];

export const PART_STATES = ['sound', 'worn', 'damaged', 'missing'] as const;
export type PartState = (typeof PART_STATES)[number];

/** A physical model, with or without a job. castingId is null while nobody knows what it is. */
export interface Specimen extends Versioned {
  readonly castingId: string | null;
  readonly jobId: string | null;
  readonly name: string;
  readonly note: string;
  readonly isDonor: boolean;
}

/** One physical piece. It keeps its origin when it moves to another specimen. */
export interface SpecimenPart extends Versioned {
  readonly specimenId: string;
  readonly key: string;
  readonly name: string;
  readonly role: PartRole;
  readonly material: Material;
  readonly state: PartState;
  readonly origin: Origin;
  readonly originNote: string;
}

export const AREA_KINDS = ['outside', 'underside', 'inside', 'mask'] as const;
export type AreaKind = (typeof AREA_KINDS)[number];

export interface Area extends Versioned {
  readonly specimenPartId: string;
  readonly kind: AreaKind;
  /** For a mask: the name it has on the drawing. */
  readonly name: string;
  /** Lies over a joint: nothing goes across it before the joint is closed for good. */
  readonly crossesSeam: boolean;
}

export const LAYER_KINDS = ['primer', 'colour', 'clear', 'decal', 'brightwork', 'plating', 'filler'] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

export const LAYER_STAGES = ['found', 'planned', 'applied'] as const;
export type LayerStage = (typeof LAYER_STAGES)[number];

/** One layer of an area, counted outwards from the metal (seq 0 lies on it). */
export interface CoatingLayer extends Versioned {
  readonly areaId: string;
  readonly stage: LayerStage;
  readonly seq: number;
  readonly kind: LayerKind;
  readonly name: string;
  readonly colourHex: string;
  readonly thicknessUm: number;
  readonly thicknessOrigin: 'measured' | 'product sheet' | 'planning estimate';
  readonly productId: string | null;
  readonly factory: boolean;
  readonly tempC: number | null;
  readonly appliedAt: string | null;
  readonly appliedBy: string | null;
  readonly note: string;
}

export const CERTAINTIES = ['sure', 'likely', 'unsure', 'cannot see', 'replaced', 'missing'] as const;
export type Certainty = (typeof CERTAINTIES)[number];

export interface Observation extends Versioned {
  readonly specimenId: string;
  readonly featureId: string;
  readonly stateId: string | null;
  readonly certainty: Certainty;
}

export const SIZE_NAMES = ['length', 'wheelbase'] as const;
export type SizeName = (typeof SIZE_NAMES)[number];

/** A size taken of a specimen, with the standard deviation of the measuring. */
export interface Measurement extends Versioned {
  readonly specimenId: string;
  readonly what: SizeName;
  readonly valueMm: number;
  readonly spreadMm: number;
}

export const FINDING_KINDS = [
  'chips',
  'fade',
  'overpaint',
  'rust',
  'seized',
  'bent',
  'cracked',
  'broken',
  'missing',
  'brittle',
  'pitted',
  'scuffed',
  'smell',
  'pest',
  'earlier repair',
] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

export interface Finding extends Versioned {
  readonly specimenPartId: string;
  readonly kind: FindingKind;
  /** 1 cosmetic, 2 must be mended, 3 stops the work. */
  readonly severity: number;
  readonly note: string;
}

export const WANT_STATES = ['open', 'ordered', 'solved', 'waived'] as const;
export type WantState = (typeof WANT_STATES)[number];

/** Something missing or broken that stays visible until it is solved or waived with a reason. */
export interface Want extends Versioned {
  readonly specimenPartId: string;
  readonly what: string;
  readonly dependentBits: string;
  readonly state: WantState;
  readonly solution: string;
  readonly reason: string;
  readonly dueOn: string | null;
}

export const PHOTO_STAGES = ['before', 'during', 'after'] as const;
export const PHOTO_SIDES = ['left', 'right', 'front', 'rear', 'top', 'base', 'detail'] as const;

export interface Photo extends Versioned {
  readonly jobId: string;
  readonly specimenId: string | null;
  readonly stage: (typeof PHOTO_STAGES)[number];
  readonly side: (typeof PHOTO_SIDES)[number];
  readonly caption: string;
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly takenAt: string;
}
