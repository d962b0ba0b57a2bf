import type { StockKind, StockSizes, StockState, StockTraits } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
import { LogLineRow } from './logLineRow.ts';
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

@Entity('stock_movement')
@Index(['thingId', 'seq'], { unique: true })
@Index(['taskId'])
export class StockMovementRow extends LogLineRow {
  @Column('text')
  thingId!: string;

  @References(() => StockThingRow, 'thingId', 'RESTRICT')
  thing?: Relation<StockThingRow>;
}
