import type { MigrationInterface, QueryRunner } from 'typeorm';

export class ColourLab1795733425618 implements MigrationInterface {
  name = 'ColourLab1795733425618';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"colour_capture\" (\"id\" text PRIMARY KEY NOT NULL, \"jobId\" text NOT NULL, \"specimenPartId\" text NOT NULL, \"place\" text NOT NULL, \"note\" text NOT NULL, \"lab\" text NOT NULL, \"sd\" text NOT NULL, \"spectrum\" text, \"geometry\" text NOT NULL, \"method\" text NOT NULL, \"photoId\" text, \"point\" text, \"takenAt\" text NOT NULL, \"who\" text NOT NULL)");
    await queryRunner.query("CREATE INDEX \"IDX_2ed190253d8ef6a2fb39323a39\" ON \"colour_capture\" (\"jobId\") ");
    await queryRunner.query("CREATE TABLE \"mix\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"jobId\" text NOT NULL, \"specimenPartId\" text, \"captureId\" text, \"name\" text NOT NULL, \"target\" text NOT NULL, \"targetA\" text NOT NULL, \"geometry\" text NOT NULL, \"needMl\" real NOT NULL, \"tolerance\" real NOT NULL, \"dosing\" text NOT NULL, \"doseMl\" real NOT NULL, \"way\" text NOT NULL, \"recipe\" text NOT NULL, \"startedAt\" text NOT NULL, \"endedAt\" text, \"productId\" text)");
    await queryRunner.query("CREATE INDEX \"IDX_b40f987423e9305451ad162986\" ON \"mix\" (\"jobId\") ");
    await queryRunner.query("CREATE TABLE \"mix_step\" (\"id\" text PRIMARY KEY NOT NULL, \"mixId\" text NOT NULL, \"seq\" integer NOT NULL, \"at\" text NOT NULL, \"who\" text NOT NULL, \"body\" text NOT NULL)");
    await queryRunner.query("CREATE INDEX \"IDX_461464b2715d186ecd1b987dfc\" ON \"mix_step\" (\"mixId\") ");
    await queryRunner.query("CREATE TABLE \"temporary_house_style\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"lossThreshold\" real NOT NULL DEFAULT (1), \"colourCard\" text)");
    await queryRunner.query("INSERT INTO \"temporary_house_style\"(\"id\", \"version\", \"lossThreshold\") SELECT \"id\", \"version\", \"lossThreshold\" FROM \"house_style\"");
    await queryRunner.query("DROP TABLE \"house_style\"");
    await queryRunner.query("ALTER TABLE \"temporary_house_style\" RENAME TO \"house_style\"");
    await queryRunner.query("CREATE TABLE \"temporary_paint_product\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"line\" text NOT NULL, \"name\" text NOT NULL, \"kind\" text NOT NULL, \"binder\" text NOT NULL, \"gloss\" text NOT NULL, \"colourHex\" text NOT NULL, \"dryFilmUm\" real NOT NULL, \"flashMin\" real NOT NULL, \"recoatMin\" real NOT NULL, \"cureMin\" real NOT NULL, \"minC\" real NOT NULL, \"maxC\" real NOT NULL, \"optics\" text, \"densityGPerMl\" real NOT NULL DEFAULT (1.15), \"dropMl\" real NOT NULL DEFAULT (0.05), \"pricePerMl\" real NOT NULL DEFAULT (0.25), \"recipe\" text)");
    await queryRunner.query("INSERT INTO \"temporary_paint_product\"(\"id\", \"version\", \"line\", \"name\", \"kind\", \"binder\", \"gloss\", \"colourHex\", \"dryFilmUm\", \"flashMin\", \"recoatMin\", \"cureMin\", \"minC\", \"maxC\") SELECT \"id\", \"version\", \"line\", \"name\", \"kind\", \"binder\", \"gloss\", \"colourHex\", \"dryFilmUm\", \"flashMin\", \"recoatMin\", \"cureMin\", \"minC\", \"maxC\" FROM \"paint_product\"");
    await queryRunner.query("DROP TABLE \"paint_product\"");
    await queryRunner.query("ALTER TABLE \"temporary_paint_product\" RENAME TO \"paint_product\"");
    await queryRunner.query("DROP INDEX \"IDX_2ed190253d8ef6a2fb39323a39\"");
    await queryRunner.query("CREATE TABLE \"temporary_colour_capture\" (\"id\" text PRIMARY KEY NOT NULL, \"jobId\" text NOT NULL, \"specimenPartId\" text NOT NULL, \"place\" text NOT NULL, \"note\" text NOT NULL, \"lab\" text NOT NULL, \"sd\" text NOT NULL, \"spectrum\" text, \"geometry\" text NOT NULL, \"method\" text NOT NULL, \"photoId\" text, \"point\" text, \"takenAt\" text NOT NULL, \"who\" text NOT NULL, CONSTRAINT \"FK_2ed190253d8ef6a2fb39323a394\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE RESTRICT ON UPDATE NO ACTION, CONSTRAINT \"FK_5a4634e79e0e80e52f81b45c4c4\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE RESTRICT ON UPDATE NO ACTION, CONSTRAINT \"FK_679daed83075fc5fef3e9c28a88\" FOREIGN KEY (\"photoId\") REFERENCES \"photo\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_colour_capture\"(\"id\", \"jobId\", \"specimenPartId\", \"place\", \"note\", \"lab\", \"sd\", \"spectrum\", \"geometry\", \"method\", \"photoId\", \"point\", \"takenAt\", \"who\") SELECT \"id\", \"jobId\", \"specimenPartId\", \"place\", \"note\", \"lab\", \"sd\", \"spectrum\", \"geometry\", \"method\", \"photoId\", \"point\", \"takenAt\", \"who\" FROM \"colour_capture\"");
    await queryRunner.query("DROP TABLE \"colour_capture\"");
    await queryRunner.query("ALTER TABLE \"temporary_colour_capture\" RENAME TO \"colour_capture\"");
    await queryRunner.query("CREATE INDEX \"IDX_2ed190253d8ef6a2fb39323a39\" ON \"colour_capture\" (\"jobId\") ");
    await queryRunner.query("DROP INDEX \"IDX_b40f987423e9305451ad162986\"");
    await queryRunner.query("CREATE TABLE \"temporary_mix\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"jobId\" text NOT NULL, \"specimenPartId\" text, \"captureId\" text, \"name\" text NOT NULL, \"target\" text NOT NULL, \"targetA\" text NOT NULL, \"geometry\" text NOT NULL, \"needMl\" real NOT NULL, \"tolerance\" real NOT NULL, \"dosing\" text NOT NULL, \"doseMl\" real NOT NULL, \"way\" text NOT NULL, \"recipe\" text NOT NULL, \"startedAt\" text NOT NULL, \"endedAt\" text, \"productId\" text, CONSTRAINT \"FK_b40f987423e9305451ad1629869\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_3b2b6f1d6547b27881c3adff00b\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_803735e36c0328b3e8e7071112e\" FOREIGN KEY (\"captureId\") REFERENCES \"colour_capture\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_9ae088c33b0b790e080c1d6a509\" FOREIGN KEY (\"productId\") REFERENCES \"paint_product\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_mix\"(\"id\", \"version\", \"jobId\", \"specimenPartId\", \"captureId\", \"name\", \"target\", \"targetA\", \"geometry\", \"needMl\", \"tolerance\", \"dosing\", \"doseMl\", \"way\", \"recipe\", \"startedAt\", \"endedAt\", \"productId\") SELECT \"id\", \"version\", \"jobId\", \"specimenPartId\", \"captureId\", \"name\", \"target\", \"targetA\", \"geometry\", \"needMl\", \"tolerance\", \"dosing\", \"doseMl\", \"way\", \"recipe\", \"startedAt\", \"endedAt\", \"productId\" FROM \"mix\"");
    await queryRunner.query("DROP TABLE \"mix\"");
    await queryRunner.query("ALTER TABLE \"temporary_mix\" RENAME TO \"mix\"");
    await queryRunner.query("CREATE INDEX \"IDX_b40f987423e9305451ad162986\" ON \"mix\" (\"jobId\") ");
    await queryRunner.query("DROP INDEX \"IDX_461464b2715d186ecd1b987dfc\"");
    await queryRunner.query("CREATE TABLE \"temporary_mix_step\" (\"id\" text PRIMARY KEY NOT NULL, \"mixId\" text NOT NULL, \"seq\" integer NOT NULL, \"at\" text NOT NULL, \"who\" text NOT NULL, \"body\" text NOT NULL, CONSTRAINT \"FK_461464b2715d186ecd1b987dfc1\" FOREIGN KEY (\"mixId\") REFERENCES \"mix\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_mix_step\"(\"id\", \"mixId\", \"seq\", \"at\", \"who\", \"body\") SELECT \"id\", \"mixId\", \"seq\", \"at\", \"who\", \"body\" FROM \"mix_step\"");
    await queryRunner.query("DROP TABLE \"mix_step\"");
    await queryRunner.query("ALTER TABLE \"temporary_mix_step\" RENAME TO \"mix_step\"");
    await queryRunner.query("CREATE INDEX \"IDX_461464b2715d186ecd1b987dfc\" ON \"mix_step\" (\"mixId\") ");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("DROP INDEX \"IDX_461464b2715d186ecd1b987dfc\"");
    await queryRunner.query("ALTER TABLE \"mix_step\" RENAME TO \"temporary_mix_step\"");
    await queryRunner.query("CREATE TABLE \"mix_step\" (\"id\" text PRIMARY KEY NOT NULL, \"mixId\" text NOT NULL, \"seq\" integer NOT NULL, \"at\" text NOT NULL, \"who\" text NOT NULL, \"body\" text NOT NULL)");
    await queryRunner.query("INSERT INTO \"mix_step\"(\"id\", \"mixId\", \"seq\", \"at\", \"who\", \"body\") SELECT \"id\", \"mixId\", \"seq\", \"at\", \"who\", \"body\" FROM \"temporary_mix_step\"");
    await queryRunner.query("DROP TABLE \"temporary_mix_step\"");
    await queryRunner.query("CREATE INDEX \"IDX_461464b2715d186ecd1b987dfc\" ON \"mix_step\" (\"mixId\") ");
    await queryRunner.query("DROP INDEX \"IDX_b40f987423e9305451ad162986\"");
    await queryRunner.query("ALTER TABLE \"mix\" RENAME TO \"temporary_mix\"");
    await queryRunner.query("CREATE TABLE \"mix\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"jobId\" text NOT NULL, \"specimenPartId\" text, \"captureId\" text, \"name\" text NOT NULL, \"target\" text NOT NULL, \"targetA\" text NOT NULL, \"geometry\" text NOT NULL, \"needMl\" real NOT NULL, \"tolerance\" real NOT NULL, \"dosing\" text NOT NULL, \"doseMl\" real NOT NULL, \"way\" text NOT NULL, \"recipe\" text NOT NULL, \"startedAt\" text NOT NULL, \"endedAt\" text, \"productId\" text)");
    await queryRunner.query("INSERT INTO \"mix\"(\"id\", \"version\", \"jobId\", \"specimenPartId\", \"captureId\", \"name\", \"target\", \"targetA\", \"geometry\", \"needMl\", \"tolerance\", \"dosing\", \"doseMl\", \"way\", \"recipe\", \"startedAt\", \"endedAt\", \"productId\") SELECT \"id\", \"version\", \"jobId\", \"specimenPartId\", \"captureId\", \"name\", \"target\", \"targetA\", \"geometry\", \"needMl\", \"tolerance\", \"dosing\", \"doseMl\", \"way\", \"recipe\", \"startedAt\", \"endedAt\", \"productId\" FROM \"temporary_mix\"");
    await queryRunner.query("DROP TABLE \"temporary_mix\"");
    await queryRunner.query("CREATE INDEX \"IDX_b40f987423e9305451ad162986\" ON \"mix\" (\"jobId\") ");
    await queryRunner.query("DROP INDEX \"IDX_2ed190253d8ef6a2fb39323a39\"");
    await queryRunner.query("ALTER TABLE \"colour_capture\" RENAME TO \"temporary_colour_capture\"");
    await queryRunner.query("CREATE TABLE \"colour_capture\" (\"id\" text PRIMARY KEY NOT NULL, \"jobId\" text NOT NULL, \"specimenPartId\" text NOT NULL, \"place\" text NOT NULL, \"note\" text NOT NULL, \"lab\" text NOT NULL, \"sd\" text NOT NULL, \"spectrum\" text, \"geometry\" text NOT NULL, \"method\" text NOT NULL, \"photoId\" text, \"point\" text, \"takenAt\" text NOT NULL, \"who\" text NOT NULL)");
    await queryRunner.query("INSERT INTO \"colour_capture\"(\"id\", \"jobId\", \"specimenPartId\", \"place\", \"note\", \"lab\", \"sd\", \"spectrum\", \"geometry\", \"method\", \"photoId\", \"point\", \"takenAt\", \"who\") SELECT \"id\", \"jobId\", \"specimenPartId\", \"place\", \"note\", \"lab\", \"sd\", \"spectrum\", \"geometry\", \"method\", \"photoId\", \"point\", \"takenAt\", \"who\" FROM \"temporary_colour_capture\"");
    await queryRunner.query("DROP TABLE \"temporary_colour_capture\"");
    await queryRunner.query("CREATE INDEX \"IDX_2ed190253d8ef6a2fb39323a39\" ON \"colour_capture\" (\"jobId\") ");
    // Renaming the table away would leave whatever refers to it pointing at nothing.
    for (const column of ['optics', 'densityGPerMl', 'dropMl', 'pricePerMl', 'recipe'])
      await queryRunner.query(`ALTER TABLE "paint_product" DROP COLUMN "${column}"`);
    await queryRunner.query("ALTER TABLE \"house_style\" RENAME TO \"temporary_house_style\"");
    await queryRunner.query("CREATE TABLE \"house_style\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"lossThreshold\" real NOT NULL DEFAULT (1))");
    await queryRunner.query("INSERT INTO \"house_style\"(\"id\", \"version\", \"lossThreshold\") SELECT \"id\", \"version\", \"lossThreshold\" FROM \"temporary_house_style\"");
    await queryRunner.query("DROP TABLE \"temporary_house_style\"");
    await queryRunner.query("DROP INDEX \"IDX_461464b2715d186ecd1b987dfc\"");
    await queryRunner.query("DROP TABLE \"mix_step\"");
    await queryRunner.query("DROP INDEX \"IDX_b40f987423e9305451ad162986\"");
    await queryRunner.query("DROP TABLE \"mix\"");
    await queryRunner.query("DROP INDEX \"IDX_2ed190253d8ef6a2fb39323a39\"");
    await queryRunner.query("DROP TABLE \"colour_capture\"");
  }
}
