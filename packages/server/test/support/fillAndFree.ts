import { join } from 'node:path';
import { createSeededRandom } from '@sardonyx/core';
import Database from 'better-sqlite3';
import { DATABASE_FILE } from '../../src/disk/folderNames.ts';
import { createTestBench } from './createTestBench.ts';
import { OWN_POT } from './ownLorry.ts';

type Query = (text: string, ...rest: unknown[]) => Promise<unknown>;

export interface FilledAndFreed {
  readonly acknowledged: number;
  readonly refused: number;
  /** Answered 201 and not in the file, or refused and in it. */
  readonly lost: readonly string[];
  /** Answered neither so nor so. */
  readonly strange: readonly number[];
}

/**
 * A disk that fills up and is freed again, round after round, at any statement of a write: pages that are not given (SQLite's own
 * limit), statements, commits and ways back that fail. What was acknowledged is looked for over another connection.
 */
export async function fillAndFree(seed: number, rounds: number): Promise<FilledAndFreed> {
  const random = createSeededRandom(seed);
  const bench = await createTestBench({ isDemo: false });
  const [kept, refused, strange] = [[] as string[], [] as string[], [] as number[]];
  try {
    for (let round = 0; round < rounds; round++) {
      const release = random() < 0.5 ? await limitPages() : failAt(1 + Math.floor(12 * random()), random() < 0.3);
      const names = Array.from(
        { length: 1 + Math.floor(5 * random()) },
        (_, i) => `Pot ${round} ${i} x${'x'.repeat(30 * random())}`,
      );
      const answers = await Promise.all(
        names.map((name) =>
          bench.http.post('/api/shelf/pots').send({ ...OWN_POT, line: `Line ${'y'.repeat(30 * random())}`, name }),
        ),
      );
      await release();
      answers.forEach(({ status }, i) => {
        if (status === 201) kept.push(names[i]!);
        else if (status === 507) refused.push(names[i]!);
        else strange.push(status);
      });
    }
    const last = await bench.http.post('/api/shelf/pots').send({ ...OWN_POT, name: 'Last' });
    if (last.status === 201) kept.push('Last');
    else strange.push(last.status);
    const there = new Set(readPots());
    const lost = [...kept.filter((name) => !there.has(name)), ...refused.filter((name) => there.has(name))];
    return { acknowledged: kept.length, refused: refused.length, lost, strange };
  } finally {
    await bench.clear();
  }

  function readPots(): string[] {
    const file = new Database(join(bench.room.folder, DATABASE_FILE), { readonly: true });
    const names = file
      .prepare('SELECT name FROM paint_product JOIN paint_pot ON productId = paint_product.id')
      .pluck()
      .all();
    file.close();
    return names as string[];
  }

  async function limitPages(): Promise<() => Promise<void>> {
    const [{ page_count }] = (await bench.room.source.query('PRAGMA page_count')) as [{ page_count: number }];
    await bench.room.source.query(`PRAGMA max_page_count = ${page_count + Math.floor(2 * random())}`);
    return async () => void (await bench.room.source.query('PRAGMA max_page_count = 1000000'));
  }

  /** The nth statement from now fails as on a full disk; with `isLasting` the ways back fail, too. */
  function failAt(nth: number, isLasting: boolean): () => Promise<void> {
    const { source } = bench.room;
    const runner = source.createQueryRunner() as unknown as { query: Query };
    const query = runner.query.bind(runner);
    let left = nth;
    runner.query = (text, ...rest) => {
      const isHit = --left === 0 || (isLasting && left < 0 && text === 'ROLLBACK');
      return isHit
        ? Promise.reject(Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' }))
        : query(text, ...rest);
    };
    return () => {
      runner.query = query;
      return Promise.resolve();
    };
  }
}
