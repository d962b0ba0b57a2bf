import type { ComingOff, JointCondition, JointKind, JointWish } from '@sardonyx/core';
import { Column, Entity, Index, Unique, type Relation } from 'typeorm';
import { PhotoRow } from './photo.ts';
import { References, VersionedRow } from './versionedRow.ts';
import { SpecimenPartRow, SpecimenRow } from './workpiece.ts';

@Unique(['specimenId', 'jointKey'])
@Entity('joint_wish')
export class JointWishRow extends VersionedRow {
  @Column('text')
  specimenId!: string;

  @Column('text')
  jointKey!: string;

  @Column('text')
  wish!: JointWish;

  @Column('text')
  reason!: string;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

@Unique(['specimenId', 'jointKey'])
@Entity('joint_condition')
export class JointConditionRow extends VersionedRow {
  @Column('text')
  specimenId!: string;

  @Column('text')
  jointKey!: string;

  @Column('text')
  condition!: JointCondition;

  @Column('text')
  note!: string;

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

@Entity('found_joint')
export class FoundJointRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenId!: string;

  @Column('text')
  kind!: JointKind;

  @Column('text')
  label!: string;

  @Column('simple-json')
  partKeys!: string[];

  @References(() => SpecimenRow, 'specimenId')
  specimen?: Relation<SpecimenRow>;
}

@Entity('coming_off')
export class ComingOffRow extends VersionedRow {
  @Index()
  @Column('text')
  specimenPartId!: string;

  @Column('text')
  fromSide!: ComingOff['fromSide'];

  @Column('text')
  note!: string;

  @Column('text', { nullable: true })
  photoId!: string | null;

  @References(() => SpecimenPartRow, 'specimenPartId')
  specimenPart?: Relation<SpecimenPartRow>;

  @References(() => PhotoRow, 'photoId', 'SET NULL')
  photo?: Relation<PhotoRow>;
}
