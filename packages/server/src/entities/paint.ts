import type { DryingSheet, OpticsRecord, PaintProduct, PotMovement, RecipeLine } from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
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

/** A line of a pot's log: written once. */
@Entity('pot_movement')
@Index(['potId', 'seq'], { unique: true })
export class PotMovementRow {
  @PrimaryColumn('text')
  id!: string;

  @Column('text')
  potId!: string;

  /** Of its pot: 1, 2 and on. */
  @Column('integer')
  seq!: number;

  @Column('text')
  at!: string;

  @Column('text')
  move!: PotMovement['move'];

  /** Millilitres. */
  @Column('real')
  amount!: number;

  @Index()
  @Column('text', { nullable: true })
  jobId!: string | null;

  @Column('text', { nullable: true })
  taskId!: string | null;

  @Index()
  @Column('text', { nullable: true })
  actId!: string | null;

  @Column('real', { nullable: true })
  price!: number | null;

  @Column('text', { default: '' })
  batch!: string;

  @Column('text')
  who!: string;

  @Column('text', { default: '' })
  note!: string;

  @References(() => PaintPotRow, 'potId', 'RESTRICT')
  pot?: Relation<PaintPotRow>;
}
