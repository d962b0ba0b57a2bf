import type { PhoneDevice, PhoneView, ShowToPhone } from '@sardonyx/contract';
import { findMissingSides, selectNextOfJob, stageOfStation } from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { PhotoRow } from '../../entities/photo.ts';
import { JobRow, TaskRow, TimerRow } from '../../entities/work.ts';

/** What a phone is shown of the job that stands open on the bench; of nothing else. */
export async function readPhoneView(
  manager: EntityManager,
  { jobId, station }: Pick<ShowToPhone, 'jobId' | 'station'>,
  { mark }: PhoneDevice,
  closesAt: string,
  now: Date,
): Promise<PhoneView> {
  const rest = { now: now.toISOString(), mark, closesAt };
  const job = jobId === null ? null : await manager.findOneBy(JobRow, { id: jobId });
  if (!job) return { ...rest, job: null, step: null, blockedBy: null, clocks: [] };
  const stage = stageOfStation(station);
  const photos = await manager.findBy(PhotoRow, { jobId: job.id });
  const next = selectNextOfJob(await manager.findBy(TaskRow, { jobId: job.id }), now);
  const timers = await manager.find(TimerRow, {
    where: { jobId: job.id, acknowledgedAt: IsNull() },
    order: { endsAt: 'ASC' },
  });
  const { id, number, title, signedOffAt } = job;
  return {
    ...rest,
    job: {
      ...{ id, number, title, station, stage, isClosed: signedOffAt !== null },
      missingSides: findMissingSides(photos, stage),
      pictures: photos.filter((photo) => photo.stage === stage).length,
    },
    step: next.task && {
      ...{ id: next.task.id, title: next.task.title, how: next.task.how, because: next.task.because },
      ...{ hazards: next.task.hazards, state: next.task.state, irreversible: next.task.irreversible },
      cannotBeUndone: next.task.cannotBeUndone,
    },
    blockedBy: next.blockedBy,
    clocks: timers.map(({ id: timerId, label, endsAt }) => ({ id: timerId, label, endsAt })),
  };
}
