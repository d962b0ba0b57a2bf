import type { DryingSheet, OpticsRecord, PaintProduct, PotMovement, RecipeLine } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
import { LogLineRow } from './logLineRow.ts';
import { References, VersionedRow } from './versionedRow.ts';

@Entity('paint_product')
export class PaintProductRow extends VersionedRow {
  @Column('text')
  line!: string;

  @Column('text')
  name!: string;

  @Column('text')
  kind!: PaintProduct['kind'];

  @Column('text')
  binder!: PaintProduct['binder'];

  @Column('text')
  gloss!: PaintProduct['gloss'];

  @Column('text')
  colourHex!: string;

  @Column('real')
  dryFilmUm!: number;

  @Column('real')
  flashMin!: number;

  @Column('real')
  recoatMin!: number;

  @Column('real')
  cureMin!: number;

  @Column('real')
  minC!: number;

  @Column('real')
  maxC!: number;

  @Column('simple-json', { nullable: true })
  optics!: OpticsRecord | null;

  @Column('real', { default: 1.15 })
  densityGPerMl!: number;

  @Column('real', { default: 0.05 })
  dropMl!: number;

  @Column('real', { default: 0.25 })
  pricePerMl!: number;

  @Column('simple-json', { nullable: true })
  drying!: DryingSheet | null;

  @Column('simple-json', { nullable: true })
  recipe!: readonly RecipeLine[] | null;
}

@Entity('paint_pot')
export class PaintPotRow extends VersionedRow {
  @Index()
  @Column('text')
  productId!: string;

  /** As its log leaves it: written with each line of that, never by hand. */
  @Column('real')
  leftMl!: number;

  @Column('text', { nullable: true })
  openedOn!: string | null;

  @Column('text')
  place!: string;

  @References(() => PaintProductRow, 'productId')
  product?: Relation<PaintProductRow>;
}

/** In millilitres. */
@Entity('pot_movement')
@Index(['potId', 'seq'], { unique: true })
@Index(['jobId'])
export class PotMovementRow extends LogLineRow {
  declare move: PotMovement['move'];

  @Column('text')
  potId!: string;

  @Index()
  @Column('text', { nullable: true })
  actId!: string | null;

  @References(() => PaintPotRow, 'potId', 'RESTRICT')
  pot?: Relation<PaintPotRow>;
}
