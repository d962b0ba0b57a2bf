import { Column, Entity, PrimaryColumn } from 'typeorm';

/** An act that was counted, by the key that its sender gave it: sent once more it counts no more. */
@Entity('counted_act')
export class CountedActRow {
  @PrimaryColumn('text')
  key!: string;

  @Column('text')
  at!: string;
}
