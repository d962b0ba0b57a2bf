import { randomUUID } from 'node:crypto';
import type { MigrationInterface, QueryRunner } from 'typeorm';

interface Step {
  readonly id: string;
  readonly mixId: string;
  readonly at: string;
  readonly who: string;
  readonly body: string;
}
interface Body {
  readonly kind: string;
  readonly productId: string;
  readonly ml: number;
  readonly stepId: string;
}

/** How much is in a pot follows from its log; what is there already was counted so, and what an open mix took was taken since. */
export class PotLog1796140000000 implements MigrationInterface {
  name = 'PotLog1796140000000';

  async up(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(
      `CREATE TABLE "pot_movement" ("id" text PRIMARY KEY NOT NULL, "potId" text NOT NULL, "seq" integer NOT NULL, "at" text NOT NULL, "move" text NOT NULL, "amount" real NOT NULL, "jobId" text, "taskId" text, "actId" text, "price" real, "batch" text NOT NULL DEFAULT (''), "who" text NOT NULL, "note" text NOT NULL DEFAULT (''), CONSTRAINT "FK_15a9c2fd488c0c67e13b3799557" FOREIGN KEY ("potId") REFERENCES "paint_pot" ("id") ON DELETE RESTRICT ON UPDATE NO ACTION)`,
    );
    await queryRunner.query(`CREATE INDEX "IDX_0f962d3ddd6520b7d1bd448906" ON "pot_movement" ("jobId") `);
    await queryRunner.query(`CREATE INDEX "IDX_a80c6bc3a8f700461252d91bf1" ON "pot_movement" ("actId") `);
    await queryRunner.query(`CREATE UNIQUE INDEX "IDX_ba91cb2bde5578da8318d752f7" ON "pot_movement" ("potId", "seq") `);
    await beginLogs(queryRunner);
    await knowUnpriced(queryRunner);
  }

  async down(queryRunner: QueryRunner): Promise<void> {
    await queryRunner.query(`DROP TABLE "pot_movement"`);
  }
}

async function beginLogs(queryRunner: QueryRunner): Promise<void> {
  const pots = (await queryRunner.query('SELECT id, productId, leftMl FROM paint_pot ORDER BY leftMl DESC')) as {
    readonly id: string;
    readonly productId: string;
    readonly leftMl: number;
  }[];
  const steps = (await queryRunner.query(
    'SELECT mix_step.id, mixId, at, who, body FROM mix_step JOIN mix ON mix.id = mixId WHERE endedAt IS NULL ORDER BY at, seq',
  )) as Step[];
  const bodies = steps.map((step) => ({ ...step, body: JSON.parse(step.body) as Body }));
  const undone = new Set(bodies.flatMap(({ body }) => (body.kind === 'undo' ? body.stepId : [])));
  const mixes = (await queryRunner.query('SELECT id, jobId, name FROM mix')) as { id: string; jobId: string; name: string }[];
  const now = new Date().toISOString();
  const seen = new Set<string>();
  for (const { id, productId, leftMl } of pots) {
    // Nobody wrote down which of two pots it was: the one that would have got it back.
    const isFullest = !seen.has(productId);
    seen.add(productId);
    const poured = bodies.filter(
      (step) => isFullest && step.body.kind === 'pour' && step.body.productId === productId && !undone.has(step.id),
    );
    const all = poured.reduce((sum, { body }) => sum + body.ml, leftMl);
    const lines = [
      { at: poured[0]?.at ?? now, move: 'counted', amount: all, jobId: null as string | null, actId: null as string | null, who: '', note: 'as it stood when its log began' },
      ...poured.map(({ id: actId, mixId, at, who, body }) => {
        const mix = mixes.find((one) => one.id === mixId);
        return { at, move: 'taken', amount: body.ml, jobId: mix?.jobId ?? null, actId, who, note: `into ${mix?.name ?? 'a mix'}` };
      }),
    ];
    for (const [i, { at, move, amount, jobId, actId, who, note }] of lines.entries())
      await queryRunner.query(
        'INSERT INTO pot_movement (id, potId, seq, at, move, amount, jobId, actId, who, note) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
        [randomUUID(), id, i + 1, at, move, amount, jobId, actId, who, note],
      );
  }
}

/** What jobs took of a thing says since now how much of that had no price; of what was taken before, nobody asked. */
async function knowUnpriced(queryRunner: QueryRunner): Promise<void> {
  const things = (await queryRunner.query('SELECT id, state FROM stock_thing')) as { id: string; state: string }[];
  for (const { id, state } of things) {
    const known = JSON.parse(state) as { jobs: object[] };
    if (known.jobs.length === 0) continue;
    const jobs = known.jobs.map((share) => ({ ...share, unpriced: 0 }));
    await queryRunner.query('UPDATE stock_thing SET state = ? WHERE id = ?', [JSON.stringify({ ...known, jobs }), id]);
  }
}
