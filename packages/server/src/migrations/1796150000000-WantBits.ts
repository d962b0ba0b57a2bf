import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What small bits a want needs are lines of their own, and what was paid for it is known; what stood there as words is one line. */
export class WantBits1796150000000 implements MigrationInterface {
  name = 'WantBits1796150000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "want" ADD COLUMN "bits" text NOT NULL DEFAULT ('[]')`);
    await queryRunner.query(`ALTER TABLE "want" ADD COLUMN "price" real`);
    await queryRunner.query(`ALTER TABLE "want" ADD COLUMN "taken" text`);
    await queryRunner.query(
      `UPDATE "want" SET "bits" = json_array(json_object('id', 'bit-1', 'what', "dependentBits", 'amount', 1, 'by', 'drawer', 'thingId', NULL, 'isHere', json(CASE WHEN "state" = 'solved' THEN 'true' ELSE 'false' END), 'price', NULL)) WHERE trim("dependentBits") <> ''`,
    );
    await queryRunner.query(`ALTER TABLE "want" DROP COLUMN "dependentBits"`);
    await queryRunner.query(`ALTER TABLE "order_line" ADD COLUMN "bitId" text`);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`ALTER TABLE "order_line" DROP COLUMN "bitId"`);
    await queryRunner.query(`ALTER TABLE "want" ADD COLUMN "dependentBits" text NOT NULL DEFAULT ('')`);
    await queryRunner.query(`UPDATE "want" SET "dependentBits" = coalesce((SELECT group_concat(json_extract(value, '$.what'), ', ') FROM json_each("bits")), '')`);
    await queryRunner.query(`ALTER TABLE "want" DROP COLUMN "bits"`);
    await queryRunner.query(`ALTER TABLE "want" DROP COLUMN "price"`);
    await queryRunner.query(`ALTER TABLE "want" DROP COLUMN "taken"`);
  }
}
