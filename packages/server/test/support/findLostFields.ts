import { createPaperDates, writePaperText, writeRecord } from '@sardonyx/core';
import type { DataSource } from 'typeorm';
import { LEFT_OUT } from '../../src/modules/record/leftOut.ts';
import { readRecord } from '../../src/modules/record/readRecord.ts';
import { NOW } from './createTestBench.ts';
import { insertStrangeJob, STRANGE } from './strangeJob.ts';

/** Ids, and what only orders or guards rows. */
const isPlumbing = (field: string) => /^(id|version|seq|layerId|\w+Id|jointKey|captureIds|partKeys|hash)$/.test(field);

/**
 * Fields of a job that its record does not tell: one row is stored of every table of a job, every field of it with a value that
 * stands nowhere else, and each value is looked for in the record. What `LEFT_OUT` names with a reason is not missed.
 */
export async function findLostFields(source: DataSource): Promise<LostFields> {
  const { jobId, rows } = await insertStrangeJob(source);
  const record = await source.manager.transaction((manager) => readRecord(manager, jobId, NOW));
  const told = new Set(listScalars(record).map(([, value]) => value));
  const text = writePaperText(writeRecord(record, createPaperDates('UTC')));
  const asked = rows.flatMap(({ table, values }) =>
    listScalars(values)
      .filter(([path]) => !isLeftOut(table, path) && !path.split('.').some(isPlumbing))
      .filter(([, value]) => typeof value !== 'boolean' && value !== null && value !== '')
      .map(([path, value]) => ({ path: `${table}.${path}`, value })),
  );
  const name = ({ path, value }: (typeof asked)[number]) => `${path}: ${String(value)}`;
  return {
    fromData: asked.filter(({ value }) => !told.has(value)).map(name),
    // Numbers are rounded in print, and values that the core knows by name are said otherwise.
    fromWords: asked
      .filter(({ value }) => typeof value === 'string' && value.includes(STRANGE) && !text.includes(value))
      .map(name),
  };
}

export interface LostFields {
  readonly fromData: readonly string[];
  readonly fromWords: readonly string[];
}

/** It, or what it is a field of. */
const isLeftOut = (table: string, path: string): boolean => {
  const steps = path.split('.').filter((step) => !/^\d+$/.test(step));
  return [table, ...steps.map((_, i) => [table, ...steps.slice(0, i + 1)].join('.'))].some((name) => name in LEFT_OUT);
};

function listScalars(value: unknown, path = ''): [path: string, value: unknown][] {
  if (typeof value !== 'object' || value === null) return [[path, value]];
  return Object.entries(value).flatMap(([name, inner]) => listScalars(inner, path ? `${path}.${name}` : name));
}
