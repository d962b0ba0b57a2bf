import type { Photo, PhotoControl, PhotoMeasureKind, Point } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';
import { JobRow } from './work.ts';
import { SpecimenRow } from './workpiece.ts';

@Entity('photo')
export class PhotoRow extends VersionedRow {
  @Index()
  @Column('text')
  jobId!: string;

  @Column('text', { nullable: true })
  specimenId!: string | null;

  @Column('text')
  stage!: Photo['stage'];

  @Column('text')
  side!: Photo['side'];

  @Column('text')
  caption!: string;

  @Column('text')
  hash!: string;

  @Column('integer')
  widthPx!: number;

  @Column('integer')
  heightPx!: number;

  @Column('text')
  takenAt!: string;

  @Column('simple-json', { nullable: true })
  control!: PhotoControl | null;

  @References(() => JobRow, 'jobId')
  job?: Relation<JobRow>;

  @References(() => SpecimenRow, 'specimenId', 'SET NULL')
  specimen?: Relation<SpecimenRow>;
}

@Entity('photo_measure')
export class PhotoMeasureRow extends VersionedRow {
  @Index()
  @Column('text')
  photoId!: string;

  @Column('text')
  kind!: PhotoMeasureKind;

  @Column('text')
  label!: string;

  @Column('simple-json')
  points!: Point[];

  @Column('real')
  nearerMm!: number;

  @Column('real', { nullable: true })
  distanceMm!: number | null;

  @Column('real')
  value!: number;

  @Column('real')
  sd!: number;

  @References(() => PhotoRow, 'photoId')
  photo?: Relation<PhotoRow>;
}
