import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { TaskRow } from '../src/entities/work.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('one gun for all models', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const colour = 'Lanthorn Light grey primer';
  const rinseOf = async (jobId: string) => {
    const { tasks } = await bench.get<JobView>(`jobs/${jobId}`);
    return tasks.find(({ act, of }) => act === 'rinse-gun' && of.colour === colour)!;
  };
  /** All that the model's own rinsing waits for is behind it. */
  const settle = async (jobId: string) => {
    const { after, specimenId } = await rinseOf(jobId);
    for (const { key } of after)
      await bench.room.source.manager.update(TaskRow, { specimenId, key }, { state: 'not needed' });
  };
  const done = async (jobId: string) =>
    bench.http
      .post(`/api/tasks/${(await rinseOf(jobId)).id}/acts`)
      .send({ act: 'done otherwise', who: 'Imke Varga', note: 'in the jar' });

  it('is rinsed once where others have had the colour; the log of each says with which, and who waits keeps its own', async () => {
    await settle('sg-03');
    await settle('sg-06');
    await done('sg-03').then(({ status, text }) => expect(status, text).equal(200));
    const twin = await rinseOf('sg-06');
    expect(twin.state).equal('done');
    const line = (await bench.get<JobView>('jobs/sg-06')).log.find(({ taskId }) => taskId === twin.id)!;
    expect(line).deep.include({ who: 'Imke Varga', note: 'rinsed once for all, with SG-03' });
    expect((await rinseOf('sg-05')).state).equal('to do');
    const other = (await bench.get<JobView>('jobs/sg-06')).tasks.filter(({ act }) => act === 'rinse-gun');
    expect(other.filter(({ state }) => state === 'done')).length(1);
  });
});
