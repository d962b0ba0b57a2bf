import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Artworks of decals, which planned decal is which, the sheets that were printed, and what happened to their pieces. */
export class Decals1796170000000 implements MigrationInterface {
  name = 'Decals1796170000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "decal_artwork" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "name" text NOT NULL, "featureStateId" text, "widthMm" real NOT NULL, "heightMm" real NOT NULL, "sizeFrom" text NOT NULL, "shapes" text NOT NULL, "cutLine" text NOT NULL, "inkLine" text NOT NULL, "inks" text NOT NULL, "bareShare" real NOT NULL, "note" text NOT NULL DEFAULT (''))`,
    );
    await queryRunner.query(
      `CREATE TABLE "decal_plan" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "layerId" text NOT NULL, "artworkId" text, "copies" integer NOT NULL DEFAULT (1), "panel" text, CONSTRAINT "FK_a6242fdd1adaaa5573d5788e404" FOREIGN KEY ("layerId") REFERENCES "coating_layer" ("id") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT "FK_31eb5c4384b40c52f10b7c8abb1" FOREIGN KEY ("artworkId") REFERENCES "decal_artwork" ("id") ON DELETE SET NULL ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(
      `CREATE TABLE "decal_sheet" ("id" text PRIMARY KEY NOT NULL, "at" text NOT NULL, "who" text NOT NULL, "paper" text NOT NULL, "film" text NOT NULL, "continuesId" text, "isSpoiled" boolean NOT NULL DEFAULT (0), "pieces" text NOT NULL, "artworks" text NOT NULL, "correctedBy" text NOT NULL, "measured" text)`,
    );
    await queryRunner.query(
      `CREATE TABLE "decal_act" ("id" text PRIMARY KEY NOT NULL, "layerId" text NOT NULL, "at" text NOT NULL, "who" text NOT NULL, "act" text NOT NULL, "ofId" text, "trouble" text, "soakS" real, "film" text, "ageDays" real, "note" text NOT NULL DEFAULT (''))`,
    );
    await queryRunner.query(`CREATE UNIQUE INDEX "IDX_a6242fdd1adaaa5573d5788e40" ON "decal_plan" ("layerId") `);
    await queryRunner.query(`CREATE INDEX "IDX_49533905eb21948501041cbc38" ON "decal_act" ("layerId") `);
    await queryRunner.query(`CREATE INDEX "IDX_31eb5c4384b40c52f10b7c8abb" ON "decal_plan" ("artworkId") `);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const table of ['decal_act', 'decal_sheet', 'decal_plan', 'decal_artwork'])
      await queryRunner.query(`DROP TABLE "${table}"`);
  }
}
