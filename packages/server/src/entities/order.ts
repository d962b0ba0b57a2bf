import type { Quality, Supply, ToolKind } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
import { StockThingRow, SupplierRow } from './stock.ts';
import { References, VersionedRow } from './versionedRow.ts';
import { WantRow } from './workpiece.ts';

@Entity('stock_order')
export class StockOrderRow extends VersionedRow {
  @Column('text')
  supplierId!: string;

  @Column('text')
  orderedOn!: string;

  @Column('text')
  promisedOn!: string;

  @Column('text')
  firstPromisedOn!: string;

  @Column('text', { default: '' })
  note!: string;

  @References(() => SupplierRow, 'supplierId', 'RESTRICT')
  supplier?: Relation<SupplierRow>;
}

@Entity('order_line')
export class OrderLineRow extends VersionedRow {
  @Index()
  @Column('text')
  orderId!: string;

  @Column('text')
  what!: string;

  @Column('real')
  amount!: number;

  @Column('text')
  unit!: string;

  @Column('text', { nullable: true })
  thingId!: string | null;

  @Column('text', { nullable: true })
  wantId!: string | null;

  @Column('text', { nullable: true })
  bitId!: string | null;

  @Column('text', { nullable: true })
  serves!: Supply | null;

  @Column('text', { nullable: true })
  pot!: string | null;

  @Column('text', { nullable: true })
  toolKind!: ToolKind | null;

  @Column('text', { nullable: true })
  jobId!: string | null;

  @Column('real', { nullable: true })
  price!: number | null;

  @Column('text', { nullable: true })
  arrivedOn!: string | null;

  @Column('real', { nullable: true })
  arrivedAmount!: number | null;

  @Column('text', { nullable: true })
  quality!: Quality | null;

  @References(() => StockOrderRow, 'orderId')
  order?: Relation<StockOrderRow>;

  @References(() => StockThingRow, 'thingId', 'SET NULL')
  thing?: Relation<StockThingRow> | null;

  @References(() => WantRow, 'wantId', 'SET NULL')
  want?: Relation<WantRow> | null;
}
