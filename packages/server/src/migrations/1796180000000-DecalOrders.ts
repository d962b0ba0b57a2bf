import type { MigrationInterface, QueryRunner } from 'typeorm';

const COLUMNS = `"id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "name" text NOT NULL, "featureStateId" text, "widthMm" real NOT NULL, "heightMm" real NOT NULL, "sizeFrom" text NOT NULL, "shapes" text NOT NULL, "cutLine" text NOT NULL, "inkLine" text NOT NULL, "inks" text NOT NULL, "bareShare" real NOT NULL, "note" text NOT NULL DEFAULT ('')`;
const NAMES = `"id", "version", "name", "featureStateId", "widthMm", "heightMm", "sizeFrom", "shapes", "cutLine", "inkLine", "inks", "bareShare", "note"`;

/** Pieces wanted of suppliers, where a decal was tried, what one was traced as; an artwork forgets a state that is gone. */
export class DecalOrders1796180000000 implements MigrationInterface {
  name = 'DecalOrders1796180000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "decal_order" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "layerId" text NOT NULL, "wantId" text NOT NULL, "count" integer NOT NULL, "artwork" text NOT NULL, "rating" text, CONSTRAINT "FK_40b1db579501a594e88360fb70e" FOREIGN KEY ("layerId") REFERENCES "coating_layer" ("id") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT "FK_0460000133cea53c03c0697a106" FOREIGN KEY ("wantId") REFERENCES "want" ("id") ON DELETE CASCADE ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`CREATE INDEX "IDX_40b1db579501a594e88360fb70" ON "decal_order" ("layerId") `);
    await queryRunner.query(`CREATE UNIQUE INDEX "IDX_0460000133cea53c03c0697a10" ON "decal_order" ("wantId") `);
    await queryRunner.query(`ALTER TABLE "decal_plan" ADD COLUMN "place" text`);
    await queryRunner.query(
      `UPDATE "decal_artwork" SET "featureStateId" = NULL WHERE "featureStateId" NOT IN (SELECT "id" FROM "feature_state")`,
    );
    await queryRunner.query(
      `CREATE TABLE "temporary_decal_artwork" (${COLUMNS}, "drawn" text, CONSTRAINT "FK_4d5492b2dff6415171f8e515818" FOREIGN KEY ("featureStateId") REFERENCES "feature_state" ("id") ON DELETE SET NULL ON UPDATE NO ACTION)`,
    );
    await replaceArtworks(queryRunner);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`CREATE TABLE "temporary_decal_artwork" (${COLUMNS})`);
    await replaceArtworks(queryRunner);
    await queryRunner.query(`ALTER TABLE "decal_plan" DROP COLUMN "place"`);
    await queryRunner.query(`DROP TABLE "decal_order"`);
  }
}

async function replaceArtworks(queryRunner: QueryRunner): Promise<void> {
  await queryRunner.query(`INSERT INTO "temporary_decal_artwork"(${NAMES}) SELECT ${NAMES} FROM "decal_artwork"`);
  await queryRunner.query(`DROP TABLE "decal_artwork"`);
  await queryRunner.query(`ALTER TABLE "temporary_decal_artwork" RENAME TO "decal_artwork"`);
}
