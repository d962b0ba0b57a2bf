import type { Move } from '@sardonyx/core';
import { Column, PrimaryColumn } from 'typeorm';

/** A line of the log of a thing or a pot: written once, never changed. */
export abstract class LogLineRow {
  @PrimaryColumn('text')
  id!: string;

  /** Of its thing or pot: 1, 2 and on. */
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
}
