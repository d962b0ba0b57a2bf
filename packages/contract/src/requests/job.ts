import {
  JOB_SCOPES,
  JOB_TARGETS,
  SCHOOL_KEYS,
  SETTLED_BY,
  STATIONS,
  type JobScope,
  type JobTarget,
  type SchoolKey,
  type SettledBy,
  type Station,
} from '@sardonyx/core';
import { IsBoolean, IsIn, IsNotEmpty, IsString, MaxLength } from 'class-validator';
import { IsChanged, IsChangedOrNull, IsDay, OrNull, VersionedChange } from '../validation.ts';

export class CreateJob {
  @IsString() @IsNotEmpty({ message: 'Give the model a name.' }) @MaxLength(120) title!: string;
  /** null: nobody knows yet what it is. */
  @OrNull() @IsString() castingId!: string | null;
  @IsIn(JOB_SCOPES) scope!: JobScope;
  @IsIn(JOB_TARGETS) target!: JobTarget;
  @IsString() @MaxLength(500) why!: string;
  @OrNull() @IsDay() dueOn!: string | null;
}

export class ChangeJob extends VersionedChange {
  @IsChanged() @IsString() @IsNotEmpty({ message: 'Give the model a name.' }) @MaxLength(120) title?: string;
  @IsChanged() @IsIn(JOB_SCOPES) scope?: JobScope;
  @IsChanged() @IsIn(JOB_TARGETS) target?: JobTarget;
  @IsChanged() @IsString() @MaxLength(500) why?: string;
  @IsChangedOrNull() @IsDay() dueOn?: string | null;
  @IsChanged() @IsIn(STATIONS) station?: Station;
}

/** Another model of a job: a trailer, a second example; or one to take parts from, which has no job. */
export class AddSpecimen {
  @IsString() @IsNotEmpty({ message: 'Give it a name.' }) @MaxLength(120) name!: string;
  @OrNull() @IsString() castingId!: string | null;
  @IsBoolean() isDonor!: boolean;
}

/** Takes a part of another example; the part in its place goes there. */
export class TakePart {
  @IsString() @IsNotEmpty() intoSpecimenId!: string;
}

export class SignOff {
  @IsString() @IsNotEmpty({ message: 'Say who signs.' }) @MaxLength(80) who!: string;
  /** Why it is signed though its record lacks something; empty where nothing is missing. */
  @IsString() @MaxLength(300) because!: string;
}

/** Opens a job that is signed off: its first record stays. */
export class ReopenJob {
  @IsString() @IsNotEmpty({ message: 'Say who opens it.' }) @MaxLength(80) who!: string;
  @IsString() @IsNotEmpty({ message: 'Say why: it goes into the record.' }) @MaxLength(300) because!: string;
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
