import type { BenchView } from '@sardonyx/contract';
import { startBench } from '../e2e/support/startBench.ts';
import type { JobRecord } from '../packages/core/src/record/jobRecord.ts';
import { createTestBench } from '../packages/server/test/support/createTestBench.ts';
import { findLostFields } from '../packages/server/test/support/findLostFields.ts';
import { median, type Figure, type Topic } from './figure.ts';

const PRINTS = 5;

/** What a record leaves out, and how long its longest paper takes. docs/decisions/026. */
export const recordTopic: Topic = {
  names: ['record.fieldsLost', 'record.fieldsUnsaid', 'record.pdfMs'],
  measure: async () => [...(await measureLost()), await measurePdf()],
};

async function measureLost(): Promise<Figure[]> {
  const bench = await createTestBench();
  const { fromData, fromWords } = await findLostFields(bench.room.source);
  await bench.clear();
  const none = { kind: 'at most', value: 0 } as const;
  return [
    {
      ...{ name: 'record.fieldsLost', value: fromData.length, unit: 'fields', goal: none },
      yardstick:
        'of every table of a job, each with a value that stands nowhere else, not in its record nor left out with a reason',
    },
    {
      ...{ name: 'record.fieldsUnsaid', value: fromWords.length, unit: 'fields', goal: none },
      yardstick: 'of those that are words: not in the printed text',
    },
  ];
}

/** Over HTTP, as the page asks for it. */
async function measurePdf(): Promise<Figure> {
  const bench = await startBench({ isDemo: true });
  const { lanes } = (await (await fetch(`${bench.address}/api/bench`)).json()) as BenchView;
  const sizes = [];
  for (const id of ['sg-00', ...lanes.map(({ job }) => job.id)]) {
    const text = await (await fetch(`${bench.address}/api/jobs/${id}/record.json`)).text();
    sizes.push({ id, size: text.length, pictures: (JSON.parse(text) as JobRecord).photos.length });
  }
  const largest = sizes.reduce((a, b) => (b.size + 1e4 * b.pictures > a.size + 1e4 * a.pictures ? b : a));
  const times = [];
  for (let i = 0; i < PRINTS; i++) {
    const from = performance.now();
    const answer = await fetch(`${bench.address}/api/jobs/${largest.id}/papers/record.pdf`);
    if (!answer.ok) throw new Error(`No paper of ${largest.id}: ${answer.status}`);
    await answer.arrayBuffer();
    times.push(performance.now() - from);
  }
  await bench.clear();
  return {
    ...{ name: 'record.pdfMs', value: median(times), unit: 'ms', goal: { kind: 'at most', value: 3000 } },
    yardstick: `full record of ${largest.id.toUpperCase()}, the largest of the demo, with ${largest.pictures} pictures, median of ${PRINTS}`,
  };
}
