import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { OF_A_JOB, OF_THE_HOUSE } from '../../src/modules/archive/packingList.ts';
import type { TestBench } from './createTestBench.ts';

/**
 * Where a bench that took every job of another in differs from it: rows of jobs that are not the same, or not there; rows of the house
 * that are not the same; pictures that are. One line a difference.
 */
export async function compareBenches(first: TestBench, second: TestBench): Promise<string[]> {
  const differences: string[] = [];
  const read = async ({ room }: TestBench, table: string) => {
    const rows = await room.source.query<Record<string, unknown>[]>(`SELECT * FROM "${table}"`);
    return new Map(rows.map((row) => [String(row.id ?? row.hash), row]));
  };
  const ofJobs = ['job', ...OF_A_JOB.map(([table]) => table)];
  for (const table of [...ofJobs, ...Object.keys(OF_THE_HOUSE)]) {
    const [here, there] = [await read(first, table), await read(second, table)];
    const isOfJobs = ofJobs.includes(table);
    for (const [id, row] of here) {
      const other = there.get(id);
      if (!other && isOfJobs && !isLooseDonor(table, row)) differences.push(`${table} ${id} is not there`);
      if (other && JSON.stringify(other) !== JSON.stringify(row)) differences.push(`${table} ${id} is another`);
    }
    for (const id of there.keys()) if (!here.has(id)) differences.push(`${table} ${id} is new`);
    if (table === 'photo')
      for (const { hash } of there.values()) differences.push(...(await compareFile(String(hash))));
  }
  return differences;

  async function compareFile(hash: string): Promise<string[]> {
    const path = (of: TestBench) => join(of.room.folder, 'photos', `${hash}.jpg`);
    const [a, b] = [await readFile(path(first)), await readFile(path(second)).catch(() => null)];
    return b?.equals(a) ? [] : [`the picture ${hash} is another`];
  }
}

/** A model without a job, or a part of one, goes along only where a part was taken off it. */
const isLooseDonor = (table: string, row: Record<string, unknown>): boolean =>
  (table === 'specimen' && row.jobId === null) ||
  (['specimen_part', 'area'].includes(table) && String(row.specimenId ?? row.specimenPartId).includes('donor')) ||
  // An order or a print for the drawer is of no job.
  (table === 'order_line' && row.jobId === null && row.wantId === null) ||
  (table === 'print_run' && row.wantId === null);
