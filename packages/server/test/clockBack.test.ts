import type { Health, JobView } from '@sardonyx/contract';
import { selectWrittenEarlier } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('a clock that is set back', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());
  const note = (words: string) =>
    bench.http.post('/api/tasks/sg-04-1.identify/acts').send({ act: 'note', who: 'Nell', note: words }).expect(200);
  /** The first asking looks, the second tells. */
  const clockBehind = async () => {
    await bench.get<Health>('health');
    return (await bench.get<Health>('health')).clockBehind;
  };

  it('is said until the next act is logged, reorders nothing, and its entries are told from the others', async () => {
    await note('one');
    expect(await clockBehind()).equal(null);
    bench.pass(-300);
    expect(await clockBehind()).equal('2026-11-25T18:30:00.000Z');
    await note('two');
    await note('three');
    expect(await clockBehind()).equal(null);
    bench.pass(301);
    await note('four');
    const { log } = await bench.get<JobView>('jobs/sg-04');
    expect(log.map((entry) => entry.note)).deep.equal(['one', 'two', 'three', 'four']);
    expect(log.map(({ seq }) => seq)).deep.equal([...log.map(({ seq }) => seq)].sort((a, b) => a - b));
    const earlier = selectWrittenEarlier(log);
    expect(log.map(({ id }) => earlier.has(id))).deep.equal([false, true, true, false]);
  });
});
