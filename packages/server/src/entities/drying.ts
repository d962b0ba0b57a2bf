import type { RoomLogEntry, TouchTest } from '@sardonyx/core';
import { Column, Entity, Index, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';
import { CoatingLayerRow } from './workpiece.ts';

/** Somebody touched a coat, and it was ready, or not yet. */
@Entity('coat_touch')
export class CoatTouchRow extends VersionedRow {
  @Index()
  @Column('text')
  layerId!: string;

  @Column('text')
  test!: TouchTest;

  @Column('boolean')
  isReady!: boolean;

  @Column('text')
  at!: string;

  @Column('text')
  who!: string;

  @References(() => CoatingLayerRow, 'layerId')
  layer?: Relation<CoatingLayerRow>;
}

/** What the workroom was like at a moment. */
@Entity('room_reading')
export class RoomReadingRow extends VersionedRow {
  @Index()
  @Column('text')
  at!: string;

  @Column('real')
  tempC!: number;

  @Column('real', { nullable: true })
  humidity!: number | null;

  @Column('text')
  origin!: RoomLogEntry['origin'];
}
