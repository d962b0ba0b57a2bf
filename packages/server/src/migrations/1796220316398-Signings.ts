import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Each signing of a job, with the record as it was then. */
export class Signings1796220316398 implements MigrationInterface {
  name = 'Signings1796220316398';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "signing" ("id" text PRIMARY KEY NOT NULL, "version" integer NOT NULL DEFAULT (1), "jobId" text NOT NULL, "signedAt" text NOT NULL, "signedBy" text NOT NULL, "lacks" text NOT NULL, "because" text NOT NULL, "reopenedAt" text, "reopenedBy" text, "reopenedBecause" text, "record" text NOT NULL, CONSTRAINT "FK_70df9fdd1205f820d7866e962cd" FOREIGN KEY ("jobId") REFERENCES "job" ("id") ON DELETE CASCADE ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`CREATE INDEX "IDX_70df9fdd1205f820d7866e962c" ON "signing" ("jobId") `);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`DROP TABLE "signing"`);
  }
}
