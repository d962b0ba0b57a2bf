import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Parts that can be printed: their meshes, and what was printed of them; pictures of what lies in drawers. */
export class Prints1796160000000 implements MigrationInterface {
  name = 'Prints1796160000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`CREATE TABLE "mesh" ("hash" text PRIMARY KEY NOT NULL, "packed" blob NOT NULL)`);
    await queryRunner.query(
      `CREATE TABLE "print" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "name" text NOT NULL, "fileName" text NOT NULL, "meshHash" text NOT NULL, "size" text NOT NULL, "wanted" text NOT NULL, "resin" text NOT NULL DEFAULT (''), "note" text NOT NULL DEFAULT (''), CONSTRAINT "FK_ab0a498c9e6c86cb69364e5edb2" FOREIGN KEY ("meshHash") REFERENCES "mesh" ("hash") ON DELETE RESTRICT ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(
      `CREATE TABLE "print_run" ("id" text PRIMARY KEY NOT NULL, "printId" text NOT NULL, "at" text NOT NULL, "copies" integer NOT NULL, "resin" text NOT NULL DEFAULT (''), "cure" text NOT NULL DEFAULT (''), "inFile" text NOT NULL, "measure" text, "price" real, "wantId" text, "thingId" text, "who" text NOT NULL, "note" text NOT NULL DEFAULT (''), CONSTRAINT "FK_375120b647a2f36db9f8816be40" FOREIGN KEY ("printId") REFERENCES "print" ("id") ON DELETE RESTRICT ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`ALTER TABLE "stock_thing" ADD COLUMN "pictureHash" text`);
    await queryRunner.query(`CREATE INDEX "IDX_375120b647a2f36db9f8816be4" ON "print_run" ("printId") `);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "stock_thing" DROP COLUMN "pictureHash"`);
    for (const table of ['print_run', 'print', 'mesh']) await queryRunner.query(`DROP TABLE "${table}"`);
  }
}
