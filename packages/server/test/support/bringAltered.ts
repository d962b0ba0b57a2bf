import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { alterBags } from './alteredBags.ts';
import { createTestBench, type TestBench } from './createTestBench.ts';
import { bringArchive, packJob, putOwnLorry } from './packOwnJob.ts';

export interface AlteredResult {
  readonly brought: number;
  /** Kinds of harm among them. */
  readonly kinds: number;
  /** What was taken in all the same. */
  readonly accepted: readonly string[];
  /** What was answered as a fault of ours, or left something behind. */
  readonly faults: readonly string[];
}

/** Brings altered bags to an empty bench, one after the other. Nothing of any of them may stay there. */
export async function bringAltered(count: number, seed: number): Promise<AlteredResult> {
  const first = await createTestBench({ isDemo: false });
  const zip = await packJob(first, (await putOwnLorry(first)).id);
  await first.clear();
  const bench = await createTestBench({ isDemo: false });
  const before = await describe(bench);
  const accepted: string[] = [];
  const faults: string[] = [];
  const kinds = new Set<string>();
  let brought = 0;
  for (const { harm, zip: altered } of alterBags(zip, count, seed)) {
    brought++;
    kinds.add(harm);
    const { status, body } = await bringArchive(bench, altered);
    if (status === 200) accepted.push(harm);
    else if (status !== 400) faults.push(`${harm}: ${status} ${JSON.stringify(body)}`);
    if ((await describe(bench)) !== before) {
      faults.push(`${harm}: something was left behind`);
      break;
    }
  }
  await bench.clear();
  return { brought, kinds: kinds.size, accepted, faults };
}

/** Files of the folder, and how many rows every table has. */
async function describe({ room }: TestBench): Promise<string> {
  const files = (await readdir(room.folder, { recursive: true })).filter((name) => !/-(wal|shm)$/.test(name)).sort();
  const counts = await Promise.all(
    room.source.entityMetadatas.map(async ({ tableName }) => {
      const [row] = await room.source.query<{ n: number }[]>(`SELECT count(*) AS n FROM "${tableName}"`);
      // An act is counted whether it is taken or not.
      return tableName === 'counted_act' ? '' : `${tableName} ${row!.n}`;
    }),
  );
  return JSON.stringify([files.map((name) => join(name)), counts]);
}
