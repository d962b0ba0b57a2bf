import type { ArchiveReport } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { nextNumber } from '../jobs/nextNumber.ts';
import type { FindHere, StoredRow } from './storedRows.ts';

/** The number of each job here: its own, unless another job has that. */
export async function numberJobs(
  manager: EntityManager,
  rows: readonly StoredRow[],
  find: FindHere,
): Promise<ArchiveReport['jobs']> {
  const jobs: ArchiveReport['jobs'][number][] = [];
  const numbers = new Set<string>();
  for (const row of rows) {
    const [id, number, title] = [String(row.id), String(row.number), String(row.title)];
    const own = find('job', row);
    const others = await manager.query<unknown[]>('SELECT 1 FROM job WHERE number = ? AND id <> ?', [number, id]);
    const isTaken = others.length > 0 || numbers.has(number);
    const numberHere = own ? String(own.number) : isTaken ? await nextNumber(manager, numbers) : number;
    numbers.add(numberHere);
    jobs.push({ id, number, title, numberHere, isHere: own !== undefined });
  }
  return jobs;
}

/** Entries keep their places in the log of the bench where those are free; else they come after all others, in their order. */
export async function placeInLog(manager: EntityManager, rows: readonly StoredRow[]): Promise<StoredRow[]> {
  const places = await manager.query<{ seq: number }[]>('SELECT seq FROM task_log');
  const taken = new Set(places.map(({ seq }) => seq));
  if (!rows.some(({ seq }) => taken.has(seq as number))) return [...rows];
  const last = places.reduce((most, { seq }) => Math.max(most, seq), 0);
  return [...rows].sort((a, b) => Number(a.seq) - Number(b.seq)).map((row, i) => ({ ...row, seq: last + 1 + i }));
}
