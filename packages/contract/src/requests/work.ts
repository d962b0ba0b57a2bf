import {
  COAT_OWNERS,
  LAYER_KINDS,
  TIMER_KINDS,
  type CoatOwner,
  type LayerKind,
  type TaskMeasure,
  type TimerKind,
} from '@sardonyx/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsHexColor,
  IsIn,
  IsInt,
  IsISO8601,
  IsNotEmpty,
  IsNumber,
  IsString,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import { IsChanged, OrNull, VersionedChange } from '../validation.ts';

/** What a restorer does with a step. */
export const TASK_ACTIONS = ['start', 'done', 'done otherwise', 'not needed', 'take back', 'looked', 'note'] as const;
export type TaskAction = (typeof TASK_ACTIONS)[number];

class MeasureTaken {
  @IsIn(['length', 'diameter']) what!: TaskMeasure['what'];
  @IsNumber({}, { message: 'Give it in mm.' }) @Min(0.01) @Max(1000) valueMm!: number;
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
  @ArrayMaxSize(8)
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
}

/** A coat that was put on. */
export class LogCoat {
  @IsString() @IsNotEmpty() areaId!: string;
  @IsString() @IsNotEmpty({ message: 'Choose the pot.' }) productId!: string;
  @IsNumber({}, { message: 'Give the temperature in degrees Celsius.' }) @Min(-20) @Max(250) tempC!: number;
  @IsISO8601({ strict: true }, { message: 'Give the day and time it went on.' }) appliedAt!: string;
  @IsString() @IsNotEmpty({ message: 'Say who did it.' }) @MaxLength(80) who!: string;
  @IsString() @MaxLength(300) note!: string;
}

/** A layer that is planned, or that was found. Applied layers are logged as coats. */
export class CreateLayer {
  @IsString() @IsNotEmpty() areaId!: string;
  @IsIn(['found', 'planned']) stage!: 'found' | 'planned';
  @IsInt() @Min(0) @Max(40) seq!: number;
  @IsIn(LAYER_KINDS) kind!: LayerKind;
  @IsString() @IsNotEmpty({ message: 'Name the layer.' }) @MaxLength(80) name!: string;
  @IsHexColor() colourHex!: string;
  @IsNumber() @Min(0.1) @Max(2000) thicknessUm!: number;
  @IsIn(['measured', 'product sheet', 'planning estimate']) thicknessOrigin!:
    'measured' | 'product sheet' | 'planning estimate';
  @OrNull() @IsString() productId!: string | null;
  @IsChanged() @IsIn(COAT_OWNERS) whose?: CoatOwner;
}

export class ChangeLayer extends VersionedChange {
  @IsChanged() @IsInt() @Min(0) @Max(40) seq?: number;
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(80) name?: string;
  @IsChanged() @IsHexColor() colourHex?: string;
  @IsChanged() @IsNumber() @Min(0.1) @Max(2000) thicknessUm?: number;
  @IsChanged() @IsIn(['measured', 'product sheet', 'planning estimate']) thicknessOrigin?:
    'measured' | 'product sheet' | 'planning estimate';
  @IsChanged() @IsIn(COAT_OWNERS) whose?: CoatOwner;
}

export class StartTimer {
  @IsString() @IsNotEmpty() jobId!: string;
  @OrNull() @IsString() taskId!: string | null;
  @IsString() @IsNotEmpty() @MaxLength(120) label!: string;
  @IsIn(TIMER_KINDS) kind!: TimerKind;
  @IsNumber() @Min(0.05) @Max(60 * 24 * 60) minutes!: number;
}
