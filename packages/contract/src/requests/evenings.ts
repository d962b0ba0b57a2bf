import { MOVE_REASONS, WORK_KINDS, type MoveReason, type WorkKind } from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNotEmpty,
  IsNumber,
  IsObject,
  IsString,
  MaxLength,
  ValidateNested,
} from 'class-validator';
import { A_NUMBER, IsChanged, IsDay, NotAbove, NotBelow, OrNull, VersionedChange, WHOLE } from '../validation.ts';

const HOUR = { message: 'The hour at which it begins: 0 to 23.99.' };
const MINUTES = { message: 'Minutes: 0 to 720.' };
const NAME = { message: 'Give the name.' };

class SessionBody {
  @IsInt(WHOLE) @NotBelow(0) @NotAbove(6) weekday!: number;
  @IsNumber({}, HOUR) @NotBelow(0, HOUR) @NotAbove(23.99, HOUR) startHour!: number;
  @IsInt(MINUTES) @NotBelow(10, { message: 'Ten minutes at least.' }) @NotAbove(720, MINUTES) minutes!: number;
}

class ExceptionBody {
  @IsDay() on!: string;
  @IsNumber({}, HOUR) @NotBelow(0, HOUR) @NotAbove(23.99, HOUR) startHour!: number;
  @IsInt(MINUTES) @NotBelow(0, MINUTES) @NotAbove(720, MINUTES) minutes!: number;
  @IsString() @MaxLength(120) note!: string;
}

/** Somebody who works at this bench, and when. */
export class CreateRestorer {
  @IsString() @IsNotEmpty(NAME) @MaxLength(80) name!: string;
  @IsString() @MaxLength(120) does!: string;
  @IsArray() @ArrayMaxSize(21) @ValidateNested({ each: true }) @Type(() => SessionBody) sessions!: SessionBody[];
  @IsArray() @ArrayMaxSize(400) @ValidateNested({ each: true }) @Type(() => ExceptionBody) exceptions!: ExceptionBody[];
  @IsArray() @IsIn(WORK_KINDS, { each: true }) leaves!: WorkKind[];
}

export class ChangeRestorer extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty(NAME) @MaxLength(80) name?: string;
  @IsChanged() @IsString() @MaxLength(120) does?: string;
  @IsChanged()
  @IsArray()
  @ArrayMaxSize(21)
  @ValidateNested({ each: true })
  @Type(() => SessionBody)
  sessions?: SessionBody[];
  @IsChanged()
  @IsArray()
  @ArrayMaxSize(400)
  @ValidateNested({ each: true })
  @Type(() => ExceptionBody)
  exceptions?: ExceptionBody[];
  @IsChanged() @IsArray() @IsIn(WORK_KINDS, { each: true }) leaves?: WorkKind[];
}

export class CreateDayWeather {
  @IsDay() on!: string;
  @IsBoolean() isDry!: boolean;
}

export class ChangeDayWeather extends VersionedChange {
  @IsChanged() @IsBoolean() isDry?: boolean;
}

class StartBody {
  @IsString() @MaxLength(80) taskId!: string;
  @IsNumber({}, A_NUMBER) @NotBelow(0) @NotAbove(8e15) startsAt!: number;
  @IsString() @MaxLength(80) restorerId!: string;
}

class ReasonBody {
  @IsIn(MOVE_REASONS) kind!: MoveReason['kind'];
  @OrNull() @IsString() @MaxLength(80) taskId!: string | null;
}

class MoveBody {
  @IsString() @MaxLength(80) taskId!: string;
  @IsObject() @ValidateNested() @Type(() => StartBody) from!: StartBody;
  @IsObject() @ValidateNested() @Type(() => StartBody) to!: StartBody;
  @IsObject() @ValidateNested() @Type(() => ReasonBody) why!: ReasonBody;
}

/** A plan of all evenings as a page made it; `version` is that of the plan it was made from, 0 where there was none. */
export class KeepEveningsPlan {
  @IsInt(WHOLE) @NotBelow(0) version!: number;
  @IsArray() @ArrayMaxSize(20_000) @ValidateNested({ each: true }) @Type(() => StartBody) starts!: StartBody[];
  @IsArray() @ArrayMaxSize(20_000) @IsString({ each: true }) late!: string[];
  @IsArray() @ArrayMaxSize(2000) @ValidateNested({ each: true }) @Type(() => StartBody) pins!: StartBody[];
  @IsArray() @ArrayMaxSize(20_000) @ValidateNested({ each: true }) @Type(() => MoveBody) moves!: MoveBody[];
}
