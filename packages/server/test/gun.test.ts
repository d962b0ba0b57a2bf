import type { GunView } from '@sardonyx/contract';
import { expect } from 'chai';
import { In, Not } from 'typeorm';
import { JobRow, TaskRow } from '../src/entities/work.ts';
import { ToolRow } from '../src/entities/workshop.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const PRIMER = 'Lanthorn Light grey primer';

describe('what the gun goes to', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const rows = () => bench.room.source.manager;
  const runsOf = async () => (await bench.get<GunView>('gun')).runs;
  const jobsOf = async (paint: string) => [
    ...new Set((await runsOf()).find((run) => run.paint === paint)?.coats.map(({ jobNumber }) => jobNumber)),
  ];
  /** Nothing but its priming is left of these jobs. */
  const leavePriming = async (...jobIds: readonly string[]) => {
    await rows().update(TaskRow, { jobId: In(jobIds), act: Not('prime') }, { state: 'not needed' });
    await rows().update(TaskRow, { jobId: In(jobIds), act: 'prime' }, { state: 'to do' });
  };

  it('is one filling for the models of all open jobs; a signed-off one, and one sprayed from cans, asks for none', async () => {
    expect(await jobsOf(PRIMER)).deep.equal([]);
    await leavePriming('sg-05', 'sg-06');
    expect(await jobsOf(PRIMER)).deep.equal(['SG-05', 'SG-06']);
    const needs = { tools: [], booth: true, bath: null, stays: false, air: 'vapour' as const };
    await rows().update(TaskRow, { jobId: 'sg-06' }, { needs });
    expect(await jobsOf(PRIMER)).deep.equal(['SG-05']);
    await rows().update(JobRow, { id: 'sg-05' }, { signedOffAt: bench.room.now().toISOString() });
    expect(await jobsOf(PRIMER)).deep.equal([]);
  });

  it('begins with what is in it, and rinses before everything else', async () => {
    await leavePriming('sg-05', 'sg-06');
    expect((await runsOf()).map(({ isRinsedBefore }) => isRinsedBefore)).deep.equal([false, true]);
    await rows().update(ToolRow, { kind: 'airbrush' }, { holds: PRIMER });
    const [first, ...others] = await runsOf();
    expect(first).deep.include({ paint: PRIMER, isRinsedBefore: false });
    expect(others.every(({ isRinsedBefore }) => isRinsedBefore)).equal(true);
    await rows().update(ToolRow, { kind: 'airbrush' }, { holds: 'Quay Soot black' });
    expect((await runsOf()).every(({ isRinsedBefore }) => isRinsedBefore)).equal(true);
  });

  it('names the model where a job has several, and says nothing where the workshop has no gun', async () => {
    const places = (await runsOf()).flatMap(({ coats }) => coats);
    expect(places.map(({ jobNumber, specimenName }) => `${jobNumber} ${specimenName}`)).deep.equal([
      'SG-07 Trolley with the bent rail',
    ]);
    await rows().delete(ToolRow, { kind: 'airbrush' });
    expect(await bench.get<GunView>('gun')).deep.equal({ gun: null, runs: [] });
  });
});
