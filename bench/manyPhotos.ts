import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import Database from 'better-sqlite3';

/** The highest resident set of a process so far, as Linux keeps it. */
export function readPeakMb(pid: number): number {
  const [, kb] = /VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))!;
  return Number(kb) / 1024;
}

/** Puts photographs into a bench that stands still, with their rows: of a job, each as `make` gives it. */
export async function addPhotos(
  bench: string,
  jobId: string,
  count: number,
  make: (i: number) => Buffer | Promise<Buffer>,
): Promise<void> {
  await mkdir(join(bench, 'photos'), { recursive: true });
  const database = new Database(join(bench, 'sardonyx.db'));
  const add = database.prepare(
    "INSERT INTO photo (id, version, jobId, stage, side, caption, hash, widthPx, heightPx, takenAt) VALUES (?, 1, ?, 'before', 'detail', '', ?, 1, 1, '2026-01-01T00:00:00.000Z')",
  );
  for (let i = 0; i < count; i++) {
    const bytes = await make(i);
    const hash = createHash('sha256').update(bytes).digest('hex');
    await writeFile(join(bench, 'photos', `${hash}.jpg`), bytes);
    add.run(`photo-${i}`, jobId, hash);
  }
  database.close();
}
