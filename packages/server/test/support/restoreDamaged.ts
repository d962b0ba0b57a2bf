import { readdir } from 'node:fs/promises';
import type { ErrorBody, ShelfView } from '@sardonyx/contract';
import sharp from 'sharp';
import { createTestBench, readBinary } from './createTestBench.ts';
import { createDamagedSaves } from './damagedSaves.ts';
import { OWN_LORRY, OWN_POT, ownJob } from './ownLorry.ts';

export interface DamageTried {
  readonly kind: string;
  readonly status: number;
  readonly message: string;
  /** What the attempt left in the folder that was not there before. */
  readonly left: readonly string[];
}

/** Brings every kind of damaged save to a small bench of one's own, and at last the whole one. */
export async function restoreDamaged(): Promise<{ readonly tried: DamageTried[]; readonly isWholeTaken: boolean }> {
  const bench = await createTestBench({ isDemo: false });
  const idOf = ({ body }: { readonly body: unknown }) => (body as { id: string }).id;
  const restore = (zip: Uint8Array) =>
    bench.http
      .post('/api/everything.zip')
      .set('Content-Type', 'application/zip')
      .send(Buffer.from(zip) as never);
  try {
    const castingId = idOf(await bench.http.post('/api/castings').send(OWN_LORRY));
    const jobId = idOf(await bench.http.post('/api/jobs').send(ownJob(castingId)));
    await bench.http.post('/api/shelf/pots').send({ ...OWN_POT, name: 'Mine' });
    const picture = await sharp({ create: { width: 64, height: 40, channels: 3, background: '#884422' } })
      .png()
      .toBuffer();
    await bench.http
      .post('/api/photos/upload')
      .field({ jobId, stage: 'before', side: 'left', caption: '' })
      .attach('picture', picture, 'left.png')
      .expect(201);
    const zip = (await bench.http.get('/api/everything.zip').buffer(true).parse(readBinary)).body as Buffer;
    const before = await readdir(bench.room.folder);
    const tried: DamageTried[] = [];
    for (const [kind, bytes] of await createDamagedSaves(zip)) {
      const { status, body } = await restore(bytes);
      const left = (await readdir(bench.room.folder)).filter((name) => !before.includes(name));
      tried.push({ kind, status, message: (body as Partial<ErrorBody>).message ?? '', left });
    }
    const { products } = await bench.get<ShelfView>('shelf');
    const isWholeTaken = products.length === 1 && (await restore(zip)).status === 200;
    return { tried, isWholeTaken };
  } finally {
    await bench.clear();
  }
}
