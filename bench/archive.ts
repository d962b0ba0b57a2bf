import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { bringAltered } from '../packages/server/test/support/bringAltered.ts';
import { compareBenches } from '../packages/server/test/support/compareBenches.ts';
import { createTestBench } from '../packages/server/test/support/createTestBench.ts';
import { BenchClient } from '../packages/server/test/support/kill/benchClient.ts';
import { putLorryOnBench } from '../packages/server/test/support/kill/killRounds.ts';
import { bringArchive, packJob } from '../packages/server/test/support/packOwnJob.ts';
import { startServer } from '../packages/server/test/support/startServer.ts';
import type { Figure, Topic } from './figure.ts';
import { addPhotos, readPeakMb } from './manyPhotos.ts';

const ALTERED = 2000;
const PHOTOS = 400;

/** Whole jobs out of one bench and into another. docs/formats. */
export const archiveTopic: Topic = {
  names: ['archive.roundTripDifferences', 'archive.damagedAccepted'],
  measure: async () => [await measureRoundTrip(), await measureAltered()],
};

/** How much memory a large one takes. */
export const archivePeak: Topic = { names: ['archive.mbPeak'], measure: async () => [await measurePeak()] };

const none = { kind: 'at most', value: 0 } as const;

async function measureRoundTrip(): Promise<Figure> {
  const [first, second] = [await createTestBench(), await createTestBench({ isDemo: false })];
  const jobs = await first.room.source.query<{ id: string }[]>('SELECT id FROM job ORDER BY number DESC');
  for (const { id } of jobs) {
    const { status } = await bringArchive(second, await packJob(first, id));
    if (status !== 200) throw new Error(`${id} was answered ${status}.`);
  }
  const differences = await compareBenches(first, second);
  for (const one of [first, second]) await one.clear();
  return {
    ...{ name: 'archive.roundTripDifferences', value: differences.length, unit: 'rows', goal: none },
    yardstick: `of ${jobs.length} demo jobs, one after the other into an empty bench: rows and pictures that are another, missing or new`,
  };
}

async function measureAltered(): Promise<Figure> {
  const { brought, kinds, accepted, faults } = await bringAltered(ALTERED, 1);
  if (faults.length) throw new Error(faults.join('\n'));
  return {
    ...{ name: 'archive.damagedAccepted', value: accepted.length, unit: 'bags', goal: none },
    yardstick: `of ${brought} altered bags, ${kinds} kinds of harm; of those that were refused nothing stayed on the bench`,
  };
}

/** A job with many photographs, packed by one server and taken in by another: the most memory of either. */
async function measurePeak(): Promise<Figure> {
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-archive-'));
  try {
    const bench = join(folder, 'bench');
    const first = await startServer(bench);
    const { jobId } = await putLorryOnBench(new BenchClient(first.address));
    await first.kill();
    await addPhotos(bench, jobId, PHOTOS, await paintCopies());
    const out = await startServer(bench);
    const answer = await fetch(`${out.address}/api/jobs/${jobId}/archive.zip`);
    const zip = Buffer.from(await answer.arrayBuffer());
    const outMb = readPeakMb(out.pid);
    await out.kill();
    const into = await startServer(join(folder, 'other'));
    const { status } = await fetch(`${into.address}/api/archive.zip`, {
      ...{ method: 'POST', headers: { 'content-type': 'application/zip' }, body: new Uint8Array(zip) },
    });
    if (status !== 200) throw new Error(`The archive was answered ${status}.`);
    const inMb = readPeakMb(into.pid);
    await into.kill();
    return {
      ...{ name: 'archive.mbPeak', value: Math.max(outMb, inMb), unit: 'MB', goal: { kind: 'at most', value: 300 } },
      yardstick: `most memory of a server: ${outMb.toFixed(0)} packing a job with ${PHOTOS} photographs (${(zip.length / 1024 ** 2).toFixed(0)} MB), ${inMb.toFixed(0)} taking it in`,
    };
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** A picture of 12 megapixels of noise. What stands behind its end is not looked at, and makes each copy another file. */
async function paintCopies(): Promise<(i: number) => Buffer> {
  const noise = { type: 'gaussian', mean: 120, sigma: 6 } as const;
  const jpeg = await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#888', noise } })
    .jpeg({ quality: 60 })
    .toBuffer();
  return (i) => Buffer.concat([jpeg, Buffer.from(String(i))]);
}
