import type { BenchView, JobView } from '@sardonyx/contract';
import { chooseOpening, createOpeningQuestion } from '@sardonyx/core';
import { expect } from 'chai';
import { comparePageWithServer } from './support/randomSpecimens.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('the page and the server', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  it('open every model of the demo alike, whatever house and job decide', async () => {
    const decide = (body: object) => bench.http.post('/api/house-choices').send(body).expect(201);
    await decide({ school: 'S11', option: 'caustic', reason: 'a tub stands here' });
    await decide({ school: 'S2', option: 're-bent tabs', reason: 'quick' });
    const { lanes } = await bench.get<BenchView>('bench');
    for (const { job } of lanes) {
      const view = await bench.get<JobView>(`jobs/${job.id}`);
      for (const { facts, opening } of view.specimens) {
        const page = chooseOpening(createOpeningQuestion(facts));
        expect(
          page.opening.map(({ key, way }) => [key, way.key]),
          job.number,
        ).deep.equal(opening.opening.map(({ key, way }) => [key, way.key]));
        expect(facts.decisions.S11, job.number).equal(job.signedOffAt ? undefined : 'caustic');
      }
    }
  });

  it('open random models alike, from facts that are those of the rows shown (seeds 1 to 60)', async () => {
    const different: string[] = [];
    for (let seed = 1; seed <= 60; seed++) {
      const found = await comparePageWithServer(bench.room.source.manager, seed);
      if (found) different.push(found);
    }
    expect(different).deep.equal([]);
  });
});
