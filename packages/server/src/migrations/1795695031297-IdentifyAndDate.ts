import type { MigrationInterface, QueryRunner } from 'typeorm';

export class IdentifyAndDate1795695031297 implements MigrationInterface {
  name = 'IdentifyAndDate1795695031297';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"history\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"key\" text NOT NULL, \"label\" text NOT NULL, \"prior\" real NOT NULL, \"rates\" text NOT NULL, CONSTRAINT \"UQ_98219045fbc63147d14a7618e06\" UNIQUE (\"key\"))");
    await queryRunner.query("CREATE TABLE \"house_style\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"lossThreshold\" real NOT NULL DEFAULT (1))");
    await queryRunner.query("CREATE TABLE \"measurement\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"what\" text NOT NULL, \"valueMm\" real NOT NULL, \"spreadMm\" real NOT NULL, CONSTRAINT \"UQ_8a0f2af898b25d97050b59dd1d8\" UNIQUE (\"specimenId\", \"what\"))");
    await queryRunner.query("CREATE TABLE \"temporary_feature\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"key\" text NOT NULL, \"label\" text NOT NULL, \"howToLook\" text NOT NULL, \"partRole\" text NOT NULL, \"effort\" integer NOT NULL, CONSTRAINT \"UQ_0070ea463b31bef26c537e53466\" UNIQUE (\"rangeId\", \"key\"), CONSTRAINT \"FK_a1379ce6cb69d9166e46ead381f\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_feature\"(\"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\") SELECT \"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\" FROM \"feature\"");
    await queryRunner.query("DROP TABLE \"feature\"");
    await queryRunner.query("ALTER TABLE \"temporary_feature\" RENAME TO \"feature\"");
    await queryRunner.query("CREATE TABLE \"temporary_feature\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"key\" text NOT NULL, \"label\" text NOT NULL, \"howToLook\" text NOT NULL, \"partRole\" text NOT NULL, \"effort\" integer NOT NULL, \"destroys\" text NOT NULL DEFAULT (''), \"group\" text NOT NULL DEFAULT ('fitted part'), CONSTRAINT \"UQ_0070ea463b31bef26c537e53466\" UNIQUE (\"rangeId\", \"key\"), CONSTRAINT \"FK_a1379ce6cb69d9166e46ead381f\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_feature\"(\"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\") SELECT \"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\" FROM \"feature\"");
    await queryRunner.query("DROP TABLE \"feature\"");
    await queryRunner.query("ALTER TABLE \"temporary_feature\" RENAME TO \"feature\"");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("CREATE TABLE \"temporary_dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text NOT NULL, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text, CONSTRAINT \"FK_78c48f409be729e6c5593a1585b\" FOREIGN KEY (\"castingId\") REFERENCES \"casting\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\" FROM \"dated_source\"");
    await queryRunner.query("DROP TABLE \"dated_source\"");
    await queryRunner.query("ALTER TABLE \"temporary_dated_source\" RENAME TO \"dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("CREATE TABLE \"temporary_dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text NOT NULL, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text)");
    await queryRunner.query("INSERT INTO \"temporary_dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"dated_source\"");
    await queryRunner.query("DROP TABLE \"dated_source\"");
    await queryRunner.query("ALTER TABLE \"temporary_dated_source\" RENAME TO \"dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("CREATE TABLE \"temporary_dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text)");
    await queryRunner.query("INSERT INTO \"temporary_dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"dated_source\"");
    await queryRunner.query("DROP TABLE \"dated_source\"");
    await queryRunner.query("ALTER TABLE \"temporary_dated_source\" RENAME TO \"dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("CREATE INDEX \"IDX_f0c720004eb897fb88450a0b2e\" ON \"dated_source\" (\"specimenId\") ");
    await queryRunner.query("CREATE TABLE \"temporary_measurement\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"what\" text NOT NULL, \"valueMm\" real NOT NULL, \"spreadMm\" real NOT NULL, CONSTRAINT \"UQ_8a0f2af898b25d97050b59dd1d8\" UNIQUE (\"specimenId\", \"what\"), CONSTRAINT \"FK_f449704721fcdc82fc13b8394c8\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_measurement\"(\"id\", \"version\", \"specimenId\", \"what\", \"valueMm\", \"spreadMm\") SELECT \"id\", \"version\", \"specimenId\", \"what\", \"valueMm\", \"spreadMm\" FROM \"measurement\"");
    await queryRunner.query("DROP TABLE \"measurement\"");
    await queryRunner.query("ALTER TABLE \"temporary_measurement\" RENAME TO \"measurement\"");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("DROP INDEX \"IDX_f0c720004eb897fb88450a0b2e\"");
    await queryRunner.query("CREATE TABLE \"temporary_dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text, CONSTRAINT \"FK_78c48f409be729e6c5593a1585b\" FOREIGN KEY (\"castingId\") REFERENCES \"casting\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_9976db1b029f27b12d2f98aab83\" FOREIGN KEY (\"variantId\") REFERENCES \"variant\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_f0c720004eb897fb88450a0b2eb\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"dated_source\"");
    await queryRunner.query("DROP TABLE \"dated_source\"");
    await queryRunner.query("ALTER TABLE \"temporary_dated_source\" RENAME TO \"dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("CREATE INDEX \"IDX_f0c720004eb897fb88450a0b2e\" ON \"dated_source\" (\"specimenId\") ");
    // Written by hand: what was said of a feature before tells its group, as far as it can.
    await queryRunner.query(
      `UPDATE "feature" SET "group" = CASE
        WHEN "partRole" IN ('wheel', 'tyre', 'axle') THEN 'wheels'
        WHEN "key" LIKE '%decal%' THEN 'decals'
        WHEN "key" LIKE 'sheltered%' THEN 'sheltered coat'
        WHEN "key" LIKE '%colour' AND "partRole" = 'body' THEN 'outer coat'
        WHEN "key" LIKE '%finish' AND "partRole" = 'base' THEN 'base coat'
        WHEN "partRole" = 'base' THEN 'base casting'
        WHEN "partRole" = 'body' THEN 'body casting'
        ELSE 'fitted part' END`,
    );
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("DROP INDEX \"IDX_f0c720004eb897fb88450a0b2e\"");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("ALTER TABLE \"dated_source\" RENAME TO \"temporary_dated_source\"");
    await queryRunner.query("CREATE TABLE \"dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text)");
    await queryRunner.query("INSERT INTO \"dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"temporary_dated_source\"");
    await queryRunner.query("DROP TABLE \"temporary_dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_f0c720004eb897fb88450a0b2e\" ON \"dated_source\" (\"specimenId\") ");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("ALTER TABLE \"measurement\" RENAME TO \"temporary_measurement\"");
    await queryRunner.query("CREATE TABLE \"measurement\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"what\" text NOT NULL, \"valueMm\" real NOT NULL, \"spreadMm\" real NOT NULL, CONSTRAINT \"UQ_8a0f2af898b25d97050b59dd1d8\" UNIQUE (\"specimenId\", \"what\"))");
    await queryRunner.query("INSERT INTO \"measurement\"(\"id\", \"version\", \"specimenId\", \"what\", \"valueMm\", \"spreadMm\") SELECT \"id\", \"version\", \"specimenId\", \"what\", \"valueMm\", \"spreadMm\" FROM \"temporary_measurement\"");
    await queryRunner.query("DROP TABLE \"temporary_measurement\"");
    await queryRunner.query("DROP INDEX \"IDX_f0c720004eb897fb88450a0b2e\"");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("ALTER TABLE \"dated_source\" RENAME TO \"temporary_dated_source\"");
    await queryRunner.query("CREATE TABLE \"dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text NOT NULL, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text)");
    await queryRunner.query("INSERT INTO \"dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"temporary_dated_source\"");
    await queryRunner.query("DROP TABLE \"temporary_dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("ALTER TABLE \"dated_source\" RENAME TO \"temporary_dated_source\"");
    await queryRunner.query("CREATE TABLE \"dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text NOT NULL, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, \"variantId\" text, \"specimenId\" text, CONSTRAINT \"FK_78c48f409be729e6c5593a1585b\" FOREIGN KEY (\"castingId\") REFERENCES \"casting\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\", \"variantId\", \"specimenId\" FROM \"temporary_dated_source\"");
    await queryRunner.query("DROP TABLE \"temporary_dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("DROP INDEX \"IDX_78c48f409be729e6c5593a1585\"");
    await queryRunner.query("ALTER TABLE \"dated_source\" RENAME TO \"temporary_dated_source\"");
    await queryRunner.query("CREATE TABLE \"dated_source\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"castingId\" text NOT NULL, \"statement\" text NOT NULL, \"fromYear\" real, \"toYear\" real, \"origin\" text NOT NULL, \"certainty\" text NOT NULL, CONSTRAINT \"FK_78c48f409be729e6c5593a1585b\" FOREIGN KEY (\"castingId\") REFERENCES \"casting\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"dated_source\"(\"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\") SELECT \"id\", \"version\", \"castingId\", \"statement\", \"fromYear\", \"toYear\", \"origin\", \"certainty\" FROM \"temporary_dated_source\"");
    await queryRunner.query("DROP TABLE \"temporary_dated_source\"");
    await queryRunner.query("CREATE INDEX \"IDX_78c48f409be729e6c5593a1585\" ON \"dated_source\" (\"castingId\") ");
    await queryRunner.query("ALTER TABLE \"feature\" RENAME TO \"temporary_feature\"");
    await queryRunner.query("CREATE TABLE \"feature\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"key\" text NOT NULL, \"label\" text NOT NULL, \"howToLook\" text NOT NULL, \"partRole\" text NOT NULL, \"effort\" integer NOT NULL, CONSTRAINT \"UQ_0070ea463b31bef26c537e53466\" UNIQUE (\"rangeId\", \"key\"), CONSTRAINT \"FK_a1379ce6cb69d9166e46ead381f\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"feature\"(\"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\") SELECT \"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\" FROM \"temporary_feature\"");
    await queryRunner.query("DROP TABLE \"temporary_feature\"");
    await queryRunner.query("ALTER TABLE \"feature\" RENAME TO \"temporary_feature\"");
    await queryRunner.query("CREATE TABLE \"feature\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"key\" text NOT NULL, \"label\" text NOT NULL, \"howToLook\" text NOT NULL, \"partRole\" text NOT NULL, \"effort\" integer NOT NULL, \"castIn\" boolean NOT NULL, \"alteredChance\" real NOT NULL, CONSTRAINT \"UQ_0070ea463b31bef26c537e53466\" UNIQUE (\"rangeId\", \"key\"), CONSTRAINT \"FK_a1379ce6cb69d9166e46ead381f\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"feature\"(\"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\") SELECT \"id\", \"version\", \"rangeId\", \"key\", \"label\", \"howToLook\", \"partRole\", \"effort\" FROM \"temporary_feature\"");
    await queryRunner.query("DROP TABLE \"temporary_feature\"");
    await queryRunner.query("DROP TABLE \"measurement\"");
    await queryRunner.query("DROP TABLE \"house_style\"");
    await queryRunner.query("DROP TABLE \"history\"");
  }
}
