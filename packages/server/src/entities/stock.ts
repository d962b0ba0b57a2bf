import type { Move, StockKind, StockSizes, StockState, StockTraits } from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';

@Entity('supplier')
export class SupplierRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('real')
  promisedDays!: number;

  @Column('text', { default: '' })
  note!: string;
}

@Entity('stock_thing')
export class StockThingRow extends VersionedRow {
  @Index()
  @Column('text')
  kind!: StockKind;

  @Column('text')
  name!: string;

  @Column('text', { default: '' })
  drawer!: string;

  @Column('simple-json')
  sizes!: StockSizes;

  @Column('simple-json')
  traits!: StockTraits;

  @Column('real', { nullable: true })
  reorderAt!: number | null;

  @Column('real', { nullable: true })
  keepsDays!: number | null;

  @Column('boolean', { default: false })
  isLocked!: boolean;

  @Column('text', { nullable: true })
  supplierId!: string | null;

  @Column('text', { default: '' })
  note!: string;

  @Column('text', { nullable: true })
  pictureHash!: string | null;

  /** As its log leaves it: written with each line of that, never by hand. */
  @Column('simple-json')
  state!: StockState;

  @References(() => SupplierRow, 'supplierId', 'SET NULL')
  supplier?: Relation<SupplierRow> | null;
}

/** A line of a thing's log: written once. */
@Entity('stock_movement')
@Index(['thingId', 'seq'], { unique: true })
export class StockMovementRow {
  @PrimaryColumn('text')
  id!: string;

  @Column('text')
  thingId!: string;

  /** Of its thing: 1, 2 and on. */
  @Column('integer')
  seq!: number;

  @Column('text')
  at!: string;

  @Column('text')
  move!: Move;

  @Column('real')
  amount!: number;

  @Column('text', { nullable: true })
  jobId!: string | null;

  @Index()
  @Column('text', { nullable: true })
  taskId!: string | null;

  @Column('real', { nullable: true })
  price!: number | null;

  @Column('text', { default: '' })
  batch!: string;

  @Column('text')
  who!: string;

  @Column('text', { default: '' })
  note!: string;

  @References(() => StockThingRow, 'thingId', 'RESTRICT')
  thing?: Relation<StockThingRow>;
}
