import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How many of its issues are listed of a casting, and on which model an issue was found. */
export class ListedShare1795991799275 implements MigrationInterface {
  name = 'ListedShare1795991799275';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "casting" ADD COLUMN "listed" text');
    await queryRunner.query('ALTER TABLE "variant" ADD COLUMN "foundOnId" text');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "variant" DROP COLUMN "foundOnId"');
    await queryRunner.query('ALTER TABLE "casting" DROP COLUMN "listed"');
  }
}
