import {
  CERTAINTIES,
  FINDING_KINDS,
  FINDING_UNITS,
  MATERIALS,
  MATERIAL_CERTAINTIES,
  MEND_METHODS,
  ORIGINS,
  PART_STATES,
  WANT_KINDS,
  WANT_STATES,
  WAYS_TO_GET,
  WAYS_TO_GET_BITS,
  type WayToGetBit,
  type Certainty,
  type FindingKind,
  type FindingUnit,
  type Material,
  type MaterialCertainty,
  type MendMethod,
  type Origin,
  type PartState,
  type WantKind,
  type WantState,
  type WayToGet,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import {
  IsChanged,
  IsChangedOrNull,
  IsDay,
  NotAbove,
  A_NUMBER,
  NotBelow,
  OrNull,
  VersionedChange,
  WHOLE,
} from '../validation.ts';
import { MeasuredSizeBody } from './measuredSize.ts';

/** Several rules under one name, for fields that are made and changed alike. */
const every =
  (...rules: PropertyDecorator[]): PropertyDecorator =>
  (target, key) => {
    for (const rule of rules) rule(target, key);
  };
const CaptureIds = () => every(IsChanged(), IsArray(), ArrayMaxSize(20), IsString({ each: true }));

export class CreateObservation {
  @IsString() @IsNotEmpty() specimenId!: string;
  @IsString() @IsNotEmpty() featureId!: string;
  @OrNull() @IsString() stateId!: string | null;
  @IsIn(CERTAINTIES) certainty!: Certainty;
  @CaptureIds() captureIds?: string[];
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => MeasuredSizeBody) size?: MeasuredSizeBody | null;
}

export class ChangeObservation extends VersionedChange {
  @IsChangedOrNull() @IsString() stateId?: string | null;
  @IsChanged() @IsIn(CERTAINTIES) certainty?: Certainty;
  @CaptureIds() captureIds?: string[];
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => MeasuredSizeBody) size?: MeasuredSizeBody | null;
}

/** A view of the drawing, or a photo. */
const PIN_PLACE = /^(side|base|end|photo:[\w.:-]{1,120})$/;
const PIN_WORDS = { message: 'A pin stands on a view of the drawing or on a photo.' };
const MEASURED_WORDS = { message: 'What was measured, as a number.' };

const IsPinPlace = () => every(IsChangedOrNull(), Matches(PIN_PLACE, PIN_WORDS));
const IsPinCoordinate = () => every(IsChangedOrNull(), IsNumber({}, A_NUMBER), NotBelow(-50), NotAbove(1000));
const IsMeasuredValue = () =>
  every(
    IsChangedOrNull(),
    IsNumber({}, MEASURED_WORDS),
    NotBelow(-10000, MEASURED_WORDS),
    NotAbove(10000, MEASURED_WORDS),
  );

export class CreateFinding {
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsIn(FINDING_KINDS) kind!: FindingKind;
  @IsChanged() @IsString() @MaxLength(60) feature?: string;
  @IsInt(WHOLE) @NotBelow(1) @NotAbove(3) severity!: number;
  @IsString() @MaxLength(500) note!: string;
  @IsPinPlace() pinnedTo?: string | null;
  @IsPinCoordinate() pinX?: number | null;
  @IsPinCoordinate() pinY?: number | null;
  @IsMeasuredValue() measuredValue?: number | null;
  @IsChangedOrNull() @IsIn(FINDING_UNITS) measuredUnit?: FindingUnit | null;
  @IsChangedOrNull() @IsBoolean() carriesLoad?: boolean | null;
  @IsChangedOrNull() @IsIn(MEND_METHODS) mend?: MendMethod | null;
}

export class ChangeFinding extends VersionedChange {
  @IsChanged() @IsIn(FINDING_KINDS) kind?: FindingKind;
  @IsChanged() @IsString() @MaxLength(60) feature?: string;
  @IsChanged() @IsInt(WHOLE) @NotBelow(1) @NotAbove(3) severity?: number;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
  @IsPinPlace() pinnedTo?: string | null;
  @IsPinCoordinate() pinX?: number | null;
  @IsPinCoordinate() pinY?: number | null;
  @IsMeasuredValue() measuredValue?: number | null;
  @IsChangedOrNull() @IsIn(FINDING_UNITS) measuredUnit?: FindingUnit | null;
  @IsChangedOrNull() @IsBoolean() carriesLoad?: boolean | null;
  @IsChangedOrNull() @IsIn(MEND_METHODS) mend?: MendMethod | null;
}

const COST = { message: 'What it cost: a number.' };

/** A small thing that is wanted with a part. */
class BitOfWant {
  @IsString() @IsNotEmpty() @MaxLength(40) id!: string;
  @IsString() @IsNotEmpty({ message: 'Say what it is.' }) @MaxLength(120) what!: string;
  @IsNumber({}, { message: 'Say how many: a number.' }) @NotBelow(0.01) @NotAbove(10_000) amount!: number;
  @IsIn(WAYS_TO_GET_BITS) by!: WayToGetBit;
  @OrNull() @IsString() thingId!: string | null;
  @IsBoolean() isHere!: boolean;
  @OrNull() @IsNumber({}, COST) @NotBelow(0) @NotAbove(100_000) price!: number | null;
}

/** At most so many, each with a name of its own within its want. */
function AreBits(): PropertyDecorator {
  return (object, key) => {
    IsArray()(object, key as string);
    ArrayMaxSize(30)(object, key as string);
    ArrayUnique(({ id }: BitOfWant) => id)(object, key as string);
    ValidateNested({ each: true })(object, key as string);
    Type(() => BitOfWant)(object, key as string);
  };
}

export class CreateWant {
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsChanged() @IsIn(WANT_KINDS) kind?: WantKind;
  @IsChanged() @IsString() @MaxLength(60) feature?: string;
  @IsString() @IsNotEmpty({ message: 'Say what is wanted.' }) @MaxLength(200) what!: string;
  @IsChanged() @AreBits() bits?: BitOfWant[];
  @IsChangedOrNull() @IsIn(WAYS_TO_GET) getBy?: WayToGet | null;
  @IsIn(WANT_STATES) state!: WantState;
  @IsString() @MaxLength(300) solution!: string;
  @IsChangedOrNull() @IsIn(ORIGINS) origin?: Origin | null;
  @IsString() @MaxLength(300) reason!: string;
  @OrNull() @IsDay() dueOn!: string | null;
  @IsChangedOrNull() @IsNumber({}, COST) @NotBelow(0) @NotAbove(100_000) price?: number | null;
}

export class ChangeWant extends VersionedChange {
  @IsChanged() @IsIn(WANT_KINDS) kind?: WantKind;
  @IsChanged() @IsString() @MaxLength(60) feature?: string;
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(200) what?: string;
  @IsChanged() @AreBits() bits?: BitOfWant[];
  @IsChangedOrNull() @IsIn(WAYS_TO_GET) getBy?: WayToGet | null;
  @IsChanged() @IsIn(WANT_STATES) state?: WantState;
  @IsChanged() @IsString() @MaxLength(300) solution?: string;
  @IsChangedOrNull() @IsIn(ORIGINS) origin?: Origin | null;
  @IsChanged() @IsString() @MaxLength(300) reason?: string;
  @IsChangedOrNull() @IsDay() dueOn?: string | null;
  @IsChangedOrNull() @IsNumber({}, COST) @NotBelow(0) @NotAbove(100_000) price?: number | null;
}

/** A small bit is here, or is not after all: out of a drawer it is taken, and put back. */
export class SetBitHere {
  @IsBoolean() isHere!: boolean;
  @OrNull() @IsNumber({}, COST) @NotBelow(0) @NotAbove(100_000) price!: number | null;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}

/** What of a drawer meets a want, and where it came from before it lay there. */
export class TakeWant {
  @IsString() @IsNotEmpty({ message: 'Choose what.' }) thingId!: string;
  @IsNumber({}, { message: 'Say how many: a number.' }) @NotBelow(0.01) @NotAbove(10_000) amount!: number;
  @IsIn(ORIGINS, { message: 'Say where it came from.' }) origin!: Origin;
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}

export class PutBackWant {
  @IsString() @IsNotEmpty({ message: 'Say who.' }) @MaxLength(80) who!: string;
}

export class ChangeSpecimenPart extends VersionedChange {
  @IsChanged() @IsIn(MATERIALS) material?: Material;
  @IsChanged() @IsIn(MATERIAL_CERTAINTIES) materialCertainty?: MaterialCertainty;
  @IsChanged() @IsIn(PART_STATES) state?: PartState;
  @IsChanged() @IsIn(ORIGINS) origin?: Origin;
  @IsChanged() @IsString() @MaxLength(300) originNote?: string;
  @IsChanged() @IsBoolean() isKept?: boolean;
  /** Moves the piece to another specimen; its origin goes with it. */
  @IsChanged() @IsString() @IsNotEmpty() specimenId?: string;
}
