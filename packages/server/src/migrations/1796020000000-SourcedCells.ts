import type { MigrationInterface, QueryRunner } from 'typeorm';

const VIEWS = ['side', 'base', 'end'];

/** Where each cell of a list of issues is from; sizes of states and of models as answers; how far colours spread; and a trace says where the view under it lies (so far always in its corner) and where joints are seen. */
export class SourcedCells1796020000000 implements MigrationInterface {
  name = 'SourcedCells1796020000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "variant_state" ADD COLUMN "origin" text NOT NULL DEFAULT ('')`);
    await queryRunner.query('ALTER TABLE "feature_state" ADD COLUMN "size" text');
    await queryRunner.query('ALTER TABLE "observation" ADD COLUMN "size" text');
    await queryRunner.query('ALTER TABLE "house_style" ADD COLUMN "colourBatchSd" real NOT NULL DEFAULT (0.7)');
    await queryRunner.query('ALTER TABLE "house_style" ADD COLUMN "colourFadingSd" real NOT NULL DEFAULT (3)');
    for (const view of VIEWS)
      await queryRunner.query(
        `UPDATE "casting" SET "traces" = json_set("traces", '$.${view}.underAt', json('{"x":0,"y":0}'), '$.${view}.joints', json('[]')) WHERE json_type("traces", '$.${view}') = 'object'`,
      );
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const view of VIEWS)
      await queryRunner.query(`UPDATE "casting" SET "traces" = json_remove("traces", '$.${view}.underAt', '$.${view}.joints')`);
    await queryRunner.query('ALTER TABLE "house_style" DROP COLUMN "colourFadingSd"');
    await queryRunner.query('ALTER TABLE "house_style" DROP COLUMN "colourBatchSd"');
    await queryRunner.query('ALTER TABLE "observation" DROP COLUMN "size"');
    await queryRunner.query('ALTER TABLE "feature_state" DROP COLUMN "size"');
    await queryRunner.query('ALTER TABLE "variant_state" DROP COLUMN "origin"');
  }
}
