import { Column, JoinColumn, ManyToOne, PrimaryColumn } from 'typeorm';

/** Every row that people edit: an id that never changes and a version that every save raises. */
export abstract class VersionedRow {
  @PrimaryColumn('text')
  id!: string;

  @Column('integer', { default: 1 })
  version!: number;
}

/** A foreign key: the relation beside the plain id column. Children go with their parent unless told otherwise. */
export function References(
  target: () => unknown,
  column: string,
  onDelete: 'CASCADE' | 'SET NULL' | 'RESTRICT' = 'CASCADE',
): PropertyDecorator {
  return (object, key) => {
    ManyToOne(target as () => never, { onDelete, nullable: onDelete === 'SET NULL' })(object, key as string);
    JoinColumn({ name: column })(object, key as string);
  };
}
