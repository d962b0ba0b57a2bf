import type { JobView } from '@sardonyx/contract';
import { STATIONS, STATION_LABELS } from '@sardonyx/core';
import { join } from 'node:path';
import { expectApproved } from '../../core/test/support/expectApproved.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

/** A repaint with a part to buy, wandering parts, lead and tinplate, a model that is only cleaned. */
const READ = ['sg-01', 'sg-05', 'sg-08', 'sg-10'];

describe('the plans of the demo as they were read and approved', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: true })));
  after(() => bench.clear());

  it('are the same from intake to sign-off', async () => {
    const jobs: string[] = [];
    for (const id of READ) jobs.push(await writePlan(id));
    expectApproved(join(import.meta.dirname, 'approved/demoPlans.txt'), jobs.join('\n\n'));
  });

  /** A plan as a restorer reads it: what, how, why, how long, after what. */
  async function writePlan(id: string): Promise<string> {
    const { job, tasks, planNotices, supplies } = await bench.get<JobView>(`jobs/${id}`);
    const titles = new Map(tasks.map((task) => [`${task.specimenId} ${task.key}`, task.title]));
    const stations = STATIONS.map((station) => {
      const own = tasks.filter((task) => task.station === station);
      const lines = own.map(({ specimenId, state, title, because, handsOnMin, watchedMin, passiveMin, after }) => {
        const minutes = [handsOnMin, watchedMin, passiveMin].join('/');
        const waits = after.map(
          ({ key, waitMin }) => `“${titles.get(`${specimenId} ${key}`) ?? key}”${waitMin ? ` and ${waitMin} min` : ''}`,
        );
        return `  ${state === 'done' ? 'x' : state === 'to do' ? 'o' : '-'} ${title} (${minutes})\n      because ${because}${waits.length ? `\n      after ${waits.join(', ')}` : ''}`;
      });
      return `-- ${STATION_LABELS[station]}\n${lines.join('\n')}`;
    });
    const needed = supplies
      .map(({ what, pot, amount, unit, stand, lacks, leadDays, evening, isNeededFirst, places, tasks: takers }) =>
        [
          `${what}${pot ? ` (${pot})` : ''}`,
          amount === null ? '' : `${amount} ${unit}`,
          `${stand}${lacks ? `, lacks ${lacks}` : ''}`,
          `${leadDays} days, evening ${evening}${isNeededFirst ? ', first' : ''}`,
          `${takers.length} steps`,
          places.map(({ name, amount: there }) => `${there} ${name}`).join('; '),
        ].join(' | '),
      )
      .join('\n');
    return `==== ${job.number} ${job.title}: ${job.scope}, ${job.target}\n${stations.join('\n')}\n-- Told\n${planNotices.join('\n')}\n-- Needed\n${needed}`;
  }
});
