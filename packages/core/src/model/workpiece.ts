import type { JointKind, MeasuredSize, Versioned } from './catalogue.ts';
import type { ViewKind } from './drawing.ts';
import type { PartRole } from './partRole.ts';
import type { Material } from './material.ts';
import type { MendMethod } from './mend.ts';
import type { ControlPoint, Point } from './plane.ts';

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
  /** The issue it was found out to be, beyond what the looks say; null while it is not settled. */
  readonly settledVariantId: string | null;
  readonly settledBy: SettledBy | null;
}

/** How somebody came to know an issue for sure. */
export const SETTLED_BY = ['opened and seen', 'compared with a sure one', 'found on this model'] as const;
export type SettledBy = (typeof SETTLED_BY)[number];

/** How sure somebody is of what a part is made of; the casting's own word counts as likely. */
export const MATERIAL_CERTAINTIES = ['sure', 'likely', 'unsure'] as const;
export type MaterialCertainty = (typeof MATERIAL_CERTAINTIES)[number];

/** One physical piece. It keeps its origin when it moves to another specimen. */
export interface SpecimenPart extends Versioned {
  readonly specimenId: string;
  readonly key: string;
  readonly name: string;
  readonly role: PartRole;
  readonly material: Material;
  readonly materialCertainty: MaterialCertainty;
  readonly state: PartState;
  readonly origin: Origin;
  readonly originNote: string;
  /** The specimen it was taken from; null while it is where it came in. */
  readonly takenFromId: string | null;
  /** It stays as it is, whatever is done beside it: bright metal, a coat worth keeping, somebody else's finished work. */
  readonly isKept: boolean;
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
  /** The finest relief on it that must be seen afterwards, micrometres, as measured; null: as castings usually have it. */
  readonly reliefUm: number | null;
  /** How large it is, where somebody found out; null: by the drawing. */
  readonly size: AreaSize | null;
  /** Drawn by the restorer; null where the drawing of the casting has it, or nobody drew it. */
  readonly outline: AreaOutline | null;
}

export const AREA_WAYS = ['mesh', 'weighed', 'box', 'drawing', 'typed', 'same casting'] as const;
export type AreaWay = (typeof AREA_WAYS)[number];

/** Square centimetres with their relative standard deviation, and where they come from. */
export interface AreaSize {
  readonly value: number;
  readonly relativeSd: number;
  readonly way: AreaWay;
}

/** A closed line on a view of the drawing, in its millimetres. */
export interface AreaOutline {
  readonly view: ViewKind;
  readonly points: readonly Point[];
}

/** What an area is called: by its own name, else by its kind. */
export const nameOfArea = ({ name, kind }: Pick<Area, 'name' | 'kind'>): string => name || kind;

export const LAYER_KINDS = ['primer', 'colour', 'clear', 'decal', 'brightwork', 'plating', 'filler'] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

/** Who put a coat on. The first one found, where nobody knows better, counts as the factory's. */
export const COAT_OWNERS = ['factory', 'owner', 'restorer', 'unknown'] as const;
export type CoatOwner = (typeof COAT_OWNERS)[number];

export const LAYER_STAGES = ['found', 'planned', 'applied'] as const;
export type LayerStage = (typeof LAYER_STAGES)[number];

/** How a coat was put on, so far as somebody said so; the next one of its pot begins with it. */
export interface CoatHow {
  /** What stands on the pot or the mix. */
  readonly batch: string;
  /** Parts of thinner to one of paint. */
  readonly thinnerParts: number | null;
  readonly pressureBar: number | null;
  readonly nozzleMm: number | null;
  /** Relative humidity of the room, percent. */
  readonly humidity: number | null;
}

export interface DecalSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

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
  /** Of a planned coat: how many wet coats of it, where the restorer says so; null: until it hides what is below (countCoats). */
  readonly coats: number | null;
  /** Of a coat that was put on: so thin that the ground shows through, for the wet coat to hold on. */
  readonly isMist: boolean;
  /** Of a coat that was put on: what came out of which gun; null where nobody said. */
  readonly how: CoatHow | null;
  /** Of a decal, millimetres; null where nobody measured it, and of everything else. */
  readonly decalMm: DecalSize | null;
  readonly whose: CoatOwner;
  readonly tempC: number | null;
  readonly appliedAt: string | null;
  readonly appliedBy: string | null;
  readonly note: string;
  /** Why an applied coat does not stay; null while it stands. */
  readonly rejection: LayerRejection | null;
  /** When a rejected coat was off again. */
  readonly removedAt: string | null;
  /** When it was rubbed dull, so that the next coat holds on it; null while it was not. */
  readonly keyedAt: string | null;
}

/** What goes wrong with coats. */
export const COAT_FAILURES = [
  'lifted with the tape',
  'bled',
  'wrinkled',
  'ran',
  'too thick',
  'wrong shade',
  'dust',
  'dull',
  'something else',
] as const;
export type CoatFailureKind = (typeof COAT_FAILURES)[number];

export interface LayerRejection {
  readonly at: string;
  readonly by: string;
  readonly because: string;
  /** Absent where it went only because what lay under it was rejected, or was logged before failures had kinds. */
  readonly failure?: CoatFailureKind;
  /** What helped, or is tried next time; empty where nobody knows. */
  readonly helped?: string;
  /** SHA-256 of the picture that shows it; absent where nobody chose one. */
  readonly photoHash?: string;
}

export const CERTAINTIES = ['sure', 'likely', 'unsure', 'cannot see', 'replaced', 'missing'] as const;
export type Certainty = (typeof CERTAINTIES)[number];

export interface Observation extends Versioned {
  readonly specimenId: string;
  readonly featureId: string;
  readonly stateId: string | null;
  readonly certainty: Certainty;
  /** Colours captured on this model that answer it beside the eye. */
  readonly captureIds: readonly string[];
  /** What was measured there beside the eye; null where nothing was. */
  readonly size: MeasuredSize | null;
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
  'twisted',
  'over-drilled',
  'off-centre',
  'slanted',
] as const;
export type FindingKind = (typeof FINDING_KINDS)[number];

export interface Finding extends Versioned {
  readonly specimenPartId: string;
  readonly kind: FindingKind;
  /** The feature of the part it is about: a pillar, hook, tab, railing. Empty where it is the whole part. */
  readonly feature: string;
  /** 1 cosmetic, 2 must be mended, 3 stops the work. */
  readonly severity: number;
  readonly note: string;
  /** Where it is pinned: a view of the drawing, or "photo:" with the photo's id; null while it is not. */
  readonly pinnedTo: string | null;
  /** On a drawing in its millimetres, on a photo as shares of width and height. */
  readonly pinX: number | null;
  readonly pinY: number | null;
  readonly measuredValue: number | null;
  readonly measuredUnit: FindingUnit | null;
  /** It must bear something afterwards; null where nobody said so. */
  readonly carriesLoad: boolean | null;
  /** How it is mended, where that was chosen; else as load and access say. */
  readonly mend: MendMethod | null;
}

/** What a finding is measured in. */
export const FINDING_UNITS = ['mm', '°', 'g', '%'] as const;
export type FindingUnit = (typeof FINDING_UNITS)[number];

export const JOINT_WISHES = ['open', 'closed'] as const;
export type JointWish = (typeof JOINT_WISHES)[number];

/** A joint that the restorer wants opened or left closed, whatever is cheaper. */
export interface WishForJoint extends Versioned {
  readonly specimenId: string;
  readonly jointKey: string;
  readonly wish: JointWish;
  readonly reason: string;
}

/**
 * How a joint was found, where it does not hold as the factory made it: open (the fastener is there), without its fastener,
 * glued by somebody, loose in its slot, or never assembled at all.
 */
export const JOINT_CONDITIONS = ['open', 'lost', 'glued', 'loose', 'never assembled'] as const;
export type JointCondition = (typeof JOINT_CONDITIONS)[number];

export interface FoundCondition extends Versioned {
  readonly specimenId: string;
  readonly jointKey: string;
  readonly condition: JointCondition;
  readonly note: string;
}

/** A joint that only came to light while opening: a hidden tab, glue of an earlier owner. */
export interface FoundJoint extends Versioned {
  readonly specimenId: string;
  readonly kind: JointKind;
  readonly label: string;
  readonly partKeys: readonly string[];
}

/** How one part came off: what the closing will need to know. */
export interface ComingOff extends Versioned {
  readonly specimenPartId: string;
  readonly fromSide: PhotoSide;
  /** Which way round it sat, what was under it. */
  readonly note: string;
  readonly photoId: string | null;
}

export const WANT_STATES = ['open', 'ordered', 'solved', 'waived'] as const;
export type WantState = (typeof WANT_STATES)[number];

/** How what is wanted is come by. */
export const WAYS_TO_GET = ['donor', 'buy', 'print', 'make'] as const;
export type WayToGet = (typeof WAYS_TO_GET)[number];

/** A small bit lies in a drawer as often as not. */
export const WAYS_TO_GET_BITS = ['drawer', ...WAYS_TO_GET] as const;
export type WayToGetBit = (typeof WAYS_TO_GET_BITS)[number];

/** A small thing that a wanted part needs with it: a line of its own, since it comes from somewhere else. */
export interface WantBit {
  /** Within its want. */
  readonly id: string;
  readonly what: string;
  readonly amount: number;
  readonly by: WayToGetBit;
  /** What of the drawers serves; null where nobody said, or where it comes from elsewhere. */
  readonly thingId: string | null;
  readonly isHere: boolean;
  /** What it cost; null where nobody said, and of what a drawer keeps the price of. */
  readonly price: number | null;
}

export const WANT_KINDS = ['part', 'feature', 'decal', 'other'] as const;
export type WantKind = (typeof WANT_KINDS)[number];

/** Something missing or broken that stays visible until it is solved or waived with a reason. */
export interface Want extends Versioned {
  readonly specimenPartId: string;
  /** A part takes the place of this one, a feature is set into it; a decal is tried on the paint, all else on bare metal. */
  readonly kind: WantKind;
  /** The feature that a piece is for; empty where it is for the whole part, or for whatever is gone. */
  readonly feature: string;
  readonly what: string;
  /** The small things it cannot be fitted without. */
  readonly bits: readonly WantBit[];
  /** null: as the school of broken parts answers. */
  readonly getBy: WayToGet | null;
  readonly state: WantState;
  readonly solution: string;
  /** Where what solved it came from; null until it is here. */
  readonly origin: Origin | null;
  readonly reason: string;
  readonly dueOn: string | null;
  /** What came for it cost, in the house's money, without its small bits; null where nobody said. */
  readonly price: number | null;
  /** What of the drawers it was taken out of, whose log keeps the price; null where it came from elsewhere. */
  readonly taken: { readonly thingId: string; readonly amount: number } | null;
}

export const PHOTO_STAGES = ['before', 'during', 'after'] as const;
export const PHOTO_SIDES = ['left', 'right', 'front', 'rear', 'top', 'base', 'detail'] as const;
export type PhotoSide = (typeof PHOTO_SIDES)[number];

export interface Photo extends Versioned {
  readonly jobId: string;
  readonly specimenId: string | null;
  readonly stage: (typeof PHOTO_STAGES)[number];
  readonly side: PhotoSide;
  readonly caption: string;
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly takenAt: string;
  /** Points whose place in one plane is known; null while the picture is not straightened. */
  readonly control: PhotoControl | null;
}

export interface PhotoControl {
  /** What the points are: "card, 85 by 54 mm". */
  readonly name: string;
  readonly points: readonly ControlPoint[];
}

export const PHOTO_MEASURES = ['length', 'diameter', 'angle', 'twist'] as const;
export type PhotoMeasureKind = (typeof PHOTO_MEASURES)[number];

/** Something measured on a straightened photograph, worked out by the core from its points. */
export interface PhotoMeasure extends Versioned {
  readonly photoId: string;
  readonly kind: PhotoMeasureKind;
  readonly label: string;
  /** Pixels: two ends; three or more of a rim; corner and two arms; points of the front axle's line, then as many of the rear one's. */
  readonly points: readonly Point[];
  /** How much nearer to the lens its plane lies than the card's, mm. */
  readonly nearerMm: number;
  /** From the lens to the card, mm; null where nobody measured it. */
  readonly distanceMm: number | null;
  /** mm or degrees, with one standard deviation. */
  readonly value: number;
  readonly sd: number;
}
