import type { BenchView, CastingView, WorkshopView } from '@sardonyx/contract';
import type { JobRecord } from '@sardonyx/core';
import { join } from 'node:path';
import { expectApproved } from '../../core/test/support/expectApproved.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { CHANCE, writeRows } from './support/logActs.ts';
import { readPdf } from './support/readPdf.ts';

/** Row by row; ids that chance made are left out. */
const write = (answer: object) => writeRows(answer).trim().replaceAll(CHANCE, '#');

describe('what the server answers for the demo, as it was read and approved', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: true })));
  after(() => bench.clear());

  const get = async <T extends object>(path: string) => bench.get<T>(path);

  it('is, as a page of the record, the same line by line', async () => {
    const { body } = await bench.http.get('/api/jobs/sg-00/papers/card.pdf').buffer(true).parse(readBinary).expect(200);
    expectApproved(
      join(import.meta.dirname, 'approved/recordPage.txt'),
      (await readPdf(body as Buffer)).pages.join('\f').trim(),
    );
  });

  it('is the same row by row', async () => {
    const { castings, ...view } = await get<BenchView>('bench');
    const { joints, variants } = await get<CastingView>('castings/milk-float');
    const { baths, vessels } = await get<WorkshopView>('workshop');
    const record = await get<JobRecord>('jobs/sg-00/record.json');
    const answers = [
      write({ ...view, castings: castings.map(({ id, name, side }) => ({ id, name, shapes: side?.shapes.length })) }),
      write({ joints, variants, baths, vessels }),
      write(record),
    ];
    expectApproved(join(import.meta.dirname, 'approved/answers.txt'), answers.join('\n\n'));
  });
});
