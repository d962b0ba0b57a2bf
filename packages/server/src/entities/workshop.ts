import type {
  BathKind,
  InstrumentKind,
  PassResult,
  StripMethod,
  StripPass,
  ToolKind,
  ToolState,
  VesselRecord,
} from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';
import { JobRow, TaskRow } from './work.ts';
import { SpecimenPartRow, SpecimenRow } from './workpiece.ts';

@Entity('tool')
export class ToolRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text')
  kind!: ToolKind;

  @Column('text')
  state!: ToolState;

  @Column('text', { default: '' })
  note!: string;

  @Column('text', { default: '' })
  holds!: string;
}

@Entity('vessel')
export class VesselRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text')
  material!: VesselRecord['material'];

  @Column('real')
  lengthMm!: number;

  @Column('real')
  widthMm!: number;

  @Column('real')
  depthMm!: number;

  @Column('boolean')
  isRound!: boolean;
}

@Entity('bath')
export class BathRow extends VersionedRow {
  @Column('text')
  vesselId!: string;

  @Column('text')
  kind!: BathKind;

  @Column('real')
  litres!: number;

  @Column('real')
  gramsPerLitre!: number;

  @Column('real')
  waterC!: number;

  @Column('text')
  madeAt!: string;

  @Column('text', { nullable: true })
  endedAt!: string | null;

  @References(() => VesselRow, 'vesselId', 'RESTRICT')
  vessel?: Relation<VesselRow>;
}

@Entity('strip_pass')
export class StripPassRow {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  taskId!: string;

  @Column('text')
  specimenPartId!: string;

  @Column('text')
  method!: StripMethod;

  @Column('integer')
  layers!: number;

  @Column('text', { nullable: true })
  bathId!: string | null;

  @Column('text', { nullable: true })
  timerId!: string | null;

  @Column('text')
  who!: string;

  @Column('text')
  startedAt!: string;

  @Column('text', { nullable: true })
  endedAt!: string | null;

  @Column('text', { nullable: true })
  result!: PassResult | null;

  @Column('simple-json', { nullable: true })
  size!: StripPass['size'];

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;

  @References(() => TaskRow, 'taskId')
  task?: Relation<TaskRow>;

  @References(() => SpecimenPartRow, 'specimenPartId')
  part?: Relation<SpecimenPartRow>;

  @References(() => BathRow, 'bathId', 'SET NULL')
  bath?: Relation<BathRow>;
}

@Entity('instrument')
export class InstrumentRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text')
  kind!: InstrumentKind;

  @Column('text')
  source!: 'simulated' | 'endpoint';

  @Column('text', { default: '' })
  url!: string;
}

/** What became different in a plan, and why. Append-only. */
@Entity('plan_change')
export class PlanChangeRow {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  specimenId!: string;

  @Column('text')
  at!: string;

  @Column('simple-json')
  because!: string[];

  /** Titles of tasks. */
  @Column('simple-json')
  added!: string[];

  @Column('simple-json')
  dropped!: string[];

  @Column('simple-json')
  keptAside!: string[];

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}
