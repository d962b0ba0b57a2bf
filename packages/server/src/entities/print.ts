import type { MeshSize, PrintMeasure, WantedSize } from '@sardonyx/core';
import { Column, Entity, Index, PrimaryColumn, type Relation } from 'typeorm';
import { References, VersionedRow } from './versionedRow.ts';

/** An STL file as it was brought, packed. In the database: it is written, saved and restored with what speaks of it. */
@Entity('mesh')
export class MeshRow {
  /** SHA-256 of the file. */
  @PrimaryColumn('text')
  hash!: string;

  @Column('blob')
  packed!: Buffer;
}

@Entity('print')
export class PrintPartRow extends VersionedRow {
  @Column('text')
  name!: string;

  @Column('text')
  fileName!: string;

  @Column('text')
  meshHash!: string;

  @Column('simple-json')
  size!: MeshSize;

  @Column('simple-json')
  wanted!: WantedSize;

  @Column('text', { default: '' })
  resin!: string;

  @Column('text', { default: '' })
  note!: string;

  @References(() => MeshRow, 'meshHash', 'RESTRICT')
  mesh?: Relation<MeshRow>;
}

/** Copies that were printed together: written once. */
@Entity('print_run')
export class PrintRunRow {
  @PrimaryColumn('text')
  id!: string;

  @Index()
  @Column('text')
  printId!: string;

  @Column('text')
  at!: string;

  @Column('integer')
  copies!: number;

  @Column('text', { default: '' })
  resin!: string;

  @Column('text', { default: '' })
  cure!: string;

  @Column('simple-json')
  inFile!: readonly [x: number, y: number, z: number];

  @Column('simple-json', { nullable: true })
  measure!: PrintMeasure | null;

  @Column('real', { nullable: true })
  price!: number | null;

  @Column('text', { nullable: true })
  wantId!: string | null;

  @Column('text', { nullable: true })
  thingId!: string | null;

  @Column('text')
  who!: string;

  @Column('text', { default: '' })
  note!: string;

  @References(() => PrintPartRow, 'printId', 'RESTRICT')
  print?: Relation<PrintPartRow>;
}
