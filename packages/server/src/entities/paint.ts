import type { PaintProduct } from '@sardonyx/core';
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
