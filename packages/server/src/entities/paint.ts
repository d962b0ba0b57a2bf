import type { DryingSheet, OpticsRecord, PaintProduct, RecipeLine } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
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

  @Column('real')
  leftMl!: number;

  @Column('text', { nullable: true })
  openedOn!: string | null;

  @Column('text')
  place!: string;

  @References(() => PaintProductRow, 'productId')
  product?: Relation<PaintProductRow>;
}
