import type { MigrationInterface, QueryRunner } from 'typeorm';

const LOOKS = [
  ['body', 'shell'],
  ['base', 'plate'],
  ['cab', 'cab'],
  ['mechanism', 'mechanism'],
  ['glazing', 'windows'],
  ['interior', 'seats'],
  ['wheel', 'wheel'],
  ['tyre', 'tyre'],
  ['axle', 'axle'],
  ['load', 'load'],
] as const;

/** Looks and sizes of parts, what lies behind what as somebody said it, and the construction a casting was begun from. */
export class OwnCastings1795982337856 implements MigrationInterface {
  name = 'OwnCastings1795982337856';

  async up(queryRunner: QueryRunner): Promise<void> {
    // Added in place: other tables point at these, and making them anew would take those along.
    await queryRunner.query('ALTER TABLE "casting" ADD COLUMN "builtAs" text');
    await queryRunner.query(`ALTER TABLE "casting_part" ADD COLUMN "shape" text NOT NULL DEFAULT ('strip')`);
    await queryRunner.query(`ALTER TABLE "casting_part" ADD COLUMN "sizes" text NOT NULL DEFAULT ('{}')`);
    await queryRunner.query('ALTER TABLE "joint" ADD COLUMN "behind" text');
    for (const [role, shape] of LOOKS)
      await queryRunner.query('UPDATE casting_part SET shape = ? WHERE role = ?', [shape, role]);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "joint" DROP COLUMN "behind"');
    await queryRunner.query('ALTER TABLE "casting_part" DROP COLUMN "sizes"');
    await queryRunner.query('ALTER TABLE "casting_part" DROP COLUMN "shape"');
    await queryRunner.query('ALTER TABLE "casting" DROP COLUMN "builtAs"');
  }
}
