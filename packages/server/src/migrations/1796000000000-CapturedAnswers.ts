import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The measured colour of a state, the captured colours that answer a look, and what a drawing was traced from. */
export class CapturedAnswers1796000000000 implements MigrationInterface {
  name = 'CapturedAnswers1796000000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "feature_state" ADD COLUMN "colour" text');
    await queryRunner.query(`ALTER TABLE "observation" ADD COLUMN "captureIds" text NOT NULL DEFAULT ('[]')`);
    await queryRunner.query(`ALTER TABLE "casting" ADD COLUMN "traces" text NOT NULL DEFAULT ('{}')`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "casting" DROP COLUMN "traces"');
    await queryRunner.query('ALTER TABLE "observation" DROP COLUMN "captureIds"');
    await queryRunner.query('ALTER TABLE "feature_state" DROP COLUMN "colour"');
  }
}
