import type { MigrationInterface, QueryRunner } from 'typeorm';

export class SettledModels1795943669688 implements MigrationInterface {
  name = 'SettledModels1795943669688';

  async up(queryRunner: QueryRunner): Promise<void> {
    // Added in place: other tables point at this one, and making it anew would take them along.
    await queryRunner.query('ALTER TABLE "specimen" ADD COLUMN "settledVariantId" text');
    await queryRunner.query('ALTER TABLE "specimen" ADD COLUMN "settledBy" text');
    await queryRunner.query('ALTER TABLE "house_style" ADD COLUMN "learnsRates" boolean NOT NULL DEFAULT (1)');
    // The histories that every bench begins with are believed as they are stated; what somebody changed stays.
    for (const [key, before, after] of [
      ['untouched', 0.5, 0.55],
      ['wheels-changed', 0.22, 0.2],
      ['repainted', 0.17, 0.15],
      ['rebuilt', 0.11, 0.1],
    ])
      await queryRunner.query('UPDATE history SET prior = ? WHERE key = ? AND prior = ?', [after, key, before]);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "house_style" DROP COLUMN "learnsRates"');
    await queryRunner.query('ALTER TABLE "specimen" DROP COLUMN "settledBy"');
    await queryRunner.query('ALTER TABLE "specimen" DROP COLUMN "settledVariantId"');
  }
}
