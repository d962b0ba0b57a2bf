import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Days on which a restorer's week does not hold, work left to others, the weather by day, and the plan of all evenings. */
export class Evenings1796190000000 implements MigrationInterface {
  name = 'Evenings1796190000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "day_weather" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "on" text NOT NULL, "isDry" boolean NOT NULL, CONSTRAINT "UQ_12d1eec238881a4af8e9f2f89a0" UNIQUE ("on"))`,
    );
    await queryRunner.query(
      `CREATE TABLE "evenings_plan" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "madeAt" text NOT NULL, "starts" text NOT NULL, "late" text NOT NULL, "pins" text NOT NULL, "moves" text NOT NULL)`,
    );
    for (const column of ['exceptions', 'leaves'])
      await queryRunner.query(`ALTER TABLE "restorer" ADD COLUMN "${column}" text NOT NULL DEFAULT ('[]')`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const column of ['leaves', 'exceptions'])
      await queryRunner.query(`ALTER TABLE "restorer" DROP COLUMN "${column}"`);
    for (const table of ['evenings_plan', 'day_weather']) await queryRunner.query(`DROP TABLE "${table}"`);
  }
}
