import {
  AREA_KINDS,
  AREA_WAYS,
  COAT_FAILURES,
  COAT_OWNERS,
  LAYER_KINDS,
  TIMER_KINDS,
  TOUCH_TESTS,
  VIEW_KINDS,
  type AreaKind,
  type AreaWay,
  type CoatFailureKind,
  type CoatOwner,
  type LayerKind,
  MEASURED_OF,
  type TaskMeasure,
  type TimerKind,
  type TouchTest,
  type ViewKind,
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
  IsISO8601,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  Matches,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { PointBody } from './photo.ts';
import {
  A_NUMBER,
  IsChanged,
  IsChangedOrNull,
  NotAbove,
  NotBelow,
  OrNull,
  VersionedChange,
  WHOLE,
} from '../validation.ts';

/** What a restorer does with a step. */
export const TASK_ACTIONS = ['start', 'done', 'done otherwise', 'not needed', 'take back', 'looked', 'note'] as const;
export type TaskAction = (typeof TASK_ACTIONS)[number];

class MeasureTaken {
  @IsIn(MEASURED_OF) what!: TaskMeasure['what'];
  @IsNumber({}, { message: 'Give it in mm.' }) @NotBelow(0.01) @NotAbove(1000) valueMm!: number;
}

export class ActOnTask {
  @IsIn(TASK_ACTIONS) act!: TaskAction;
  @IsString() @IsNotEmpty({ message: 'Say who did it.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(500) note!: string;
  /** Why an irreversible step is begun although the model may be worth more as it is; it goes into the log. */
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(500) goAheadBecause?: string;
  /** They stay until what is watched is over, although no bench session lasts so long. */
  @IsChanged() @IsBoolean() staysUntilDone?: boolean;
  /** It is dry today; asked of what is done on dry days only. */
  @IsChanged() @IsBoolean() isDryDay?: boolean;
  /** What a measuring step measured. */
  @IsChanged()
  @IsArray()
  @ArrayMaxSize(MEASURED_OF.length)
  @ValidateNested({ each: true })
  @Type(() => MeasureTaken)
  measures?: MeasureTaken[];
}

/** An applied coat that does not stay. */
export class RejectCoat {
  @IsString() @IsNotEmpty({ message: 'Say who rejects it.' }) @MaxLength(80) who!: string;
  @IsString()
  @IsNotEmpty({ message: 'Say what is wrong with it: it goes into the record.' })
  @MaxLength(300)
  because!: string;
  @IsChanged() @IsIn(COAT_FAILURES) failure?: CoatFailureKind;
  /** What helped, or is tried next time. */
  @IsChanged() @IsString() @MaxLength(300) helped?: string;
  /** Of a picture of the bench that shows it. */
  @IsChanged() @Matches(/^[0-9a-f]{64}$/, { message: 'Choose a picture of this bench.' }) photoHash?: string;
}

/** A coat was touched, and was ready for it, or not yet. */
export class CreateTouch {
  @IsString() @IsNotEmpty() layerId!: string;
  @IsIn(TOUCH_TESTS) test!: TouchTest;
  @IsBoolean() isReady!: boolean;
  @IsISO8601({ strict: true }, { message: 'Give the day and time it was touched.' }) at!: string;
  @IsString() @IsNotEmpty({ message: 'Say who touched it.' }) @MaxLength(80) who!: string;
}

/** A coat was rubbed dull, so that the next one holds on it; or it was not, after all. */
export class KeyCoat {
  @IsBoolean() isKeyed!: boolean;
  @IsString() @IsNotEmpty({ message: 'Say who did it.' }) @MaxLength(80) who!: string;
}

/** What the workroom is like now, read off by a person. */
export class ReadRoom {
  @IsNumber({}, { message: 'Give the temperature in degrees Celsius.' }) @NotBelow(-20) @NotAbove(60) tempC!: number;
  @OrNull()
  @IsNumber({}, { message: 'Give the humidity in percent.' })
  @NotBelow(0, { message: 'Not below 0 %.' })
  @NotAbove(100, { message: 'Not above 100 %.' })
  humidity!: number | null;
}

class HowOfCoat {
  @IsString() @MaxLength(60) batch!: string;
  @OrNull() @IsNumber({}, { message: 'Parts of thinner to one of paint.' }) @NotBelow(0) @NotAbove(20) thinnerParts!:
    number | null;
  @OrNull() @IsNumber({}, { message: 'Give the pressure in bar.' }) @NotBelow(0) @NotAbove(10) pressureBar!:
    number | null;
  @OrNull() @IsNumber({}, { message: 'Give the nozzle in mm.' }) @NotBelow(0.05) @NotAbove(5) nozzleMm!: number | null;
  @OrNull() @IsNumber({}, { message: 'Give the humidity in percent.' }) @NotBelow(0) @NotAbove(100) humidity!:
    number | null;
}

class SizeOfDecal {
  @IsNumber({}, { message: 'Give its width in mm.' }) @NotBelow(0.2) @NotAbove(600) widthMm!: number;
  @IsNumber({}, { message: 'Give its height in mm.' }) @NotBelow(0.2) @NotAbove(600) heightMm!: number;
}

/** A coat that was put on. */
export class LogCoat {
  @IsString() @IsNotEmpty() areaId!: string;
  @IsString() @IsNotEmpty({ message: 'Choose the pot.' }) productId!: string;
  /** So thin that the ground shows through: the wet coat holds on it. */
  @IsChanged() @IsBoolean() isMist?: boolean;
  /** Why it goes on although relief fills in; it goes into the record. */
  @IsChanged() @IsString() @MaxLength(200) overBecause?: string;
  @IsNumber({}, { message: 'Give the temperature in degrees Celsius.' }) @NotBelow(-20) @NotAbove(250) tempC!: number;
  /** Batch, thinner, gun and humidity, so far as somebody says so. */
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => HowOfCoat) how?: HowOfCoat | null;
  /** Poured out of the pot for it; null: as is reckoned from its area. */
  @IsChangedOrNull()
  @IsNumber({}, { message: 'How much was poured, in ml: a number.' })
  @NotBelow(0)
  @NotAbove(500)
  ml?: number | null;
  @IsISO8601({ strict: true }, { message: 'Give the day and time it went on.' }) appliedAt!: string;
  @IsString() @IsNotEmpty({ message: 'Say who did it.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(300) note!: string;
}

class SizeOfArea {
  @IsNumber({}, { message: 'Give it in cm².' }) @NotBelow(0.01) @NotAbove(10_000) value!: number;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(2) relativeSd!: number;
  @IsIn(AREA_WAYS) way!: AreaWay;
}

class OutlineOfArea {
  @IsIn(VIEW_KINDS) view!: ViewKind;
  @IsArray()
  @ArrayMinSize(3, { message: 'A line round an area has three points at least.' })
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @Type(() => PointBody)
  points!: PointBody[];
}

/** A place on a part with coats of its own. */
export class CreateArea {
  @IsString() @IsNotEmpty() specimenPartId!: string;
  @IsIn(AREA_KINDS) kind!: AreaKind;
  @IsString() @IsNotEmpty({ message: 'Name the area.' }) @MaxLength(60) name!: string;
  @IsBoolean() crossesSeam!: boolean;
  @OrNull() @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(5000) reliefUm!: number | null;
  @OrNull() @IsObject() @ValidateNested() @Type(() => SizeOfArea) size!: SizeOfArea | null;
  @OrNull() @IsObject() @ValidateNested() @Type(() => OutlineOfArea) outline!: OutlineOfArea | null;
}

export class ChangeArea extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Name the area.' }) @MaxLength(60) name?: string;
  @IsChanged() @IsBoolean() crossesSeam?: boolean;
  @IsChangedOrNull() @IsNumber({}, A_NUMBER) @NotBelow(1) @NotAbove(5000) reliefUm?: number | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => SizeOfArea) size?: SizeOfArea | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => OutlineOfArea) outline?: OutlineOfArea | null;
}

/** A layer that is planned, or that was found. Applied layers are logged as coats. */
export class CreateLayer {
  @IsString() @IsNotEmpty() areaId!: string;
  @IsIn(['found', 'planned']) stage!: 'found' | 'planned';
  @IsInt(WHOLE) @NotBelow(0) @NotAbove(40) seq!: number;
  @IsIn(LAYER_KINDS) kind!: LayerKind;
  @IsString() @IsNotEmpty({ message: 'Name the layer.' }) @MaxLength(80) name!: string;
  @IsHexColor() colourHex!: string;
  @IsNumber({}, A_NUMBER) @NotBelow(0.1) @NotAbove(2000) thicknessUm!: number;
  @IsIn(['measured', 'product sheet', 'planning estimate']) thicknessOrigin!:
    'measured' | 'product sheet' | 'planning estimate';
  @OrNull() @IsString() productId!: string | null;
  @IsChanged() @IsIn(COAT_OWNERS) whose?: CoatOwner;
  /** Wet coats; left out or null: until it hides what is below. */
  @IsChangedOrNull() @IsInt(WHOLE) @NotBelow(1) @NotAbove(12) coats?: number | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => SizeOfDecal) decalMm?: SizeOfDecal | null;
}

export class ChangeLayer extends VersionedChange {
  @IsChanged() @IsInt(WHOLE) @NotBelow(0) @NotAbove(40) seq?: number;
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(80) name?: string;
  @IsChanged() @IsHexColor() colourHex?: string;
  @IsChanged() @IsNumber({}, A_NUMBER) @NotBelow(0.1) @NotAbove(2000) thicknessUm?: number;
  @IsChanged() @IsIn(['measured', 'product sheet', 'planning estimate']) thicknessOrigin?:
    'measured' | 'product sheet' | 'planning estimate';
  @IsChanged() @IsIn(COAT_OWNERS) whose?: CoatOwner;
  @IsChangedOrNull() @IsInt(WHOLE) @NotBelow(1) @NotAbove(12) coats?: number | null;
  @IsChangedOrNull() @IsObject() @ValidateNested() @Type(() => SizeOfDecal) decalMm?: SizeOfDecal | null;
}

export class StartTimer {
  @IsString() @IsNotEmpty() jobId!: string;
  @OrNull() @IsString() taskId!: string | null;
  @IsString() @IsNotEmpty() @MaxLength(120) label!: string;
  @IsIn(TIMER_KINDS) kind!: TimerKind;
  @IsNumber({}, A_NUMBER) @NotBelow(0.05) @NotAbove(60 * 24 * 60) minutes!: number;
}
