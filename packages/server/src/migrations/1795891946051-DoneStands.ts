import type { MigrationInterface, QueryRunner } from 'typeorm';
import { freezeLog } from './freezeLog.ts';

/** Work done stands: tasks and their log as fields. New columns are added in place: a table that others refer to is not built anew. */
export class DoneStands1795891946051 implements MigrationInterface {
  name = 'DoneStands1795891946051';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("ALTER TABLE \"house_style\" ADD COLUMN \"zone\" text NOT NULL DEFAULT ('')");
    await queryRunner.query("ALTER TABLE \"specimen\" ADD COLUMN \"planNotices\" text NOT NULL DEFAULT ('[]')");
    await queryRunner.query("ALTER TABLE \"coating_layer\" ADD COLUMN \"rejection\" text");
    await queryRunner.query("ALTER TABLE \"coating_layer\" ADD COLUMN \"removedAt\" text");
    await queryRunner.query("ALTER TABLE \"want\" ADD COLUMN \"kind\" text NOT NULL DEFAULT ('part')");
    await queryRunner.query("ALTER TABLE \"want\" ADD COLUMN \"origin\" text");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"act\" text NOT NULL DEFAULT ('identify')");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"of\" text NOT NULL DEFAULT ('{}')");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"rule\" text NOT NULL DEFAULT ('')");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"method\" text");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"process\" text");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"way\" text");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"needs\" text NOT NULL DEFAULT ('{}')");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"uses\" text NOT NULL DEFAULT ('[]')");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"doneAt\" text");
    await queryRunner.query("ALTER TABLE \"task\" ADD COLUMN \"lookedAt\" text");
    await queryRunner.query("ALTER TABLE \"task_log\" ADD COLUMN \"work\" text NOT NULL DEFAULT ('{}')");
    await queryRunner.query("CREATE INDEX \"IDX_1142dfec452e924b346f060fda\" ON \"task_log\" (\"taskId\") ");
    await freezeLog(queryRunner);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query("DROP INDEX \"IDX_1142dfec452e924b346f060fda\"");
    await queryRunner.query("UPDATE \"task\" SET \"state\" = 'not needed' WHERE \"state\" = 'set aside'");
    for (const [table, column] of [
      ['task_log', 'work'],
      ['task', 'lookedAt'],
      ['task', 'doneAt'],
      ['task', 'uses'],
      ['task', 'needs'],
      ['task', 'way'],
      ['task', 'process'],
      ['task', 'method'],
      ['task', 'rule'],
      ['task', 'of'],
      ['task', 'act'],
      ['want', 'origin'],
      ['want', 'kind'],
      ['coating_layer', 'removedAt'],
      ['coating_layer', 'rejection'],
      ['specimen', 'planNotices'],
      ['house_style', 'zone'],
    ] as const)
      await queryRunner.query(`ALTER TABLE "${table}" DROP COLUMN "${column}"`);
  }
}
