import type { ColourCapture, LabColour, Mix, MixStepBody, Point, RecipeLine } from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
import { PaintProductRow } from './paint.ts';
import { PhotoRow } from './photo.ts';
import { References, VersionedRow } from './versionedRow.ts';
import { JobRow } from './work.ts';
import { SpecimenPartRow } from './workpiece.ts';

/** Written once, never changed: the old colour is gone when the part is stripped. */
@Entity('colour_capture')
export class ColourCaptureRow implements ColourCapture {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  jobId!: string;

  @Column('text')
  specimenPartId!: string;

  @Column('text')
  place!: ColourCapture['place'];

  @Column('text')
  note!: string;

  @Column('simple-json')
  lab!: LabColour;

  @Column('simple-json')
  sd!: LabColour;

  @Column('simple-json', { nullable: true })
  spectrum!: readonly number[] | null;

  @Column('text')
  geometry!: ColourCapture['geometry'];

  @Column('text')
  method!: ColourCapture['method'];

  @Column('text', { nullable: true })
  photoId!: string | null;

  @Column('simple-json', { nullable: true })
  point!: Point | null;

  @Column('text')
  takenAt!: string;

  @Column('text')
  who!: string;

  @References(() => JobRow, 'jobId', 'RESTRICT')
  job?: Relation<JobRow>;

  @References(() => SpecimenPartRow, 'specimenPartId', 'RESTRICT')
  part?: Relation<SpecimenPartRow>;

  @References(() => PhotoRow, 'photoId', 'SET NULL')
  photo?: Relation<PhotoRow>;
}

@Entity('mix')
export class MixRow extends VersionedRow implements Mix {
  @Index()
  @Column('text')
  jobId!: string;

  @Column('text', { nullable: true })
  specimenPartId!: string | null;

  @Column('text', { nullable: true })
  captureId!: string | null;

  @Column('text')
  name!: string;

  @Column('simple-json')
  target!: LabColour;

  @Column('simple-json')
  targetA!: LabColour;

  @Column('text')
  geometry!: Mix['geometry'];

  @Column('real')
  needMl!: number;

  @Column('real')
  tolerance!: number;

  @Column('text')
  dosing!: Mix['dosing'];

  @Column('real')
  doseMl!: number;

  @Column('text')
  way!: Mix['way'];

  @Column('simple-json')
  recipe!: readonly RecipeLine[];

  @Column('text')
  startedAt!: string;

  @Column('text', { nullable: true })
  endedAt!: string | null;

  @Column('text', { nullable: true })
  productId!: string | null;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;

  @References(() => SpecimenPartRow, 'specimenPartId', 'SET NULL')
  part?: Relation<SpecimenPartRow>;

  @References(() => ColourCaptureRow, 'captureId', 'SET NULL')
  capture?: Relation<ColourCaptureRow>;

  @References(() => PaintProductRow, 'productId', 'SET NULL')
  product?: Relation<PaintProductRow>;
}

/** The log of a mixing; lines are added, never changed. */
@Entity('mix_step')
export class MixStepRow {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  mixId!: string;

  @Column('integer')
  seq!: number;

  @Column('text')
  at!: string;

  @Column('text')
  who!: string;

  @Column('simple-json')
  body!: MixStepBody;

  @References(() => MixRow, 'mixId')
  mix?: Relation<MixRow>;
}
