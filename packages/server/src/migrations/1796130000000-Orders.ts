import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was sent for, of whom, and how it came; which step took what of a drawer. */
export class Orders1796130000000 implements MigrationInterface {
  name = 'Orders1796130000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "stock_order" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "supplierId" text NOT NULL, "orderedOn" text NOT NULL, "promisedOn" text NOT NULL, "firstPromisedOn" text NOT NULL, "note" text NOT NULL DEFAULT (''), CONSTRAINT "FK_7c9cde66ca49abc081e6217a116" FOREIGN KEY ("supplierId") REFERENCES "supplier" ("id") ON DELETE RESTRICT ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(
      `CREATE TABLE "order_line" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "orderId" text NOT NULL, "what" text NOT NULL, "amount" real NOT NULL, "unit" text NOT NULL, "thingId" text, "wantId" text, "serves" text, "pot" text, "toolKind" text, "jobId" text, "price" real, "arrivedOn" text, "arrivedAmount" real, "quality" text, CONSTRAINT "FK_239cfca2a55b98b90b6bef2e44f" FOREIGN KEY ("orderId") REFERENCES "stock_order" ("id") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT "FK_18017be08e4e004bb5ba014ad80" FOREIGN KEY ("thingId") REFERENCES "stock_thing" ("id") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT "FK_d7045f4c703bee1e1f35c4f590d" FOREIGN KEY ("wantId") REFERENCES "want" ("id") ON DELETE SET NULL ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`ALTER TABLE "stock_movement" ADD COLUMN "taskId" text`);
    await queryRunner.query(`CREATE INDEX "IDX_105c81b79a816c27ec3fa40e28" ON "stock_movement" ("taskId") `);
    await queryRunner.query(`CREATE INDEX "IDX_239cfca2a55b98b90b6bef2e44" ON "order_line" ("orderId") `);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`DROP INDEX "IDX_105c81b79a816c27ec3fa40e28"`);
    await queryRunner.query(`ALTER TABLE "stock_movement" DROP COLUMN "taskId"`);
    for (const table of ['order_line', 'stock_order']) await queryRunner.query(`DROP TABLE "${table}"`);
  }
}
