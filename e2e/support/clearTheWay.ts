import type { ErrorBody, JobView, TimersView, WorkshopView } from '@sardonyx/contract';
import type { Task } from '@sardonyx/core';
import type { APIRequestContext } from 'playwright-core';
import { benchOf } from './startBench.ts';

const WHO = 'Osric Bell';
const MOST_ACTS = 300;

/** Has everything behind it that a step waits for, as done at another bench: the test is about the step, not the way to it. */
export async function clearTheWay(
  request: APIRequestContext,
  address: string,
  jobId: string,
  isWanted: (task: Task) => boolean,
): Promise<Task> {
  const read = async <T>(path: string) => (await (await request.get(`${address}/api/${path}`)).json()) as T;
  const post = async (path: string, data: object = {}) => request.post(`${address}/api/${path}`, { data });
  for (let acts = 0; acts < MOST_ACTS; acts++) {
    const { tasks } = await read<JobView>(`jobs/${jobId}`);
    const wanted = tasks.find(isWanted);
    if (!wanted) throw new Error('The plan has no such step.');
    const before = listBefore(wanted, tasks).filter(
      (task) => !['done', 'not needed', 'set aside'].includes(task.state),
    );
    const next = before.sort((a, b) => a.seq - b.seq)[0];
    if (!next) return wanted;
    const act = {
      ...{ act: 'done otherwise', who: WHO, note: 'at another bench' },
      ...{ goAheadBecause: 'the owner wants it', staysUntilDone: true, isDryDay: true },
    };
    const answer = await post(`tasks/${next.id}/acts`, act);
    if (answer.ok()) continue;
    const { code, message, taskId } = (await answer.json()) as ErrorBody;
    if ((code === 'still-waiting' || code === 'too-late') && taskId) {
      const looked = await post(`tasks/${taskId}/acts`, { act: 'looked', who: WHO, note: 'it holds' });
      // A coat is not dry because somebody looked.
      if (!looked.ok()) benchOf(address).pass(12 * 60);
    } else if (code === 'in-gap') benchOf(address).pass(12 * 60);
    else if (code === 'spark-beside-vapour' || code === 'vapour-beside-spark')
      for (const timer of (await read<TimersView>('timers')).timers) await post(`timers/${timer.id}/acknowledge`);
    else if (code === 'gun-not-clean') await cleanTheGun(request, address);
    else throw new Error(`${next.key}: ${message}`);
  }
  throw new Error(`Not there after ${MOST_ACTS} acts.`);
}

/** Rinsed and ready, as somebody who has just done it says in the workshop. */
export async function cleanTheGun(request: APIRequestContext, address: string): Promise<void> {
  const { tools } = (await (await request.get(`${address}/api/workshop`)).json()) as WorkshopView;
  const gun = tools.find(({ kind }) => kind === 'airbrush')!;
  await request.patch(`${address}/api/tools/${gun.id}`, { data: { version: gun.version, state: 'ready', holds: '' } });
}

function listBefore(task: Task, tasks: readonly Task[]): Task[] {
  const byKey = new Map(tasks.filter((one) => one.specimenId === task.specimenId).map((one) => [one.key, one]));
  const found = new Set<Task>();
  const collect = ({ after }: Task) => {
    for (const { key } of after) {
      const one = byKey.get(key);
      if (!one || found.has(one)) continue;
      found.add(one);
      collect(one);
    }
  };
  collect(task);
  return [...found];
}
