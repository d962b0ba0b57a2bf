import type { LabColour } from '@sardonyx/core';
import { Column, Entity, Unique } from 'typeorm';
import { VersionedRow } from './versionedRow.ts';

/** What holds for every job unless it says otherwise; there is one row, with the id 'house'. */
@Entity('house_style')
export class HouseStyleRow extends VersionedRow {
  /** Expected loss (rarity points) from which an irreversible step is held back. */
  @Column('real', { default: 1 })
  lossThreshold!: number;

  @Column('simple-json', { nullable: true })
  colourCard!: readonly LabColour[] | null;
}

/** The house's own answer to a school; schools without one have their default. */
@Unique(['school'])
@Entity('house_choice')
export class HouseChoiceRow extends VersionedRow {
  @Column('text')
  school!: string;

  @Column('text')
  option!: string;

  @Column('text')
  reason!: string;
}
