import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The log has an order of its own (so far that in which its rows were put in), and acts that were counted are known again. */
export class CountedOnce1796090000000 implements MigrationInterface {
  name = 'CountedOnce1796090000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "task_log" ADD COLUMN "seq" integer NOT NULL DEFAULT (0)');
    await queryRunner.query('UPDATE "task_log" SET "seq" = rowid');
    await queryRunner.query('CREATE UNIQUE INDEX "task_log_seq" ON "task_log" ("seq")');
    await queryRunner.query('CREATE TABLE "counted_act" ("key" text PRIMARY KEY NOT NULL, "at" text NOT NULL)');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('DROP TABLE "counted_act"');
    await queryRunner.query('DROP INDEX "task_log_seq"');
    await queryRunner.query('ALTER TABLE "task_log" DROP COLUMN "seq"');
  }
}
