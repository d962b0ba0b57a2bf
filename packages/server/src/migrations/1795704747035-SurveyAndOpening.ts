import type { MigrationInterface, QueryRunner } from 'typeorm';

export class SurveyAndOpening1795704747035 implements MigrationInterface {
  name = 'SurveyAndOpening1795704747035';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"photo_measure\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"photoId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"points\" text NOT NULL, \"nearerMm\" real NOT NULL, \"distanceMm\" real, \"value\" real NOT NULL, \"sd\" real NOT NULL)");
    await queryRunner.query("CREATE INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\" ON \"photo_measure\" (\"photoId\") ");
    await queryRunner.query("CREATE TABLE \"joint_wish\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"wish\" text NOT NULL, \"reason\" text NOT NULL, CONSTRAINT \"UQ_5619ba24351fb34db5d77597bdc\" UNIQUE (\"specimenId\", \"jointKey\"))");
    await queryRunner.query("CREATE TABLE \"found_joint\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"partKeys\" text NOT NULL)");
    await queryRunner.query("CREATE INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\" ON \"found_joint\" (\"specimenId\") ");
    await queryRunner.query("CREATE TABLE \"coming_off\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"fromSide\" text NOT NULL, \"note\" text NOT NULL, \"photoId\" text)");
    await queryRunner.query("CREATE INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\" ON \"coming_off\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_f78f18b8bbec0250823f69a59d\"");
    await queryRunner.query("CREATE TABLE \"temporary_finding\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"kind\" text NOT NULL, \"severity\" integer NOT NULL, \"note\" text NOT NULL, \"pinnedTo\" text, \"pinX\" real, \"pinY\" real, \"measuredValue\" real, \"measuredUnit\" text, CONSTRAINT \"FK_f78f18b8bbec0250823f69a59dc\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_finding\"(\"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\") SELECT \"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\" FROM \"finding\"");
    await queryRunner.query("DROP TABLE \"finding\"");
    await queryRunner.query("ALTER TABLE \"temporary_finding\" RENAME TO \"finding\"");
    await queryRunner.query("CREATE INDEX \"IDX_f78f18b8bbec0250823f69a59d\" ON \"finding\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_7abaf392a82235bc7da2281a56\"");
    await queryRunner.query("CREATE TABLE \"temporary_photo\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"jobId\" text NOT NULL, \"specimenId\" text, \"stage\" text NOT NULL, \"side\" text NOT NULL, \"caption\" text NOT NULL, \"hash\" text NOT NULL, \"widthPx\" integer NOT NULL, \"heightPx\" integer NOT NULL, \"takenAt\" text NOT NULL, \"control\" text, CONSTRAINT \"FK_5381cb224d7914a5f8330bf9091\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_7abaf392a82235bc7da2281a56d\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_photo\"(\"id\", \"version\", \"jobId\", \"specimenId\", \"stage\", \"side\", \"caption\", \"hash\", \"widthPx\", \"heightPx\", \"takenAt\") SELECT \"id\", \"version\", \"jobId\", \"specimenId\", \"stage\", \"side\", \"caption\", \"hash\", \"widthPx\", \"heightPx\", \"takenAt\" FROM \"photo\"");
    await queryRunner.query("DROP TABLE \"photo\"");
    await queryRunner.query("ALTER TABLE \"temporary_photo\" RENAME TO \"photo\"");
    await queryRunner.query("CREATE INDEX \"IDX_7abaf392a82235bc7da2281a56\" ON \"photo\" (\"jobId\") ");
    await queryRunner.query("DROP INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\"");
    await queryRunner.query("CREATE TABLE \"temporary_photo_measure\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"photoId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"points\" text NOT NULL, \"nearerMm\" real NOT NULL, \"distanceMm\" real, \"value\" real NOT NULL, \"sd\" real NOT NULL, CONSTRAINT \"FK_41dfe2a6ccea0572b6cacf4977d\" FOREIGN KEY (\"photoId\") REFERENCES \"photo\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_photo_measure\"(\"id\", \"version\", \"photoId\", \"kind\", \"label\", \"points\", \"nearerMm\", \"distanceMm\", \"value\", \"sd\") SELECT \"id\", \"version\", \"photoId\", \"kind\", \"label\", \"points\", \"nearerMm\", \"distanceMm\", \"value\", \"sd\" FROM \"photo_measure\"");
    await queryRunner.query("DROP TABLE \"photo_measure\"");
    await queryRunner.query("ALTER TABLE \"temporary_photo_measure\" RENAME TO \"photo_measure\"");
    await queryRunner.query("CREATE INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\" ON \"photo_measure\" (\"photoId\") ");
    await queryRunner.query("CREATE TABLE \"temporary_joint_wish\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"wish\" text NOT NULL, \"reason\" text NOT NULL, CONSTRAINT \"UQ_5619ba24351fb34db5d77597bdc\" UNIQUE (\"specimenId\", \"jointKey\"), CONSTRAINT \"FK_a2ceefc3753efd04c4fa27c7791\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_joint_wish\"(\"id\", \"version\", \"specimenId\", \"jointKey\", \"wish\", \"reason\") SELECT \"id\", \"version\", \"specimenId\", \"jointKey\", \"wish\", \"reason\" FROM \"joint_wish\"");
    await queryRunner.query("DROP TABLE \"joint_wish\"");
    await queryRunner.query("ALTER TABLE \"temporary_joint_wish\" RENAME TO \"joint_wish\"");
    await queryRunner.query("DROP INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\"");
    await queryRunner.query("CREATE TABLE \"temporary_found_joint\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"partKeys\" text NOT NULL, CONSTRAINT \"FK_8f61aaa5d0f1f54e53ab3f179ce\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_found_joint\"(\"id\", \"version\", \"specimenId\", \"kind\", \"label\", \"partKeys\") SELECT \"id\", \"version\", \"specimenId\", \"kind\", \"label\", \"partKeys\" FROM \"found_joint\"");
    await queryRunner.query("DROP TABLE \"found_joint\"");
    await queryRunner.query("ALTER TABLE \"temporary_found_joint\" RENAME TO \"found_joint\"");
    await queryRunner.query("CREATE INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\" ON \"found_joint\" (\"specimenId\") ");
    await queryRunner.query("DROP INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\"");
    await queryRunner.query("CREATE TABLE \"temporary_coming_off\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"fromSide\" text NOT NULL, \"note\" text NOT NULL, \"photoId\" text, CONSTRAINT \"FK_8ec9c8bdf88f727eeee300ed0e7\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION, CONSTRAINT \"FK_1043ce21ba4cc362558ea279bca\" FOREIGN KEY (\"photoId\") REFERENCES \"photo\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_coming_off\"(\"id\", \"version\", \"specimenPartId\", \"fromSide\", \"note\", \"photoId\") SELECT \"id\", \"version\", \"specimenPartId\", \"fromSide\", \"note\", \"photoId\" FROM \"coming_off\"");
    await queryRunner.query("DROP TABLE \"coming_off\"");
    await queryRunner.query("ALTER TABLE \"temporary_coming_off\" RENAME TO \"coming_off\"");
    await queryRunner.query("CREATE INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\" ON \"coming_off\" (\"specimenPartId\") ");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("DROP INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\"");
    await queryRunner.query("ALTER TABLE \"coming_off\" RENAME TO \"temporary_coming_off\"");
    await queryRunner.query("CREATE TABLE \"coming_off\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"fromSide\" text NOT NULL, \"note\" text NOT NULL, \"photoId\" text)");
    await queryRunner.query("INSERT INTO \"coming_off\"(\"id\", \"version\", \"specimenPartId\", \"fromSide\", \"note\", \"photoId\") SELECT \"id\", \"version\", \"specimenPartId\", \"fromSide\", \"note\", \"photoId\" FROM \"temporary_coming_off\"");
    await queryRunner.query("DROP TABLE \"temporary_coming_off\"");
    await queryRunner.query("CREATE INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\" ON \"coming_off\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\"");
    await queryRunner.query("ALTER TABLE \"found_joint\" RENAME TO \"temporary_found_joint\"");
    await queryRunner.query("CREATE TABLE \"found_joint\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"partKeys\" text NOT NULL)");
    await queryRunner.query("INSERT INTO \"found_joint\"(\"id\", \"version\", \"specimenId\", \"kind\", \"label\", \"partKeys\") SELECT \"id\", \"version\", \"specimenId\", \"kind\", \"label\", \"partKeys\" FROM \"temporary_found_joint\"");
    await queryRunner.query("DROP TABLE \"temporary_found_joint\"");
    await queryRunner.query("CREATE INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\" ON \"found_joint\" (\"specimenId\") ");
    await queryRunner.query("ALTER TABLE \"joint_wish\" RENAME TO \"temporary_joint_wish\"");
    await queryRunner.query("CREATE TABLE \"joint_wish\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenId\" text NOT NULL, \"jointKey\" text NOT NULL, \"wish\" text NOT NULL, \"reason\" text NOT NULL, CONSTRAINT \"UQ_5619ba24351fb34db5d77597bdc\" UNIQUE (\"specimenId\", \"jointKey\"))");
    await queryRunner.query("INSERT INTO \"joint_wish\"(\"id\", \"version\", \"specimenId\", \"jointKey\", \"wish\", \"reason\") SELECT \"id\", \"version\", \"specimenId\", \"jointKey\", \"wish\", \"reason\" FROM \"temporary_joint_wish\"");
    await queryRunner.query("DROP TABLE \"temporary_joint_wish\"");
    await queryRunner.query("DROP INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\"");
    await queryRunner.query("ALTER TABLE \"photo_measure\" RENAME TO \"temporary_photo_measure\"");
    await queryRunner.query("CREATE TABLE \"photo_measure\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"photoId\" text NOT NULL, \"kind\" text NOT NULL, \"label\" text NOT NULL, \"points\" text NOT NULL, \"nearerMm\" real NOT NULL, \"distanceMm\" real, \"value\" real NOT NULL, \"sd\" real NOT NULL)");
    await queryRunner.query("INSERT INTO \"photo_measure\"(\"id\", \"version\", \"photoId\", \"kind\", \"label\", \"points\", \"nearerMm\", \"distanceMm\", \"value\", \"sd\") SELECT \"id\", \"version\", \"photoId\", \"kind\", \"label\", \"points\", \"nearerMm\", \"distanceMm\", \"value\", \"sd\" FROM \"temporary_photo_measure\"");
    await queryRunner.query("DROP TABLE \"temporary_photo_measure\"");
    await queryRunner.query("CREATE INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\" ON \"photo_measure\" (\"photoId\") ");
    await queryRunner.query("DROP INDEX \"IDX_7abaf392a82235bc7da2281a56\"");
    await queryRunner.query("ALTER TABLE \"photo\" RENAME TO \"temporary_photo\"");
    await queryRunner.query("CREATE TABLE \"photo\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"jobId\" text NOT NULL, \"specimenId\" text, \"stage\" text NOT NULL, \"side\" text NOT NULL, \"caption\" text NOT NULL, \"hash\" text NOT NULL, \"widthPx\" integer NOT NULL, \"heightPx\" integer NOT NULL, \"takenAt\" text NOT NULL, CONSTRAINT \"FK_5381cb224d7914a5f8330bf9091\" FOREIGN KEY (\"specimenId\") REFERENCES \"specimen\" (\"id\") ON DELETE SET NULL ON UPDATE NO ACTION, CONSTRAINT \"FK_7abaf392a82235bc7da2281a56d\" FOREIGN KEY (\"jobId\") REFERENCES \"job\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"photo\"(\"id\", \"version\", \"jobId\", \"specimenId\", \"stage\", \"side\", \"caption\", \"hash\", \"widthPx\", \"heightPx\", \"takenAt\") SELECT \"id\", \"version\", \"jobId\", \"specimenId\", \"stage\", \"side\", \"caption\", \"hash\", \"widthPx\", \"heightPx\", \"takenAt\" FROM \"temporary_photo\"");
    await queryRunner.query("DROP TABLE \"temporary_photo\"");
    await queryRunner.query("CREATE INDEX \"IDX_7abaf392a82235bc7da2281a56\" ON \"photo\" (\"jobId\") ");
    await queryRunner.query("DROP INDEX \"IDX_f78f18b8bbec0250823f69a59d\"");
    await queryRunner.query("ALTER TABLE \"finding\" RENAME TO \"temporary_finding\"");
    await queryRunner.query("CREATE TABLE \"finding\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"specimenPartId\" text NOT NULL, \"kind\" text NOT NULL, \"severity\" integer NOT NULL, \"note\" text NOT NULL, CONSTRAINT \"FK_f78f18b8bbec0250823f69a59dc\" FOREIGN KEY (\"specimenPartId\") REFERENCES \"specimen_part\" (\"id\") ON DELETE CASCADE ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"finding\"(\"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\") SELECT \"id\", \"version\", \"specimenPartId\", \"kind\", \"severity\", \"note\" FROM \"temporary_finding\"");
    await queryRunner.query("DROP TABLE \"temporary_finding\"");
    await queryRunner.query("CREATE INDEX \"IDX_f78f18b8bbec0250823f69a59d\" ON \"finding\" (\"specimenPartId\") ");
    await queryRunner.query("DROP INDEX \"IDX_8ec9c8bdf88f727eeee300ed0e\"");
    await queryRunner.query("DROP TABLE \"coming_off\"");
    await queryRunner.query("DROP INDEX \"IDX_8f61aaa5d0f1f54e53ab3f179c\"");
    await queryRunner.query("DROP TABLE \"found_joint\"");
    await queryRunner.query("DROP TABLE \"joint_wish\"");
    await queryRunner.query("DROP INDEX \"IDX_41dfe2a6ccea0572b6cacf4977\"");
    await queryRunner.query("DROP TABLE \"photo_measure\"");
  }
}
