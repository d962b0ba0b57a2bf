import type { JobView, SpecimenView } from '@sardonyx/contract';
import type { Task } from '@sardonyx/core';
import { join } from 'node:path';
import { expectApproved } from '../../../core/test/support/expectApproved.ts';
import { createTestBench, type TestBench } from './createTestBench.ts';
import { logActs } from './logActs.ts';

export const who = 'Nell';

/**
 * A bench with the demo for each test of a describe block, and everything that is asked of it and answered as text: right acts
 * and wrong ones, every refusal with its words, and what stands afterwards.
 */
export function useActs() {
  let bench: TestBench;
  let log: ReturnType<typeof logActs>;
  beforeEach(async () => {
    bench = await createTestBench();
    log = logActs(bench);
  });
  afterEach(() => bench.clear());
  const see = (id: string) => bench.get<SpecimenView>(`specimens/${id}`);
  return {
    get bench() {
      return bench;
    },
    get log() {
      return log;
    },
    see,
    /** As it was read and approved. */
    approve: (name: string) => expectApproved(join(import.meta.dirname, `../approved/acts-${name}.txt`), log.text()),
    areaOf: async (partId: string) =>
      (await see(partId.slice(0, partId.lastIndexOf('.')))).areas.find(
        (area) => area.specimenPartId === partId && area.kind === 'outside',
      )!.id,
    lanesOf: (jobId: string) =>
      log.act<{ lanes: { job: { id: string } }[] }>('get', 'bench', undefined, ({ lanes }) =>
        lanes.filter(({ job }) => job.id === jobId),
      ),
    stepsOf: (jobId: string) =>
      log.act<JobView>('get', `jobs/${jobId}`, undefined, ({ job, tasks, log: entries, planNotices, planChanges }) => ({
        job,
        tasks: tasks.map((task) => `${task.key} ${task.state}`),
        entries: entries.map((entry) => `${entry.act} ${entry.taskId} ${entry.who}: ${entry.note}`),
        ...{ planNotices, planChanges },
      })),
    act: (taskId: string, name: string, more: object = {}) =>
      log.act<Task>('post', `tasks/${taskId}/acts`, { act: name, who, note: '', ...more }, (task) => ({
        ...{ key: task.key, state: task.state, doneAt: task.doneAt, lookedAt: task.lookedAt, version: task.version },
      })),
  };
}
