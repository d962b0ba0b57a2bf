import type {
  BenchSession,
  Job,
  Lack,
  LoggedWork,
  Process,
  SessionException,
  SchoolKey,
  SchoolOption,
  Station,
  Task,
  TaskAct,
  TaskLink,
  TaskLog,
  TaskNeeds,
  TaskState,
  TaskSubject,
  TaskTag,
  TimerKind,
  Use,
  WorkKind,
} from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, Unique, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';

@Entity('restorer')
export class RestorerRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text')
  does!: string;

  @Column('simple-json')
  sessions!: BenchSession[];

  @Column('simple-json', { default: '[]' })
  exceptions!: SessionException[];

  /** Work that is left to the others. */
  @Column('simple-json', { default: '[]' })
  leaves!: WorkKind[];
}

@Unique(['number'])
@Entity('job')
export class JobRow extends VersionedRow {
  @Column('text')
  number!: string;

  @Column('text')
  title!: string;

  @Column('text')
  scope!: Job['scope'];

  @Column('text')
  target!: Job['target'];

  @Column('text')
  why!: string;

  @Column('text')
  station!: Station;

  @Column('text', { nullable: true })
  dueOn!: string | null;

  @Column('text')
  intakeOn!: string;

  @Column('text', { nullable: true })
  signedOffAt!: string | null;

  @Column('text', { nullable: true })
  signedOffBy!: string | null;
}

/** One signing of a job, with its record as it was then. */
@Entity('signing')
export class SigningRow extends VersionedRow {
  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  signedAt!: string;

  @Column('text')
  signedBy!: string;

  @Column('simple-json')
  lacks!: Lack[];

  @Column('text')
  because!: string;

  @Column('text', { nullable: true })
  reopenedAt!: string | null;

  @Column('text', { nullable: true })
  reopenedBy!: string | null;

  @Column('text', { nullable: true })
  reopenedBecause!: string | null;

  /** The record as JSON, read only where somebody asks for it: it is long. */
  @Column('text', { select: false })
  record!: string;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;
}

@Unique(['jobId', 'school'])
@Entity('decision')
export class DecisionRow extends VersionedRow {
  @Column('text')
  jobId!: string;

  @Column('text')
  school!: SchoolKey;

  @Column('text')
  option!: SchoolOption;

  @Column('text')
  reason!: string;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;
}

@Unique(['specimenId', 'key'])
@Entity('task')
export class TaskRow extends VersionedRow {
  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  specimenId!: string;

  @Column('text')
  key!: string;

  @Column('text', { default: 'identify' })
  act!: TaskAct;

  @Column('simple-json', { default: '{}' })
  of!: TaskSubject;

  @Column('text', { default: '' })
  rule!: string;

  @Column('integer')
  seq!: number;

  @Column('text')
  station!: Station;

  @Column('text', { nullable: true })
  method!: string | null;

  @Column('text', { nullable: true })
  process!: Process | null;

  @Column('simple-json', { nullable: true })
  way!: Task['way'];

  @Column('text')
  title!: string;

  @Column('text')
  how!: string;

  @Column('simple-json')
  partKeys!: string[];

  @Column('simple-json')
  tags!: TaskTag[];

  @Column('simple-json')
  hazards!: string[];

  @Column('boolean')
  irreversible!: boolean;

  @Column('text')
  cannotBeUndone!: string;

  @Column('real')
  handsOnMin!: number;

  @Column('real')
  watchedMin!: number;

  @Column('real')
  passiveMin!: number;

  @Column('text')
  because!: string;

  @Column('simple-json', { default: '[]' })
  colours!: string[];

  @Column('simple-json', { default: '{}' })
  needs!: TaskNeeds;

  @Column('simple-json', { default: '[]' })
  uses!: Use[];

  @Column('simple-json')
  after!: TaskLink[];

  @Column('text')
  state!: TaskState;

  @Column('text', { nullable: true })
  doneAt!: string | null;

  @Column('text', { nullable: true })
  lookedAt!: string | null;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;
}

@Entity('task_log')
export class TaskLogRow {
  @PrimaryColumn('text')
  id!: string;

  @Index('task_log_seq', { unique: true })
  @Column('integer', { default: 0 })
  seq!: number;

  @Index()
  @Column('text')
  taskId!: string;

  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  who!: string;

  @Column('text')
  at!: string;

  @Column('text')
  act!: TaskLog['act'];

  @Column('text')
  note!: string;

  @Column('simple-json', { default: '{}' })
  work!: LoggedWork;

  @References(() => TaskRow, 'taskId')
  task?: Relation<TaskRow>;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;
}

@Entity('timer')
export class TimerRow extends VersionedRow {
  @Index()
  @Column('text')
  jobId!: string;

  @Column('text', { nullable: true })
  taskId!: string | null;

  @Column('text')
  label!: string;

  @Column('text')
  kind!: TimerKind;

  @Column('text')
  startedAt!: string;

  @Column('text')
  endsAt!: string;

  @Column('text', { nullable: true })
  acknowledgedAt!: string | null;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;

  @References(() => TaskRow, 'taskId', 'SET NULL')
  task?: Relation<TaskRow>;
}
