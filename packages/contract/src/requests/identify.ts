import {
  ALTERATION_GROUPS,
  CAPTURE_PLACES,
  GEOMETRIES,
  PART_ROLES,
  SIZE_NAMES,
  SOURCE_CERTAINTIES,
  type AlterationGroup,
  type CapturePlace,
  type Geometry,
  type PartRole,
  type SizeName,
  type SourceCertainty,
  type StateColour,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsHexColor,
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
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  IsLab,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
  WHOLE,
} from '../validation.ts';
import { Spread } from './colour.ts';
import { MeasuredSizeBody } from './measuredSize.ts';

const KEY = /^[a-z0-9][a-z0-9-]{0,39}$/;
const KEY_WORDS = { message: 'A key is small letters, digits and hyphens.' };
const NAME_IT = { message: 'Give it a name.' };
const YEAR_WORDS = { message: 'A year, with a decimal part where it is known: 1962.5.' };

export class CreateMeasurement {
  @IsString() @IsNotEmpty() specimenId!: string;
  @IsIn(SIZE_NAMES) what!: SizeName;
  @IsNumber({}, { message: 'The size in mm, as a number.' }) @NotBelow(1) @NotAbove(600) valueMm!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(20) spreadMm!: number;
}

export class ChangeMeasurement extends VersionedChange {
  @IsChanged() @IsNumber({}, { message: 'The size in mm, as a number.' }) @NotBelow(1) @NotAbove(600) valueMm?: number;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(20) spreadMm?: number;
}

/** A dated statement, about exactly one of casting (with or without variant) and specimen. */
export class CreateSource {
  @OrNull() @IsString() castingId!: string | null;
  @OrNull() @IsString() variantId!: string | null;
  @OrNull() @IsString() specimenId!: string | null;
  @IsString() @IsNotEmpty({ message: 'What does it say?' }) @MaxLength(120) statement!: string;
  @OrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) fromYear!: number | null;
  @OrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) toYear!: number | null;
  @IsString() @IsNotEmpty({ message: 'Who says so, and where?' }) @MaxLength(500) origin!: string;
  @IsIn(SOURCE_CERTAINTIES) certainty!: SourceCertainty;
}

export class ChangeSource extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'What does it say?' }) @MaxLength(120) statement?: string;
  @IsChangedOrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) fromYear?: number | null;
  @IsChangedOrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) toYear?: number | null;
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Who says so, and where?' }) @MaxLength(500) origin?: string;
  @IsChanged() @IsIn(SOURCE_CERTAINTIES) certainty?: SourceCertainty;
}

export class CreateFeature {
  @IsString() @IsNotEmpty() rangeId!: string;
  @Matches(KEY, KEY_WORDS) key!: string;
  @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) label!: string;
  @IsString() @MaxLength(500) howToLook!: string;
  @IsIn(PART_ROLES) partRole!: PartRole;
  @IsInt(WHOLE) @NotBelow(1) @NotAbove(8) effort!: number;
  @IsString() @MaxLength(120) destroys!: string;
  @IsIn(ALTERATION_GROUPS) group!: AlterationGroup;
}

export class ChangeFeature extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) label?: string;
  @IsChanged() @IsString() @MaxLength(500) howToLook?: string;
  @IsChanged() @IsIn(PART_ROLES) partRole?: PartRole;
  @IsChanged() @IsInt(WHOLE) @NotBelow(1) @NotAbove(8) effort?: number;
  @IsChanged() @IsString() @MaxLength(120) destroys?: string;
  @IsChanged() @IsIn(ALTERATION_GROUPS) group?: AlterationGroup;
}

class StateColourBody implements StateColour {
  @IsLab() lab!: [number, number, number];
  @Spread() sd!: [number, number, number];
  @IsIn(GEOMETRIES) geometry!: Geometry;
  @OrNull() @IsString() specimenId!: string | null;
  @IsIn(CAPTURE_PLACES) place!: CapturePlace;
}

export class CreateFeatureState {
  @IsString() @IsNotEmpty() featureId!: string;
  @Matches(KEY, KEY_WORDS) key!: string;
  @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) label!: string;
  @OrNull() @IsHexColor() colourHex!: string | null;
  @OrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) fromYear!: number | null;
  @OrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) toYear!: number | null;
  @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) lookAlikes!: string[];
}

export class ChangeFeatureState extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) label?: string;
  @IsChangedOrNull() @IsHexColor() colourHex?: string | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => StateColourBody) colour?: StateColourBody | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => MeasuredSizeBody) size?: MeasuredSizeBody | null;
  @IsChangedOrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) fromYear?: number | null;
  @IsChangedOrNull() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) toYear?: number | null;
  @IsChanged() @IsArray() @ArrayMaxSize(40) @IsString({ each: true }) lookAlikes?: string[];
}

export class CreateVariant {
  @IsString() @IsNotEmpty() castingId!: string;
  @Matches(KEY, KEY_WORDS) key!: string;
  @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) name!: string;
  @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) startEarliest!: number;
  @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) startLatest!: number;
  @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) endEarliest!: number;
  @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) endLatest!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(10) rarity!: number;
  @IsString() @MaxLength(500) rarityEvidence!: string;
}

export class ChangeVariant extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) name?: string;
  @IsChanged() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) startEarliest?: number;
  @IsChanged() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) startLatest?: number;
  @IsChanged() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) endEarliest?: number;
  @IsChanged() @IsNumber({}, YEAR_WORDS) @NotBelow(1850) @NotAbove(2100) endLatest?: number;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(10) rarity?: number;
  @IsChanged() @IsString() @MaxLength(500) rarityEvidence?: string;
}

class SheetRowTyped {
  @OrNull() @IsString() @IsNotEmpty() featureId!: string | null;
  @IsString() @MaxLength(200) label!: string;
}

class SheetIssueTyped {
  @OrNull() @IsString() @IsNotEmpty() id!: string | null;
  @OrNull() @IsInt(WHOLE) @NotBelow(1) version!: number | null;
  @IsString() @MaxLength(200) name!: string;
  @IsString() @MaxLength(80) years!: string;
  @IsString() @MaxLength(20) rarity!: string;
  @IsString() @MaxLength(600) evidence!: string;
  @IsArray() @ArrayMaxSize(100) @IsString({ each: true }) @MaxLength(400, { each: true }) cells!: string[];
}

/** The issues of a casting as they were typed on their sheet; core's planSheet says what is wrong with it. */
export class WriteSheet {
  @IsArray()
  @ArrayMaxSize(100)
  @ValidateNested({ each: true })
  @Type(() => SheetRowTyped)
  rows!: SheetRowTyped[];
  @IsArray()
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => SheetIssueTyped)
  issues!: SheetIssueTyped[];
}

/** What a model shows is written down: as a new issue of its casting with a name, or added to an issue that is listed. */
export class WriteIssueDown {
  @OrNull() @IsString() @IsNotEmpty(NAME_IT) @MaxLength(120) name!: string | null;
  @OrNull() @IsString() @IsNotEmpty() variantId!: string | null;
  @IsString() @IsNotEmpty({ message: 'Say who found it.' }) @MaxLength(60) who!: string;
}

const SPREAD_WORDS = { message: 'From 0.1 to 5.' };
const FADING_WORDS = { message: 'From 0.1 to 20.' };

export class ChangeHouseStyle extends VersionedChange {
  @IsChanged() @IsNumber({}, { message: 'Rarity points, 0 to 10.' }) @NotBelow(0) @NotAbove(10) lossThreshold?: number;
  /** Time zone of the bench. */
  @IsChanged() @IsString() @MaxLength(60) zone?: string;
  @IsChangedOrNull()
  @IsArray()
  @ArrayMinSize(29, { message: 'A card has 28 fields and its white.' })
  @ArrayMaxSize(29, { message: 'A card has 28 fields and its white.' })
  @IsLab({ each: true })
  colourCard?: [number, number, number][] | null;
  @IsChanged() @IsBoolean() learnsRates?: boolean;
  @IsChanged()
  @IsNumber({}, SPREAD_WORDS)
  @NotBelow(0.1, SPREAD_WORDS)
  @NotAbove(5, SPREAD_WORDS)
  colourBatchSd?: number;
  @IsChanged()
  @IsNumber({}, FADING_WORDS)
  @NotBelow(0.1, FADING_WORDS)
  @NotAbove(20, FADING_WORDS)
  colourFadingSd?: number;
}

export class ChangeHistory extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAME_IT) @MaxLength(60) label?: string;
  @IsChanged() @IsNumber({}, { message: 'A share, 0 to 1.' }) @NotBelow(0.001) @NotAbove(1) prior?: number;
}
