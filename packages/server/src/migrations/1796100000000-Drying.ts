import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sheets say when a coat bears what; the room has a log; coats are touched, keyed, counted, and may be mist; areas
 * have a size, a relief and a line of their own. */
export class Drying1796100000000 implements MigrationInterface {
  name = 'Drying1796100000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "paint_product" ADD COLUMN "drying" text');
    await queryRunner.query('ALTER TABLE "coating_layer" ADD COLUMN "keyedAt" text');
    await queryRunner.query('ALTER TABLE "coating_layer" ADD COLUMN "coats" integer');
    await queryRunner.query('ALTER TABLE "coating_layer" ADD COLUMN "isMist" boolean NOT NULL DEFAULT (0)');
    for (const column of ['"reliefUm" real', '"size" text', '"outline" text'])
      await queryRunner.query(`ALTER TABLE "area" ADD COLUMN ${column}`);
    await queryRunner.query(
      'CREATE TABLE "room_reading" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "at" text NOT NULL, "tempC" real NOT NULL, "humidity" real, "origin" text NOT NULL)',
    );
    await queryRunner.query('CREATE INDEX "IDX_7fa7c5fc3a51fdb0a28038a77e" ON "room_reading" ("at")');
    await queryRunner.query(
      'CREATE TABLE "coat_touch" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "layerId" text NOT NULL, "test" text NOT NULL, "isReady" boolean NOT NULL, "at" text NOT NULL, "who" text NOT NULL, CONSTRAINT "FK_0076eaebc93d908342fb97adf5d" FOREIGN KEY ("layerId") REFERENCES "coating_layer" ("id") ON DELETE CASCADE ON UPDATE NO ACTION)',
    );
    await queryRunner.query('CREATE INDEX "IDX_0076eaebc93d908342fb97adf5" ON "coat_touch" ("layerId")');
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('DROP TABLE "coat_touch"');
    await queryRunner.query('DROP TABLE "room_reading"');
    for (const column of ['outline', 'size', 'reliefUm'])
      await queryRunner.query(`ALTER TABLE "area" DROP COLUMN "${column}"`);
    for (const column of ['isMist', 'coats', 'keyedAt'])
      await queryRunner.query(`ALTER TABLE "coating_layer" DROP COLUMN "${column}"`);
    await queryRunner.query('ALTER TABLE "paint_product" DROP COLUMN "drying"');
  }
}
