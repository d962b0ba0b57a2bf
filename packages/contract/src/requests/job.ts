import {
  JOB_SCOPES,
  SCHOOL_KEYS,
  SETTLED_BY,
  STATIONS,
  type JobScope,
  type SchoolKey,
  type SettledBy,
  type Station,
} from '@sardonyx/core';
import { IsIn, IsNotEmpty, IsString, MaxLength } from 'class-validator';
import { IsChanged, IsChangedOrNull, IsDay, OrNull, VersionedChange } from '../validation.ts';

const TARGETS = ['as issued', 'period-correct', 'custom'] as const;

export class CreateJob {
  @IsString() @IsNotEmpty({ message: 'Give the model a name.' }) @MaxLength(120) title!: string;
  /** null: nobody knows yet what it is. */
  @OrNull() @IsString() castingId!: string | null;
  @IsIn(JOB_SCOPES) scope!: JobScope;
  @IsIn(TARGETS) target!: (typeof TARGETS)[number];
  @IsString() @MaxLength(500) why!: string;
  @OrNull() @IsDay() dueOn!: string | null;
}

export class ChangeJob extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Give the model a name.' }) @MaxLength(120) title?: string;
  @IsChanged() @IsIn(JOB_SCOPES) scope?: JobScope;
  @IsChanged() @IsIn(TARGETS) target?: (typeof TARGETS)[number];
  @IsChanged() @IsString() @MaxLength(500) why?: string;
  @IsChangedOrNull() @IsDay() dueOn?: string | null;
  @IsChanged() @IsIn(STATIONS) station?: Station;
}

export class SignOff {
  @IsString() @IsNotEmpty({ message: 'Say who signs.' }) @MaxLength(80) who!: string;
}

export class CreateDecision {
  @IsString() @IsNotEmpty() jobId!: string;
  @IsIn(SCHOOL_KEYS) school!: SchoolKey;
  @IsString() @IsNotEmpty() @MaxLength(60) option!: string;
  @IsString() @IsNotEmpty({ message: 'Give the reason: it goes into the record.' }) @MaxLength(300) reason!: string;
}

export class ChangeDecision extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(60) option?: string;
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(300) reason?: string;
}

export class ChangeSpecimen extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty() @MaxLength(120) name?: string;
  @IsChanged() @IsString() @MaxLength(500) note?: string;
  /** Says which casting an unknown model turned out to be. */
  @IsChanged() @IsString() @IsNotEmpty() castingId?: string;
  /** Both together, or both taken back. */
  @IsChangedOrNull() @IsString() @IsNotEmpty() settledVariantId?: string | null;
  @IsChangedOrNull() @IsIn(SETTLED_BY) settledBy?: SettledBy | null;
}
