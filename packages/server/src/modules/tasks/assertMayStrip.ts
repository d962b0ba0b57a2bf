import { answerAll, createReport, formatPercent, needsStopCheck, sayLossShare } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { HouseStyleRow } from '../../entities/house.ts';
import { TaskLogRow, TaskRow } from '../../entities/work.ts';
import { refused } from '../../http/errors.ts';
import { readIdentified } from '../catalogue/readIdentified.ts';
import { findRow } from '../rows/versionedRows.ts';

/**
 * Holds back the first irreversible step of a model that may be worth more as it is. With a reason it goes on; what goes
 * into the log is returned, null when there was nothing to override.
 */
export async function assertMayStrip(manager: EntityManager, task: TaskRow, reason?: string): Promise<string | null> {
  const { specimenId } = task;
  const tasks = await manager.findBy(TaskRow, { specimenId });
  if (!needsStopCheck(task, tasks, await manager.findBy(TaskLogRow, { jobId: task.jobId }))) return null;
  const { catalogue, answers, statements } = await readIdentified(manager, specimenId);
  const identifier = answerAll(catalogue, answers, undefined, statements);
  const { lossThreshold } = await findRow(manager, HouseStyleRow, 'house', 'The house style');
  const { stop } = createReport(identifier, lossThreshold);
  if (!stop.isHeld) return null;
  const { loss } = stop;
  const [worst] = loss.from;
  const said = `expected loss ${loss.points.toFixed(1)} of 10, the house allows ${lossThreshold}; ${sayLossShare(worst!)} in its original coat ${formatPercent(worst!.chance)}`;
  if (reason) return `${reason} (${said})`;
  const look = catalogue.features.find(({ id }) => id === stop.settledBy?.featureId);
  throw refused(
    'stop-before-strip',
    `Stop before you strip: ${said}. ${look ? `Look first at: ${look.label.toLowerCase()}.` : 'No harmless look would settle it.'}`,
  );
}
