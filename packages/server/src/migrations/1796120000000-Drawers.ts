import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What lies in drawers, its log, and who sends it. */
export class Drawers1796120000000 implements MigrationInterface {
  name = 'Drawers1796120000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "supplier" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "name" text NOT NULL, "promisedDays" real NOT NULL, "note" text NOT NULL DEFAULT (''))`,
    );
    await queryRunner.query(
      `CREATE TABLE "stock_thing" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "kind" text NOT NULL, "name" text NOT NULL, "drawer" text NOT NULL DEFAULT (''), "sizes" text NOT NULL, "traits" text NOT NULL, "reorderAt" real, "keepsDays" real, "isLocked" boolean NOT NULL DEFAULT (0), "supplierId" text, "note" text NOT NULL DEFAULT (''), "state" text NOT NULL, CONSTRAINT "FK_c372495efc3c3b2d5419ad0db9d" FOREIGN KEY ("supplierId") REFERENCES "supplier" ("id") ON DELETE SET NULL ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`CREATE INDEX "IDX_bbe406c6915c752ac1a553990d" ON "stock_thing" ("kind") `);
    await queryRunner.query(
      `CREATE TABLE "stock_movement" ("id" text PRIMARY KEY NOT NULL, "thingId" text NOT NULL, "seq" integer NOT NULL, "at" text NOT NULL, "move" text NOT NULL, "amount" real NOT NULL, "jobId" text, "price" real, "batch" text NOT NULL DEFAULT (''), "who" text NOT NULL, "note" text NOT NULL DEFAULT (''), CONSTRAINT "FK_987b24908e98d89194c702140f1" FOREIGN KEY ("thingId") REFERENCES "stock_thing" ("id") ON DELETE RESTRICT ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`CREATE UNIQUE INDEX "IDX_9138ead88e546dc4ac36a190cd" ON "stock_movement" ("thingId", "seq") `);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const table of ['stock_movement', 'stock_thing', 'supplier'])
      await queryRunner.query(`DROP TABLE "${table}"`);
  }
}
