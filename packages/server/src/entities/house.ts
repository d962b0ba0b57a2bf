import type { LabColour, SchoolKey, SchoolOption } from '@sardonyx/core';
import { Column, Entity, Unique } from 'typeorm';
import { VersionedRow } from './versionedRow.ts';

/** What holds for every job unless it says otherwise; there is one row, with the id 'house'. */
@Entity('house_style')
export class HouseStyleRow extends VersionedRow {
  /** Expected loss (rarity points) from which an irreversible step is held back. */
  @Column('real', { default: 1 })
  lossThreshold!: number;

  /** Empty until the bench is furnished. */
  @Column('text', { default: '' })
  zone!: string;

  @Column('simple-json', { nullable: true })
  colourCard!: readonly LabColour[] | null;

  @Column('boolean', { default: true })
  learnsRates!: boolean;

  @Column('real', { default: 0.7 })
  colourBatchSd!: number;

  @Column('real', { default: 3 })
  colourFadingSd!: number;
}

/** The house's own answer to a school; schools without one have their default. */
@Unique(['school'])
@Entity('house_choice')
export class HouseChoiceRow extends VersionedRow {
  @Column('text')
  school!: SchoolKey;

  @Column('text')
  option!: SchoolOption;

  @Column('text')
  reason!: string;
}
