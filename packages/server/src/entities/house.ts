import { Column, Entity } from 'typeorm';
import { VersionedRow } from './versionedRow.ts';

/** What holds for every job unless it says otherwise; there is one row, with the id 'house'. */
@Entity('house_style')
export class HouseStyleRow extends VersionedRow {
  /** Expected loss (rarity points) from which an irreversible step is held back. */
  @Column('real', { default: 1 })
  lossThreshold!: number;
}
