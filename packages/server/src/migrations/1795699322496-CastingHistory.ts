import type { MigrationInterface, QueryRunner } from 'typeorm';

export class CastingHistory1795699322496 implements MigrationInterface {
  name = 'CastingHistory1795699322496';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("CREATE TABLE \"temporary_casting\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"number\" text NOT NULL, \"name\" text NOT NULL, \"bodyType\" text NOT NULL, \"lengthMm\" real NOT NULL, \"wheelbaseMm\" real NOT NULL, \"construction\" text NOT NULL, \"drawing\" text NOT NULL, \"history\" text NOT NULL DEFAULT (''), CONSTRAINT \"UQ_f56140e8a936a1bed52b3b80434\" UNIQUE (\"rangeId\", \"number\"), CONSTRAINT \"FK_c24174fb1e29745d7d27bb9909c\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE RESTRICT ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"temporary_casting\"(\"id\", \"version\", \"rangeId\", \"number\", \"name\", \"bodyType\", \"lengthMm\", \"wheelbaseMm\", \"construction\", \"drawing\") SELECT \"id\", \"version\", \"rangeId\", \"number\", \"name\", \"bodyType\", \"lengthMm\", \"wheelbaseMm\", \"construction\", \"drawing\" FROM \"casting\"");
    await queryRunner.query("DROP TABLE \"casting\"");
    await queryRunner.query("ALTER TABLE \"temporary_casting\" RENAME TO \"casting\"");
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("ALTER TABLE \"casting\" RENAME TO \"temporary_casting\"");
    await queryRunner.query("CREATE TABLE \"casting\" (\"id\" text PRIMARY KEY NOT NULL, \"version\" integer NOT NULL DEFAULT (1), \"rangeId\" text NOT NULL, \"number\" text NOT NULL, \"name\" text NOT NULL, \"bodyType\" text NOT NULL, \"lengthMm\" real NOT NULL, \"wheelbaseMm\" real NOT NULL, \"construction\" text NOT NULL, \"drawing\" text NOT NULL, CONSTRAINT \"UQ_f56140e8a936a1bed52b3b80434\" UNIQUE (\"rangeId\", \"number\"), CONSTRAINT \"FK_c24174fb1e29745d7d27bb9909c\" FOREIGN KEY (\"rangeId\") REFERENCES \"toy_range\" (\"id\") ON DELETE RESTRICT ON UPDATE NO ACTION)");
    await queryRunner.query("INSERT INTO \"casting\"(\"id\", \"version\", \"rangeId\", \"number\", \"name\", \"bodyType\", \"lengthMm\", \"wheelbaseMm\", \"construction\", \"drawing\") SELECT \"id\", \"version\", \"rangeId\", \"number\", \"name\", \"bodyType\", \"lengthMm\", \"wheelbaseMm\", \"construction\", \"drawing\" FROM \"temporary_casting\"");
    await queryRunner.query("DROP TABLE \"temporary_casting\"");
  }
}
