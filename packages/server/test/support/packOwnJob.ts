import type { JobView } from '@sardonyx/contract';
import type { Casting, Job } from '@sardonyx/core';
import sharp from 'sharp';
import { readBinary, type TestBench } from './createTestBench.ts';
import { OWN_LORRY, ownJob } from './ownLorry.ts';

/** A job of which nobody knows the casting. */
export const putOwnJob = async (bench: TestBench, title: string): Promise<Job> =>
  (
    await bench.http
      .post('/api/jobs')
      .send({ ...ownJob('', title), castingId: null })
      .expect(201)
  ).body as Job;

/** A lorry of one's own on an empty bench, with pictures, a finding and a step that was done. */
export async function putOwnLorry(bench: TestBench, title = 'Attic Lorry'): Promise<Job> {
  const casting = (await bench.http.post('/api/castings').send(OWN_LORRY).expect(201)).body as Casting;
  const job = (await bench.http.post('/api/jobs').send(ownJob(casting.id, title)).expect(201)).body as Job;
  for (const [i, side] of ['left', 'top'].entries())
    await bench.http
      .post('/api/photos/upload')
      .field({ jobId: job.id, stage: 'before', side, caption: '' })
      .attach('picture', await paintPicture(i), `${side}.jpg`)
      .expect(201);
  const { specimens, tasks } = await bench.get<JobView>(`jobs/${job.id}`);
  const [part] = specimens[0]!.parts;
  const finding = { specimenPartId: part!.id, kind: 'chips', severity: 1, note: 'Łódź „along the edges”' };
  await bench.http.post('/api/findings').send(finding).expect(201);
  const id = encodeURIComponent(tasks.find(({ key }) => key === 'photograph')!.id);
  await bench.http.post(`/api/tasks/${id}/acts`).send({ act: 'not needed', who: 'Nell', note: 'Two sides do.' });
  return job;
}

const paintPicture = (i: number): Promise<Buffer> =>
  sharp({ create: { width: 60 + i, height: 40, channels: 3, background: { r: 40 * i, g: 90, b: 70 } } })
    .jpeg()
    .toBuffer();

/** A job of a bench as it is packed. */
export async function packJob(bench: TestBench, jobId: string): Promise<Buffer> {
  const answer = await bench.http.get(`/api/jobs/${jobId}/archive.zip`).buffer(true).parse(readBinary).expect(200);
  return answer.body as Buffer;
}

/** Brings an archive to a bench. */
export const bringArchive = (bench: TestBench, zip: Buffer, query = '') =>
  bench.http.post(`/api/archive.zip${query}`).set('content-type', 'application/zip').send(zip);
