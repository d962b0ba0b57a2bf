import type { MigrationInterface, QueryRunner } from 'typeorm';

export class AsItWasFound1795932759442 implements MigrationInterface {
  name = 'AsItWasFound1795932759442';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"joint_condition\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"condition\" text NOT NULL, \"note\" text NOT NULL, CONSTRAINT \"UQ_cf7664d5c4cc43d83483fcc0982\" UNIQUE (\"specimenId\", \"jointKey\"))");
    await queryRunner.query("DROP INDEX \"IDX_52335d2f66f9f1772d2f243b42\"");
    await queryRunner.query("CREATE TABLE \"temporary_specimen_part\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"key\" text NOT NULL, \"name\" text NOT NULL, \"role\" text NOT NULL, \"material\" text NOT NULL, \"state\" text NOT NULL, \"origin\" text NOT NULL, \"originNote\" text NOT NULL, \"materialCertainty\" text NOT NULL DEFAULT ('likely'), \"isKept\" boolean NOT NULL DEFAULT (0), CONSTRAINT \"FK_52335d2f66f9f1772d2f243b426\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_specimen_part\"(\"id\", \"version\", \"specimenId\", \"key\", \"name\", \"role\", \"material\", \"state\", \"origin\", \"originNote\", \"materialCertainty\") SELECT \"id\", \"version\", \"specimenId\", \"key\", \"name\", \"role\", \"material\", \"state\", \"origin\", \"originNote\", \"materialCertainty\" FROM \"specimen_part\"");
    await queryRunner.query("DROP TABLE \"specimen_part\"");
    await queryRunner.query("ALTER TABLE \"temporary_specimen_part\" RENAME TO \"specimen_part\"");
    await queryRunner.query("CREATE INDEX \"IDX_52335d2f66f9f1772d2f243b42\" ON \"specimen_part\" (\"specimenId\") ");
    await queryRunner.query("CREATE TABLE \"temporary_joint_condition\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"condition\" text NOT NULL, \"note\" text NOT NULL, CONSTRAINT \"UQ_cf7664d5c4cc43d83483fcc0982\" UNIQUE (\"specimenId\", \"jointKey\"), CONSTRAINT \"FK_51c3228a44f899d52165c6485d9\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_joint_condition\"(\"id\", \"version\", \"specimenId\", \"jointKey\", \"condition\", \"note\") SELECT \"id\", \"version\", \"specimenId\", \"jointKey\", \"condition\", \"note\" FROM \"joint_condition\"");
    await queryRunner.query("DROP TABLE \"joint_condition\"");
    await queryRunner.query("ALTER TABLE \"temporary_joint_condition\" RENAME TO \"joint_condition\"");
    // The facts that plans were made from have new fields: they are worked out anew.
    await queryRunner.query("UPDATE specimen SET planFingerprint = '', planInput = ''");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("ALTER TABLE \"joint_condition\" RENAME TO \"temporary_joint_condition\"");
    await queryRunner.query("CREATE TABLE \"joint_condition\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"condition\" text NOT NULL, \"note\" text NOT NULL, CONSTRAINT \"UQ_cf7664d5c4cc43d83483fcc0982\" UNIQUE (\"specimenId\", \"jointKey\"))");
    await queryRunner.query("INSERT INTO \"joint_condition\"(\"id\", \"version\", \"specimenId\", \"jointKey\", \"condition\", \"note\") SELECT \"id\", \"version\", \"specimenId\", \"jointKey\", \"condition\", \"note\" FROM \"temporary_joint_condition\"");
    await queryRunner.query("DROP TABLE \"temporary_joint_condition\"");
    await queryRunner.query("DROP INDEX \"IDX_52335d2f66f9f1772d2f243b42\"");
    await queryRunner.query("ALTER TABLE \"specimen_part\" RENAME TO \"temporary_specimen_part\"");
    await queryRunner.query("CREATE TABLE \"specimen_part\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"key\" text NOT NULL, \"name\" text NOT NULL, \"role\" text NOT NULL, \"material\" text NOT NULL, \"state\" text NOT NULL, \"origin\" text NOT NULL, \"originNote\" text NOT NULL, \"materialCertainty\" text NOT NULL DEFAULT ('likely'), CONSTRAINT \"FK_52335d2f66f9f1772d2f243b426\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"specimen_part\"(\"id\", \"version\", \"specimenId\", \"key\", \"name\", \"role\", \"material\", \"state\", \"origin\", \"originNote\", \"materialCertainty\") SELECT \"id\", \"version\", \"specimenId\", \"key\", \"name\", \"role\", \"material\", \"state\", \"origin\", \"originNote\", \"materialCertainty\" FROM \"temporary_specimen_part\"");
    await queryRunner.query("DROP TABLE \"temporary_specimen_part\"");
    await queryRunner.query("CREATE INDEX \"IDX_52335d2f66f9f1772d2f243b42\" ON \"specimen_part\" (\"specimenId\") ");
    await queryRunner.query("DROP TABLE \"joint_condition\"");
  }
}
