import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The measured colour of a state, and the captured colours that answer a look. */
export class CapturedAnswers1796000000000 implements MigrationInterface {
  name = 'CapturedAnswers1796000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "feature_state" ADD COLUMN "colour" text');
    await queryRunner.query(`ALTER TABLE "observation" ADD COLUMN "captureIds" text NOT NULL DEFAULT ('[]')`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "observation" DROP COLUMN "captureIds"');
    await queryRunner.query('ALTER TABLE "feature_state" DROP COLUMN "colour"');
  }
}
