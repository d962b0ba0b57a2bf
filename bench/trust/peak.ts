import { createHash, randomFillSync } from 'node:crypto';
import { createWriteStream, readFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable, Transform, Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import { BenchClient } from '../../packages/server/test/support/kill/benchClient.ts';
import { putLorryOnBench } from '../../packages/server/test/support/kill/killRounds.ts';
import { startServer } from '../../packages/server/test/support/startServer.ts';
import type { Topic } from '../figure.ts';
import { addPhotos, readPeakMb } from '../manyPhotos.ts';

const MB = 1024 ** 2;
const BOMB_MB = 1024;
const PHOTOS = 80;
const PHOTO_MB = 25;

/** The most memory that a server had while it saved much and was brought a bomb. */
export const trustPeak: Topic = {
  names: ['trust.peakMb'],
  measure: async () => {
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-peak-'));
    const bench = join(folder, 'bench');
    try {
      const first = await startServer(bench);
      const { jobId } = await putLorryOnBench(new BenchClient(first.address));
      await first.kill();
      // Noise, which nothing makes smaller.
      await addPhotos(bench, jobId, PHOTOS, () => randomFillSync(Buffer.alloc(PHOTO_MB * MB)));
      const server = await startServer(bench);
      const startMb = readPeakMb(server.pid);
      const savedMb = await save(server.address);
      if (savedMb < PHOTOS * PHOTO_MB) throw new Error(`Only ${savedMb} MB were saved.`);
      const saveMb = readPeakMb(server.pid);
      for (const name of ['sardonyx.db', `photos/${'ab'.repeat(32)}.jpg`]) {
        const path = join(folder, 'bomb.zip');
        await writeBomb(path, name);
        const status = await bring(server.address, path);
        if (status !== 400) throw new Error(`A bomb was answered ${status}.`);
      }
      const peakMb = readPeakMb(server.pid);
      await server.kill();
      return [
        {
          ...{ name: 'trust.peakMb', value: peakMb, unit: 'MB', goal: { kind: 'at most', value: 400 } },
          yardstick: `most memory of the server: ${startMb.toFixed(0)} as it starts, ${saveMb.toFixed(0)} after saving ${savedMb.toFixed(0)} MB, and after two bombs of 1 GB`,
        },
      ];
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  },
};

/** Saves everything to nowhere; how much it was. */
async function save(address: string): Promise<number> {
  const answer = await fetch(`${address}/api/everything.zip`);
  let bytes = 0;
  const nowhere = new Writable({
    write: (piece: Buffer, _, done) => {
      bytes += piece.length;
      done();
    },
  });
  await pipeline(Readable.fromWeb(answer.body as never), nowhere);
  return bytes / MB;
}

/** A ZIP that unpacks to a gigabyte of nothing under a name that a save may have, and says so in its manifest. */
async function writeBomb(path: string, name: string): Promise<void> {
  const zip = new ZipFile();
  const hash = createHash('sha256');
  let left = BOMB_MB;
  const nothing = new Readable({
    read() {
      this.push(left-- > 0 ? Buffer.alloc(MB) : null);
    },
  });
  const hashed = new Transform({
    transform: (piece: Buffer, _, done) => {
      hash.update(piece);
      done(null, piece);
    },
  });
  zip.addReadStream(nothing.pipe(hashed), name, { compress: true });
  zip.addReadStreamLazy('manifest.json', (give) => {
    const files = { 'sardonyx.db': '00'.repeat(32), [name]: hash.digest('hex') };
    const manifest = {
      format: 'sardonyx-save',
      formatVersion: 1,
      savedAt: '2026-01-01T00:00:00.000Z',
      files,
      missing: [],
    };
    give(null, Readable.from([Buffer.from(JSON.stringify(manifest))]));
  });
  zip.end();
  await pipeline(zip.outputStream, createWriteStream(path));
}

async function bring(address: string, path: string): Promise<number> {
  const body = readFileSync(path);
  const headers = { 'content-type': 'application/zip' };
  return (await fetch(`${address}/api/everything.zip`, { method: 'POST', headers, body })).status;
}
