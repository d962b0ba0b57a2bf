import type { MigrationInterface, QueryRunner } from 'typeorm';

export class WhoseAndWhich1795941381036 implements MigrationInterface {
  name = 'WhoseAndWhich1795941381036';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("DROP INDEX \"IDX_db7c09a4a94b02df83d16deae1\"");
    await queryRunner.query("CREATE TABLE \"temporary_coating_layer\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"areaId\" text NOT NULL, \"stage\" text NOT NULL, \"seq\" integer NOT NULL, \"kind\" text NOT NULL, \"name\" text NOT NULL, \"colourHex\" text NOT NULL, \"thicknessUm\" real NOT NULL, \"thicknessOrigin\" text NOT NULL, \"productId\" text, \"whose\" boolean NOT NULL, \"tempC\" real, \"appliedAt\" text, \"appliedBy\" text, \"note\" text NOT NULL, \"rejection\" text, \"removedAt\" text, CONSTRAINT \"FK_e0b655f6f3b75aed262a0992b04\" FOREIGN KEY (\"productId\") REFERENCES \"paint_product\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_db7c09a4a94b02df83d16deae13\" FOREIGN KEY (\"areaId\") REFERENCES \"area\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_coating_layer\"(\"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"whose\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\") SELECT \"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"factory\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\" FROM \"coating_layer\"");
    await queryRunner.query("DROP TABLE \"coating_layer\"");
    await queryRunner.query("ALTER TABLE \"temporary_coating_layer\" RENAME TO \"coating_layer\"");
    await queryRunner.query("CREATE INDEX \"IDX_db7c09a4a94b02df83d16deae1\" ON \"coating_layer\" (\"areaId\") ");
    await queryRunner.query("DROP INDEX \"IDX_f78f18b8bbec0250823f69a59d\"");
    await queryRunner.query("CREATE TABLE \"temporary_finding\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"kind\" text NOT NULL, \"severity\" integer NOT NULL, \"note\" text NOT NULL, \"pinnedTo\" text, \"pinX\" real, \"pinY\" real, \"measuredValue\" real, \"measuredUnit\" text, \"feature\" text NOT NULL DEFAULT (''), \"carriesLoad\" boolean, \"mend\" text, CONSTRAINT \"FK_f78f18b8bbec0250823f69a59dc\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_finding\"(\"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\", \"pinnedTo\", \"pinX\", \"pinY\", \"measuredValue\", \"measuredUnit\") SELECT \"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\", \"pinnedTo\", \"pinX\", \"pinY\", \"measuredValue\", \"measuredUnit\" FROM \"finding\"");
    await queryRunner.query("DROP TABLE \"finding\"");
    await queryRunner.query("ALTER TABLE \"temporary_finding\" RENAME TO \"finding\"");
    await queryRunner.query("CREATE INDEX \"IDX_f78f18b8bbec0250823f69a59d\" ON \"finding\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_268d8a300621f18541a9eb8dc7\"");
    await queryRunner.query("CREATE TABLE \"temporary_want\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"what\" text NOT NULL, \"dependentBits\" text NOT NULL, \"state\" text NOT NULL, \"solution\" text NOT NULL, \"reason\" text NOT NULL, \"dueOn\" text, \"kind\" text NOT NULL DEFAULT ('part'), \"origin\" text, \"getBy\" text, CONSTRAINT \"FK_268d8a300621f18541a9eb8dc7d\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_want\"(\"id\", \"version\", \"specimenPartId\", \"what\", \"dependentBits\", \"state\", \"solution\", \"reason\", \"dueOn\", \"kind\", \"origin\") SELECT \"id\", \"version\", \"specimenPartId\", \"what\", \"dependentBits\", \"state\", \"solution\", \"reason\", \"dueOn\", \"kind\", \"origin\" FROM \"want\"");
    await queryRunner.query("DROP TABLE \"want\"");
    await queryRunner.query("ALTER TABLE \"temporary_want\" RENAME TO \"want\"");
    await queryRunner.query("CREATE INDEX \"IDX_268d8a300621f18541a9eb8dc7\" ON \"want\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_db7c09a4a94b02df83d16deae1\"");
    await queryRunner.query("CREATE TABLE \"temporary_coating_layer\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"areaId\" text NOT NULL, \"stage\" text NOT NULL, \"seq\" integer NOT NULL, \"kind\" text NOT NULL, \"name\" text NOT NULL, \"colourHex\" text NOT NULL, \"thicknessUm\" real NOT NULL, \"thicknessOrigin\" text NOT NULL, \"productId\" text, \"whose\" text NOT NULL DEFAULT ('unknown'), \"tempC\" real, \"appliedAt\" text, \"appliedBy\" text, \"note\" text NOT NULL, \"rejection\" text, \"removedAt\" text, CONSTRAINT \"FK_e0b655f6f3b75aed262a0992b04\" FOREIGN KEY (\"productId\") REFERENCES \"paint_product\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_db7c09a4a94b02df83d16deae13\" FOREIGN KEY (\"areaId\") REFERENCES \"area\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_coating_layer\"(\"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"whose\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\") SELECT \"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", CASE WHEN \"whose\" = 1 THEN 'factory' WHEN \"stage\" = 'found' THEN 'unknown' ELSE 'restorer' END, \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\" FROM \"coating_layer\"");
    await queryRunner.query("DROP TABLE \"coating_layer\"");
    await queryRunner.query("ALTER TABLE \"temporary_coating_layer\" RENAME TO \"coating_layer\"");
    await queryRunner.query("CREATE INDEX \"IDX_db7c09a4a94b02df83d16deae1\" ON \"coating_layer\" (\"areaId\") ");
    await queryRunner.query('ALTER TABLE "want" ADD COLUMN "feature" text NOT NULL DEFAULT (\'\')');
    await queryRunner.query('ALTER TABLE "specimen_part" ADD COLUMN "takenFromId" text');
    // The facts that plans were made from have new fields: they are worked out anew.
    await queryRunner.query("UPDATE specimen SET planFingerprint = '', planInput = ''");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query('ALTER TABLE "specimen_part" DROP COLUMN "takenFromId"');
    await queryRunner.query('ALTER TABLE "want" DROP COLUMN "feature"');
    await queryRunner.query("DROP INDEX \"IDX_db7c09a4a94b02df83d16deae1\"");
    await queryRunner.query("ALTER TABLE \"coating_layer\" RENAME TO \"temporary_coating_layer\"");
    await queryRunner.query("CREATE TABLE \"coating_layer\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"areaId\" text NOT NULL, \"stage\" text NOT NULL, \"seq\" integer NOT NULL, \"kind\" text NOT NULL, \"name\" text NOT NULL, \"colourHex\" text NOT NULL, \"thicknessUm\" real NOT NULL, \"thicknessOrigin\" text NOT NULL, \"productId\" text, \"whose\" boolean NOT NULL, \"tempC\" real, \"appliedAt\" text, \"appliedBy\" text, \"note\" text NOT NULL, \"rejection\" text, \"removedAt\" text, CONSTRAINT \"FK_e0b655f6f3b75aed262a0992b04\" FOREIGN KEY (\"productId\") REFERENCES \"paint_product\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_db7c09a4a94b02df83d16deae13\" FOREIGN KEY (\"areaId\") REFERENCES \"area\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"coating_layer\"(\"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"whose\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\") SELECT \"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"whose\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\" FROM \"temporary_coating_layer\"");
    await queryRunner.query("DROP TABLE \"temporary_coating_layer\"");
    await queryRunner.query("CREATE INDEX \"IDX_db7c09a4a94b02df83d16deae1\" ON \"coating_layer\" (\"areaId\") ");
    await queryRunner.query("DROP INDEX \"IDX_268d8a300621f18541a9eb8dc7\"");
    await queryRunner.query("ALTER TABLE \"want\" RENAME TO \"temporary_want\"");
    await queryRunner.query("CREATE TABLE \"want\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"what\" text NOT NULL, \"dependentBits\" text NOT NULL, \"state\" text NOT NULL, \"solution\" text NOT NULL, \"reason\" text NOT NULL, \"dueOn\" text, \"kind\" text NOT NULL DEFAULT ('part'), \"origin\" text, CONSTRAINT \"FK_268d8a300621f18541a9eb8dc7d\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"want\"(\"id\", \"version\", \"specimenPartId\", \"what\", \"dependentBits\", \"state\", \"solution\", \"reason\", \"dueOn\", \"kind\", \"origin\") SELECT \"id\", \"version\", \"specimenPartId\", \"what\", \"dependentBits\", \"state\", \"solution\", \"reason\", \"dueOn\", \"kind\", \"origin\" FROM \"temporary_want\"");
    await queryRunner.query("DROP TABLE \"temporary_want\"");
    await queryRunner.query("CREATE INDEX \"IDX_268d8a300621f18541a9eb8dc7\" ON \"want\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_f78f18b8bbec0250823f69a59d\"");
    await queryRunner.query("ALTER TABLE \"finding\" RENAME TO \"temporary_finding\"");
    await queryRunner.query("CREATE TABLE \"finding\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"kind\" text NOT NULL, \"severity\" integer NOT NULL, \"note\" text NOT NULL, \"pinnedTo\" text, \"pinX\" real, \"pinY\" real, \"measuredValue\" real, \"measuredUnit\" text, CONSTRAINT \"FK_f78f18b8bbec0250823f69a59dc\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"finding\"(\"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\", \"pinnedTo\", \"pinX\", \"pinY\", \"measuredValue\", \"measuredUnit\") SELECT \"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\", \"pinnedTo\", \"pinX\", \"pinY\", \"measuredValue\", \"measuredUnit\" FROM \"temporary_finding\"");
    await queryRunner.query("DROP TABLE \"temporary_finding\"");
    await queryRunner.query("CREATE INDEX \"IDX_f78f18b8bbec0250823f69a59d\" ON \"finding\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_db7c09a4a94b02df83d16deae1\"");
    await queryRunner.query("ALTER TABLE \"coating_layer\" RENAME TO \"temporary_coating_layer\"");
    await queryRunner.query("CREATE TABLE \"coating_layer\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"areaId\" text NOT NULL, \"stage\" text NOT NULL, \"seq\" integer NOT NULL, \"kind\" text NOT NULL, \"name\" text NOT NULL, \"colourHex\" text NOT NULL, \"thicknessUm\" real NOT NULL, \"thicknessOrigin\" text NOT NULL, \"productId\" text, \"factory\" boolean NOT NULL, \"tempC\" real, \"appliedAt\" text, \"appliedBy\" text, \"note\" text NOT NULL, \"rejection\" text, \"removedAt\" text, CONSTRAINT \"FK_e0b655f6f3b75aed262a0992b04\" FOREIGN KEY (\"productId\") REFERENCES \"paint_product\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_db7c09a4a94b02df83d16deae13\" FOREIGN KEY (\"areaId\") REFERENCES \"area\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"coating_layer\"(\"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"factory\", \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\") SELECT \"id\", \"version\", \"areaId\", \"stage\", \"seq\", \"kind\", \"name\", \"colourHex\", \"thicknessUm\", \"thicknessOrigin\", \"productId\", \"whose\" = 'factory', \"tempC\", \"appliedAt\", \"appliedBy\", \"note\", \"rejection\", \"removedAt\" FROM \"temporary_coating_layer\"");
    await queryRunner.query("DROP TABLE \"temporary_coating_layer\"");
    await queryRunner.query("CREATE INDEX \"IDX_db7c09a4a94b02df83d16deae1\" ON \"coating_layer\" (\"areaId\") ");
  }
}
