import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How a coat was put on, and how large a decal is. */
export class CoatDetails1796110000000 implements MigrationInterface {
  name = 'CoatDetails1796110000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    for (const column of ['how', 'decalMm'])
      await queryRunner.query(`ALTER TABLE "coating_layer" ADD COLUMN "${column}" text`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    for (const column of ['decalMm', 'how'])
      await queryRunner.query(`ALTER TABLE "coating_layer" DROP COLUMN "${column}"`);
  }
}
