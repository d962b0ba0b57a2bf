import autocannon from 'autocannon';
import type { BenchView, JobView } from '@sardonyx/contract';
import { startBench } from '../e2e/support/startBench.ts';
import { median, type Topic } from './figure.ts';
import { addSignedOffJobs } from './support.ts';

const SECONDS = 8;
const CONNECTIONS = 8;
/** Jobs of full size that were signed off in earlier years. */
const SIGNED_OFF = 100;

/** Requests per second over loopback against the real server with the demo data. */
async function measureApi() {
  const fresh = await startBench({ isDemo: true });
  await fresh.stop();
  addSignedOffJobs(fresh.folder, SIGNED_OFF);
  const bench = await startBench({ isDemo: true, again: fresh });
  const reads = await autocannon({
    url: `${bench.address}/api/jobs/sg-06`,
    connections: CONNECTIONS,
    duration: SECONDS,
  });
  const writes = await measureWrites(bench.address);
  const benchReadMs = await measureBenchReads(bench.address);
  await bench.clear();
  for (const run of [reads, writes]) if (run.non2xx) throw new Error(`${run.non2xx} requests were refused`);
  return { reads: reads.requests.average, writes: writes.requests.average, benchReadMs };
}

/** The bench as the page asks for it all evening: each time something of one job was written just before. */
async function measureBenchReads(address: string): Promise<number> {
  const took: number[] = [];
  const jobs = ['sg-03', 'sg-06', 'sg-07', 'sg-09'];
  for (let i = 0; i < 41; i++) {
    await addFinding(address, jobs[i % jobs.length]!);
    const began = performance.now();
    const answer = await fetch(`${address}/api/bench`);
    const text = await answer.text();
    took.push(performance.now() - began);
    const { lanes } = JSON.parse(text) as BenchView;
    if (lanes.length <= SIGNED_OFF) throw new Error(`Only ${lanes.length} lanes came`);
  }
  return median(took);
}

interface EditedRow {
  readonly id: string;
  version: number;
}

/** More rows than connections: the load generator asks for a first request twice. */
const ROWS = 3 * CONNECTIONS;

/** Every request edits a finding that no other is editing: validated, versioned, stored, and the plan compiled again. */
async function measureWrites(address: string) {
  const free: EditedRow[] = [];
  for (let i = 0; i < ROWS; i++) free.push(await addFinding(address, 'sg-06'));
  return autocannon({
    url: address,
    connections: CONNECTIONS,
    duration: SECONDS,
    requests: [
      {
        setupRequest: (request, context) => {
          const row = free.pop()!;
          (context as { row: EditedRow }).row = row;
          const body = JSON.stringify({ version: row.version, note: `edit ${row.version}` });
          return { ...request, method: 'PATCH', path: `/api/findings/${row.id}`, headers: { ...JSON_TYPE }, body };
        },
        onResponse: (_status, _body, context) => {
          const { row } = context as { row: EditedRow };
          row.version++;
          free.push(row);
        },
      },
    ],
  });
}

async function addFinding(address: string, jobId: string): Promise<EditedRow> {
  const view = (await (await fetch(`${address}/api/jobs/${jobId}`)).json()) as JobView;
  const finding = { specimenPartId: view.specimens[0]!.parts[0]!.id, kind: 'chips', severity: 1, note: '' };
  const answer = await fetch(`${address}/api/findings`, {
    method: 'POST',
    headers: JSON_TYPE,
    body: JSON.stringify(finding),
  });
  if (!answer.ok) throw new Error(`A finding was refused: ${await answer.text()}`);
  return (await answer.json()) as EditedRow;
}

/** The load generator writes the length of its body into the headers that it is given. */
const JSON_TYPE = { 'content-type': 'application/json' };

export const apiTopic: Topic = {
  names: ['api.jobReadsPerS', 'api.jobWritesPerS', 'api.benchReadMs'],
  measure: async () => {
    const { reads, writes, benchReadMs } = await measureApi();
    return [
      {
        name: 'api.jobReadsPerS',
        value: reads,
        unit: '/s',
        goal: { kind: 'at least', value: 500 },
        yardstick: `one job with everything on it, ${CONNECTIONS} connections, ${SECONDS} s`,
      },
      {
        name: 'api.jobWritesPerS',
        value: writes,
        unit: '/s',
        goal: { kind: 'at least', value: 150 },
        yardstick: `a finding edited and the plan compiled again, ${CONNECTIONS} connections, ${SECONDS} s, ${SIGNED_OFF} signed-off jobs beside it`,
      },
      {
        name: 'api.benchReadMs',
        value: benchReadMs,
        unit: 'ms',
        goal: { kind: 'at most', value: 25 },
        yardstick: `median of 41 reads of the whole bench, each after a change to one of its jobs, ${SIGNED_OFF} signed-off jobs in it`,
      },
    ];
  },
};
