import type { JointKind, MeasuredSize, SourceCertainty } from '../model/catalogue.ts';
import type { WantBit } from '../model/workpiece.ts';
import type { CoatTouch } from '../model/coatTouch.ts';
import type {
  Area,
  CoatingLayer,
  ComingOff,
  Finding,
  FoundCondition,
  Measurement,
  Observation,
  Specimen,
  SpecimenPart,
  Want,
  WishForJoint,
} from '../model/workpiece.ts';

/** One model of the job. */
export interface RecordModel extends Pick<Specimen, 'name' | 'note' | 'settledBy'> {
  /** Maker, range, number and name; null where nobody knows it. */
  readonly casting: RecordCasting | null;
  /** What the looks say of its issue and its years, with the doubt. */
  readonly verdict: string;
  /** The issue that somebody is sure of; null where nobody is. */
  readonly settledIssue: string | null;
  readonly looks: readonly RecordLook[];
  readonly measurements: readonly Pick<Measurement, 'what' | 'valueMm' | 'spreadMm'>[];
  readonly sources: readonly RecordSource[];
  readonly joints: readonly RecordJoint[];
  readonly parts: readonly RecordPart[];
}

export interface RecordCasting {
  readonly maker: string;
  readonly range: string;
  readonly number: string;
  readonly name: string;
}

/** What was looked at, and what was seen. */
export interface RecordLook extends Pick<Observation, 'certainty'> {
  readonly feature: string;
  /** null where it could not be said. */
  readonly seen: string | null;
  readonly size: MeasuredSize | null;
  /** Places of the captured colours that answer it. */
  readonly byColours: readonly string[];
}

export interface RecordJoint {
  readonly label: string;
  readonly kind: JointKind;
  readonly parts: readonly string[];
  /** It came to light while opening. */
  readonly isFound: boolean;
  /** How it was found; null where as the factory made it. */
  readonly condition: FoundCondition['condition'] | null;
  readonly conditionNote: string;
  /** What the restorer wanted of it; null where that was left to the plan. */
  readonly wish: WishForJoint['wish'] | null;
  readonly wishReason: string;
}

export interface RecordPart extends Pick<
  SpecimenPart,
  'name' | 'role' | 'material' | 'materialCertainty' | 'state' | 'origin' | 'originNote' | 'isKept'
> {
  /** The model that it was taken off; null where it came with this one. */
  readonly takenFrom: string | null;
  /** By what its old paint was taken off; null where that is in no log. */
  readonly stripped: string | null;
  /** How it was mended, by the log: what a finding says of that was only meant. */
  readonly mended: readonly RecordMending[];
  readonly findings: readonly Omit<Finding, 'id' | 'version' | 'specimenPartId'>[];
  readonly wants: readonly RecordWant[];
  /** How it came off, for whoever opens it next. */
  readonly cameOff: readonly (Pick<ComingOff, 'fromSide' | 'note'> & { readonly photo: string | null })[];
  readonly areas: readonly RecordArea[];
  readonly coatsFound: readonly RecordCoat[];
  /** Coats of the plan that were not put on, or came off again. */
  readonly coatsNotOn: readonly RecordCoat[];
  readonly coatsApplied: readonly RecordCoat[];
}

export interface RecordMending {
  readonly task: string;
  /** Method; empty where there is no choice. */
  readonly by: string;
  readonly who: string;
  readonly at: string;
  readonly note: string;
}

export type RecordArea = Pick<Area, 'kind' | 'name' | 'crossesSeam' | 'reliefUm' | 'size' | 'outline'>;

export interface RecordWant extends Pick<
  Want,
  'kind' | 'feature' | 'what' | 'getBy' | 'state' | 'solution' | 'origin' | 'reason' | 'dueOn' | 'price'
> {
  readonly bits: readonly (Omit<WantBit, 'id' | 'thingId'> & { readonly thing: string | null })[];
  /** What of the drawers it was taken out of. */
  readonly taken: { readonly thing: string; readonly amount: number } | null;
}

export interface RecordCoat extends Omit<CoatingLayer, 'id' | 'version' | 'areaId' | 'stage' | 'seq' | 'productId'> {
  readonly area: string;
  /** The paint; null where it is none of the shelf. */
  readonly product: string | null;
  /** What fingers found of it. */
  readonly touches: readonly Pick<CoatTouch, 'test' | 'isReady' | 'at' | 'who'>[];
}

/** What somebody says of a date. */
export interface RecordSource {
  readonly about: string;
  readonly statement: string;
  readonly fromYear: number | null;
  readonly toYear: number | null;
  readonly origin: string;
  readonly certainty: SourceCertainty;
}
