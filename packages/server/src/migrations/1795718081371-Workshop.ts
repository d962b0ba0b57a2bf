import type { MigrationInterface, QueryRunner } from 'typeorm';

/** New columns are added in place: a table that others refer to is not built anew. */
export class Workshop1795718081371 implements MigrationInterface {
  name = 'Workshop1795718081371';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"house_choice\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"school\" text NOT NULL, \"option\" text NOT NULL, \"reason\" text NOT NULL, CONSTRAINT \"UQ_ee7ab5d963626c5b56231589bef\" UNIQUE (\"school\"))");
    await queryRunner.query("CREATE TABLE \"tool\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"name\" text NOT NULL, \"kind\" text NOT NULL, \"state\" text NOT NULL, \"note\" text NOT NULL DEFAULT (''), \"holds\" text NOT NULL DEFAULT (''))");
    await queryRunner.query("CREATE TABLE \"vessel\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"name\" text NOT NULL, \"material\" text NOT NULL, \"lengthMm\" real NOT NULL, \"widthMm\" real NOT NULL, \"depthMm\" real NOT NULL, \"isRound\" boolean NOT NULL)");
    await queryRunner.query("CREATE TABLE \"bath\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"vesselId\" text NOT NULL, \"kind\" text NOT NULL, \"litres\" real NOT NULL, \"gramsPerLitre\" real NOT NULL, \"waterC\" real NOT NULL, \"madeAt\" text NOT NULL, \"endedAt\" text, CONSTRAINT \"FK_e95b000ae640c81dd8c3fb3b309\" FOREIGN KEY (\"vesselId\") REFERENCES \"vessel\" (\"id\") ON DELETE RESTRICT ON UPDATE NO ACTION)");
    await queryRunner.query("CREATE TABLE \"strip_pass\" (\"id\" text PRIMARY KEY NOT NULL, \"jobId\" text NOT NULL, \"taskId\" text NOT NULL, \"specimenPartId\" text NOT NULL, \"method\" text NOT NULL, \"layers\" integer NOT NULL, \"bathId\" text, \"timerId\" text, \"who\" text NOT NULL, \"startedAt\" text NOT NULL, \"endedAt\" text, \"result\" text, \"size\" text, CONSTRAINT \"FK_d477d2f19c577338a4dfd73f925\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_3471503eb6c2b80cc9221fdde97\" FOREIGN KEY (\"taskId\") REFERENCES \"task\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_2034775a4730e70ef787e92018f\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_fa6e9c43dc04e143d4680f8199e\" FOREIGN KEY (\"bathId\") REFERENCES \"bath\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION)");
    await queryRunner.query("CREATE TABLE \"instrument\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"name\" text NOT NULL, \"kind\" text NOT NULL, \"source\" text NOT NULL, \"url\" text NOT NULL DEFAULT (''))");
    await queryRunner.query("CREATE TABLE \"plan_change\" (\"id\" text PRIMARY KEY NOT NULL, \"jobId\" text NOT NULL, \"specimenId\" text NOT NULL, \"at\" text NOT NULL, \"because\" text NOT NULL, \"added\" text NOT NULL, \"dropped\" text NOT NULL, \"keptAside\" text NOT NULL, CONSTRAINT \"FK_816e925a18e96eda969caa3e56b\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_d448465056570bc24345d0bac98\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("CREATE INDEX \"IDX_d477d2f19c577338a4dfd73f92\" ON \"strip_pass\" (\"jobId\") ");
    await queryRunner.query("CREATE INDEX \"IDX_816e925a18e96eda969caa3e56\" ON \"plan_change\" (\"jobId\") ");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"colours\" text NOT NULL DEFAULT ('[]')");
    await queryRunner.query("ALTER TABLE \"specimen\" ADD COLUMN \"planInput\" text NOT NULL DEFAULT ('')");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("ALTER TABLE \"specimen\" DROP COLUMN \"planInput\"");
    await queryRunner.query("ALTER TABLE \"task\" DROP COLUMN \"colours\"");
    await queryRunner.query("DROP TABLE \"plan_change\"");
    await queryRunner.query("DROP TABLE \"instrument\"");
    await queryRunner.query("DROP TABLE \"strip_pass\"");
    await queryRunner.query("DROP TABLE \"bath\"");
    await queryRunner.query("DROP TABLE \"vessel\"");
    await queryRunner.query("DROP TABLE \"tool\"");
    await queryRunner.query("DROP TABLE \"house_choice\"");
  }
}
